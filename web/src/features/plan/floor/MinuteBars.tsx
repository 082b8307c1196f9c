// Minutes of each session by strand, against the time there is.
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../../../api/client'
import { STRANDS } from '../../../ui/strands'

interface Props {
  sessions: Schemas['SessionColumn'][]
  x: (session: number) => number
  base: number
  height: number
  width: number
}

export function MinuteBars({ sessions, x, base, height, width }: Props) {
  const { floor } = useTheme()
  const most = Math.max(
    1,
    ...sessions.map((s) => Math.max(s.minutes, s.changes + s.by_strand.reduce((a, b) => a + b, 0))),
  )
  const scale = height / most
  return (
    <g>
      <defs>
        {/* Each strand's stroke, turned into a filling that reads without colour. */}
        <pattern id="fill-dribbling" width={4} height={4} patternUnits="userSpaceOnUse">
          <rect width={4} height={4} fill={floor.strands.dribbling} />
          <line x1={0} x2={4} y1={1} y2={1} stroke={floor.paper} strokeWidth={1} />
        </pattern>
        <pattern
          id="fill-receiving"
          width={8}
          height={8}
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width={8} height={8} fill={floor.strands.receiving} />
          <line x1={0} x2={0} y1={0} y2={8} stroke={floor.paper} strokeWidth={2} />
        </pattern>
        <pattern id="fill-passing" width={5} height={5} patternUnits="userSpaceOnUse">
          <rect width={5} height={5} fill={floor.strands.passing} />
          <circle cx={2.5} cy={2.5} r={1.1} fill={floor.paper} />
        </pattern>
      </defs>
      {sessions.map((s, i) => {
        const left = x(i) - width / 2
        const fills = [
          floor.strands.ball_mastery,
          'url(#fill-dribbling)',
          'url(#fill-receiving)',
          'url(#fill-passing)',
        ]
        const tops = s.by_strand.map((_, at) => s.by_strand.slice(0, at + 1).reduce((a, b) => a + b, 0))
        const laid = tops.at(-1) ?? 0
        return (
          <g key={s.session}>
            <rect
              x={left - 2.5}
              y={base - s.minutes * scale}
              width={width + 5}
              height={s.minutes * scale}
              fill="none"
              stroke={floor.ink}
            />
            {STRANDS.map((strand, at) => (
              <rect
                key={strand}
                x={left}
                y={base - (tops[at] ?? 0) * scale}
                width={width}
                height={(s.by_strand[at] ?? 0) * scale}
                fill={fills[at]}
              />
            ))}
            <rect
              x={left}
              y={base - (laid + s.changes) * scale}
              width={width}
              height={s.changes * scale}
              fill={floor.hair}
            />
          </g>
        )
      })}
    </g>
  )
}
