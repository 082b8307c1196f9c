// The looks of a session: whom to look at, and what was seen, with what still waits on this device.
import type { Schemas } from '../../../api/client'
import { useOutbox } from '../../../storage/outbox'
import { enterTrial, takeTrialBack } from '../../assessment/test/trials'
import type { SessionHeld, SessionOf } from './log'

type Look = Schemas['Look']
type Had = Pick<Schemas['LookHad'], 'trial' | 'marks'>

const NOTHING: Schemas['SessionEyes'] = { watches: [], looked: [] }

export function useLooks(
  { team, day }: Pick<SessionOf, 'team' | 'day'>,
  { eyes = NOTHING }: SessionHeld,
  today: string,
) {
  const waiting = useOutbox().filter((w) => !w.refused && w.team === team)
  const had = new Map<string, Had>()
  const nameOf = (test: string, player: string) => `${test} ${player}`
  for (const { test, player, ...look } of eyes.looked) had.set(nameOf(test, player), look)
  for (const { kind, entry } of waiting) {
    if (kind === 'trial' && entry.taken_on === day && entry.marks?.length)
      had.set(nameOf(entry.test, entry.player), { trial: entry.id, marks: entry.marks })
    if (kind === 'taken_back')
      had.forEach((look, name) => {
        if (look.trial === entry.trial) had.delete(name)
      })
  }
  const of = (look: Look, player: string) => had.get(nameOf(look.test, player))
  return {
    day,
    /** Whether anything can be entered: not before the day has come. */
    open: day <= today,
    /** What was seen of a player on this day. */
    of,
    /** Whom to look at, in the order of the squad: in place of whoever is missing comes the next. */
    proposed: <P extends { id: string }>(look: Look, squad: P[], missing: Set<string> | null): P[] => {
      const watch = eyes.watches.find((w) => w.block === look.block && w.milestone === look.milestone)
      const ranked = [...(watch?.players ?? []), ...(watch?.instead ?? [])].filter((id) => !missing?.has(id))
      const first = new Set(ranked.slice(0, watch?.players.length))
      return squad.filter(({ id }) => first.has(id) || of(look, id))
    },
    enter: (look: Look, player: string, marks: number[]) => {
      const value = marks.reduce((sum, each) => sum + each, 0)
      const trial = { player, test: look.test, taken_on: day, side: null, value, marks }
      enterTrial(team, { ...trial, origin: 'entered' }, of(look, player)?.trial)
    },
    takeBack: (look: Look, player: string) => {
      const before = of(look, player)
      if (before) takeTrialBack(team, before.trial)
    },
  }
}

export type Looks = ReturnType<typeof useLooks>
