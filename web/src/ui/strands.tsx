// A strand is a line on the floor: a colour and a stroke, so that it reads in print and for every eye.

import { useTheme } from '@mui/material/styles'
import type { Strand } from '../api/client'
import { strandValues } from '../api/schema'

export const STRANDS: readonly Strand[] = strandValues

interface LineProps {
  strand: Strand
  x1: number
  y1: number
  x2: number
  y2: number
  faint?: boolean
}

/** Ball mastery solid, dribbling double, receiving long dashes, passing dots. */
export function StrandLine({ strand, x1, y1, x2, y2, faint }: LineProps) {
  const colour = useTheme().floor.strands[strand]
  const common = { stroke: colour, opacity: faint ? 0.35 : 1, fill: 'none' }
  if (strand === 'dribbling') {
    return (
      <g {...common} strokeWidth={1.3}>
        <line x1={x1} y1={y1 - 2} x2={x2} y2={y2 - 2} />
        <line x1={x1} y1={y1 + 2} x2={x2} y2={y2 + 2} />
      </g>
    )
  }
  const stroke = {
    ball_mastery: { strokeWidth: 2.6 },
    receiving: { strokeWidth: 2.4, strokeDasharray: '11 5' },
    passing: { strokeWidth: 3.4, strokeDasharray: '0.1 6.5', strokeLinecap: 'round' as const },
  }[strand]
  return <line x1={x1} y1={y1} x2={x2} y2={y2} {...common} {...stroke} />
}

/** A short piece of a strand's line, beside its name. */
export function StrandSwatch({ strand, width = 34 }: { strand: Strand; width?: number }) {
  return (
    <svg width={width} height={12} aria-hidden style={{ flex: 'none' }}>
      <StrandLine strand={strand} x1={2} y1={6} x2={width - 2} y2={6} />
    </svg>
  )
}
