// Levels are steps of height: one to four bars.

import { useTheme } from '@mui/material/styles'
import type { Level } from '../api/client'
import { levelValues } from '../api/schema'
import { t } from '../texts/t'

export const LEVELS: readonly Level[] = levelValues

export function LevelSteps({ level, size = 18 }: { level: Level | null | undefined; size?: number }) {
  const { ink, hair } = useTheme().floor
  const reached = level ? LEVELS.indexOf(level) : -1
  const bar = size / 4
  return (
    <svg
      width={size}
      height={size}
      role="img"
      aria-label={level ? t(`level-${level}`) : t('no-level')}
      style={{ flex: 'none' }}
    >
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

/** Players by level as one band of steps: wide is many, high is far. */
export function LevelBand({ counts, width = 240 }: { counts: number[]; width?: number }) {
  const { floor } = useTheme()
  const all = Math.max(
    1,
    counts.reduce((sum, n) => sum + n, 0),
  )
  const height = 34
  const says = LEVELS.map((level, i) =>
    t('levels-counts', { level: t(`level-${level}`), n: counts[i] ?? 0 }),
  ).join(', ')
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${width} ${height + 14}`}
      role="img"
      aria-label={says}
      style={{ maxWidth: (width * 4) / 3, display: 'block' }}
    >
      {LEVELS.map((level, i) => {
        const n = counts[i] ?? 0
        const left = (width * counts.slice(0, i).reduce((sum, m) => sum + m, 0)) / all
        const step = (height * (i + 1)) / 4
        const wide = (width * n) / all
        return n > 0 ? (
          <g key={level}>
            <rect
              x={left + 0.75}
              y={height - step + 0.75}
              width={Math.max(1, wide - 1.5)}
              height={step - 0.75}
              fill={i >= 2 ? floor.ink : floor.paper}
              stroke={floor.ink}
            />
            {wide >= 14 && (
              <text x={left + wide / 2} y={height + 12} fontSize={12} textAnchor="middle" fill={floor.ink}>
                {n}
              </text>
            )}
          </g>
        ) : null
      })}
      <line x1={0} x2={width} y1={height} y2={height} stroke={floor.ink} />
    </svg>
  )
}
