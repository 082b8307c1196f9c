// What this device remembers of how somebody works on it: every value with its place, its shape and what holds
// without it. Nothing else writes `localStorage`, and only `public/glimpse.js` reads it besides. A value of another
// version, or one that somebody tampered with, is read as if it were not there; a browser that keeps nothing still
// works.
import { useState } from 'react'
import * as v from 'valibot'
import type { Drill } from '../features/drill/queries'

interface Remembered<T> {
  read: (of?: string) => T
  write: (value: T, of?: string) => void
  forget: (of?: string) => void
}

/** What a browser that keeps nothing has as long as the page is open. */
const inMemory = new Map<string, string>()

/** A value that is kept under a name, for each thing that it is said of; `otherwise` where nothing readable is kept. */
function remembered<T>(
  name: string,
  shape: v.GenericSchema<unknown, T>,
  otherwise: NoInfer<T>,
): Remembered<T> {
  const place = (of = '') => `jogo.${name}${of && `.${of}`}`
  return {
    read: (of) => {
      const text = quietly(() => localStorage.getItem(place(of))) ?? inMemory.get(place(of))
      if (text == null) return otherwise
      const read = v.safeParse(shape, quietly(() => JSON.parse(text) as unknown) ?? text)
      return read.success ? read.output : otherwise
    },
    write: (value, of) => {
      inMemory.set(place(of), JSON.stringify(value))
      quietly(() => localStorage.setItem(place(of), JSON.stringify(value)))
    },
    forget: (of) => {
      inMemory.delete(place(of))
      quietly(() => localStorage.removeItem(place(of)))
    },
  }
}

/** What a browser that keeps nothing answers with an error is as if it were not there. */
function quietly<T>(ask: () => T): T | undefined {
  try {
    return ask()
  } catch {
    return undefined
  }
}

/** A remembered value as state: changing it keeps it. */
export function useRemembered<T>(value: Remembered<T>, of?: string): [T, (next: T) => void] {
  const [now, setNow] = useState(() => value.read(of))
  return [
    now,
    (next) => {
      value.write(next, of)
      setNow(next)
    },
  ]
}

/** Light, dark, or black on white for the pitch. */
export const look = remembered('look', v.picklist(['light', 'dark', 'pitch']), 'light')

/**
 * The language that was chosen on this device: last of all, for the sign-in page, and by a person whose choice the
 * server has not heard of yet.
 */
export const chosenLanguage = remembered('language', v.nullable(v.picklist(['en', 'de', 'pseudo'])), null)

/** The team that a coach of several looks at. */
export const chosenTeam = remembered('team', v.nullable(v.string()), null)

/** The names of teams that were seen here: an entry says whose it is even after the team was taken away. */
export const teamNames = remembered('teams', v.record(v.string(), v.string()), {})

/** This device, and how far it has counted what was entered on it: its own clock may be set meanwhile. */
export const deviceCount = remembered(
  'device',
  v.object({ id: v.string(), count: v.pipe(v.number(), v.integer(), v.minValue(0)) }),
  { id: '', count: 0 },
)

/** Whether the clock sounds. */
export const sound = remembered('sound', v.picklist(['yes', 'no']), 'yes')

/** What is heard with the moving feet. */
export const feetSound = remembered('feet', v.picklist(['off', 'clicks', 'aloud']), 'clicks')

/** The clock of a block: when it was started last, in ms (nothing while it is stopped), and the seconds before that. */
export const clock = remembered(
  'clock',
  v.object({ since: v.nullable(v.number()), passed: v.pipe(v.number(), v.minValue(0)) }),
  { since: null, passed: 0 },
)

/** The rung that was chosen for a block before anything was said of it. */
export const chosenRung = remembered('ran', v.nullable(v.picklist(['one_down', 'one_up'])), null)

/** What was seen of a player so far, point by point, until all points were looked at. */
export const lookMarks = remembered('look-at', v.array(v.nullable(v.number())), [])

/** How a squad is split for a block: the mix, the roll, and pairs that have changed places, in their order. */
export const split = remembered(
  'split',
  v.object({
    mix: v.picklist(['mixed', 'like_with_like', 'one_down']),
    roll: v.pipe(v.number(), v.integer(), v.minValue(0)),
    swaps: v.array(v.tuple([v.string(), v.string()])),
  }),
  { mix: 'mixed', roll: 0, swaps: [] },
)

/** The tool with which a protocol was measured last. */
export const tool = remembered('tool', v.nullable(v.string()), null)

/** A snapshot of Today: its address, day and language, and its elements and styles. */
export const snapshot = remembered(
  'glimpse',
  v.nullable(
    v.object({ path: v.string(), day: v.string(), lang: v.string(), html: v.string(), css: v.string() }),
  ),
  null,
)

/** When a screen broke last, in ms. */
export const stumbledAt = remembered('stumbled', v.number(), 0)

/** Somebody signed out here while there was no network: the server is told as soon as it can be. */
export const signedOut = remembered('signed-out', v.nullable(v.literal('yes')), null)

/** What is remembered of children, by the names of its values. */
const OF_CHILDREN = ['look-at', 'split', 'glimpse', 'ran', 'clock']

/** Forgets whatever is remembered of children on this device. */
export function forgetChildren() {
  const places = [...inMemory.keys(), ...(quietly(() => Object.keys(localStorage)) ?? [])]
  for (const place of places) {
    if (!OF_CHILDREN.some((name) => place === `jogo.${name}` || place.startsWith(`jogo.${name}.`))) continue
    inMemory.delete(place)
    quietly(() => localStorage.removeItem(place))
  }
}

/** How close the plan is looked at; undecided, as close as every session still has room. */
export const planDensity = remembered('density', v.nullable(v.picklist(['fit', 'close'])), null)

/** Whether the tour of the plan was seen to its end. */
export const tour = remembered('tour', v.nullable(v.literal('seen')), null)

const words = v.array(v.string())
const things = v.array(v.looseObject({}))

/** A drill that is being written, until it is saved. What the screens rely on is checked; the core checks the rest. */
export const draft = remembered(
  'drill',
  v.nullable(
    v.custom<Drill>((value) =>
      v.is(
        v.looseObject({
          id: v.string(),
          title: v.string(),
          purpose: v.string(),
          in_game: v.string(),
          layout: v.string(),
          difficulty: v.number(),
          serves: things,
          strands: v.record(v.string(), v.number()),
          surfaces: words,
          station: v.object({ min: v.number(), usual: v.number(), max: v.number(), working: v.number() }),
          doses: v.record(v.string(), v.looseObject({ kind: v.string() })),
          levers: v.record(v.string(), words),
          rungs: v.pipe(v.array(v.looseObject({ levers: v.record(v.string(), v.string()) })), v.minLength(1)),
          touches_per_s: v.record(v.string(), v.number()),
          touches_by_band: v.record(v.string(), v.record(v.string(), v.number())),
          points: words,
          faults: things,
          stand_ins: things,
          cautions: words,
        }),
        value,
      ),
    ),
  ),
  null,
)
