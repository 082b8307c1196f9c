// The map: bands across, strands down, skills as plates with their stages, needs as lines.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { STAGES, StageBar } from '../../ui/stages'
import type { MapView } from './queries'

const [COLUMN, ROW] = [122, 38]
const [PLATE, HIGH] = [106, 32]
const [LEFT, TOP] = [6, 24]

/** What does not belong to the chosen skill steps back. */
const FAINT = 0.38

interface Place {
  x: number
  y: number
}

interface Props {
  view: MapView
  sheet: Schemas['MapSheet']
  bandName: (id: string) => string
  chosen: string | undefined
  rests: Set<string>
  opens: Set<string>
  changed: Set<string>
  zoom: number
  onChoose: (skill: string) => void
  /** The other skill comes to need the chosen one. */
  onConnect: (other: string) => void
}

export function MapFloor(props: Props) {
  const { view, sheet, bandName, chosen, rests, opens, changed, zoom, onChoose, onConnect } = props
  const { floor } = useTheme()
  const columns = sheet.bands.reduce((sum, band) => sum + band.columns, 0)
  const rows = sheet.lanes.reduce((sum, lane) => sum + lane.rows, 0)
  const [width, height] = [LEFT + columns * COLUMN, TOP + rows * ROW + 8]
  const at = new Map(
    sheet.plates.map((plate) => [
      plate.skill,
      { x: LEFT + plate.column * COLUMN, y: TOP + plate.row * ROW + 3 },
    ]),
  )
  const skills = new Map(view.skills.map((skill) => [skill.id, skill]))
  const troubled = new Set(
    view.findings.filter((finding) => finding.kind !== 'lonely').flatMap((finding) => finding.skills),
  )
  const lit = (id: string) => chosen === undefined || id === chosen || rests.has(id) || opens.has(id)
  const served = new Map<string, Set<Schemas['Stage']>>()
  for (const drill of view.drills)
    served.set(drill.skill, new Set([...(served.get(drill.skill) ?? []), ...drill.stages]))
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        overflow: 'auto',
        '& > svg': { width: `${zoom * 100}%`, display: 'block' },
        '@media print': { overflow: 'visible', '& > svg': { width: '100%', maxHeight: '265mm' } },
      }}
    >
      <svg viewBox={`0 0 ${width} ${height}`} aria-label={t('progressions-title')}>
        <Backdrop {...{ sheet, width, height, bandName }} />
        <Lines {...{ sheet, at, chosen, rests, opens }} />
        {sheet.plates.map((plate) => {
          const skill = skills.get(plate.skill)
          const place = at.get(plate.skill)
          if (!skill || !place) return null
          return (
            <Plate
              key={skill.id}
              skill={skill}
              place={place}
              says={t('progressions-plate', {
                name: skill.name,
                band: bandName(skill.band),
                strand: t(`strand-${skill.strand}`),
              })}
              served={served.get(skill.id)}
              chosen={skill.id === chosen}
              lit={lit(skill.id)}
              troubled={troubled.has(skill.id)}
              changed={changed.has(skill.id)}
              onChoose={() => onChoose(skill.id)}
              onConnect={chosen && chosen !== skill.id ? () => onConnect(skill.id) : undefined}
            />
          )
        })}
        {/* Names are seen here and said by the plates. */}
        <g aria-hidden pointerEvents="none">
          {sheet.plates.map(({ skill }) => (
            <g
              key={skill}
              transform={`translate(${at.get(skill)?.x ?? 0} ${at.get(skill)?.y ?? 0})`}
              opacity={lit(skill) ? 1 : FAINT}
            >
              <Name name={skills.get(skill)?.name ?? ''} ink={floor.ink} />
            </g>
          ))}
        </g>
      </svg>
    </Box>
  )
}

interface BackdropProps {
  sheet: Schemas['MapSheet']
  width: number
  height: number
  bandName: (id: string) => string
}

/** The bands as columns and the strands as lanes. */
function Backdrop({ sheet, width, height, bandName }: BackdropProps) {
  const { floor } = useTheme()
  return (
    <>
      {sheet.bands.map((band, i) => (
        <g key={band.band}>
          {i % 2 === 1 && (
            <rect
              x={LEFT + band.from * COLUMN - 8}
              y={0}
              width={band.columns * COLUMN}
              height={height}
              fill={floor.plank}
            />
          )}
          <text x={LEFT + band.from * COLUMN} y={15} fontSize={13} fontWeight={650} fill={floor.ink}>
            {bandName(band.band)}
          </text>
        </g>
      ))}
      {sheet.lanes.map((lane) => (
        <line
          key={lane.strand}
          x1={0}
          x2={width}
          y1={TOP + lane.from * ROW - 1}
          y2={TOP + lane.from * ROW - 1}
          stroke={floor.strands[lane.strand]}
          strokeWidth={lane.strand === 'ball_mastery' ? 2 : 1.5}
          strokeDasharray={
            { ball_mastery: undefined, dribbling: '1 0', receiving: '11 5', passing: '2 5' }[lane.strand]
          }
        />
      ))}
    </>
  )
}

interface LinesProps extends Pick<Props, 'sheet' | 'chosen' | 'rests' | 'opens'> {
  at: Map<string, Place>
}

/** What needs what; the ways from and to the chosen skill stand out. */
function Lines({ sheet, at, chosen, rests, opens }: LinesProps) {
  const { floor } = useTheme()
  return (
    <>
      {sheet.lines.map((line) => {
        const [from, to] = [at.get(line.from), at.get(line.to)]
        if (!from || !to) return null
        const [x1, y1, x2, y2] = [from.x + PLATE, from.y + HIGH / 2, to.x, to.y + HIGH / 2]
        const bend = Math.max(14, Math.abs(x2 - x1) / 2)
        const on =
          chosen !== undefined && [line.from, line.to].every((id) => id === chosen || rests.has(id))
            ? true
            : chosen !== undefined && [line.from, line.to].every((id) => id === chosen || opens.has(id))
        return (
          <path
            key={`${line.from} ${line.to}`}
            d={`M${x1} ${y1}C${x1 + bend} ${y1} ${x2 - bend} ${y2} ${x2} ${y2}`}
            fill="none"
            stroke={on ? floor.ink : floor.quiet}
            strokeWidth={on ? 1.8 : 0.9}
            strokeDasharray={line.stage ? undefined : '2 4'}
            opacity={chosen === undefined || on ? 0.9 : 0.15}
          />
        )
      })}
    </>
  )
}

interface PlateProps {
  skill: MapView['skills'][number]
  place: Place
  says: string
  /** The stages for which there is a drill. */
  served: Set<Schemas['Stage']> | undefined
  chosen: boolean
  lit: boolean
  troubled: boolean
  changed: boolean
  onChoose: () => void
  /** With Shift: this skill comes to need the chosen one. */
  onConnect: (() => void) | undefined
}

function Plate(props: PlateProps) {
  const { skill, place, says, served, chosen, lit, troubled, changed, onChoose, onConnect } = props
  const { floor } = useTheme()
  return (
    <g
      role="button"
      tabIndex={0}
      aria-label={says}
      aria-pressed={chosen}
      data-skill={skill.id}
      transform={`translate(${place.x} ${place.y})`}
      opacity={lit ? 1 : FAINT}
      style={{ cursor: 'pointer' }}
      onMouseDown={(event) => event.shiftKey && event.preventDefault()}
      onClick={(event) => (event.shiftKey && onConnect ? onConnect() : onChoose())}
      onFocus={onChoose}
    >
      <rect
        width={PLATE}
        height={HIGH}
        rx={2}
        fill={floor.paper}
        stroke={chosen ? floor.ink : floor.strands[skill.strand]}
        strokeWidth={chosen ? 2.6 : 1}
      />
      {STAGES.map((stage, i) => (
        <g key={stage} opacity={served?.has(stage) ? 1 : 0.18}>
          <StageBar
            stage={stage}
            strand={skill.strand}
            x={PLATE - 30 + i * 7}
            y={HIGH - 9}
            width={5}
            height={7}
          />
        </g>
      ))}
      {skill.gate && <path d="M-3 10v12M-3 10h4M-3 22h4" stroke={floor.ink} strokeWidth={1.6} fill="none" />}
      {troubled && <circle cx={PLATE - 4} cy={4} r={4.5} fill={floor.warn} />}
      {changed && (
        <rect
          x={-2}
          y={-2}
          width={PLATE + 4}
          height={HIGH + 4}
          fill="none"
          stroke={floor.warn}
          strokeDasharray="4 3"
        />
      )}
    </g>
  )
}

/** A name on two lines at most; what does not fit is in the inspector. */
function Name({ name, ink }: { name: string; ink: string }) {
  const lines: string[] = ['']
  for (const word of name.split(' ')) {
    const last = lines.length - 1
    const room = last === 0 ? 19 : 14
    const next = lines[last] ? `${lines[last]} ${word}` : word
    if (next.length <= room) lines[last] = next
    else if (last === 0) lines.push(word)
    else {
      lines[last] = `${(lines[last] ?? '').slice(0, room - 1)}…`
      break
    }
  }
  return (
    <text fontSize={10.5} fill={ink}>
      {lines.map((line, i) => (
        <tspan key={i} x={5} y={13 + i * 12}>
          {line}
        </tspan>
      ))}
    </text>
  )
}
