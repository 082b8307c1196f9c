// Between one count and the next: where ball and feet are on their way. The core says where everything is before and
// after a count and what is done in it; here it only moves.
import type { Schemas } from '../../api/client'

export type Feet = Schemas['MovingFeet']
type Standing = Schemas['FeetStanding']
type Done = Schemas['FeetDone']
type Side = 'left' | 'right'
/** A place on the floor, in metres to the right and ahead. */
export type Spot = readonly [number, number]

export interface Placed {
  at: Spot
  /** Degrees to the right. */
  heading: number
  /** How large it is drawn, 1 on the floor. */
  size: number
}

export interface Moment {
  ball: Placed
  /** From 0 to 1: a ball that was struck fades as it leaves. */
  ballShown: number
  left: Placed
  right: Placed
  body: { at: Spot; heading: number }
  /** The foot that meets the ball just now, and with what. */
  meets: { side: Side | null; surface: Schemas['Surface'] } | null
}

/** The ball is met after so much of a count, and the foot is home again at its end. */
const MEETS = 0.35
const LEAVES = 0.62
/** From when to when in a count the foot that meets the ball is shown. */
export const MET = { from: MEETS - 0.12, to: LEAVES + 0.15 }
/** How far a struck ball is seen to go, in metres. */
const AWAY = 1.3
/** How much larger a ball is drawn for each metre that it is up. */
const LARGER = 0.55
/** How far ahead or beside of the ball a foot stands that meets it. */
const BESIDE = 0.15
const BEHIND = 0.2

const mix = (a: number, b: number, p: number) => a + (b - a) * p
const between = (a: Spot, b: Spot, p: number): Spot => [mix(a[0], b[0], p), mix(a[1], b[1], p)]
/** Starts and ends slowly. */
const smooth = (p: number) => p * p * (3 - 2 * p)
/** Starts fast, as a ball does that was touched. */
const rolling = (p: number) => 1 - (1 - p) * (1 - p)
const part = (p: number, from: number, to: number) => Math.min(1, Math.max(0, (p - from) / (to - from)))

function turned([x, y]: Spot, degrees: number): Spot {
  const by = (degrees * Math.PI) / 180
  const [sin, cos] = [Math.sin(by), Math.cos(by)]
  return [x * cos + y * sin, y * cos - x * sin]
}

const plus = (a: Spot, b: Spot): Spot => [a[0] + b[0], a[1] + b[1]]
const spot = (at: number[]): Spot => [at[0] ?? 0, at[1] ?? 0]

/** Where a foot stands when it meets the ball, seen from the ball. */
function contact(side: Side, surface: Schemas['Surface']): Spot {
  const out = side === 'right' ? 1 : -1
  if (surface === 'inside') return [out * BESIDE, -0.03]
  if (surface === 'outside') return [-out * BESIDE, -0.03]
  if (surface === 'heel') return [0, BEHIND]
  if (surface === 'sole') return [0, -0.05]
  return [0, -BEHIND]
}

/** The way of a foot round or over the ball, seen from the ball, from inside to outside. */
const ROUND: Spot[] = [
  [-0.24, 0],
  [-0.17, 0.2],
  [0, 0.27],
  [0.17, 0.2],
  [0.24, 0],
]

function along(way: Spot[], p: number): Spot {
  const at = p * (way.length - 1)
  const from = Math.min(Math.floor(at), way.length - 2)
  return between(way[from] as Spot, way[from + 1] as Spot, at - from)
}

/** A foot's place is where its ball is: the sole is drawn around a middle that stands behind it. */
const behind = (at: Spot, heading: number) => plus(at, turned([0, -0.08], heading))

function footOf(before: Standing, after: Standing, side: Side, done: Done[], ball: Spot, p: number): Placed {
  const heading = mix(before.heading, after.heading, smooth(p))
  const [from, to] = [spot(before[side]), spot(after[side])]
  const home = behind(between(from, to, smooth(p)), heading)
  const mine = done.find((each) => each.side === side)
  if (!mine) {
    const hops = done.some((each) => each.act === 'hop')
    return { at: home, heading, size: hops ? 1 + 0.14 * Math.sin(Math.PI * p) : 1 }
  }
  if (mine.act === 'touch' && mine.surface) {
    const beside = turned(contact(side, mine.surface), heading)
    const there = plus(ball, beside)
    const goes = p < MEETS ? smooth(p / MEETS) : 1 - smooth(part(p, LEAVES, 1))
    return { at: between(home, there, goes), heading, size: 1 }
  }
  if (mine.act === 'over_in' || mine.act === 'over_out' || mine.act === 'round') {
    const out = (side === 'right' ? 1 : -1) * (mine.act === 'over_in' ? -1 : 1)
    const way = ROUND.map(([x, y]): Spot => plus(spot(before.ball), turned([x * out, y], heading)))
    return {
      at: along([behind(from, heading), ...way, home], smooth(p)),
      heading,
      size: 1 + 0.1 * Math.sin(Math.PI * p),
    }
  }
  if (mine.act === 'step') return { at: between(from, to, smooth(part(p, 0, 0.6))), heading, size: 1 }
  return { at: home, heading, size: 1 }
}

function ballOf(before: Standing, after: Standing, done: Done[], flies: boolean, p: number): Placed {
  const touched = done.some((each) => each.act === 'touch')
  const goes = touched ? rolling(part(p, MEETS, 1)) : smooth(p)
  const heading = mix(before.heading, after.heading, smooth(p))
  if (after.level === 'gone') {
    const ahead = turned([0, AWAY * part(p, MEETS, 1)], heading)
    return { at: plus(spot(before.ball), ahead), heading, size: 1 }
  }
  // Up and down again in a parabola.
  const up = flies ? 4 * goes * (1 - goes) * after.height_m : 0
  return { at: between(spot(before.ball), spot(after.ball), goes), heading, size: 1 + LARGER * up }
}

/** Everything at one moment of a count; before the first count everything stands as at the start. */
export function moment(feet: Feet, count: number, p: number): Moment {
  const shown = feet.counts[count]
  const before = count > 0 ? (feet.counts[count - 1]?.after ?? feet.start) : feet.start
  const after = shown?.after ?? before
  const done = shown?.done ?? []
  const ball = ballOf(before, after, done, shown?.flight_s != null, p)
  const [left, right] = (['left', 'right'] as const).map((side) =>
    footOf(before, after, side, done, p < MEETS ? spot(before.ball) : ball.at, p),
  ) as [Placed, Placed]
  const touch = done.find((each) => each.act === 'touch')
  const meets = touch?.surface && p >= MET.from && p < MET.to
  const middle = (standing: Standing) => between(spot(standing.left), spot(standing.right), 0.5)
  return {
    ball,
    ballShown: after.level === 'gone' ? 1 - part(p, 0.6, 1) : 1,
    left,
    right,
    body: { at: between(middle(before), middle(after), smooth(p)), heading: ball.heading },
    meets: meets && touch.surface ? { side: touch.side ?? null, surface: touch.surface } : null,
  }
}

/** Where the ball has been of late, up to a count. */
export const trackOf = (feet: Feet, count: number): Spot[] =>
  [feet.start, ...feet.counts.map((each) => each.after)]
    .slice(Math.max(0, count - 3), count + 1)
    .map((standing) => spot(standing.ball))

/** The same in the mirror. */
export function mirrored(feet: Feet): Feet {
  const flip = ([x, y]: number[]) => [-(x ?? 0), y ?? 0]
  const other = (side: Side | null | undefined) =>
    side === 'left' ? 'right' : side === 'right' ? 'left' : side
  const standing = (at: Standing): Standing => ({
    ...at,
    ball: flip(at.ball),
    left: flip(at.right),
    right: flip(at.left),
    heading: -at.heading,
  })
  return {
    ...feet,
    start: standing(feet.start),
    counts: feet.counts.map((each) => ({
      ...each,
      said: each.said.map(inMirror),
      done: each.done.map((done) => ({ ...done, side: other(done.side) })),
      after: standing(each.after),
    })),
    floor: { ...feet.floor, left: -feet.floor.right, right: -feet.floor.left },
  }
}

const IN_MIRROR: Record<string, string> = {
  'side-left': 'side-right',
  'side-right': 'side-left',
  'way-left': 'way-right',
  'way-right': 'way-left',
}

/** What is said of it, with left and right exchanged. */
function inMirror<T>(said: T): T {
  if (Array.isArray(said)) return said.map(inMirror) as T
  if (typeof said !== 'object' || said === null) return said
  const entries: [string, unknown][] = Object.entries(said)
  const turned = entries.map(([name, value]) =>
    name === 'code' && typeof value === 'string'
      ? [name, IN_MIRROR[value] ?? value]
      : [name, inMirror(value)],
  )
  return Object.fromEntries(turned) as T
}

/** Seconds of a count. */
export const lasts = (count: Feet['counts'][number], beat: number) => count.flight_s ?? beat
