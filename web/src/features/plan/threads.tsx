// What is drawn on the floor of the plan: threads of skills, their stitches, and the needs that join them.
import { useTheme } from '@mui/material/styles'
import type { Curriculum, Schemas, Strand } from '../../api/client'
import { texts } from '../../texts/en'
import { StageBar } from '../../ui/stages'
import { StrandLine } from '../../ui/strands'

type X = (session: number) => number

interface ThreadProps {
  skill: Schemas['SkillLine']
  stitches: Schemas['Stitch'][]
  x: X
  y: number
}

/** The line of a skill from its first stitch to its last; it frays where the rest is too long. */
export function SkillThread({ skill, stitches, x, y }: ThreadProps) {
  return (
    <g>
      {stitches.slice(1).map((to, i) => {
        const from = stitches[i]
        if (!from || from.session === to.session) return null
        const [a, b] = [x(from.session), x(to.session)]
        if (!to.frayed) return <StrandLine key={i} strand={skill.strand} x1={a} x2={b} y1={y} y2={y} />
        return <Frayed key={i} strand={skill.strand} a={a} b={b} y={y} />
      })}
    </g>
  )
}

function Frayed({ strand, a, b, y }: { strand: Strand; a: number; b: number; y: number }) {
  const colour = useTheme().floor.strands[strand]
  const reach = (b - a) * 0.32
  const ends = [-6, 0, 6].map((end) => `M${a + reach} ${y}Q${a + reach + 8} ${y} ${a + reach + 14} ${y + end}M${b - reach} ${y}Q${b - reach - 8} ${y} ${b - reach - 14} ${y + end}`)
  return (
    <g>
      <StrandLine strand={strand} x1={a} x2={a + reach} y1={y} y2={y} />
      <StrandLine strand={strand} x1={b - reach} x2={b} y1={y} y2={y} />
      <path d={ends.join('')} fill="none" stroke={colour} strokeWidth={1.1} />
    </g>
  )
}

interface StitchProps {
  stitch: Schemas['Stitch']
  strand: Strand
  x: number
  y: number
  chosen: boolean
  onChoose: () => void
}

/** An exposure: as tall as its minutes, filled with its stage. */
export function StitchMark({ stitch, strand, x, y, chosen, onChoose }: StitchProps) {
  const { ink } = useTheme().floor
  const height = Math.min(30, 6 + stitch.minutes * 2.2)
  const width = 11
  return (
    <g onClick={onChoose} style={{ cursor: 'pointer' }}>
      <title>{`${texts.stage[stitch.stage]} ${stitch.nth}/${stitch.of}, ${texts.minutes(stitch.minutes)}`}</title>
      <rect x={x - 11} y={y - 16} width={22} height={32} fill="transparent" />
      {chosen && <rect x={x - width / 2 - 4} y={y - height / 2 - 4} width={width + 8} height={height + 8} fill="none" stroke={ink} strokeWidth={1.6} />}
      <StageBar stage={stitch.stage} strand={strand} x={x - width / 2} y={y - height / 2} width={width} height={height} />
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
      <path d={`M${x1} ${y1}C${middle} ${y1} ${middle} ${y2} ${x2 - 9} ${y2}`} fill="none" stroke={ink} strokeWidth={0.9} />
      <circle cx={x2 - 9} cy={y2} r={2} fill={ink} />
    </g>
  )
}
