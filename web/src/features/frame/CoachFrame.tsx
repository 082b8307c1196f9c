// The coach's phone: four words at the bottom, the rest behind the name.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useQueryClient } from '@tanstack/react-query'
import { Suspense, useEffect, useState } from 'react'
import { NavLink, Outlet, useLocation } from 'react-router'
import type { Schemas } from '../../api/client'
import { useKeeps } from '../../storage/device'
import { dropRefused, flush, sendFor, useOutbox, type Waiting } from '../../storage/outbox'
import { chosenTeam, teamNames, useRemembered } from '../../storage/remembered'
import { waitingSaid } from '../../texts/said'
import { t } from '../../texts/t'
import { Fallen } from '../../ui/Fallen'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import type { Look } from '../../ui/theme'
import { squadOf } from '../assessment/squad/queries'
import { NameMenu } from '../people/NameMenu'
import { useCarried, useReadingBack } from './carry'
import { meetingNow } from './team'

const PLACES = ['today', 'test', 'squad', 'weeks'] as const

export function CoachFrame({ session, look }: { session: Schemas['Session']; look: Look }) {
  const { floor } = useTheme()
  useReadingBack()
  useEffect(() => void sendFor(session.id), [session.id])
  useEffect(() => {
    const seen = Object.fromEntries(session.teams.map(({ id, name }) => [id, name]))
    teamNames.write({ ...teamNames.read(), ...seen })
  }, [session.teams])
  const { pathname } = useLocation()
  const wide = pathname.startsWith('/squad')
  const carried = useCarried(session.teams)
  const [chosen, choose] = useRemembered(chosenTeam)
  const [byHand, setByHand] = useState(false)
  const meeting = byHand ? undefined : meetingNow(session.teams, new Date())
  const team = meeting ?? session.teams.find((t) => t.id === chosen) ?? session.teams[0]
  return (
    <Box
      sx={{
        height: '100dvh',
        display: 'flex',
        flexDirection: 'column',
        maxWidth: wide ? 1280 : 900,
        mx: 'auto',
      }}
    >
      <Box
        component="header"
        className="no-print"
        sx={{
          display: 'flex',
          alignItems: 'center',
          px: 1.5,
          gap: 1,
          minHeight: 48,
          borderBottom: `1px solid ${floor.hair}`,
        }}
      >
        <TeamChoice
          teams={session.teams}
          team={team}
          onChoose={(id) => {
            setByHand(true)
            choose(id)
          }}
        />
        <Box sx={{ flex: 1 }} />
        <OutboxNote person={session.id} />
        <NameMenu session={session} look={look} carried={carried} />
      </Box>
      <Box
        component="main"
        sx={{ flex: 1, minHeight: 0, overflowY: 'auto', display: 'flex', flexDirection: 'column' }}
      >
        <Unkept />
        <Refusals person={session.id} />
        <Suspense fallback={<Loading />}>
          <Fallen place={pathname}>
            {team || pathname === '/account' ? (
              <Outlet context={team} key={team?.id} />
            ) : (
              <Empty>{t('today-none')}</Empty>
            )}
          </Fallen>
        </Suspense>
      </Box>
      <Places />
    </Box>
  )
}

interface TeamChoiceProps {
  teams: Schemas['TeamView'][]
  team: Schemas['TeamView'] | undefined
  onChoose: (team: string) => void
}

/** Whoever coaches more than one team chooses which. */
function TeamChoice({ teams, team, onChoose }: TeamChoiceProps) {
  const { floor } = useTheme()
  if (teams.length < 2 || !team) return <Typography sx={{ fontWeight: 650 }}>{team?.name}</Typography>
  return (
    <Box
      component="select"
      aria-label={t('clubs-teams')}
      value={team.id}
      onChange={(event) => onChoose(event.target.value)}
      sx={{
        font: 'inherit',
        fontWeight: 650,
        color: 'inherit',
        bgcolor: 'transparent',
        border: `1px solid ${floor.hair}`,
        minHeight: 44,
        px: 0.5,
        maxWidth: 220,
      }}
    >
      {teams.map((t) => (
        <option key={t.id} value={t.id}>
          {t.name}
        </option>
      ))}
    </Box>
  )
}

/** The four places of a coach. */
function Places() {
  const { floor } = useTheme()
  return (
    <Box
      component="nav"
      className="no-print"
      sx={{
        display: 'flex',
        borderTop: `1px solid ${floor.ink}`,
        bgcolor: 'background.paper',
        pb: 'env(safe-area-inset-bottom)',
      }}
    >
      {PLACES.map((place) => (
        <Box
          key={place}
          component={NavLink}
          to={`/${place}`}
          sx={{
            flex: 1,
            minHeight: 52,
            display: 'flex',
            alignItems: 'center',
            justifyContent: 'center',
            color: 'text.secondary',
            textDecoration: 'none',
            borderTop: '4px solid transparent',
            '&.active': { color: 'text.primary', fontWeight: 700, borderTopColor: floor.ink },
          }}
        >
          {t(`places-${place}`)}
        </Box>
      ))}
    </Box>
  )
}

/** How many entries wait on this device; a tap tries again. Another coach's wait until that coach signs in here. */
function OutboxNote({ person }: { person: string }) {
  const waiting = useOutbox().filter((w) => !w.refused && !w.sent)
  const mine = waiting.filter((w) => w.by === person).length
  const others = waiting.length - mine
  return (
    <>
      {mine > 0 && (
        <Button size="small" role="status" onClick={() => void flush()}>
          {t('outbox-waiting', { n: mine })}
        </Button>
      )}
      {others > 0 && (
        <Typography variant="body2" role="status">
          {t('outbox-others', { n: others })}
        </Typography>
      )}
    </>
  )
}

/** Tells the truth where the browser keeps nothing. */
function Unkept() {
  return useKeeps() ? null : <ErrorNote>{t('outbox-unkept')}</ErrorNote>
}

/** What the server did not take of one's own entries, with whom and what it is about. */
function Refusals({ person }: { person: string }) {
  const queries = useQueryClient()
  const refused = useOutbox().filter((w) => w.refused && w.by === person)
  if (refused.length === 0) return null
  const about = (w: Waiting) => {
    const players = queries.getQueryData(squadOf(w.team).queryKey)?.players ?? []
    const player = 'player' in w.entry ? w.entry.player : undefined
    const name = players.find((each) => each.id === player)?.name
    return [teamNames.read()[w.team], name, waitingSaid(w)].filter(Boolean).join(', ')
  }
  return (
    <ErrorNote>
      <Typography>{t('outbox-refused')}</Typography>
      {refused.map((w) => (
        <Typography key={w.key} color="error">
          {about(w)}: {w.refused}
        </Typography>
      ))}
      <Button size="small" sx={{ mr: 1 }} onClick={() => void sendFor(person)}>
        {t('outbox-again')}
      </Button>
      <Button size="small" onClick={dropRefused}>
        {t('outbox-seen')}
      </Button>
    </ErrorNote>
  )
}
