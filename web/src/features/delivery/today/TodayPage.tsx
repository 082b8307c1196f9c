// Today: the running order as a strip whose lengths are minutes, and the current block over the rest of the screen.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { lazy, Suspense, useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import type { RunningOrder } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { useGlimpse } from '../../../storage/glimpse'
import { bringSaid, themeInShort, whenSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { asLongDay } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { useSquad } from '../../assessment/squad/queries'
import { useTeam } from '../../frame/team'
import { BEGINS_AT } from '../../people/session'
import { BlockScreen } from './BlockScreen'
import { Hinges } from './Hinges'
import { type BlockName, nameOf, type SessionHeld, type SessionLog, useLog } from './log'
import { useLooks } from './looks'
import { CameOffAt } from './NextTime'
import { todayOf, useSessions, useTeamSession } from './queries'
import { SessionStrip } from './SessionStrip'

export function TodayPage() {
  const team = useTeam()
  const chosen = useParams()
  const sessions = useSessions(team.id)
  const today = sessions.data ? dayNow(sessions.data.today, sessions.dataUpdatedAt) : ''
  const next = sessions.data && todayOf(sessions.data.sessions, today)
  const edition = chosen.edition ?? next?.edition
  const session = chosen.session === undefined ? next?.session : Number(chosen.session)
  const shown = useTeamSession(team.id, edition, session)
  if (sessions.isError && !sessions.data) return <ErrorNote error={sessions.error} />
  if (shown.isError && !shown.data) return <ErrorNote error={shown.error} />
  if (sessions.isPending) return <Loading />
  if (edition === undefined || session === undefined) return <Empty>{t('today-none')}</Empty>
  if (!shown.data) return <Loading />
  return <Run team={team.id} edition={edition} session={session} view={shown.data} today={today} />
}

const LogScreen = lazy(() => import('./LogScreen').then((m) => ({ default: m.LogScreen })))
const UpsetDialog = lazy(() => import('./UpsetDialog').then((m) => ({ default: m.UpsetDialog })))

/** Stands in the address in place of a block. */
const LOG = 'log'

interface RunProps {
  team: string
  edition: string
  session: number
  view: SessionHeld
  today: string
}

function Run({ team, edition, session, view, today }: RunProps) {
  const [address, setAddress] = useSearchParams()
  const { running_order: order } = view
  useGlimpse(view, BEGINS_AT.coach)
  const log = useLog({ team, edition, session, day: order.date }, view)
  const looks = useLooks({ team, day: order.date }, view, today)
  const [justSaid, setJustSaid] = useState<BlockName | null>(null)
  const { outcomes } = log
  const players = useSquad(team).data?.players ?? []
  // The first block of which nothing was said is the current one, unless another was opened.
  const open = order.blocks.findIndex((each, i) => !outcomes.has(nameOf(each, i)))
  const asked = address.get('block')
  const logging = asked === LOG || (asked === null && open < 0 && order.blocks.length > 0)
  const at =
    asked === null || logging
      ? Math.max(open, 0)
      : Math.min(Math.max(Number(asked) - 1, 0), order.blocks.length - 1)
  const choose = (block: number) => setAddress({ block: String(block + 1) }, { replace: true })
  const block = order.blocks[at]
  return (
    <Box sx={{ flex: 1, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
      <Head view={view} today={today} />
      {view.upset?.left === 0 && (
        <Typography role="status" sx={{ px: 1.5, pb: 1 }}>
          {t('upset-cancelled')}
        </Typography>
      )}
      {outcomes.size === 0 && !view.upset && <Before {...{ team, edition, session, order }} />}
      <Hinges team={team} edition={edition} hinges={view.hinges} open={outcomes.size === 0} />
      <Tests order={order} />
      {open < 0 && order.blocks.length > 0 && (
        <Typography role="status" sx={{ px: 1.5, pb: 1 }}>
          {t('today-all-said')}
        </Typography>
      )}
      <Box sx={{ flex: 1, display: 'flex', minHeight: 0 }}>
        <SessionStrip
          order={order}
          at={logging ? null : at}
          outcomes={outcomes}
          onChoose={choose}
          onLog={() => setAddress({ block: LOG }, { replace: true })}
        />
        {logging && (
          <Suspense fallback={<Loading />}>
            <LogScreen team={team} order={order} log={log} history={view.log.history} />
          </Suspense>
        )}
        {block && !logging && (
          <BlockScreen
            key={nameOf(block, at)}
            block={block}
            looked={order.looks.filter((look) => look.block === at)}
            looks={looks}
            at={at}
            of={order.blocks.length}
            clockName={`${edition}.${session}.${nameOf(block, at)}`}
            splits={view.splits}
            team={team}
            players={players}
            missing={log.missing}
            said={outcomes.get(nameOf(block, at))}
            stepped={view.stepped?.find((each) => each.block === block.id)?.next}
            notMet={view.not_met?.find((each) => each.block === block.id)?.players ?? []}
            before={<JustDone order={order} log={log} name={justSaid} />}
            onSay={(said) => {
              const name = nameOf(block, at)
              log.say(name, said)
              // Saying something new leads on; changing it does not.
              const next = order.blocks.findIndex((each, i) => i > at && !outcomes.has(nameOf(each, i)))
              if (outcomes.get(name)?.outcome === said.outcome) return
              setJustSaid(name)
              if (next > 0) choose(next)
              else setAddress({}, { replace: true })
            }}
          />
        )}
      </Box>
    </Box>
  )
}

/** Of the block that was done last: how much of it came off. Whoever has no time for it goes on below. */
function JustDone({ order, log, name }: { order: RunningOrder; log: SessionLog; name: BlockName | null }) {
  const block = order.blocks.find((each, i) => nameOf(each, i) === name)
  const said = name === null ? undefined : log.outcomes.get(name)
  if (!block || !said || name === null || said.outcome === 'skipped') return null
  return (
    <Box
      component="section"
      aria-label={t('next-time-just', { drill: block.title })}
      sx={{ display: 'grid', gap: 0.75, pb: 1, borderBottom: 1, borderColor: 'divider' }}
    >
      {!log.decidedAfter(name) && (
        <Typography variant="body2" sx={{ fontWeight: 650 }}>
          ✓ {block.title}
        </Typography>
      )}
      <CameOffAt log={log} name={name} title={block.title} said={said} brief />
    </Box>
  )
}

/** Which day it is, and the way back to today. */
function Head({ view, today }: Pick<RunProps, 'view' | 'today'>) {
  const { running_order: order } = view
  const day = asLongDay(order.date)
  const theme = themeInShort(order.theme)
  return (
    <Box sx={{ px: 1.5, py: 0.75, display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1 }}>
      <Typography variant="h2" component="h1" sx={{ flex: order.date === today ? undefined : 1 }}>
        {order.date === today ? t('places-today') : order.date > today ? t('today-next', { day }) : day}
      </Typography>
      <Typography
        variant="body2"
        color="text.secondary"
        sx={order.date === today ? { flex: 1 } : { width: '100%', order: 1 }}
      >
        {t('plan-week', { n: order.week })} · {t('minutes', { n: order.minutes })} ·{' '}
        {t('today-edition', { n: view.edition_number })}
      </Typography>
      {view.when && (
        <Typography variant="body2" sx={{ width: '100%', order: 1, fontWeight: 650 }}>
          {whenSaid(view.when)}
        </Typography>
      )}
      {theme && (
        <Typography variant="body2" sx={{ width: '100%', order: 1 }}>
          {t('session-theme', { theme })}
        </Typography>
      )}
      {order.date !== today && (
        <Button component={Link} to="/today" size="small" variant="text">
          {t('today-to-today')}
        </Button>
      )}
    </Box>
  )
}

/** What is measured before anything else: each leads to where it is entered. */
function Tests({ order }: { order: RunningOrder }) {
  if (order.tests.length === 0) return null
  return (
    <Box component="section" aria-label={t('today-tests')} sx={{ px: 1.5, pb: 1 }}>
      <Typography variant="body2">{t('today-tests')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
        {order.tests.map(({ test, name, minutes }) => (
          <Button key={test} component={Link} to={`/test/${test}`} sx={{ minHeight: 44 }}>
            {t('plan-test-in', { name, minutes })}
          </Button>
        ))}
      </Box>
    </Box>
  )
}

/** What can be done before the first block was run: say what has come between, or print the card. */
function Before({
  team,
  edition,
  session,
  order,
}: Omit<RunProps, 'view' | 'today'> & { order: RunningOrder }) {
  const navigate = useNavigate()
  const [upsetting, setUpsetting] = useState(false)
  return (
    <>
      <Typography variant="body2" sx={{ px: 1.5 }}>
        <strong>{t('session-kit')}:</strong> {bringSaid(order)}
      </Typography>
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
            day={asLongDay(order.date)}
            minutes={order.minutes}
            onClose={() => setUpsetting(false)}
            onDone={() => void navigate('/weeks')}
          />
        </Suspense>
      )}
    </>
  )
}
