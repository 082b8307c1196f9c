// What is said with more than one text, or with figures that are looked at first.
import type { RunningOrder, Schemas } from '../api/client'
import type { Waiting } from '../storage/outbox'
import { asNumber } from '../ui/figures'
import { locale, said, t } from './t'
import { told } from './told'

/** A list of things, as the language joins them. */
export const listed = (items: string[]) =>
  new Intl.ListFormat(locale(), { type: 'unit', style: 'short' }).format(items)

/** For a text that says something else if something is so. */
export const yesNo = (so: boolean) => (so ? 'yes' : 'no')

/** A change of a figure, with its sign. */
export const asChange = (points: number) => `${points >= 0 ? '+' : '−'}${asNumber(Math.abs(points))}`

/** How many stations of how many players. */
export function stationsSaid(sizes: number[]): string {
  const counts = new Map<number, number>()
  sizes.forEach((size) => counts.set(size, (counts.get(size) ?? 0) + 1))
  if (counts.size === 1 && counts.has(1)) return t('session-stations-alone')
  return t('session-stations-of', { stations: listed([...counts].map(([size, n]) => `${n} × ${size}`)) })
}

type Theme = Schemas['ThemeSaid'] | null | undefined

/** What a week is about; nothing if nothing is planned in it. Names of skills may hold commas. */
export function themeSaid(theme: Theme): string | undefined {
  const skills = theme?.skills.join(' · ')
  const strand = theme?.strand && t(`strand-${theme.strand}`)
  if (strand && skills) return t('session-theme-strand', { strand, skills })
  return strand || skills || undefined
}

/** The same where the blocks stand beside it: a strand without its skills. */
export const themeInShort = (theme: Theme) => themeSaid(theme?.strand ? { ...theme, skills: [] } : theme)

/** How long it takes to lay out a block, and what can stay of the layout before it; nothing if there is none to do. */
export function layingOutSaid(block: Pick<Schemas['RunningBlock'], 'laying_out' | 'staying'>) {
  const { laying_out: n, staying } = block
  const stay = staying > 0 && t('session-stay', { n: staying })
  if (n === 0) return stay || undefined
  return stay ? t('session-lay-out-rest', { n, stay }) : t('session-lay-out', { n })
}

const boutsSaid = (block: { bouts: number; work_s: number; rest_s: number }) =>
  t('session-bouts', { n: block.bouts, work: block.work_s, rest: Math.max(0, block.rest_s) })

/** A block as far as its dose goes; a device may still hold one of an earlier version, which had bouts alone. */
type Dosed = Pick<Schemas['Laid'], 'bouts' | 'work_s' | 'rest_s' | 'levers'> &
  Partial<Pick<Schemas['Laid'], 'dose' | 'once_s'>>

/** What a player does, in the kind that the drill says. */
export function doseSaid(block: Dosed): string {
  const { dose, once_s: once = 0 } = block
  if (!dose) return boutsSaid(block)
  const rest = block.rest_s > 0 ? [t('dose-rest', { rest: block.rest_s })] : []
  const about = (times: number) => (once > 0 ? [t('dose-about', { s: once * times })] : [])
  return [...timesSaid(dose, about), ...feetSaid(dose, block.levers), ...rest].join(', ')
}

function timesSaid(dose: Schemas['Dose'], about: (times: number) => string[]): string[] {
  switch (dose.kind) {
    case 'timed':
      return [t('dose-timed', { sets: dose.sets, work: dose.work_s })]
    case 'reps':
      return [t('dose-reps', { sets: dose.sets, reps: dose.reps }), ...about(dose.reps)]
    case 'laps':
      return [
        t('dose-laps', { reps: dose.reps, laps: dose.laps }),
        ...(dose.directions > 1 ? [t('dose-both-ways')] : []),
        ...about(dose.laps),
      ]
    case 'tries':
      return [t('dose-tries', { tries: dose.tries }), ...about(dose.tries)]
    case 'streak':
      return [t('dose-streak', { target: dose.target, cap: dose.cap_s })]
    case 'until_told':
      return [t('dose-until-told', { sets: dose.sets, least: dose.least_s, most: dose.most_s })]
    case 'series':
      return [
        t('dose-series', { moves: dose.moves, work: dose.work_s }),
        ...(dose.rounds > 1 ? [t('dose-rounds', { n: dose.rounds })] : []),
        ...(dose.challenge_s == null ? [] : [t('dose-challenge', { s: dose.challenge_s })]),
      ]
  }
}

/** How the feet share it, where the levers do not say so already. */
function feetSaid(dose: Schemas['Dose'], levers: Schemas['Levers']): string[] {
  const sides = 'sides' in dose ? dose.sides : 'together'
  if (sides === 'each') return [t('dose-each')]
  return sides === 'alternate' && levers.side !== 'alternate' ? [t('dose-alternate')] : []
}

/** What counts as no width or no depth. */
const NOTHING_M = 0.5

/** How large one station is. */
export function stationSaid(
  { width_m: w, depth_m: d }: { width_m: number; depth_m: number },
  { width, depth }: Schemas['InPaces'],
): string {
  if (w < NOTHING_M && d < NOTHING_M) return t('session-floor-spot')
  if (w < NOTHING_M || d < NOTHING_M)
    return t('session-floor-line', { length: Math.max(w, d), paces: Math.max(width, depth) })
  return t('session-floor-area', { w, d, width, depth })
}

/** How the blocks of a session went. */
export const logSaid = ({ done, short, skipped }: { done: number; short: number; skipped: number }) =>
  listed([
    ...(done > 0 ? [t('weeks-done', { n: done })] : []),
    ...(short > 0 ? [t('weeks-short', { n: short })] : []),
    ...(skipped > 0 ? [t('weeks-skipped', { n: skipped })] : []),
  ])

/** How far a team has moved away from its edition. */
export const driftSaid = ({ moved, harder, easier, short }: Schemas['Drift']) =>
  listed([
    ...(moved > 0 ? [t('sessions-blocks-moved', { n: moved })] : []),
    ...(harder > 0 ? [t('sessions-blocks-harder', { n: harder })] : []),
    ...(easier > 0 ? [t('sessions-blocks-easier', { n: easier })] : []),
    ...(short.length > 0 ? [t('sessions-skills-short', { n: short.length })] : []),
  ])

/** The milestones that are still missing, three of them by name. */
export const stillMissing = (names: string[]) =>
  t('board-missing', { names: listed(names.slice(0, 3)), more: Math.max(0, names.length - 3) })

export const kitSaid = ({ balls, goals, walls, bibs = 0 }: Schemas['Kit'] & { bibs?: number }) => [
  ...(balls > 0 ? [t('desk-balls', { n: balls })] : []),
  ...(goals > 0 ? [t('desk-goals', { n: goals })] : []),
  ...(walls > 0 ? [t('desk-walls', { n: walls })] : []),
  ...(bibs > 0 ? [t('session-bibs', { n: bibs })] : []),
]

/** What a session needs: markers by colour, balls, goals, walls and bibs. */
export const bringSaid = ({ kit, gear }: Pick<RunningOrder, 'kit'> & Partial<Pick<RunningOrder, 'gear'>>) =>
  [
    ...Object.entries(kit).map(([colour, n]) =>
      t('session-markers', { n, colour, name: said(`colour-${colour}`) ?? colour }),
    ),
    // A device may still hold a session of an earlier version, without the rest.
    ...(gear ? kitSaid(gear) : []),
  ].join(', ') || t('session-no-kit')

export const rolesSaid = ({ players, servers, defenders }: Schemas['Roles']) => [
  ...(players > 0 ? [t('desk-players', { n: players })] : []),
  ...(servers > 0 ? [t('desk-servers', { n: servers })] : []),
  ...(defenders > 0 ? [t('desk-defenders', { n: defenders })] : []),
]

/** A fault of a drill: in a list with its place, else as a sentence. */
export function faultSaid({ pointer, ...fact }: Schemas['InputError']): string {
  const [, part = '', nth] = pointer.split('/')
  const detail = told(fact)
  if (!/\d/.test(pointer)) return detail
  const name = said(`desk-part-${part}`) ?? part
  return nth !== undefined && /^\d+$/.test(nth)
    ? t('desk-in-nth', { part: name, n: Number(nth) + 1, detail })
    : t('desk-in-part', { part: name, detail })
}

/** What an entry is about that waits on this device. */
export function waitingSaid(w: Waiting): string {
  switch (w.kind) {
    case 'outcome':
      return t('outbox-of-block', { day: w.entry.day ?? '', outcome: t(`outcome-${w.entry.outcome}`) })
    case 'trial':
      return t('outbox-of-trial', { day: w.entry.taken_on, test: w.entry.test, value: w.entry.value })
    case 'presence':
      return w.entry.present
        ? t('outbox-here', { day: w.entry.day })
        : t('outbox-missing', { day: w.entry.day })
    case 'next_time':
      return t('outbox-next-time', { next: t(`next-time-${w.entry.next}`) })
    case 'voice':
      return t('outbox-voice', { voice: t(`voice-${w.entry.voice}`) })
    case 'note':
      return t('outbox-says', { day: w.entry.day, says: w.entry.says })
    case 'word':
      return t('outbox-says', { day: w.entry.day, says: w.entry.reason })
    case 'taken_back':
      return t('outbox-takes-back')
  }
}

/** When and where a session takes place, and who else is there. */
export const whenSaid = ({ from, to, place, beside }: Schemas['WhenWhere']) =>
  [
    t('when-said', { from, to }),
    place,
    beside.length > 0 ? t('when-beside', { teams: beside.join(', ') }) : undefined,
  ]
    .filter((each) => each)
    .join(', ')
