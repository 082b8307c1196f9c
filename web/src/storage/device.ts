// What this device keeps for evenings without network: what was read, and what was entered and has not been sent.
import { type DehydratedState, dehydrate, hydrate, type QueryClient } from '@tanstack/react-query'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import type { Waiting } from './outbox'

interface Device extends DBSchema {
  read: { key: 'all'; value: DehydratedState }
  entered: { key: string; value: Waiting }
}

const opened: Promise<IDBPDatabase<Device> | undefined> = openDB<Device>('jogo', 1, {
  upgrade(device) {
    device.createObjectStore('read')
    device.createObjectStore('entered', { keyPath: 'key' })
  },
  // A browser that keeps nothing (a private window, a full disk) still shows everything while the page is open.
}).catch(() => undefined)

/** Everything entered and not yet sent, in its order. */
export async function entered(): Promise<Waiting[]> {
  const all = (await (await opened)?.getAll('entered')) ?? []
  return all.sort((a, b) => a.place - b.place)
}

/** Writes and removes entries, all or none; what is written has reached the disk once this is done. */
export async function keepEntered(add: Waiting[], remove: string[]) {
  const work = (await opened)?.transaction('entered', 'readwrite', { durability: 'strict' })
  if (!work) return
  await Promise.all([
    ...add.map((entry) => work.store.put(entry)),
    ...remove.map((key) => work.store.delete(key)),
    work.done,
  ])
}

/** What a coach needs beside a pitch, by the first word of its key. */
const CARRIED = ['session', 'evenings', 'evening', 'squad', 'board', 'sheet']
const KEEP_AFTER_MS = 300

/** What was read is kept as it was read: that a later question found no network is not kept. */
function asRead(queries: QueryClient): DehydratedState {
  const state = dehydrate(queries, {
    shouldDehydrateQuery: ({ queryKey, state }) =>
      CARRIED.includes(String(queryKey[0])) && state.data != null,
    shouldDehydrateMutation: () => false,
  })
  return {
    mutations: [],
    queries: state.queries.map(({ queryKey, queryHash, dehydratedAt, state }) => ({
      queryKey,
      queryHash,
      dehydratedAt,
      state: {
        ...state,
        status: 'success',
        error: null,
        fetchFailureCount: 0,
        fetchFailureReason: null,
        fetchStatus: 'idle',
      },
    })),
  }
}

/** Brings back what an earlier visit read, and from now on keeps what is read. */
export async function keepRead(queries: QueryClient) {
  // What is carried stays in memory as long as the page is open.
  for (const key of CARRIED) queries.setQueryDefaults([key], { gcTime: Infinity })
  const device = await opened
  const kept = await device?.get('read', 'all')
  if (kept) hydrate(queries, kept)
  // It is shown at once, and asked for anew all the same.
  void queries.invalidateQueries()
  if (!device) return
  let waits: ReturnType<typeof setTimeout> | undefined
  keepReadNow = async () => {
    clearTimeout(waits)
    waits = undefined
    await device.put('read', asRead(queries), 'all')
  }
  queries.getQueryCache().subscribe(({ type }) => {
    if (type === 'updated' || type === 'removed')
      waits ??= setTimeout(() => void keepReadNow(), KEEP_AFTER_MS)
  })
}

/** Keeps what was read without waiting for more. */
export let keepReadNow: () => Promise<void> = () => Promise.resolve()
