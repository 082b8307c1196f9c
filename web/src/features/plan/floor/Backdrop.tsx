// What lies under the stitches: weeks, holidays, a line per skill, and where the director is.
import { useTheme } from '@mui/material/styles'
import type { Curriculum } from '../../../api/client'
import type { At } from '../at'
import { HOLIDAY, LABELS, ROW, type Scale, WEEKS } from './scale'

interface Props {
  view: Curriculum
  scale: Scale
  at: At
  /** The session a block is dragged to, while it is. */
  over: number | null
}

export function Backdrop({ view, scale, at, over }: Props) {
  const { floor } = useTheme()
  const { left, column, height, y } = scale
  return (
    <>
      <rect
        className="no-print"
        x={left(at.session)}
        y={WEEKS}
        width={column}
        height={height - WEEKS}
        fill={floor.paper}
        stroke={floor.hair}
      />
      {over !== null && over !== at.session && (
        <rect
          x={left(over)}
          y={WEEKS}
          width={column}
          height={height - WEEKS}
          fill="none"
          stroke={floor.ink}
          strokeDasharray="4 3"
        />
      )}
      {scale.rows.map((skill) => (
        <line
          key={skill.id}
          x1={LABELS}
          x2={scale.across}
          y1={y(skill.id)}
          y2={y(skill.id)}
          stroke={floor.plank}
          strokeWidth={1.5}
        />
      ))}
      {view.sessions.map(
        (s, i) =>
          i > 0 && s.week !== view.sessions[i - 1]?.week && <WeekLine key={i} session={i} scale={scale} />,
      )}
      {at.skill && (
        <rect
          className="no-print"
          x={left(at.session) + 2}
          y={y(at.skill) - ROW / 2 + 1}
          width={column - 4}
          height={ROW - 2}
          fill="none"
          stroke={floor.ink}
          strokeDasharray={at.block === undefined ? '3 3' : undefined}
        />
      )}
    </>
  )
}

/** The line before the first session of a week, and the holidays before it as a gap. */
function WeekLine({ session, scale: { left, height, holidaysAt } }: { session: number; scale: Scale }) {
  const { hair, plank } = useTheme().floor
  const x = left(session)
  const gap = holidaysAt(session) * HOLIDAY
  return (
    <g>
      {gap > 0 && (
        <>
          <rect x={x - gap} y={WEEKS} width={gap} height={height - WEEKS} fill={plank} />
          <line x1={x - gap} x2={x - gap} y1={0} y2={height} stroke={hair} />
        </>
      )}
      <line x1={x} x2={x} y1={0} y2={height} stroke={hair} />
    </g>
  )
}
