// The levers and their settings, in words.
import type { Schemas } from '../api/client'
import { texts } from '../texts/en'

/** All settings of every lever, the easier ones first. */
export const SETTINGS: { [L in keyof Required<Schemas['Levers']>]: Required<Schemas['Levers']>[L][] } = {
  tempo: ['own_pace', 'in_rhythm', 'fast'],
  motion: ['on_the_spot', 'forward', 'both_directions'],
  eyes: ['free', 'up', 'call'],
  side: ['strong', 'alternate', 'other'],
  touches: ['free', 'two', 'one'],
  space: ['wide', 'usual', 'tight'],
  ball: ['age_size', 'one_smaller', 'tennis_ball'],
  service: ['own_toss', 'rolled', 'firm', 'mixed_speeds', 'high'],
  chain: ['single', 'two_joined', 'three_or_more'],
  pressure: ['none', 'shadow', 'passive', 'live'],
  contest: ['none', 'own_score', 'partner'],
}

export type LeverName = keyof typeof SETTINGS
export const LEVERS = Object.keys(SETTINGS) as LeverName[]

/** Every lever at its easiest; what a rung does not say stands there. */
export const EASIEST = Object.fromEntries(
  LEVERS.map((lever) => [lever, SETTINGS[lever][0]]),
) as Schemas['Levers']
export const set = (levers: Partial<Schemas['Levers']>): Schemas['Levers'] => ({ ...EASIEST, ...levers })

export const settingOf = (levers: Partial<Schemas['Levers']>, lever: LeverName): string =>
  set(levers)[lever] ?? String(SETTINGS[lever][0])

export const settingInWords = (lever: LeverName, setting: string) =>
  (texts.settings[lever] as Record<string, string>)[setting] ?? setting

/** What one setting of the levers changes in another, in words. */
export function changes(from: Partial<Schemas['Levers']>, to: Partial<Schemas['Levers']>): string {
  return LEVERS.filter((lever) => settingOf(from, lever) !== settingOf(to, lever))
    .map((lever) => `${texts.lever[lever]}: ${settingInWords(lever, settingOf(to, lever))}`)
    .join(', ')
}
