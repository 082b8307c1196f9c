// The scale of a test as it is drawn: better is always to the right.
import type { Schemas } from '../../../api/client'
import type { Thresholds } from './queries'

type Scale = Pick<Schemas['StandardsOfTest'], 'least' | 'most' | 'better'>

/** The thresholds from left to right. */
export const HANDLES: (keyof Thresholds)[] = ['building', 'secure', 'stretching']

/** The drawing, the line that it stands on, and the room at its sides. */
export const [WIDTH, HEIGHT, BASE, SIDE] = [500, 104, 82, 8]

/** Where a value is drawn, from the left. */
export const placeOf = ({ least, most, better }: Scale) => {
  const span = Math.max(1e-9, most - least)
  return (value: number) =>
    SIDE + ((better === 'higher' ? value - least : most - value) / span) * (WIDTH - 2 * SIDE)
}
