// Levels are steps of height: one to four bars.
import { useTheme } from '@mui/material/styles'
import type { Level } from '../api/client'
import { texts } from '../texts/en'

export const LEVELS: Level[] = ['starting', 'building', 'secure', 'stretching']

export function LevelSteps({ level, size = 18 }: { level: Level | null | undefined; size?: number }) {
  const { ink, hair } = useTheme().floor
  const reached = level ? LEVELS.indexOf(level) : -1
  const bar = size / 4
  return (
    <svg width={size} height={size} role="img" aria-label={level ? texts.level[level] : texts.noLevel} style={{ flex: 'none' }}>
      {LEVELS.map((name, i) => {
        const height = (size * (i + 1)) / 4
        return (
          <rect
            key={name}
            x={i * bar + 0.75}
            y={size - height + 0.75}
            width={bar - 1.5}
            height={height - 1.5}
            fill={i <= reached ? ink : 'none'}
            stroke={i <= reached ? ink : hair}
          />
        )
      })}
    </svg>
  )
}

/** Looks a value up in a table of levels by rising value. */
export function levelOf(table: { from?: number | null; level: Level }[], value: number): Level | null {
  const row = table.findLast(({ from }) => from == null || value >= from - 1e-9)
  return row?.level ?? null
}
