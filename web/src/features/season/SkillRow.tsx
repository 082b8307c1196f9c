// A skill's way through the year: where it is met, worked at, reached and kept.
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { asDay } from '../../ui/figures'
import { StageBar } from '../../ui/stages'
import type { Scale } from './scale'

interface Props {
  path: Schemas['SkillPath']
  y: number
  row: number
  scale: Scale
}

/** Rows as high as this name their skills and show the stages of weeks. */
const CLOSE = 12

export function SkillRow({ path, y, row, scale }: Props) {
  const { floor } = useTheme()
  const { strand, weeks } = path
  const colour = floor.strands[strand]
  const seen = weeks.filter(({ monday }) => scale.shows(monday, monday))
  const isClose = row >= CLOSE
  return (
    <g role="img" aria-label={said(path)}>
      <title>{said(path)}</title>
      {isClose && (
        <text x={scale.labels - 8} y={y + 4} textAnchor="end" fontSize={13} fill={floor.ink}>
          {path.name}
        </text>
      )}
      {seen.slice(1).map((week, at) => {
        const before = seen[at]
        // A line between weeks that follow each other closely; a longer rest is a gap.
        if (!before || Date.parse(week.monday) - Date.parse(before.monday) > LONGEST_REST_MS) return null
        return (
          <line
            key={week.monday}
            x1={scale.x(before.monday) + scale.week / 2}
            x2={scale.x(week.monday) + scale.week / 2}
            y1={y}
            y2={y}
            stroke={colour}
            strokeWidth={1}
            strokeDasharray={week.kept ? '1 3' : undefined}
          />
        )
      })}
      {seen.map((week) =>
        isClose ? (
          <CloseWeek key={week.monday} week={week} path={path} y={y} row={row} scale={scale} />
        ) : (
          <rect
            key={week.monday}
            x={scale.x(week.monday) + scale.week * 0.2}
            y={y - highOf(week, row) / 2}
            width={scale.week * 0.6}
            height={highOf(week, row)}
            fill={week.met ? floor.paper : colour}
            stroke={colour}
            strokeWidth={week.met ? 1.2 : 0}
          />
        ),
      )}
      {seen
        .filter((week) => week.reached)
        .map((week) => (
          <path
            key={week.monday}
            d={flag(scale.x(week.monday) + scale.week * 0.8, y, row)}
            fill={colour}
            stroke={floor.wood}
            strokeWidth={0.6}
          />
        ))}
    </g>
  )
}

/** How high a week's mark is at a glance: what is kept is thin. */
const highOf = ({ kept }: Schemas['PathWeek'], row: number) => (kept ? 1.4 : Math.min(4, row * 0.75))

/** Four weeks without the skill, and a gap is drawn. */
const LONGEST_REST_MS = 28 * 86_400_000

/** A pennant where a goal is reached. */
const flag = (x: number, y: number, row: number) =>
  `M${x} ${y - row * 0.46}l${row * 0.5} ${row * 0.22}l${-row * 0.5} ${row * 0.22}z`

interface WeekProps extends Props {
  week: Schemas['PathWeek']
}

function CloseWeek({ week, path, y, row, scale }: WeekProps) {
  const width = Math.min(10, scale.week * 0.6)
  const height = week.kept ? row * 0.4 : row * 0.66
  return (
    <StageBar
      stage={week.stage}
      strand={path.strand}
      x={scale.x(week.monday) + (scale.week - width) / 2}
      y={y - height / 2}
      width={width}
      height={height}
    />
  )
}

/** The way in words. */
function said({ name, weeks }: Schemas['SkillPath']): string {
  const met = weeks.find((week) => week.met)
  const reached = weeks
    .filter((week) => week.reached)
    .map((week) => `${t(`stage-${week.reached ?? 'form'}`)} (${asDay(week.monday)})`)
  return t('year-path', {
    skill: name,
    weeks: weeks.length,
    met: met ? asDay(met.monday) : 'none',
    reached: reached.length > 0 ? reached.join(', ') : 'none',
  })
}
