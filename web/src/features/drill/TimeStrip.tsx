// The time strip: lay out, explain, work and rest to scale, and what it gives to either foot.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { doseSaid } from '../../texts/said'
import { t } from '../../texts/t'
import { asPercent, Figure } from '../../ui/figures'

const WIDTH = 820
const HEIGHT = 26
/** How much of the height each kind of stretch takes. */
const TALL = { work: 0.98, challenge: 0.98, rest: 0.4, explain: 0.7, lay_out: 0.7 }

export function TimeStrip({ desk }: { desk: NonNullable<Schemas['Looked']['floor']> }) {
  const { floor } = useTheme()
  const timing = desk.timing
  if (!timing) return <Typography color="text.secondary">{t('desk-no-dose')}</Typography>
  const phases = [{ kind: 'lay_out' as const, seconds: desk.laying_out * 60 }, ...timing.phases]
  const all = phases.reduce((sum, phase) => sum + phase.seconds, 0)
  const x = (seconds: number) => (WIDTH * seconds) / Math.max(all, 1)
  let at = 0
  const bars = phases.map((phase, i) => {
    const left = x(at)
    at += phase.seconds
    return { ...phase, i, left, width: x(phase.seconds) }
  })
  const minutes = Array.from({ length: Math.floor(all / 60) }, (_, i) => i + 1)
  const labelEvery = Math.ceil(minutes.length / 20)
  // Of bouts that end when told, and of moves that follow each other, one bout says too little.
  const asDose = timing.dose.kind === 'until_told' || timing.dose.kind === 'series'
  const bouts = t('desk-strip', {
    lay: desk.laying_out,
    explain: timing.explaining_s,
    bouts: timing.bouts,
    work: timing.work_s,
    rest: timing.rest_s,
  })
  const says = asDose ? doseSaid({ ...timing, levers: {} }) : bouts
  return (
    <Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2, alignItems: 'baseline' }}>
        <Figure sx={{ fontSize: '1.25rem', fontWeight: 600 }}>
          {t('desk-block-minutes', { n: desk.block_min ?? 0 })}
        </Figure>
        <Typography variant="body2">{says}</Typography>
        {timing.work_to_rest && (
          <Typography variant="body2">{t('desk-work-to-rest', { ratio: timing.work_to_rest })}</Typography>
        )}
      </Box>
      <svg
        width="100%"
        viewBox={`0 0 ${WIDTH} ${HEIGHT + 15}`}
        role="img"
        aria-label={says}
        style={{ display: 'block' }}
      >
        <defs>
          <pattern
            id="lay-out"
            width={6}
            height={6}
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1={0} x2={0} y1={0} y2={6} stroke={floor.quiet} strokeWidth={2} />
          </pattern>
        </defs>
        {bars.map((bar) => (
          <rect
            key={bar.i}
            x={bar.left + 0.5}
            y={HEIGHT * (1 - TALL[bar.kind])}
            width={Math.max(0.5, bar.width - 1)}
            height={HEIGHT * TALL[bar.kind]}
            fill={
              {
                work: floor.ink,
                challenge: floor.ink,
                rest: floor.paper,
                explain: floor.hair,
                lay_out: 'url(#lay-out)',
              }[bar.kind]
            }
            stroke={floor.ink}
            strokeWidth={0.8}
          />
        ))}
        {minutes.map((minute) => (
          <g key={minute}>
            <line x1={x(minute * 60)} x2={x(minute * 60)} y1={HEIGHT} y2={HEIGHT + 4} stroke={floor.quiet} />
            {minute % labelEvery === 0 && (
              <text x={x(minute * 60)} y={HEIGHT + 14} fontSize={10} textAnchor="middle" fill={floor.quiet}>
                {minute}
              </text>
            )}
          </g>
        ))}
      </svg>
      <Touches timing={timing} />
    </Box>
  )
}

/** Touches of both feet from one middle line: what is longer is touched more. */
function Touches({ timing }: { timing: Schemas['Timing'] }) {
  const { floor } = useTheme()
  const { strong, other } = timing.touches
  const most = Math.max(strong, other, 1)
  const half = 150
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2 }}>
      <svg
        width={2 * half + 4}
        height={16}
        viewBox={`0 0 ${2 * half + 4} 16`}
        role="img"
        aria-label={t('session-touches', { strong, other })}
        style={{ maxWidth: '100%' }}
      >
        <rect
          x={half + 2 - (half * strong) / most}
          y={3}
          width={(half * strong) / most}
          height={10}
          fill={floor.ink}
        />
        <rect
          x={half + 2}
          y={3}
          width={(half * other) / most}
          height={10}
          fill={floor.paper}
          stroke={floor.ink}
        />
        <line x1={half + 2} x2={half + 2} y1={0} y2={16} stroke={floor.ink} strokeWidth={2} />
      </svg>
      <Figure sx={{ fontSize: '1.1rem' }}>
        {t('session-touches', { strong, other })} ·{' '}
        {t('session-waiting', { share: asPercent(timing.waiting_share) })}
      </Figure>
      <Typography variant="caption" color="text.secondary">
        {t(timing.from_score ? 'desk-from-score' : 'desk-assumption')}
      </Typography>
    </Box>
  )
}
