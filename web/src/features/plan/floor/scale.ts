// Where things lie on the floor of the plan, in px: sessions across, skills down.
import type { Curriculum } from '../../../api/client'
import { STRANDS } from '../../../ui/strands'

export const LABELS = 212
export const WEEKS = 18
export const DATES = 40
export const BARS = 70
const INPUTS = 34
const HEAD = WEEKS + DATES + BARS + INPUTS + 10
export const ROW = 33
const GAP = 9
const NARROWEST = 44

/** A holiday week is a gap of this width in the floor. */
export const HOLIDAY = 22

/** The lines of the floor, in the order of their strands. */
export const rowsOf = (view: Curriculum) =>
  STRANDS.flatMap((strand) => view.skills.filter((skill) => skill.strand === strand))

/** The scale of a floor in a frame of this width. */
export function scaleOf(view: Curriculum, width: number) {
  const { sessions } = view
  const holidays = view.wishes.holidays ?? []
  const gapsBefore = (session: number) =>
    holidays.filter((week) => week < (sessions[session]?.week ?? 0)).length
  const gaps = sessions.length > 0 ? gapsBefore(sessions.length - 1) * HOLIDAY : 0
  const column = Math.max(NARROWEST, (width - LABELS - gaps - 2) / Math.max(sessions.length, 1))
  const left = (session: number) => LABELS + column * session + gapsBefore(session) * HOLIDAY
  const x = (session: number) => left(session) + column / 2

  // Rows are in the order of the strands, with a gap between.
  const rows = rowsOf(view)
  const groupOf = (i: number) => new Set(rows.slice(0, i + 1).map((skill) => skill.strand)).size - 1
  const places = new Map(rows.map((skill, i) => [skill.id, HEAD + i * ROW + groupOf(i) * GAP + ROW / 2]))
  return {
    rows,
    column,
    left,
    x,
    y: (skill: string) => places.get(skill) ?? HEAD,
    /** Holiday weeks between a session and the one before it. */
    holidaysAt: (session: number) => gapsBefore(session) - gapsBefore(Math.max(session - 1, 0)),
    across: LABELS + column * sessions.length + gaps,
    height: HEAD + rows.length * ROW + groupOf(rows.length - 1) * GAP + 6,
    /** The session nearest to a point across; null left of them all. */
    sessionAt: (across: number) => {
      const nearest = sessions
        .map((_, i) => ({ i, far: Math.abs(x(i) - across) }))
        .sort((a, b) => a.far - b.far)[0]
      return nearest && across > LABELS ? nearest.i : null
    },
  }
}

export type Scale = ReturnType<typeof scaleOf>
