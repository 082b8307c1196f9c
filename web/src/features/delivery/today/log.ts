// What is known of a session: what the server knows, and over it what still waits on this device.
import { newId, type RunningBlock, type Schemas } from '../../../api/client'
import { put, useOutbox } from '../../../storage/outbox'

export type Outcome = Schemas['Outcome']
export type BlockLog = Schemas['OutcomeView']
export type BlockSaid = Omit<BlockLog, 'block'>

/** Which block: its own name, or its place in the session where it was read before blocks had names. */
export type BlockName = string | number

export const nameOf = (block: RunningBlock, place: number): BlockName => block.id ?? place

export interface SessionOf {
  team: string
  edition: string
  session: number
  day: string
}

export function useLog({ team, edition, session, day }: SessionOf, known: Schemas['LogView']) {
  const waiting = useOutbox().filter((w) => !w.refused && w.team === team)
  const outcomes = new Map<BlockName, BlockLog>(known.outcomes.map((outcome) => [outcome.block, outcome]))
  const presence = new Map<string, boolean>()
  let note = known.note
  for (const { kind, entry } of waiting) {
    if (kind === 'outcome' && entry.edition === edition && entry.session === session)
      outcomes.set(entry.block, { ...entry, block: String(entry.block) })
    if (kind === 'presence' && entry.day === day) presence.set(entry.player, entry.present)
    if (kind === 'note' && entry.day === day) note = entry.says
  }
  const missing = new Set(known.missing ?? [])
  presence.forEach((present, player) => (present ? missing.delete(player) : missing.add(player)))
  const now = () => ({ id: newId(), said_at: new Date().toISOString() })
  return {
    outcomes,
    note,
    /** Who was missing; undefined if nobody has said who was there. */
    missing: known.missing || presence.size > 0 ? missing : null,
    say: (block: BlockName, said: BlockSaid) =>
      put({ kind: 'outcome', team, entry: { ...now(), edition, session, day, block, ...said } }),
    sayPresence: (players: string[], present: boolean) =>
      put(
        ...players.map((player) => ({
          kind: 'presence' as const,
          team,
          entry: { ...now(), player, day, present },
        })),
      ),
    sayNote: (says: string) => put({ kind: 'note', team, entry: { ...now(), day, says } }),
  }
}

export type SessionLog = ReturnType<typeof useLog>
