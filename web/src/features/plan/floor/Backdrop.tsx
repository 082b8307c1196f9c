// What lies under the stitches: weeks, holidays, a line per skill, and where the director is.
import { useTheme } from '@mui/material/styles'
import type { Curriculum } from '../../../api/client'
import type { At } from '../at'
import { HOLIDAY, type Scale, WEEKS } from './scale'

/** Where the calendar stands, and which part of what was logged of a session was run. */
export interface Delivered {
  today: string | undefined
  of: (session: number) => number | undefined
}

interface Props {
  view: Curriculum
  scale: Scale
  at: At
  /** The session a block is dragged to, while it is. */
  over: number | null
  delivered: Delivered
}

export function Backdrop({ view, scale, at, over, delivered }: Props) {
  const { floor } = useTheme()
  const { left, column, height, y } = scale
  return (
    <>
      <Past view={view} scale={scale} delivered={delivered} />
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
          x1={scale.labels}
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
          x={left(at.session) + 1}
          y={y(at.skill) - scale.row / 2 + 1}
          width={column - 2}
          height={scale.row - 2}
          fill="none"
          stroke={floor.ink}
          strokeDasharray={at.block === undefined ? '3 3' : undefined}
        />
      )}
    </>
  )
}

/** The sessions that are over, shaded as high as what was delivered of them, and the line of today. */
function Past({ view, scale, delivered }: Pick<Props, 'view' | 'scale' | 'delivered'>) {
  const { hair, plank, ink } = useTheme().floor
  const { left, column, height } = scale
  const past = view.sessions.filter(
    (session) => delivered.today !== undefined && session.date < delivered.today,
  )
  const next = view.sessions[past.length]
  return (
    <g>
      {past.map(({ session }) => {
        const share = delivered.of(session) ?? 0
        const tall = (height - WEEKS) * share
        return (
          <g key={session} data-past={session}>
            <rect x={left(session)} y={WEEKS} width={column} height={height - WEEKS} fill={plank} />
            <rect
              x={left(session)}
              y={height - tall}
              width={column}
              height={tall}
              fill={hair}
              opacity={0.4}
            />
          </g>
        )
      })}
      {next && delivered.today !== undefined && past.length > 0 && (
        <g data-today={next.session}>
          <path d={`M${left(next.session)} ${WEEKS}V${height}`} stroke={ink} strokeWidth={2} />
          <path d={`M${left(next.session) - 5} ${WEEKS - 2}h10l-5 8z`} fill={ink} />
        </g>
      )}
    </g>
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
