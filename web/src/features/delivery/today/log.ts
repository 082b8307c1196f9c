// What is known of a session: what the server knows, and over it what still waits on this device.
import { newId, type RunningBlock, type Schemas } from '../../../api/client'
import { put, useOutbox } from '../../../storage/outbox'

export type Outcome = Schemas['Outcome']
export type BlockLog = Schemas['OutcomeView']
export type BlockSaid = Omit<BlockLog, 'block'>

/** Which block: its own name, or its place in the session where it was read before blocks had names. */
export type BlockName = string | number

export const nameOf = (block: RunningBlock, place: number): BlockName => block.id ?? place

/** What came to sessions later: a device may still hold one of an earlier version without it. */
type Later = 'when' | 'coming' | 'voices' | 'stepped' | 'not_met' | 'eyes'

/** A session as a device may hold it. */
export type SessionHeld = Omit<Schemas['TeamSession'], Later | 'log'> &
  Partial<Pick<Schemas['TeamSession'], Later>> & {
    log: Omit<Schemas['LogView'], 'note_about'> & Partial<Pick<Schemas['LogView'], 'note_about'>>
  }

type OwnVoice = Pick<Schemas['OwnVoice'], 'voice' | 'says' | 'answer'>

export interface SessionOf {
  team: string
  edition: string
  session: number
  day: string
}

export function useLog(
  { team, edition, session, day }: SessionOf,
  { log: known, coming = [], voices = [] }: SessionHeld,
) {
  const waiting = useOutbox().filter((w) => !w.refused && w.team === team)
  const outcomes = new Map<BlockName, BlockLog>(known.outcomes.map((outcome) => [outcome.block, outcome]))
  const presence = new Map<string, boolean>()
  const decided = new Map(coming.map((each) => [each.after, each.decided ?? undefined]))
  const said = new Map(voices.map((each): [string, OwnVoice] => [each.drill, each]))
  let note = { says: known.note, about: (known.note_about ?? []).map((player) => player.id) }
  for (const { kind, entry } of waiting) {
    if (kind === 'outcome' && entry.edition === edition && entry.session === session)
      outcomes.set(entry.block, { ...entry, block: String(entry.block) })
    if (kind === 'presence' && entry.day === day) presence.set(entry.player, entry.present)
    if (kind === 'next_time' && entry.edition === edition) decided.set(entry.after, entry.next)
    if (kind === 'voice') said.set(entry.drill, { ...entry, says: entry.says ?? '' })
    if (kind === 'note' && entry.day === day) note = { says: entry.says, about: entry.about ?? [] }
  }
  const missing = new Set(known.missing ?? [])
  presence.forEach((present, player) => (present ? missing.delete(player) : missing.add(player)))
  const now = () => ({ id: newId(), said_at: new Date().toISOString() })
  return {
    outcomes,
    /** What comes next of the skills of a block. */
    comingAfter: (block: BlockName) => coming.find((each) => each.after === block),
    /** What was decided for the next time after a block. */
    decidedAfter: (block: BlockName) => decided.get(String(block)),
    decide: (after: BlockName, next: Schemas['NextTime']) =>
      put({
        kind: 'next_time',
        team,
        entry: { edition, after: String(after), next, said_at: new Date().toISOString() },
      }),
    /** What was said to the director of a drill. */
    voiceOf: (drill: string) => said.get(drill),
    tell: (drill: string, voice: Schemas['Voice'], says: string) =>
      put({ kind: 'voice', team, entry: { ...now(), drill, voice, says } }),
    note,
    /** Who was missing; undefined if nobody has said who was there. */
    missing: known.missing || presence.size > 0 ? missing : null,
    // What is changed may be an entry that still waits here: of that only what was said is taken, never its id.
    say: (block: BlockName, { outcome, minutes, success, ran }: BlockSaid) =>
      put({
        kind: 'outcome',
        team,
        entry: { ...now(), edition, session, day, block, outcome, minutes, success, ran },
      }),
    sayPresence: (players: string[], present: boolean) =>
      put(
        ...players.map((player) => ({
          kind: 'presence' as const,
          team,
          entry: { ...now(), player, day, present },
        })),
      ),
    sayNote: (says: string, about: string[]) =>
      put({ kind: 'note', team, entry: { ...now(), day, says, about } }),
  }
}

export type SessionLog = ReturnType<typeof useLog>
