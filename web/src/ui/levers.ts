// The levers and their settings, in words.
import type { Schemas } from '../api/client'
import {
  ballSizeValues,
  chainValues,
  contestValues,
  eyesValues,
  leverValues,
  motionValues,
  playedWithValues,
  pressureValues,
  serviceValues,
  sidesValues,
  spaceValues,
  tempoValues,
  touchesValues,
} from '../api/schema'
import { said, t } from '../texts/t'

/** All settings of every lever, the easier ones first. */
export const SETTINGS: {
  readonly [L in keyof Required<Schemas['Levers']>]: readonly Required<Schemas['Levers']>[L][]
} = {
  tempo: tempoValues,
  motion: motionValues,
  eyes: eyesValues,
  side: sidesValues,
  surface: playedWithValues,
  touches: touchesValues,
  space: spaceValues,
  ball: ballSizeValues,
  service: serviceValues,
  chain: chainValues,
  pressure: pressureValues,
  contest: contestValues,
}

export type LeverName = Schemas['Lever']
export const LEVERS = leverValues

/** Every lever at its easiest; what a rung does not say is there. */
export const EASIEST = Object.fromEntries(
  LEVERS.map((lever) => [lever, SETTINGS[lever][0]]),
) as Schemas['Levers']
export const set = (levers: Partial<Schemas['Levers']>): Schemas['Levers'] => ({ ...EASIEST, ...levers })

export const settingOf = (levers: Partial<Schemas['Levers']>, lever: LeverName): string =>
  set(levers)[lever] ?? String(SETTINGS[lever][0])

export const settingInWords = (lever: LeverName, setting: string) =>
  said(`settings-${lever}-${setting}`) ?? setting

/** How the levers of a rung are set, as a coach sets them; nothing where all are at their easiest. */
export const settingsSaid = (levers: Partial<Schemas['Levers']>, foot?: Schemas['Foot'] | null) =>
  foot
    ? [t(`foot-only-${foot}`), changes({}, { ...levers, side: EASIEST.side })].filter(Boolean).join(', ')
    : changes({}, levers)

/** What one setting of the levers changes in another, in words. */
export function changes(from: Partial<Schemas['Levers']>, to: Partial<Schemas['Levers']>): string {
  return LEVERS.filter((lever) => settingOf(from, lever) !== settingOf(to, lever))
    .map((lever) => `${t(`lever-${lever}`)}: ${settingInWords(lever, settingOf(to, lever))}`)
    .join(', ')
}
