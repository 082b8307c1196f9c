// A block as it reads on the desk and on the phone: its numbers, points, faults and cautions.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RunningBlock, Schemas } from '../api/client'
import { texts } from '../texts/en'
import { FloorDrawing } from './FloorDrawing'
import { asPercent, Figure } from './figures'

/** Stage, stations, dose, time on the ball. */
export function BlockFacts({ block }: { block: RunningBlock }) {
  const facts = [
    texts.stage[block.stage],
    texts.evening.stations(block.station_sizes),
    texts.evening.bouts(block.bouts, block.work_s, block.rest_s),
    texts.evening.floor(block.footprint.width_m, block.footprint.depth_m, block.in_paces),
  ]
  return (
    <Box>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      {block.misfit && (
        <Typography variant="body2" color="error">
          {texts.desk.misfit(block.misfit)}
        </Typography>
      )}
      <Figure sx={{ fontSize: '1.1rem' }}>
        {texts.evening.touches(block.touches.strong, block.touches.other)} ·{' '}
        {texts.evening.waiting(asPercent(block.waiting_share))}
      </Figure>
    </Box>
  )
}

export function Points({ points, most }: { points: string[]; most?: number }) {
  return (
    <Box component="ol" aria-label={texts.evening.points} sx={{ m: 0, pl: 2.5 }}>
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
        {texts.evening.faults}
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
        <strong>{texts.evening.cautions}:</strong> {cautions.join('. ')}.
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {texts.evening.cautionTail}
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
      aria-label={texts.evening.beside}
      sx={{ borderLeft: 3, borderColor: 'text.primary', pl: 1, display: 'grid', gap: 0.5 }}
    >
      <Typography variant="h3">
        {texts.evening.beside}: {beside.title} · {texts.stage[beside.stage]}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {texts.evening.stations(beside.station_sizes)}
      </Typography>
      <FloorDrawing svg={beside.drawing} title={beside.title} height={190} />
      <Points points={beside.points} />
    </Box>
  )
}
