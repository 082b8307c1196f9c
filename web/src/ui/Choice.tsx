// Words of which one or several are chosen; chosen ones are filled.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
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
    <Box role="group" aria-label={label} sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
      {options.map((option) => {
        const on = chosen.includes(option)
        return (
          <ButtonBase
            key={option}
            aria-pressed={on}
            disabled={disabled}
            onClick={() => onToggle(option)}
            sx={{
              px: 1,
              minHeight: 28,
              font: 'inherit',
              fontSize: '0.9rem',
              gap: 0.5,
              border: `1px solid ${on ? floor.ink : floor.hair}`,
              borderRadius: '2px',
              bgcolor: on && !framed ? floor.ink : floor.paper,
              color: on && !framed ? floor.paper : floor.ink,
              ...(on && framed && { boxShadow: `inset 0 0 0 2px ${floor.ink}`, fontWeight: 650 }),
              '@media (pointer: coarse)': { minHeight: 44 },
            }}
          >
            {says(option)}
          </ButtonBase>
        )
      })}
    </Box>
  )
}
