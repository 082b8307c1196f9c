// Stages are fillings: Form hollow, Flow half, Scan full with a slit left open, Contest full and crossed.

import { useTheme } from '@mui/material/styles'
import type { Stage, Strand } from '../api/client'
import { stageValues } from '../api/schema'

export const STAGES: readonly Stage[] = stageValues

interface BarProps {
  stage: Stage
  strand: Strand
  x: number
  y: number
  width: number
  height: number
}

/** A stitch: a bar whose filling is the stage. */
export function StageBar({ stage, strand, x, y, width, height }: BarProps) {
  const { strands, paper } = useTheme().floor
  const colour = strands[strand]
  const middle = x + width / 2
  return (
    <g>
      <rect x={x} y={y} width={width} height={height} fill={paper} stroke={colour} strokeWidth={1.6} />
      {stage === 'flow' && <rect x={x} y={y + height / 2} width={width} height={height / 2} fill={colour} />}
      {(stage === 'scan' || stage === 'contest') && (
        <rect x={x} y={y} width={width} height={height} fill={colour} />
      )}
      {stage === 'scan' && (
        <line x1={middle} y1={y + 1} x2={middle} y2={y + height - 1} stroke={paper} strokeWidth={2.4} />
      )}
      {stage === 'contest' && (
        <path
          d={`M${x + 1.5} ${y + 1.5}L${x + width - 1.5} ${y + height - 1.5}M${x + width - 1.5} ${y + 1.5}L${x + 1.5} ${y + height - 1.5}`}
          stroke={paper}
          strokeWidth={1.8}
        />
      )}
    </g>
  )
}

export function StageGlyph({ stage, strand }: { stage: Stage; strand: Strand }) {
  return (
    <svg width={14} height={18} aria-hidden style={{ flex: 'none' }}>
      <StageBar stage={stage} strand={strand} x={2} y={1} width={10} height={16} />
    </svg>
  )
}
