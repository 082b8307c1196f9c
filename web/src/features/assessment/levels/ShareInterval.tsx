// A share as a dot with its interval on a line from nobody to everybody.
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent } from '../../../ui/figures'

interface Props {
  share: number
  interval: Schemas['Interval']
  width?: number
}

export function ShareInterval({ share, interval, width = 120 }: Props) {
  const { ink, hair } = useTheme().floor
  const x = (part: number) => 4 + part * (width - 8)
  return (
    <svg
      width={width}
      height={12}
      role="img"
      aria-label={t('levels-between', { low: asPercent(interval.low), high: asPercent(interval.high) })}
      style={{ display: 'block', marginLeft: 'auto' }}
    >
      <line x1={x(0)} x2={x(1)} y1={6} y2={6} stroke={hair} />
      <line x1={x(interval.low)} x2={x(interval.high)} y1={6} y2={6} stroke={ink} strokeWidth={2} />
      <circle cx={x(share)} cy={6} r={3.5} fill={ink} />
    </svg>
  )
}
