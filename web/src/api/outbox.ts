// What was entered on this device and has not reached the server yet. An entry stays here, over reloads, until the
// server has taken it; its id is made here, so that sending it twice does no harm.
import { useSyncExternalStore } from 'react'
import { api, ProblemError, type Schemas } from './client'

export type Outgoing =
  | { kind: 'outcome'; team: string; entry: Schemas['Saying'] }
  | { kind: 'trial'; team: string; entry: Schemas['TrialSaid'] }
  | { kind: 'taken_back'; team: string; entry: Schemas['TakenBackSaid'] }

export type Waiting = Outgoing & { key: string; refused?: string }

const PLACE = 'jogo.outbox'
const RETRY_MS = 5_000

let waiting: Waiting[] = JSON.parse(localStorage.getItem(PLACE) ?? '[]') as Waiting[]
let sending = false
const watchers = new Set<() => void>()
const arrivals = new Set<() => void>()

function keep(next: Waiting[]) {
  waiting = next
  localStorage.setItem(PLACE, JSON.stringify(waiting))
  watchers.forEach((watch) => watch())
}

async function send({ kind, team, entry }: Waiting) {
  const params = { path: { team } }
  if (kind === 'outcome') await api.POST('/teams/{team}/outcomes', { params, body: { entries: [entry] } })
  else if (kind === 'trial') await api.POST('/teams/{team}/trials', { params, body: { trials: [entry] } })
  else await api.POST('/teams/{team}/trials', { params, body: { trials: [], taken_back: [entry] } })
}

/** Sends what waits, in its order; stops at the first that does not get through, and goes on later. */
export async function flush() {
  if (sending) return
  sending = true
  try {
    for (;;) {
      const next = waiting.find((w) => !w.refused)
      if (!next) break
      try {
        await send(next)
        keep(waiting.filter((w) => w.key !== next.key))
      } catch (error) {
        const refused = error instanceof ProblemError && error.status >= 400 && error.status < 500 && error.status !== 401
        if (!refused) break
        // The server will never take it: it stays, with the reason, until the coach has seen it.
        keep(waiting.map((w) => (w.key === next.key ? { ...w, refused: error.message } : w)))
      }
    }
  } finally {
    sending = false
  }
  arrivals.forEach((arrived) => arrived())
}

export function put(...entries: Outgoing[]) {
  keep([...waiting, ...entries.map((entry) => ({ ...entry, key: crypto.randomUUID() }))])
  void flush()
}

export function dropRefused() {
  keep(waiting.filter((w) => !w.refused))
}

/** Calls back whenever entries have reached the server. */
export function onArrival(arrived: () => void) {
  arrivals.add(arrived)
  return () => void arrivals.delete(arrived)
}

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
  if (waiting.some((w) => !w.refused)) void flush()
}, RETRY_MS)
