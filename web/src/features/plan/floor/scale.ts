// Where things lie on the floor of the plan, in px: sessions across, skills down.
import type { Curriculum } from '../../../api/client'
import { STRANDS } from '../../../ui/strands'

/** How close the plan is looked at: the whole of it at a glance, or every session with its day and its minutes. */
export const DENSITIES = ['fit', 'close'] as const
export type Density = (typeof DENSITIES)[number]

export const WEEKS = 18

/** What a density measures. */
const MEASURES = {
  fit: {
    labels: 196,
    dates: 16,
    bars: 34,
    inputs: 0,
    row: 21,
    gap: 7,
    narrowest: 14,
    stitch: 6,
    beside: 7,
    rise: 6,
  },
  close: {
    labels: 212,
    dates: 40,
    bars: 70,
    inputs: 34,
    row: 33,
    gap: 9,
    narrowest: 44,
    stitch: 11,
    beside: 15,
    rise: 14,
  },
} as const

/** As many lines as fill a screen; where there are more, as with ladders of the other foot, each has less room. */
const LINES_AT_A_GLANCE = 20
const LOWEST_ROW = 16

/** A holiday week is a gap of this width in the floor. */
export const HOLIDAY = 22

/** The lines of the floor, in the order of their strands. */
export const rowsOf = (view: Curriculum) =>
  STRANDS.flatMap((strand) => view.skills.filter((skill) => skill.strand === strand))

/** Names are this wide for each letter, at least roughly; the longest decides how wide the labels are. */
const LETTER = 6.4
const WIDEST_LABELS = 300

/** Rungs that are so many points harder than the easiest, or more, stand at the top of their line. */
const HARDEST = 4

/** The scale of a floor in a frame of this width. */
export function scaleOf(view: Curriculum, width: number, density: Density) {
  const { sessions } = view
  const more = view.skills.length / LINES_AT_A_GLANCE
  const { row } = MEASURES[density]
  const measures = {
    ...MEASURES[density],
    row: density === 'fit' && more > 1 ? Math.max(LOWEST_ROW, Math.floor(row / more)) : row,
  }
  const holidays = view.wishes.holidays ?? []
  const gapsBefore = (session: number) =>
    holidays.filter((week) => week < (sessions[session]?.week ?? 0)).length
  const gaps = sessions.length > 0 ? gapsBefore(sessions.length - 1) * HOLIDAY : 0
  const count = Math.max(sessions.length, 1)
  // Names get what they need where the columns leave it.
  const longest = Math.max(0, ...view.skills.map((skill) => skill.name.length)) * LETTER + 34
  const spare = width - gaps - 2 - measures.narrowest * count
  const labels = Math.max(measures.labels, Math.min(longest, spare, WIDEST_LABELS))
  const column = Math.max(measures.narrowest, (width - labels - gaps - 2) / count)
  const left = (session: number) => labels + column * session + gapsBefore(session) * HOLIDAY
  const x = (session: number) => left(session) + column / 2
  const head = WEEKS + measures.dates + measures.bars + measures.inputs + 10

  // Rows are in the order of the strands, with a gap between.
  const rows = rowsOf(view)
  const groupOf = (i: number) => new Set(rows.slice(0, i + 1).map((skill) => skill.strand)).size - 1
  const places = new Map(
    rows.map((skill, i) => [
      skill.id,
      head + i * measures.row + groupOf(i) * measures.gap + measures.row / 2,
    ]),
  )
  return {
    ...measures,
    density,
    labels,
    rows,
    column,
    left,
    x,
    /** Where the bars of the minutes stand on. */
    base: WEEKS + measures.dates + measures.bars,
    y: (skill: string) => places.get(skill) ?? head,
    /** How far below the middle of its line a rung stands that is so many points harder than the easiest. */
    below: (harder: number) => measures.rise * (0.5 - Math.min(Math.max(harder / HARDEST, 0), 1)),
    /** Holiday weeks between a session and the one before it. */
    holidaysAt: (session: number) => gapsBefore(session) - gapsBefore(Math.max(session - 1, 0)),
    across: labels + column * sessions.length + gaps,
    height: head + rows.length * measures.row + groupOf(rows.length - 1) * measures.gap + 6,
    /** The session nearest to a point across; null left of them all. */
    sessionAt: (across: number) => {
      const nearest = sessions
        .map((_, i) => ({ i, far: Math.abs(x(i) - across) }))
        .sort((a, b) => a.far - b.far)[0]
      return nearest && across > labels ? nearest.i : null
    },
  }
}

export type Scale = ReturnType<typeof scaleOf>

/** Whether every session has room in a frame of this width, looked at closely. */
export const fitsClose = (view: Curriculum, width: number) =>
  MEASURES.close.labels + MEASURES.close.narrowest * view.sessions.length <= width
