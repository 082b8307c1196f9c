// What was entered on this device and has not reached the server yet. An entry stays here, over reloads and restarts,
// until the server has taken it; its id is made here, so that sending it twice does no harm.
import { useSyncExternalStore } from 'react'
import { api, newId, ProblemError, type Schemas } from '../api/client'
import { askToKeep, entered, keepEntered } from './device'
import { deviceCount } from './remembered'

export type Outgoing =
  | { kind: 'outcome'; team: string; entry: Schemas['OutcomeSaid'] }
  | { kind: 'presence'; team: string; entry: Schemas['PresenceSaid'] }
  | { kind: 'note'; team: string; entry: Schemas['NoteSaid'] }
  | { kind: 'next_time'; team: string; entry: Schemas['NextTimeSaid'] }
  | { kind: 'voice'; team: string; entry: Schemas['VoiceSaid'] }
  | { kind: 'word'; team: string; entry: Schemas['WordSaid'] }
  | { kind: 'trial'; team: string; entry: Schemas['TrialSaid'] }
  | { kind: 'taken_back'; team: string; entry: Schemas['TakenBackSaid'] }

export type Waiting = Outgoing & {
  key: string
  /** Its place in the order of entering. */
  place: number
  /** Who entered it. */
  by: string
  /** The server has it; it is shown until it has been read back. */
  sent?: true
  /** Why the server will not take it. */
  refused?: string
}

const RETRY_MS = 5_000

let waiting: Waiting[] = []
let person = ''
let readBack: (sent: Waiting[]) => Promise<unknown> = () => Promise.resolve()
const watchers = new Set<() => void>()
// Other pages of this device have the same entries before them.
const others = new BroadcastChannel('jogo.outbox')

/** This device, and how far it has counted what was entered on it. */
function counted(entries: number) {
  const before = deviceCount.read()
  const device = before.id === '' ? newId() : before.id
  deviceCount.write({ id: device, count: before.count + entries })
  return before.count
}

const sender = (): Schemas['Sender'] => ({ device: deviceCount.read().id, sent_at: new Date().toISOString() })

function show(next: Waiting[]) {
  waiting = next
  watchers.forEach((watch) => watch())
}

async function reread() {
  show(await entered())
}

async function keep(add: Waiting[], remove: string[]) {
  await keepEntered(add, remove)
  others.postMessage(null)
}

others.onmessage = () => void reread()

/** Reads what still waits from an earlier visit. */
export const openOutbox = reread

/**
 * Whose entries are sent: each person's own. What the server did not take is tried once more, since a team may have
 * been given back meanwhile; what nobody is known to have entered is theirs.
 */
export async function sendFor(id: string) {
  person = id
  askToKeep()
  const changed = waiting.flatMap((w): Waiting[] => {
    const { refused, ...entry } = w
    if (w.by === '') return [{ ...entry, by: id }]
    return refused !== undefined && w.by === id ? [entry] : []
  })
  await replace(changed)
  await flush()
}

/** Nobody is signed in here: nothing is sent until somebody is. What waits stays, each entry for whoever entered it. */
export function sendForNobody() {
  person = ''
}

/** Where an entry goes. */
const PLACES = {
  outcome: 'log',
  presence: 'log',
  note: 'log',
  next_time: 'next-times',
  voice: 'voices',
  word: 'words',
  trial: 'trials',
  taken_back: 'trials',
} as const satisfies Record<Outgoing['kind'], string>
const goesTo = ({ kind }: Waiting) => PLACES[kind]

/** Sends entries of one team that go to one place. */
async function send(batch: Waiting[]) {
  const of = <K extends Waiting['kind']>(kind: K) =>
    batch
      .filter((w): w is Extract<Waiting, { kind: K }> => w.kind === kind)
      .map((w) => w.entry as Extract<Waiting, { kind: K }>['entry'])
  const [first] = batch
  if (!first) return
  const params = { path: { team: first.team } }
  if (goesTo(first) === 'words')
    await api.POST('/teams/{team}/words', { params, body: { words: of('word'), sender: sender() } })
  else if (goesTo(first) === 'next-times')
    await api.POST('/teams/{team}/next-times', {
      params,
      body: { next_times: of('next_time'), sender: sender() },
    })
  else if (goesTo(first) === 'voices')
    await api.POST('/teams/{team}/voices', { params, body: { voices: of('voice'), sender: sender() } })
  else if (goesTo(first) === 'trials')
    await api.POST('/teams/{team}/trials', {
      params,
      body: { trials: of('trial'), taken_back: of('taken_back'), sender: sender() },
    })
  else
    await api.POST('/teams/{team}/log', {
      params,
      body: { outcomes: of('outcome'), presence: of('presence'), notes: of('note'), sender: sender() },
    })
}

const MOST_AT_ONCE = 100

/** As many of the first entries as may go together. */
function together(all: Waiting[]) {
  const [first] = all
  const other = all.findIndex((w) => w.team !== first?.team || goesTo(w) !== goesTo(first))
  return all.slice(0, other < 0 ? MOST_AT_ONCE : Math.min(other, MOST_AT_ONCE))
}

const mine = () => waiting.filter((w) => !w.refused && w.by === person && person !== '')
const unsent = () => mine().filter((w) => !w.sent)

async function replace(entries: Waiting[]) {
  const changed = new Map(entries.map((entry) => [entry.key, entry]))
  show(waiting.map((w) => changed.get(w.key) ?? w))
  await keep(entries, [])
}

/** Sends what waits, in its order; stops where nothing gets through, and goes on later. */
export async function flush() {
  // One page at a time sends.
  await navigator.locks.request('jogo.outbox', { ifAvailable: true }, async (lock) => {
    if (!lock) return
    let alone = false
    for (let batch = together(unsent()); batch.length > 0; batch = together(unsent())) {
      if (alone) batch = batch.slice(0, 1)
      try {
        await send(batch)
      } catch (error) {
        const refused =
          error instanceof ProblemError && error.status >= 400 && error.status < 500 && error.status !== 401
        if (!refused) break
        // What the server will never take stays, with the reason, until the coach has seen it; the others go without
        // it.
        if (batch.length === 1) await replace(batch.map((w) => ({ ...w, refused: error.message })))
        alone = batch.length > 1
        continue
      }
      alone = false
      await replace(batch.map((w) => ({ ...w, sent: true })))
    }
    const sent = mine().filter((w) => w.sent)
    if (sent.length === 0) return
    try {
      await readBack(sent)
    } catch {
      return // The network went meanwhile: what was sent is shown from here, and read back later.
    }
    show(waiting.filter((w) => !sent.includes(w)))
    await keep(
      [],
      sent.map((w) => w.key),
    )
  })
}

export function put(...entries: Outgoing[]) {
  const last = waiting.at(-1)?.place ?? 0
  const count = counted(entries.length)
  const added = entries.map((outgoing, i) => {
    const entry = { ...outgoing.entry, count: count + 1 + i }
    return { ...outgoing, entry, key: newId(), place: last + 1 + i, by: person } as Waiting
  })
  show([...waiting, ...added])
  void keep(added, []).finally(() => void flush())
}

/** Lets go what the server did not take of somebody's entries: only whoever entered it decides that. */
export function dropRefused() {
  const refused = waiting.filter((w) => w.refused && w.by === person).map((w) => w.key)
  show(waiting.filter((w) => !refused.includes(w.key)))
  void keep([], refused)
}

/** Lets go what others entered here and was not sent: a director decides that. */
export function dropOthers() {
  const others = waiting.filter((w) => w.by !== person && !w.sent).map((w) => w.key)
  show(waiting.filter((w) => !others.includes(w.key)))
  void keep([], others)
}

/** How to read back what was sent. */
export function readingBack(by: typeof readBack) {
  readBack = by
}

/** Everything entered here that the server is not known to show. */
export function useOutbox() {
  return useSyncExternalStore(
    (watch) => {
      watchers.add(watch)
      return () => void watchers.delete(watch)
    },
    () => waiting,
  )
}

window.addEventListener('online', () => void flush())
setInterval(() => {
  if (mine().length > 0) void flush()
}, RETRY_MS)
