// The year sheet: weeks across, bands down; under each band the way of its skills.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import { t } from '../../texts/t'
import { asDay, asShortDay, asShortMonth } from '../../ui/figures'
import { useWidth } from '../../ui/width'
import { BandRow } from './BandRow'
import type { YearSheet } from './queries'
import { HEAD, type Look, mostMinutes, type Scale, scaleOf } from './scale'

interface Props extends Look {
  sheet: YearSheet
  onOpen: (band: string | undefined) => void
}

/** What stands above and below the sheet on a screen, in px. */
const AROUND = 112

/** What a printed sheet has room for, in px. */
const SHEET = { width: 1480, height: 980 }

export function YearFloor({ sheet, term, open, onOpen }: Props) {
  const { frame, width } = useWidth()
  const scale = scaleOf(sheet, width, window.innerHeight - AROUND, { term, open })
  const most = mostMinutes(sheet)
  const zoom = Math.min(SHEET.width / scale.across, SHEET.height / scale.height)
  return (
    <Box
      ref={frame}
      sx={{ overflowX: 'auto', overflowY: 'hidden', '@media print': { overflow: 'visible', zoom } }}
    >
      <svg
        width={scale.across}
        height={scale.height}
        role="group"
        aria-label={t('year-sheet')}
        style={{ display: 'block' }}
      >
        <Calendar sheet={sheet} scale={scale} />
        <Today sheet={sheet} scale={scale} />
        {sheet.bands.map((band, at) => (
          <BandRow
            key={band.band}
            band={band}
            top={scale.tops[at] ?? HEAD}
            scale={scale}
            most={most}
            isOpen={band.band === open}
            onOpen={() => onOpen(band.band === open ? undefined : band.band)}
          />
        ))}
      </svg>
    </Box>
  )
}

/** Terms as spans along the top, days off as gaps in the floor, the days of weeks as far as there is room. */
function Calendar({ sheet, scale }: { sheet: YearSheet; scale: Scale }) {
  const { floor } = useTheme()
  const { x, week, height } = scale
  const end = (day: string) => x(day) + week / 7
  return (
    <>
      {sheet.days_off
        .filter(({ first, last }) => scale.shows(first, last))
        .map(({ name, first, last }) => (
          <rect
            key={name + first}
            x={Math.max(scale.labels, x(first))}
            y={HEAD - 14}
            width={Math.max(2, Math.min(scale.across, end(last)) - Math.max(scale.labels, x(first)))}
            height={height - HEAD + 14}
            fill={floor.plank}
          >
            <title>{t('year-off', { name, first: asDay(first), last: asDay(last) })}</title>
          </rect>
        ))}
      {sheet.season.terms
        .filter(({ first, last }) => scale.shows(first, last))
        .map(({ name, first, last }) => {
          const from = Math.max(scale.labels, x(first))
          const to = Math.min(scale.across, end(last))
          return (
            <g key={name}>
              <path d={`M${from + 1} 26V20H${to - 1}V26`} fill="none" stroke={floor.ink} strokeWidth={1.4} />
              <text x={(from + to) / 2} y={14} textAnchor="middle" fontWeight={650} fill={floor.ink}>
                {name}
              </text>
            </g>
          )
        })}
      {scale.mondays.map((monday, at) => (
        <g key={monday}>
          <line
            x1={x(monday)}
            x2={x(monday)}
            y1={HEAD - 4}
            y2={height}
            stroke={floor.hair}
            strokeWidth={0.5}
          />
          <text x={x(monday) + 2} y={HEAD - 5} fontSize={11} fill={floor.quiet}>
            {headOf(monday, scale.mondays[at - 1], week)}
          </text>
        </g>
      ))}
    </>
  )
}

/** Weeks as wide as this have room for the day on which they begin. */
const WIDE = 40

/** The month where one begins, and the day where there is room for it. */
function headOf(monday: string, before: string | undefined, week: number): string {
  if (week >= WIDE) return asShortDay(monday)
  return monday.slice(0, 7) === before?.slice(0, 7) ? '' : asShortMonth(monday)
}

function Today({ sheet, scale }: { sheet: YearSheet; scale: Scale }) {
  const { floor } = useTheme()
  if (!scale.shows(sheet.today, sheet.today)) return null
  const at = scale.x(sheet.today) + scale.week / 14
  return (
    <g className="no-print">
      <line x1={at} x2={at} y1={28} y2={scale.height} stroke={floor.ink} strokeDasharray="2 3" />
      <path d={`M${at - 5} 21h10l-5 7z`} fill={floor.ink}>
        <title>{t('year-today', { day: asDay(sheet.today) })}</title>
      </path>
    </g>
  )
}
