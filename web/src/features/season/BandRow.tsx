// A band on the year sheet: its strips, and the way of each of its skills.
import { useTheme } from '@mui/material/styles'
import { Link } from 'react-router'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { asDay } from '../../ui/figures'
import { StrandLine } from '../../ui/strands'
import type { BandYear } from './queries'
import { SkillRow } from './SkillRow'
import { riverOf, type Scale, STRIP } from './scale'

interface Props {
  band: BandYear
  top: number
  scale: Scale
  most: number
  isOpen: boolean
  onOpen: () => void
}

export function BandRow({ band, top, scale, most, isOpen, onOpen }: Props) {
  const { floor } = useTheme()
  const row = scale.row(band)
  const { name, river, pegs } = STRIP
  const paths = top + name + river + pegs
  return (
    <g>
      <line x1={0} x2={scale.across} y1={top} y2={top} stroke={floor.ink} strokeWidth={1} />
      <BandName band={band} top={top} isOpen={isOpen} onOpen={onOpen} />
      {band.strips
        .filter((strip) => !strip.beside && scale.shows(strip.first, strip.last))
        .map((strip) => (
          <StripBox key={strip.id} strip={strip} top={top} scale={scale} most={most} />
        ))}
      {row > 0 &&
        band.paths.map((path, at) => (
          <SkillRow key={path.skill} path={path} y={paths + (at + 0.5) * row} row={row} scale={scale} />
        ))}
    </g>
  )
}

interface NameProps {
  band: BandYear
  top: number
  isOpen: boolean
  onOpen: () => void
}

/** The band's name: pressed, its skills are named. */
function BandName({ band, top, isOpen, onOpen }: NameProps) {
  const { floor } = useTheme()
  const open = t(isOpen ? 'year-close-band' : 'year-open-band', { band: band.name })
  return (
    <foreignObject x={0} y={top + 4} width={92} height={STRIP.name + STRIP.river}>
      <button
        type="button"
        aria-expanded={isOpen}
        aria-label={open}
        onClick={onOpen}
        style={{
          font: 'inherit',
          fontWeight: 650,
          color: floor.ink,
          background: 'none',
          border: 0,
          padding: '4px 2px',
          textAlign: 'left',
          cursor: 'pointer',
          textDecoration: isOpen ? 'underline' : undefined,
        }}
      >
        {band.name}
      </button>
      {band.findings.length > 0 && (
        <div style={{ fontSize: 12, color: floor.warn, padding: '0 2px' }}>
          {t('year-found', { n: band.findings.length })}
        </div>
      )}
    </foreignObject>
  )
}

interface StripProps {
  strip: Schemas['Strip']
  top: number
  scale: Scale
  most: number
}

/** A published curriculum has a solid frame, a draft a dashed one, an outline a dotted one. */
const FRAME = { published: undefined, draft: '7 4', outline: '1.5 4' } as const

/** A curriculum in its weeks: minutes by strand as a river, tests as pegs. It leads to the plan. */
function StripBox({ strip, top, scale, most }: StripProps) {
  const { floor } = useTheme()
  const from = Math.max(scale.labels, scale.x(strip.first))
  const to = Math.min(scale.across, scale.x(strip.last) + scale.week / 7)
  const y = top + STRIP.name
  const { made } = strip
  const frame = (
    <>
      <rect
        x={from + 1.5}
        y={y}
        width={Math.max(4, to - from - 3)}
        height={STRIP.river}
        fill={floor.paper}
        stroke={floor.ink}
        strokeWidth={made === 'published' ? 1.6 : 1.2}
        strokeDasharray={FRAME[made]}
        strokeLinecap="round"
      />
      <River strip={strip} y={y + STRIP.river / 2} scale={scale} most={most} />
      <foreignObject x={from} y={top + 1} width={Math.max(40, to - from)} height={STRIP.name}>
        <div
          style={{
            fontSize: 13,
            lineHeight: '18px',
            whiteSpace: 'nowrap',
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            color: floor.ink,
          }}
        >
          {strip.name}
          {made !== 'published' && <span style={{ color: floor.quiet }}> · {t(`year-made-${made}`)}</span>}
        </div>
      </foreignObject>
      {strip.tests
        .filter(({ day }) => scale.shows(day, day))
        .map(({ day, test }) => (
          <path
            key={day + test}
            d={`M${scale.x(day)} ${y + STRIP.river}v9m-3 0h6`}
            stroke={floor.ink}
            strokeWidth={1.3}
          >
            <title>{`${test}, ${asDay(day)}`}</title>
          </path>
        ))}
    </>
  )
  if (made === 'outline') return <g>{frame}</g>
  const says = t('year-strip', {
    name: strip.name,
    made: t(`year-made-${made}`),
    first: asDay(strip.first),
    last: asDay(strip.last),
    sessions: strip.sessions,
    shown: strip.can_be_shown,
    of: strip.milestones,
  })
  return (
    <Link to={`/plan/${strip.id}`} aria-label={says}>
      <title>{says}</title>
      {frame}
    </Link>
  )
}

/** Each strand's part of the minutes, week by week: the wider, the more. */
function River({
  strip,
  y,
  scale,
  most,
}: {
  strip: Schemas['Strip']
  y: number
  scale: Scale
  most: number
}) {
  const { strands } = useTheme().floor
  const high = STRIP.river - 4
  // Where there is room each strand has its stroke; else they are told by their order, the same everywhere.
  const isWide = scale.week >= 28
  return (
    <>
      {riverOf(strip.weeks, most).map(({ strand, banks }) => {
        const seen = banks.filter(({ monday }) => scale.shows(monday, monday))
        const at = (monday: string) => Math.max(scale.labels, scale.x(monday)) + 1.5
        const steps = seen.map(({ monday, bank: [from, to] }) => ({
          left: at(monday),
          right: at(monday) + scale.week - 3,
          from: y + from * high,
          to: y + to * high,
        }))
        return (
          <g key={strand}>
            {steps.map(({ left, right, from, to }) => (
              <rect
                key={left}
                x={left}
                y={from}
                width={Math.max(1, right - left)}
                height={Math.max(0, to - from - 0.5)}
                fill={strands[strand]}
                opacity={isWide ? 0.25 : 0.75}
              />
            ))}
            {steps.map(({ left, right, from, to }) =>
              isWide && to - from > 1 ? (
                <StrandLine
                  key={left}
                  strand={strand}
                  x1={left}
                  x2={Math.max(left + 1, right)}
                  y1={(from + to) / 2}
                  y2={(from + to) / 2}
                />
              ) : null,
            )}
          </g>
        )
      })}
    </>
  )
}
