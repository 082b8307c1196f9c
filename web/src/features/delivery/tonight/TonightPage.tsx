// Tonight: the running order as a strip whose lengths are minutes, and the current block over the rest of the screen.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { lazy, Suspense, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import type { Evening, Schemas } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { t } from '../../../texts/t'
import { asLongDay } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { useSquad } from '../../assessment/squad/queries'
import { useTeam } from '../../frame/team'
import { BlockScreen } from './BlockScreen'
import { EveningStrip } from './EveningStrip'
import { nameOf, useLog } from './log'
import { tonightOf, useEvenings, useTeamEvening } from './queries'

export function TonightPage() {
  const team = useTeam()
  const chosen = useParams()
  const evenings = useEvenings(team.id)
  const today = evenings.data ? dayNow(evenings.data.today, evenings.dataUpdatedAt) : ''
  const tonight = evenings.data && tonightOf(evenings.data.evenings, today)
  const edition = chosen.edition ?? tonight?.edition
  const session = chosen.session === undefined ? tonight?.session : Number(chosen.session)
  const evening = useTeamEvening(team.id, edition, session)
  if (evenings.isError && !evenings.data) return <ErrorNote error={evenings.error} />
  if (evening.isError && !evening.data) return <ErrorNote error={evening.error} />
  if (evenings.isPending) return <Loading />
  if (edition === undefined || session === undefined) return <Empty>{t('tonight-none')}</Empty>
  if (!evening.data) return <Loading />
  return <Run team={team.id} edition={edition} session={session} view={evening.data} today={today} />
}

const LogScreen = lazy(() => import('./LogScreen').then((m) => ({ default: m.LogScreen })))
const UpsetDialog = lazy(() => import('./UpsetDialog').then((m) => ({ default: m.UpsetDialog })))

/** Stands in the address in place of a block. */
const LOG = 'log'

interface RunProps {
  team: string
  edition: string
  session: number
  view: Schemas['TeamEvening']
  today: string
}

function Run({ team, edition, session, view, today }: RunProps) {
  const [address, setAddress] = useSearchParams()
  const { evening } = view
  const log = useLog({ team, edition, session, day: evening.date }, view.log)
  const { outcomes } = log
  const players = useSquad(team).data?.players ?? []
  // The first block of which nothing was said is the current one, unless another was opened.
  const open = evening.blocks.findIndex((each, i) => !outcomes.has(nameOf(each, i)))
  const asked = address.get('block')
  const logging = asked === LOG || (asked === null && open < 0 && evening.blocks.length > 0)
  const at =
    asked === null || logging
      ? Math.max(open, 0)
      : Math.min(Math.max(Number(asked) - 1, 0), evening.blocks.length - 1)
  const choose = (block: number) => setAddress({ block: String(block + 1) }, { replace: true })
  const block = evening.blocks[at]
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Head view={view} today={today} />
      {view.upset?.left === 0 && (
        <Typography role="status" sx={{ px: 1.5, pb: 1 }}>
          {t('upset-fell-out')}
        </Typography>
      )}
      {outcomes.size === 0 && !view.upset && <Before {...{ team, edition, session, evening }} />}
      {open < 0 && evening.blocks.length > 0 && (
        <Typography role="status" sx={{ px: 1.5, pb: 1 }}>
          {t('tonight-all-said')}
        </Typography>
      )}
      <Box sx={{ flex: 1, display: 'flex', minHeight: 0 }}>
        <EveningStrip
          evening={evening}
          at={logging ? null : at}
          outcomes={outcomes}
          onChoose={choose}
          onLog={() => setAddress({ block: LOG }, { replace: true })}
        />
        {logging && (
          <Suspense fallback={<Loading />}>
            <LogScreen team={team} evening={evening} log={log} history={view.log.history} />
          </Suspense>
        )}
        {block && !logging && (
          <BlockScreen
            key={nameOf(block, at)}
            block={block}
            at={at}
            of={evening.blocks.length}
            clockName={`${edition}.${session}.${nameOf(block, at)}`}
            splits={view.splits}
            team={team}
            players={players}
            missing={log.missing}
            said={outcomes.get(nameOf(block, at))}
            onSay={(said) => {
              const name = nameOf(block, at)
              log.say(name, said)
              // Saying something new leads on; changing it does not.
              const next = evening.blocks.findIndex((each, i) => i > at && !outcomes.has(nameOf(each, i)))
              if (outcomes.get(name)?.outcome === said.outcome) return
              if (next > 0) choose(next)
              else setAddress({}, { replace: true })
            }}
          />
        )}
      </Box>
    </Box>
  )
}

/** Which day it is, and the way back to today. */
function Head({ view, today }: Pick<RunProps, 'view' | 'today'>) {
  const { evening } = view
  const day = asLongDay(evening.date)
  return (
    <Box sx={{ px: 1.5, py: 0.75, display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1 }}>
      <Typography variant="h2" component="h1" sx={{ flex: evening.date === today ? undefined : 1 }}>
        {evening.date === today ? t('places-today') : evening.date > today ? t('tonight-next', { day }) : day}
      </Typography>
      <Typography
        variant="body2"
        color="text.secondary"
        sx={evening.date === today ? { flex: 1 } : { width: '100%', order: 1 }}
      >
        {t('plan-week', { n: evening.week })} · {t('minutes', { n: evening.minutes })} ·{' '}
        {t('tonight-edition', { n: view.edition_number })}
      </Typography>
      {evening.date !== today && (
        <Button component={Link} to="/today" size="small" variant="text">
          {t('tonight-to-tonight')}
        </Button>
      )}
    </Box>
  )
}

/** What can be done before the first block was run: say what has come between, or print the card. */
function Before({
  team,
  edition,
  session,
  evening,
}: Omit<RunProps, 'view' | 'today'> & { evening: Evening }) {
  const navigate = useNavigate()
  const [upsetting, setUpsetting] = useState(false)
  return (
    <>
      <Box sx={{ px: 1 }}>
        <Button size="small" variant="text" onClick={() => setUpsetting(true)}>
          {t('upset-open')}
        </Button>
        <Button
          size="small"
          variant="text"
          component={Link}
          to={`/print/session/${team}/${edition}/${session}`}
        >
          {t('print-card')}
        </Button>
      </Box>
      {upsetting && (
        <Suspense fallback={null}>
          <UpsetDialog
            team={team}
            edition={edition}
            session={session}
            day={asLongDay(evening.date)}
            minutes={evening.minutes}
            onClose={() => setUpsetting(false)}
            onDone={() => void navigate('/weeks')}
          />
        </Suspense>
      )}
    </>
  )
}
