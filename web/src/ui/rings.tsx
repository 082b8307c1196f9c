// States of a milestone are rings: broken dots, an arc, a ring, a ring with its middle, a ring that has come apart.
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../api/client'
import { t } from '../texts/t'

export type State = Schemas['MilestoneState']
export const STATES: State[] = ['not_seen', 'on_the_way', 'met', 'kept', 'slipped']

interface Props {
  state: State
  /** A coach has said so against the evidence: a corner mark. */
  overridden?: boolean
  size?: number
  label?: string
}

export function Ring({ state, overridden = false, size = 22, label }: Props) {
  const { ink, quiet, warn } = useTheme().floor
  const [middle, r] = [12, 8]
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 24 24"
      role="img"
      aria-label={label ?? t(`board-state-${state}`)}
      style={{ flex: 'none' }}
    >
      {state === 'not_seen' && (
        <circle
          cx={middle}
          cy={middle}
          r={r}
          fill="none"
          stroke={quiet}
          strokeWidth={1.5}
          strokeDasharray="0.1 4.2"
          strokeLinecap="round"
        />
      )}
      {state === 'on_the_way' && (
        <>
          <circle cx={middle} cy={middle} r={r} fill="none" stroke={quiet} strokeWidth={1} opacity={0.5} />
          <path
            d={`M${middle} ${middle - r}A${r} ${r} 0 0 1 ${middle} ${middle + r}`}
            fill="none"
            stroke={ink}
            strokeWidth={3}
          />
        </>
      )}
      {(state === 'met' || state === 'kept') && (
        <circle cx={middle} cy={middle} r={r} fill="none" stroke={ink} strokeWidth={3} />
      )}
      {state === 'kept' && <circle cx={middle} cy={middle} r={3.6} fill={ink} />}
      {state === 'slipped' && (
        <>
          <path
            d={`M${middle - r} ${middle - 2}A${r} ${r} 0 0 1 ${middle + r} ${middle - 2}`}
            fill="none"
            stroke={warn}
            strokeWidth={3}
          />
          <path
            d={`M${middle - r + 3} ${middle + 3}A${r} ${r} 0 0 0 ${middle + r + 3} ${middle + 3}`}
            fill="none"
            stroke={warn}
            strokeWidth={3}
          />
        </>
      )}
      {overridden && <path d="M18 1h5v5" fill="none" stroke={ink} strokeWidth={2.4} />}
    </svg>
  )
}
