import type { Schemas } from '../../api/client'
import { EASIEST, type LeverName, set } from '../../ui/levers'
import type { Drill } from './queries'

/** A drill to begin with: it reads, stands and can be run, so that every part of the desk has something to show. */
export const BLANK: Drill = {
  id: 'new',
  title: '',
  purpose: '',
  in_game: '',
  serves: [],
  strands: { dribbling: 1 },
  surfaces: [],
  station: { min: 1, usual: 2, max: 3, working: 1 },
  layout: 'mark A red; player P; ball\nwalk 5\nmark B blue\npath dribble A -> B -> A',
  doses: {},
  difficulty: 2,
  levers: { tempo: ['own_pace', 'in_rhythm', 'fast'] },
  rungs: [{ levers: EASIEST }, { levers: set({ tempo: 'in_rhythm' }) }],
  touches_per_s: { form: 1, flow: 1.5 },
  touches_by_band: {},
  points: [],
  faults: [],
  stand_ins: [],
  cautions: [],
}

/** What a file may leave out, put in. */
export const whole = (drill: Schemas['Drill']): Drill => ({
  ...drill,
  stand_ins: drill.stand_ins ?? [],
  cautions: drill.cautions ?? [],
  touches_by_band: drill.touches_by_band ?? {},
  rungs: drill.rungs.map((rung) => ({ ...rung, levers: set(rung.levers) })),
})

/** The settings of a lever that a drill offers; a lever that it does not name offers none. */
export const offeredBy = (drill: Drill, lever: LeverName): readonly string[] =>
  (drill.levers as Partial<Record<LeverName, string[]>>)[lever] ?? []

/** A record without one of its keys. */
export const without = <T extends object>(all: T, key: string): T =>
  Object.fromEntries(Object.entries(all).filter(([other]) => other !== key)) as T

export const toggled = <T>(all: T[], one: T): T[] =>
  all.includes(one) ? all.filter((other) => other !== one) : [...all, one]
