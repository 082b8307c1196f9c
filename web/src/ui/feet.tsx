// Both feet as two bars from one line: the strong one above, the other one below. A called deficit is filled.
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../api/client'

interface Props {
  feet: Schemas['FeetView']
  label: string
  width?: number
}

export function FeetBars({ feet: { strong, other: value, deficit, called }, label, width = 54 }: Props) {
  const { ink, quiet } = useTheme().floor
  // Where less is better, the longer time has the shorter bar.
  const ratio = Math.min(strong, value) / Math.max(strong, value, 1e-9)
  const full = (width - 4) * (deficit < 0 ? ratio : 1)
  const other = (width - 4) * (deficit < 0 ? 1 : Math.max(0.04, ratio))
  return (
    <svg width={width} height={16} role="img" aria-label={label} style={{ flex: 'none' }}>
      <line x1={1} x2={1} y1={0} y2={16} stroke={ink} />
      <rect x={1.5} y={2} width={full} height={4} fill="none" stroke={quiet} />
      <rect x={1.5} y={9} width={other} height={5} fill={called ? ink : 'none'} stroke={ink} />
    </svg>
  )
}
