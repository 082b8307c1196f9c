// What is drawn on the floor of the plan: threads of skills, their stitches, and the needs that join them.
import { useTheme } from '@mui/material/styles'
import { type PointerEvent, useState } from 'react'
import type { Curriculum, Schemas, Strand } from '../../../api/client'
import { t } from '../../../texts/t'
import { StageBar } from '../../../ui/stages'
import { StrandLine } from '../../../ui/strands'
import type { Scale } from './scale'

type X = (session: number) => number

interface ThreadProps {
  skill: Schemas['SkillLine']
  stitches: Schemas['Stitch'][]
  scale: Scale
}

/** The line of a skill from first stitch to last: it rises with the rungs, and frays where rests are too long. */
export function SkillThread({ skill, stitches, scale }: ThreadProps) {
  const { x, density } = scale
  const y = scale.y(skill.id)
  const at = (stitch: Schemas['Stitch']) => y + scale.below(stitch.harder)
  return (
    <g>
      {density === 'close' && <Window stitches={stitches} scale={scale} y={y} />}
      {stitches.slice(1).map((to, i) => {
        const from = stitches[i]
        if (!from || from.session === to.session) return null
        const [a, b] = [x(from.session), x(to.session)]
        if (!to.frayed) {
          return <StrandLine key={i} strand={skill.strand} x1={a} x2={b} y1={at(from)} y2={at(to)} />
        }
        return <Frayed key={i} strand={skill.strand} a={a} b={b} from={at(from)} to={at(to)} />
      })}
    </g>
  )
}

/** How hard it may be, from exposure to exposure, for as much to come off as the approach wants. */
function Window({ stitches, scale, y }: { stitches: Schemas['Stitch'][]; scale: Scale; y: number }) {
  const { paper } = useTheme().floor
  const edge = (end: 0 | 1) =>
    stitches.map(({ session, fits }) => `${scale.x(session)},${y + scale.below(fits[end] ?? 0)}`)
  return <polygon points={[...edge(0), ...edge(1).toReversed()].join(' ')} fill={paper} opacity={0.8} />
}

function Frayed({ strand, a, b, from, to }: Record<'a' | 'b' | 'from' | 'to', number> & { strand: Strand }) {
  const colour = useTheme().floor.strands[strand]
  const reach = (b - a) * 0.32
  const ends = [-6, 0, 6].map(
    (end) =>
      `M${a + reach} ${from}Q${a + reach + 8} ${from} ${a + reach + 14} ${from + end}M${b - reach} ${to}Q${b - reach - 8} ${to} ${b - reach - 14} ${to + end}`,
  )
  return (
    <g>
      <StrandLine strand={strand} x1={a} x2={a + reach} y1={from} y2={from} />
      <StrandLine strand={strand} x1={b - reach} x2={b} y1={to} y2={to} />
      <path d={ends.join('')} fill="none" stroke={colour} strokeWidth={1.1} />
    </g>
  )
}

interface StitchProps {
  stitch: Schemas['Stitch']
  strand: Strand
  scale: Scale
  x: number
  y: number
  chosen: boolean
  locked: boolean
  /** Whether those who move on do something else beside it. */
  split: boolean
  broken: boolean
  onChoose: () => void
  /** Where it is dragged to across the floor; nothing once it is let go. */
  onDrag: (across: number | null) => void
  onDrop: (across: number) => void
}

/** A pointer that has gone so far drags; before that it chooses. */
const DRAGS = 8

/** An exposure: as tall as its minutes, filled with its stage. */
export function StitchMark({
  stitch,
  strand,
  scale,
  x,
  y,
  chosen,
  locked,
  split,
  broken,
  onChoose,
  onDrag,
  onDrop,
}: StitchProps) {
  const { ink, warn, paper } = useTheme().floor
  const [from, setFrom] = useState<number | null>(null)
  const close = scale.density === 'close'
  const highest = scale.row - scale.rise - 1
  const height = Math.min(highest, close ? 6 + stitch.minutes * 1.5 : 3 + stitch.minutes)
  const width = scale.stitch
  const edge = close ? 4 : 2
  const [left, top] = [x - width / 2, y - height / 2]
  const across = (event: PointerEvent<SVGGElement>) =>
    event.clientX - (event.currentTarget.ownerSVGElement?.getBoundingClientRect().left ?? 0)
  const drags = (event: PointerEvent<SVGGElement>) => from !== null && Math.abs(event.clientX - from) > DRAGS
  return (
    <g
      style={{ cursor: 'pointer', touchAction: 'none' }}
      data-stitch={`${stitch.skill} ${stitch.session}`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId)
        setFrom(event.clientX)
      }}
      onPointerMove={(event) => drags(event) && onDrag(across(event))}
      onPointerUp={(event) => {
        if (drags(event)) onDrop(across(event))
        else if (from !== null) onChoose()
        setFrom(null)
      }}
      onPointerCancel={() => {
        setFrom(null)
        onDrag(null)
      }}
    >
      <title>
        {t('plan-stitch', {
          stage: t(`stage-${stitch.stage}`),
          nth: stitch.nth,
          of: stitch.of,
          minutes: stitch.minutes,
          tenths: stitch.success * 10,
        })}
        {stitch.foot && `; ${t(`foot-only-${stitch.foot}`)}`}
      </title>
      <rect x={x - width} y={y - scale.row / 2} width={2 * width} height={scale.row} fill="transparent" />
      {(broken || chosen) && (
        <rect
          x={left - edge}
          y={top - edge}
          width={width + 2 * edge}
          height={height + 2 * edge}
          fill="none"
          stroke={broken ? warn : ink}
          strokeWidth={broken ? (chosen ? 3.4 : 2.4) : 1.6}
        />
      )}
      <StageBar stage={stitch.stage} strand={strand} x={left} y={top} width={width} height={height} />
      {stitch.foot && <FootMark foot={stitch.foot} {...{ x, width }} y={top + height + (close ? 3 : 2)} />}
      {split && (
        <line
          x1={left + width + 2.5}
          x2={left + width + 2.5}
          y1={top}
          y2={top + height}
          stroke={ink}
          strokeWidth={1.6}
        />
      )}
      {locked && <circle cx={x} cy={top} r={close ? 3.4 : 2.4} fill={ink} stroke={paper} />}
    </g>
  )
}

/** Which foot works alone: a line under the left half for the strong one, under the right half for the other. */
function FootMark({ foot, x, y, width }: { foot: Schemas['Foot'] } & Record<'x' | 'y' | 'width', number>) {
  const { ink } = useTheme().floor
  const reach = foot === 'strong' ? -width / 2 - 1 : width / 2 + 1
  return <line x1={x} x2={x + reach} y1={y} y2={y} stroke={ink} strokeWidth={2} />
}

/** A test that is taken of a skill: a peg in its line. */
export function TestPegMark({ x, y, name }: { x: number; y: number; name: string }) {
  const { ink, paper } = useTheme().floor
  return (
    <g>
      <title>{name}</title>
      <line x1={x} x2={x} y1={y - 6} y2={y + 9} stroke={ink} strokeWidth={1.8} />
      <circle cx={x} cy={y - 8} r={4} fill={paper} stroke={ink} strokeWidth={1.8} />
    </g>
  )
}

interface ForecastLineProps {
  forecast: Schemas['SkillForecast'] | undefined
  /** What results so far show of the skill. */
  soFar: Schemas['SkillSoFar'] | undefined
  sessions: Schemas['SessionColumn'][]
  x: X
  y: number
  height: number
}

/**
 * The share at the goal by week, with the band in which eight of ten squads lie, drawn upwards from the foot of a line;
 * and as dots what is reached so far.
 */
export function ForecastLine({ forecast, soFar, sessions, x, y, height }: ForecastLineProps) {
  const { ink, hair, paper } = useTheme().floor
  const last = (week: number) => sessions.filter((s) => s.week === week).at(-1)?.session
  const points = (forecast?.reached ?? []).flatMap((reached) => {
    const session = last(reached.week)
    return session === undefined ? [] : [{ ...reached, at: x(session) }]
  })
  if (points.length === 0) return null
  const up = (share: number) => y - share * height
  const line = points.map((p) => `${p.at},${up(p.share)}`).join(' ')
  const band = [
    ...points.map((p) => `${p.at},${up(p.high)}`),
    ...points.toReversed().map((p) => `${p.at},${up(p.low)}`),
  ].join(' ')
  return (
    <g>
      <polygon points={band} fill={hair} opacity={0.75} />
      <polyline points={line} fill="none" stroke={ink} strokeWidth={1.4} />
      {(soFar?.reached ?? []).map(({ week, had, of }) => {
        const session = last(week)
        return session === undefined ? null : (
          <circle
            key={week}
            cx={x(session)}
            cy={up(had / of)}
            r={3}
            fill={ink}
            stroke={paper}
            strokeWidth={1}
          />
        )
      })}
    </g>
  )
}

interface NeedProps {
  view: Curriculum
  skill: Schemas['SkillLine']
  need: Schemas['Need']
  x: X
  y: (skill: string) => number
}

/** Joins the stitch with which a need was served to the first stitch of the skill that waited for it. */
export function NeedLine({ view, skill, need, x, y }: NeedProps) {
  const { ink } = useTheme().floor
  const served = view.stitches.find((s) => s.skill === need.skill && s.stage === need.stage && s.nth === s.of)
  const first = view.stitches.find((s) => s.skill === skill.id && s.first)
  if (!served || !first) return null
  const [x1, y1, x2, y2] = [x(served.session), y(need.skill), x(first.session), y(skill.id)]
  const middle = (x1 + x2) / 2
  return (
    <g opacity={0.55}>
      <path
        d={`M${x1} ${y1}C${middle} ${y1} ${middle} ${y2} ${x2 - 9} ${y2}`}
        fill="none"
        stroke={ink}
        strokeWidth={0.9}
      />
      <circle cx={x2 - 9} cy={y2} r={2} fill={ink} />
    </g>
  )
}
