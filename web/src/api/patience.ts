// Some answers of a large academy take a while: the server says how far it has come, and is asked again until it is
// done.
import { useSyncExternalStore } from 'react'
import type { components } from './schema'

type UnderWay = components['schemas']['UnderWay']

/** How long it is waited until it is asked again, in milliseconds. */
const AGAIN_MS = 400

/** What is waited for, by address. */
const waiting = new Map<string, UnderWay>()
const watchers = new Set<() => void>()
let last: UnderWay | undefined

function say(address: string, howFar: UnderWay | undefined) {
  if (howFar) waiting.set(address, howFar)
  else if (!waiting.delete(address)) return
  last = [...waiting.values()].at(-1)
  for (const watcher of watchers) watcher()
}

/** Asks until there is an answer. */
export async function patiently(request: Request): Promise<Response> {
  try {
    for (;;) {
      const response = await fetch(request.clone())
      if (response.status !== 202) return response
      say(request.url, (await response.json()) as UnderWay)
      await new Promise((after) => setTimeout(after, AGAIN_MS))
      request.signal.throwIfAborted()
    }
  } finally {
    say(request.url, undefined)
  }
}

/** How far the server has come with what is waited for; nothing if it answers at once. */
export function useUnderWay(): UnderWay | undefined {
  return useSyncExternalStore(
    (watch) => {
      watchers.add(watch)
      return () => void watchers.delete(watch)
    },
    () => last,
  )
}
