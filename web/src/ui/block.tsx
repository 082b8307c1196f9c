// A block as it reads on the desk and on the phone: its numbers, points, faults and cautions.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RunningBlock, Schemas } from '../api/client'
import { useBook } from '../texts/phrases'
import { doseSaid, stationSaid, stationsSaid } from '../texts/said'
import { said, t } from '../texts/t'
import { told } from '../texts/told'
import { FloorDrawing } from './FloorDrawing'
import { asPercent, Figure } from './figures'
import { settingsSaid } from './levers'

/** Stage, stations, dose, time on the ball. */
export function BlockFacts({ block }: { block: RunningBlock }) {
  const facts = [
    t(`stage-${block.stage}`),
    ...[settingsSaid(block.levers, block.foot)].filter(Boolean),
    stationsSaid(block.station_sizes),
    doseSaid(block),
    stationSaid(block.footprint, block.in_paces),
  ]
  return (
    <Box>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      {block.misfit && (
        <Typography variant="body2" color="error">
          {t('desk-misfit', { says: told(block.misfit) })}
        </Typography>
      )}
      <Figure sx={{ fontSize: '1.1rem' }}>
        {t('session-touches', { strong: block.touches.strong, other: block.touches.other })} ·{' '}
        {t('session-waiting', { share: asPercent(block.waiting_share) })}
      </Figure>
    </Box>
  )
}

/** Says of a text that it is shown in the language in which it was written, where others are translated. */
export function AsWritten({ of }: { of: string }) {
  const { lacks } = useBook()
  return lacks(of) ? (
    <Typography variant="caption" color="text.secondary" component="p">
      {t('as-written-note')}
    </Typography>
  ) : null
}

export function Points({ points, most }: { points: string[]; most?: number }) {
  return (
    <Box component="ol" aria-label={t('session-points')} sx={{ m: 0, pl: 2.5 }}>
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
        {t('session-faults')}
      </Typography>
      {faults.map((fault) => (
        <Typography key={fault.see} variant="body2" sx={{ mt: 0.5 }}>
          <strong>{fault.see}</strong> → {fault.why} → “{fault.say}”
        </Typography>
      ))}
    </Box>
  )
}

/** What could hurt, as it is said; a device may still hold the sentences of an earlier version. */
export const cautionsSaid = (cautions: Schemas['Caution'][]) =>
  cautions.map((caution) => said(`caution-${caution}`) ?? caution).join(' ')

export function Cautions({ cautions }: { cautions: Schemas['Caution'][] }) {
  if (cautions.length === 0) return null
  return (
    <Box sx={{ borderLeft: 4, borderColor: 'error.main', pl: 1 }}>
      <Typography variant="body2">
        <strong>{t('session-cautions')}:</strong> {cautionsSaid(cautions)}
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {t('session-caution-tail')}
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
      aria-label={t('session-beside')}
      sx={{ borderLeft: 3, borderColor: 'text.primary', pl: 1, display: 'grid', gap: 0.5 }}
    >
      <Typography variant="h3">
        {t('session-beside')}: {beside.title} · {t(`stage-${beside.stage}`)}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {stationsSaid(beside.station_sizes)}
      </Typography>
      <FloorDrawing svg={beside.drawing} title={beside.title} height={190} />
      <Points points={beside.points} />
    </Box>
  )
}
