// Words of which one or several are chosen; chosen ones are filled.
import { type Theme, useTheme } from '@mui/material/styles'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { ReactNode } from 'react'

interface Props<T extends string> {
  label: string
  options: readonly T[]
  chosen: readonly T[]
  says: (option: T) => ReactNode
  onToggle: (option: T) => void
  disabled?: boolean
  /** Chosen ones are framed instead of filled, where what they show has colours of its own. */
  framed?: boolean
}

const filled = (on: boolean, { ink, paper }: Theme['floor']) =>
  on ? { bgcolor: ink, color: paper } : { bgcolor: paper, color: ink }

export function Choice<T extends string>({
  label,
  options,
  chosen,
  says,
  onToggle,
  disabled,
  framed,
}: Props<T>) {
  const { floor } = useTheme()
  return (
    <ToggleButtonGroup
      aria-label={label}
      value={[...chosen]}
      disabled={disabled}
      sx={{ flexWrap: 'wrap', gap: 0.5 }}
    >
      {options.map((option) => {
        const on = chosen.includes(option)
        return (
          <ToggleButton
            key={option}
            value={option}
            onClick={() => onToggle(option)}
            sx={{
              px: 1,
              py: 0,
              minHeight: 28,
              font: 'inherit',
              fontSize: '0.9rem',
              textTransform: 'none',
              gap: 0.5,
              color: floor.ink,
              // In the group each stands for itself.
              '&&': { border: `1px solid ${on ? floor.ink : floor.hair}`, borderRadius: '2px', m: 0 },
              '&&, &&:hover': filled(on && !framed, floor),
              ...(on && framed && { boxShadow: `inset 0 0 0 2px ${floor.ink}`, fontWeight: 650 }),
              '@media (pointer: coarse)': { minHeight: 44 },
            }}
          >
            {says(option)}
          </ToggleButton>
        )
      })}
    </ToggleButtonGroup>
  )
}
