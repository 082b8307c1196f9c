// Where things lie on the year sheet, in px: weeks across, bands down.
import { STRANDS } from '../../ui/strands'
import type { BandYear, YearSheet } from './queries'

/** Above the bands: terms, months. */
export const HEAD = 46
/** A band's name and the names of its strips, then the rivers with their pegs. */
export const STRIP = { name: 18, river: 30, pegs: 11, gap: 6 }
/** A skill's line, at a glance and where its band is looked at: as high as there is room for, within bounds. */
const PATH = { glance: { least: 3, most: 7 }, close: { least: 13, most: 18 } }
const LABELS = { glance: 96, close: 210 }

const DAY_MS = 86_400_000
const days = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / DAY_MS

/** The Monday of a day's week. */
function monday(day: string): string {
  const at = new Date(`${day}T00:00Z`)
  at.setUTCDate(at.getUTCDate() - ((at.getUTCDay() + 6) % 7))
  return at.toISOString().slice(0, 10)
}

const later = (day: string, by: number) => new Date(Date.parse(day) + by * DAY_MS).toISOString().slice(0, 10)

/** The part of a season that is looked at: one of its terms, or all of it. */
export function partOf({ season }: YearSheet, term: string | null): { first: string; last: string } {
  const found = season.terms.find((each) => each.name === term)
  return found ?? season
}

/** What is looked at: a term, or the whole season; one band closely, or all of them. */
export interface Look {
  term: string | null
  open: string | undefined
}

/** The scale of a sheet in a frame of this width, with so much room below each other. */
export function scaleOf(sheet: YearSheet, width: number, room: number, { term, open }: Look) {
  const { first, last } = partOf(sheet, term)
  const begins = monday(first)
  const weeks = Math.ceil((days(begins, last) + 1) / 7)
  const labels = open === undefined ? LABELS.glance : LABELS.close
  const week = Math.max(8, (width - labels - 1) / weeks)
  const rowOf = rowsOf(sheet, room, open)
  const { name, river, pegs, gap } = STRIP
  const heights = sheet.bands.map((band) => name + river + pegs + band.paths.length * rowOf(band) + gap)
  const tops = heights.map((_, at) => HEAD + heights.slice(0, at).reduce((sum, each) => sum + each, 0))
  return {
    labels,
    week,
    begins,
    mondays: Array.from({ length: weeks }, (_, at) => later(begins, 7 * at)),
    across: labels + weeks * week,
    height: HEAD + heights.reduce((sum, each) => sum + each, 0),
    tops,
    heights,
    row: rowOf,
    x: (day: string) => labels + (days(begins, day) / 7) * week,
    /** Whether any of some days is in sight. */
    shows: (from: string, to: string) =>
      days(begins, to) >= 0 && days(from, later(begins, 7 * weeks - 1)) >= 0,
  }
}

export type Scale = ReturnType<typeof scaleOf>

/** How high the line of a skill is, by its band. */
function rowsOf({ bands }: YearSheet, room: number, open: string | undefined) {
  const { name, river, pegs, gap } = STRIP
  const left = room - HEAD - bands.length * (name + river + pegs + gap)
  const shown = bands.filter(({ band }) => open === undefined || band === open)
  const { least, most } = open === undefined ? PATH.glance : PATH.close
  const lines = shown.reduce((sum, { paths }) => sum + paths.length, 0)
  const row = Math.min(most, Math.max(least, left / Math.max(1, lines)))
  return ({ band }: BandYear) => (open === undefined || band === open ? row : 0)
}

/** The most minutes that any week of the sheet has: the height of a river. */
export const mostMinutes = (sheet: YearSheet) =>
  Math.max(
    1,
    ...sheet.bands.flatMap(({ strips }) =>
      strips.flatMap(({ weeks }) => weeks.map(({ by_strand }) => by_strand.reduce((sum, m) => sum + m, 0))),
    ),
  )

/** The river of a strip: for each strand the points of its upper and its lower bank, around the middle. */
export function riverOf(weeks: YearSheet['bands'][number]['strips'][number]['weeks'], most: number) {
  const banks = weeks.map(({ by_strand }) => {
    const all = by_strand.reduce((sum, minutes) => sum + minutes, 0)
    let at = -all / 2
    return by_strand.map((minutes) => {
      const from = at
      at += minutes
      return [from / most, at / most] as const
    })
  })
  return STRANDS.map((strand, nth) => ({
    strand,
    banks: weeks.map(({ monday }, week) => ({ monday, bank: banks[week]?.[nth] ?? ([0, 0] as const) })),
  }))
}
