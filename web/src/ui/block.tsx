// A block as it reads on the desk and on the phone: its numbers, points, faults and cautions.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RunningBlock, Schemas } from '../api/client'
import { boutsSaid, stationSaid, stationsSaid } from '../texts/said'
import { t } from '../texts/t'
import { FloorDrawing } from './FloorDrawing'
import { asPercent, Figure } from './figures'

/** Stage, stations, dose, time on the ball. */
export function BlockFacts({ block }: { block: RunningBlock }) {
  const facts = [
    t(`stage-${block.stage}`),
    stationsSaid(block.station_sizes),
    boutsSaid(block),
    stationSaid(block.footprint, block.in_paces),
  ]
  return (
    <Box>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      {block.misfit && (
        <Typography variant="body2" color="error">
          {t('desk-misfit', { says: block.misfit })}
        </Typography>
      )}
      <Figure sx={{ fontSize: '1.1rem' }}>
        {t('evening-touches', { strong: block.touches.strong, other: block.touches.other })} ·{' '}
        {t('evening-waiting', { share: asPercent(block.waiting_share) })}
      </Figure>
    </Box>
  )
}

export function Points({ points, most }: { points: string[]; most?: number }) {
  return (
    <Box component="ol" aria-label={t('evening-points')} sx={{ m: 0, pl: 2.5 }}>
      {points.slice(0, most).map((point) => (
        <Typography component="li" key={point}>
          {point}
        </Typography>
      ))}
    </Box>
  )
}

export function Faults({ faults }: { faults: Schemas['FaultSeen'][] }) {
  return (
    <Box component="details">
      <Typography component="summary" variant="h3" sx={{ minHeight: 28, cursor: 'pointer' }}>
        {t('evening-faults')}
      </Typography>
      {faults.map((fault) => (
        <Typography key={fault.see} variant="body2" sx={{ mt: 0.5 }}>
          <strong>{fault.see}</strong> → {fault.why} → “{fault.say}”
        </Typography>
      ))}
    </Box>
  )
}

export function Cautions({ cautions }: { cautions: string[] }) {
  if (cautions.length === 0) return null
  return (
    <Box sx={{ borderLeft: 4, borderColor: 'error.main', pl: 1 }}>
      <Typography variant="body2">
        <strong>{t('evening-cautions')}:</strong> {cautions.join('. ')}.
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {t('evening-caution-tail')}
      </Typography>
    </Box>
  )
}

/** What those do at the same time who move on, where the squad is split. */
export function BesideBlock({ block }: { block: RunningBlock }) {
  const { beside } = block
  if (!beside) return null
  return (
    <Box
      component="section"
      aria-label={t('evening-beside')}
      sx={{ borderLeft: 3, borderColor: 'text.primary', pl: 1, display: 'grid', gap: 0.5 }}
    >
      <Typography variant="h3">
        {t('evening-beside')}: {beside.title} · {t(`stage-${beside.stage}`)}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {stationsSaid(beside.station_sizes)}
      </Typography>
      <FloorDrawing svg={beside.drawing} title={beside.title} height={190} />
      <Points points={beside.points} />
    </Box>
  )
}
