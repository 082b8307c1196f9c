// Weeks: every session of the team's editions, and what was said of it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { logSaid, themeInShort, whenSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { asDay, Figure } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { useSessions, useTakeBack } from '../today/queries'
import { CameOff } from './CameOff'

// Its fields come only when they are asked for.
const OwnDialog = lazy(() => import('./OwnDialog').then((m) => ({ default: m.OwnDialog })))
const SlotsDialog = lazy(() =>
  import('../../academy/times/SlotsDialog').then((m) => ({ default: m.SlotsDialog })),
)
const DaysOffDialog = lazy(() =>
  import('../../season/DaysOffDialog').then((m) => ({ default: m.DaysOffDialog })),
)

export function WeeksPage() {
  const team = useTeam()
  const read = useSessions(team.id)
  const takeBack = useTakeBack(team.id)
  const [settling, setSettling] = useState<string | null>(null)
  if (read.isError && !read.data) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const { sessions: all, changes, came_off, looks } = read.data
  const today = dayNow(read.data.today, read.dataUpdatedAt)
  if (all.length === 0)
    return (
      <Box sx={{ p: 1.5 }}>
        <Times team={team.id} />
        <Empty>{t('weeks-none')}</Empty>
      </Box>
    )
  // The curriculum that is on, or comes, stands first.
  const curricula = [...new Set(all.map((e) => e.edition))].reverse()
  return (
    <Box sx={{ p: 1.5 }}>
      {settling && <OwnDialog team={team.id} edition={settling} onClose={() => setSettling(null)} />}
      <Times team={team.id} />
      {curricula.map((edition) => {
        const own = all.filter((e) => e.edition === edition)
        const last = changes.find((change) => change.edition === edition)
        return (
          <Box key={edition} sx={{ mb: 3 }}>
            <Typography variant="h2" component="h1">
              {own[0]?.curriculum}
            </Typography>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5 }}>
              <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
                {t('today-edition', { n: own[0]?.edition_number ?? 1 })}
              </Typography>
              {(own.at(-1)?.date ?? '') >= today && (
                <Button size="small" variant="text" onClick={() => setSettling(edition)}>
                  {t('own-open')}
                </Button>
              )}
            </Box>
            <CameOff knack={came_off.find((came) => came.edition === edition)?.knack} />
            <LooksAhead all={looks} edition={edition} />
            {last && (
              <Button
                size="small"
                variant="text"
                disabled={takeBack.isPending}
                onClick={() => takeBack.mutate({ edition, version: last.version })}
              >
                {t('weeks-back', { what: told(last.what) })}
              </Button>
            )}
            {takeBack.isError && takeBack.variables.edition === edition && (
              <ErrorNote error={takeBack.error} />
            )}
            {own.map((entry, i) => (
              <SessionRow
                key={entry.session}
                entry={entry}
                today={today}
                theme={own[i - 1]?.week === entry.week ? undefined : themeInShort(entry.theme)}
              />
            ))}
          </Box>
        )
      })}
    </Box>
  )
}

/** How many looks are still asked for, and whether the sessions ahead have room for them. */
function LooksAhead({ all, edition }: { all: Schemas['TeamReach'][] | undefined; edition: string }) {
  // A device may still hold a list of an earlier version, without looks.
  const looks = all?.find((of) => of.edition === edition)
  if (!looks) return null
  const { asked, laid } = looks
  return (
    <Typography variant="body2" color="text.secondary">
      {t('weeks-looks', { asked })}{' '}
      {asked > laid ? t('benchmarks-looks-missing', { missing: asked - laid }) : t('benchmarks-looks-all')}
    </Typography>
  )
}

/** When and where the team meets and on which days it does not, and the way to change that. */
function Times({ team }: { team: string }) {
  const [open, setOpen] = useState<'times' | 'off' | null>(null)
  const close = () => setOpen(null)
  return (
    <Box sx={{ display: 'flex', justifyContent: 'end' }}>
      <Button size="small" variant="text" onClick={() => setOpen('off')}>
        {t('off-title')}
      </Button>
      <Button size="small" variant="text" onClick={() => setOpen('times')}>
        {t('times-title')}
      </Button>
      <Suspense fallback={null}>
        {open === 'times' && <SlotsDialog team={team} onClose={close} />}
        {open === 'off' && <DaysOffDialog team={team} onClose={close} />}
      </Suspense>
    </Box>
  )
}

interface RowProps {
  entry: Schemas['SessionEntry']
  today: string
  /** What the week is about, where it begins. */
  theme: string | undefined
}

function SessionRow({ entry, today, theme }: RowProps) {
  const { floor } = useTheme()
  const said = entry.done + entry.short + entry.skipped
  const isToday = entry.date === today
  // Times are those of now: a past session may have been at another one.
  const when = entry.date >= today && entry.upset?.left !== 0 ? entry.when : undefined
  const { upset } = entry
  const state = upset
    ? upset.day_off && entry.off
      ? t('off-session', { name: entry.off })
      : `${upset.left === 0 ? t('weeks-cancelled') : t('weeks-shortened', { left: upset.left })}, ${t(`weeks-gone-on-${upset.remedy}`)}`
    : said > 0
      ? logSaid(entry)
      : entry.date < today
        ? t('weeks-no-log')
        : t('weeks-planned', { n: entry.blocks })
  return (
    <ButtonBase
      component={Link}
      to={`/today/${entry.edition}/${entry.session}`}
      sx={{
        width: '100%',
        minHeight: 52,
        gap: 1.5,
        justifyContent: 'flex-start',
        borderTop: `1px solid ${floor.hair}`,
        textAlign: 'left',
        px: 1,
        bgcolor: isToday ? 'background.paper' : undefined,
        borderLeft: `5px solid ${isToday ? floor.ink : 'transparent'}`,
      }}
    >
      <Figure sx={{ width: 26, fontSize: '1.3rem', color: 'text.secondary' }}>{entry.week}</Figure>
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontWeight: isToday ? 700 : 500 }}>
          {asDay(entry.date)}
          {isToday && `, ${t('weeks-today')}`}
        </Typography>
        <Typography
          variant="body2"
          color={said === 0 && entry.date < today && upset?.left !== 0 ? 'error' : 'text.secondary'}
        >
          {state}
        </Typography>
        {when && <Typography variant="body2">{whenSaid({ ...when, beside: [] })}</Typography>}
        {theme && <Typography variant="body2">{t('session-theme', { theme })}</Typography>}
      </Box>
      <Figure sx={{ fontSize: '1.2rem' }}>{t('minutes', { n: upset?.left ?? entry.minutes })}</Figure>
    </ButtonBase>
  )
}
