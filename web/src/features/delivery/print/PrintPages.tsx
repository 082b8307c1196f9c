// Pages for paper: one session, or all sessions of a club's week.
import { useQueries } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { useTranslated } from '../../../texts/phrases'
import { t } from '../../../texts/t'
import { asDay } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { Sheets } from '../../../ui/Sheets'
import { useClubs } from '../../academy/clubs/queries'
import { sessionOf, sessionsOf, useTeamSession } from '../today/queries'
import { SessionCard } from './SessionCard'

export function PrintSession() {
  const { team = '', edition, session } = useParams()
  const shown = useTeamSession(team, edition, Number(session))
  if (shown.isError && !shown.data) return <ErrorNote error={shown.error} />
  if (!shown.data) return <Loading />
  return (
    <Sheets title={t('print-session')}>
      <SessionCard team={team} view={shown.data} />
    </Sheets>
  )
}

/** The seven days from a day on. */
function weekFrom(day: string): [string, string] {
  const last = new Date(`${day}T12:00:00Z`)
  last.setUTCDate(last.getUTCDate() + 6)
  return [day, last.toISOString().slice(0, 10)]
}

export function PrintWeek() {
  const { club: id, day = '' } = useParams()
  const clubs = useClubs()
  const club = clubs.data?.find((each) => each.id === id)
  const lists = useQueries({ queries: (club?.teams ?? []).map((team) => sessionsOf(team.id)) })
  const [first, last] = weekFrom(day)
  const wanted = lists.flatMap((list, i) =>
    (list.data?.sessions ?? [])
      .filter(({ date }) => date >= first && date <= last)
      .map((entry) => ({ team: club?.teams[i]?.id ?? '', ...entry })),
  )
  const select = useTranslated()
  const shown = useQueries({
    queries: wanted.map(({ team, edition, session }) => ({ ...sessionOf(team, edition, session), select })),
  })
  const failed = [clubs, ...lists, ...shown].find((each) => each.isError)
  if (failed) return <ErrorNote error={failed.error} />
  if (!club || [...lists, ...shown].some((each) => each.isPending)) return <Loading />
  return (
    <Sheets title={t('print-week', { club: club.name, from: asDay(first), to: asDay(last) })}>
      {shown.length === 0 && <Empty>{t('print-no-session')}</Empty>}
      {wanted.map(({ team, date }, i) => {
        const view = shown[i]?.data
        return view && <SessionCard key={`${team} ${date}`} team={team} view={view} />
      })}
    </Sheets>
  )
}
