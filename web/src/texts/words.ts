// The words of the field, and how numbers are said.
import type { Schemas } from '../api/client'

export type Words<K extends string> = Record<K, string>
export const metres = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 })
export const two = new Intl.NumberFormat(undefined, { maximumFractionDigits: 2 })
export const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

export const strand = {
  ball_mastery: 'ball mastery',
  dribbling: 'dribbling',
  receiving: 'receiving',
  passing: 'passing',
} satisfies Words<Schemas['Strand']>

export const stage = { form: 'Form', flow: 'Flow', scan: 'Scan', contest: 'Contest' } satisfies Words<
  Schemas['Stage']
>

export const stageMeans = {
  form: 'correct and slow, on the spot',
  flow: 'in rhythm, at speed, on the move',
  scan: 'eyes up, answering a cue',
  contest: 'against someone',
} satisfies Words<Schemas['Stage']>

export const level = {
  starting: 'Starting',
  building: 'Building',
  secure: 'Secure',
  stretching: 'Stretching',
} satisfies Words<Schemas['Level']>

export const levelMeans = {
  starting: 'begins with it',
  building: 'has parts of it',
  secure: 'has it',
  stretching: 'has more than the band asks for',
} satisfies Words<Schemas['Level']>

export const side = { left: 'left', right: 'right' } satisfies Words<Schemas['Side']>

export const foot = { strong: 'strong foot', other: 'other foot' }

export const outcome = { done: 'Done', short: 'Short', skipped: 'Skipped' } satisfies Words<
  Schemas['Outcome']
>

export const role = {
  director: 'technical director',
  club_lead: 'club lead',
  coach: 'coach',
} satisfies Words<Schemas['RoleView']>

export const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']
