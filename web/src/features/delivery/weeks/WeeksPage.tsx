// Weeks: every evening of the team's editions, and what was said of it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { lazy, useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { logSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { asDay, Figure } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { useEvenings, useTakeBack } from '../tonight/queries'

// Its fields come only when they are asked for.
const OwnDialog = lazy(() => import('./OwnDialog').then((m) => ({ default: m.OwnDialog })))

export function WeeksPage() {
  const team = useTeam()
  const evenings = useEvenings(team.id)
  const takeBack = useTakeBack(team.id)
  const [settling, setSettling] = useState<string | null>(null)
  if (evenings.isError && !evenings.data) return <ErrorNote error={evenings.error} />
  if (!evenings.data) return <Loading />
  const { evenings: all, changes } = evenings.data
  const today = dayNow(evenings.data.today, evenings.dataUpdatedAt)
  if (all.length === 0) return <Empty>{t('weeks-none')}</Empty>
  // The curriculum that is on, or comes, stands first.
  const curricula = [...new Set(all.map((e) => e.edition))].reverse()
  return (
    <Box sx={{ p: 1.5 }}>
      {settling && <OwnDialog team={team.id} edition={settling} onClose={() => setSettling(null)} />}
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
                {t('tonight-edition', { n: own[0]?.edition_number ?? 1 })}
              </Typography>
              {(own.at(-1)?.date ?? '') >= today && (
                <Button size="small" variant="text" onClick={() => setSettling(edition)}>
                  {t('own-open')}
                </Button>
              )}
            </Box>
            {last && (
              <Button
                size="small"
                variant="text"
                disabled={takeBack.isPending}
                onClick={() => takeBack.mutate({ edition, version: last.version })}
              >
                {t('weeks-back', { what: last.what })}
              </Button>
            )}
            {takeBack.isError && takeBack.variables.edition === edition && (
              <ErrorNote error={takeBack.error} />
            )}
            {own.map((evening) => (
              <EveningRow key={evening.session} evening={evening} today={today} />
            ))}
          </Box>
        )
      })}
    </Box>
  )
}

function EveningRow({ evening, today }: { evening: Schemas['EveningEntry']; today: string }) {
  const { floor } = useTheme()
  const said = evening.done + evening.short + evening.skipped
  const isToday = evening.date === today
  const { upset } = evening
  const state = upset
    ? `${upset.left === 0 ? t('weeks-fell-out') : t('weeks-shortened', { left: upset.left })}, ${t(`weeks-gone-on-${upset.remedy}`)}`
    : said > 0
      ? logSaid(evening)
      : evening.date < today
        ? t('weeks-no-log')
        : t('weeks-planned', { n: evening.blocks })
  return (
    <ButtonBase
      component={Link}
      to={`/today/${evening.edition}/${evening.session}`}
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
      <Figure sx={{ width: 26, fontSize: '1.3rem', color: 'text.secondary' }}>{evening.week}</Figure>
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontWeight: isToday ? 700 : 500 }}>
          {asDay(evening.date)}
          {isToday && `, ${t('weeks-today')}`}
        </Typography>
        <Typography
          variant="body2"
          color={said === 0 && evening.date < today && upset?.left !== 0 ? 'error' : 'text.secondary'}
        >
          {state}
        </Typography>
      </Box>
      <Figure sx={{ fontSize: '1.2rem' }}>{t('minutes', { n: upset?.left ?? evening.minutes })}</Figure>
    </ButtonBase>
  )
}
