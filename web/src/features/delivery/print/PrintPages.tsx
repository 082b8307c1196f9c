// Pages for paper: one session, or all sessions of a club's week.
import { useQueries } from '@tanstack/react-query'
import { useParams } from 'react-router'
import { t } from '../../../texts/t'
import { asDay } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { Sheets } from '../../../ui/Sheets'
import { useClubs } from '../../academy/clubs/queries'
import { eveningOf, eveningsOf, useTeamEvening } from '../tonight/queries'
import { SessionCard } from './SessionCard'

export function PrintSession() {
  const { team = '', edition, session } = useParams()
  const evening = useTeamEvening(team, edition, Number(session))
  if (evening.isError && !evening.data) return <ErrorNote error={evening.error} />
  if (!evening.data) return <Loading />
  return (
    <Sheets title={t('print-session')}>
      <SessionCard view={evening.data} />
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
  const lists = useQueries({ queries: (club?.teams ?? []).map((team) => eveningsOf(team.id)) })
  const [first, last] = weekFrom(day)
  const wanted = lists.flatMap((list, i) =>
    (list.data?.evenings ?? [])
      .filter(({ date }) => date >= first && date <= last)
      .map(({ edition, session }) => eveningOf(club?.teams[i]?.id ?? '', edition, session)),
  )
  const evenings = useQueries({ queries: wanted })
  const failed = [clubs, ...lists, ...evenings].find((each) => each.isError)
  if (failed) return <ErrorNote error={failed.error} />
  if (!club || [...lists, ...evenings].some((each) => each.isPending)) return <Loading />
  return (
    <Sheets title={t('print-week', { club: club.name, from: asDay(first), to: asDay(last) })}>
      {evenings.length === 0 && <Empty>{t('print-no-evening')}</Empty>}
      {evenings.map(
        (evening) =>
          evening.data && (
            <SessionCard key={`${evening.data.team} ${evening.data.evening.date}`} view={evening.data} />
          ),
      )}
    </Sheets>
  )
}
