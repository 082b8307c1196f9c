// The places of a sheet, and what a value that was entered means on it: its unit, whether it can be true, whether it
// surprises.
import type { Schemas, Side } from '../../../api/client'
import { t } from '../../../texts/t'

type Sheet = Schemas['Sheet']

/** A place on the sheet: one player, one foot, one round. */
export interface Cell {
  player: Schemas['SheetPlayer']
  side: Side | null
  round: number
}

export const nameOf = ({ player, side, round }: Cell) => `${player.id} ${side ?? ''} ${round}`

/** The sheet's places in the order in which they are filled: round by round, player by player, left then right. */
export function cellsOf(sheet: Schemas['Sheet']): Cell[] {
  const sides: (Side | null)[] = sheet.test.per_side ? ['left', 'right'] : [null]
  return Array.from({ length: sheet.test.trials }, (_, round) =>
    sheet.players.flatMap((player) => sides.map((side) => ({ player, side, round }))),
  ).flat()
}

/** What was entered, as it is kept: of values that are entered together, their mean. */
export const kept = (sheet: Sheet, entered: number) => Math.round((entered / sheet.parts) * 1e6) / 1e6

/** Why a value cannot be taken. */
export function faultOf(sheet: Sheet, entered: number): string | null {
  const { parts } = sheet
  const value = kept(sheet, entered)
  if (Number.isNaN(value) || value < sheet.least || value > sheet.most)
    return t('test-out-of-range', { least: sheet.least * parts, most: sheet.most * parts })
  const steps = value / sheet.step
  if (Math.abs(steps - Math.round(steps)) > 1e-6)
    return sheet.step === 1 || parts > 1 ? t('test-whole') : t('test-finer', { step: sheet.step })
  return null
}

/** What a value is near to. */
export const nearOf = (sheet: Sheet, value: number) =>
  sheet.near.find((row) => row.from - 1e-9 <= value && value < row.until - 1e-9)?.near ?? null

/** Whether a value is so far from the one before that it asks "sure?". */
export const surprises = (before: Schemas['BeforeView'] | undefined, value: number) =>
  before?.unsurprising != null && (value < before.unsurprising.low || value > before.unsurprising.high)

/** The tool of a protocol besides the keypad. */
export type Tool = 'keys' | 'stopwatch' | 'tapper' | 'ticks' | 'points' | 'gates'
export function toolsOf({ protocol }: Sheet): Tool[] {
  switch (protocol.kind) {
    case 'count':
    case 'streak':
    case 'bounces':
      return ['keys', 'tapper']
    case 'course':
      return ['keys', 'stopwatch', 'gates']
    case 'hits':
      return ['keys', 'ticks']
    case 'points':
      return ['points']
    default:
      return ['keys']
  }
}
