// What this device keeps for sessions without network: what was read, and what was entered and has not been sent.
import type { QueryClient } from '@tanstack/react-query'
import {
  type PersistedClient,
  type Persister,
  persistQueryClientRestore,
  persistQueryClientSave,
} from '@tanstack/react-query-persist-client'
import { type DBSchema, type IDBPDatabase, openDB } from 'idb'
import { useSyncExternalStore } from 'react'
import * as v from 'valibot'
import type { Waiting } from './outbox'
import { forgetChildren } from './remembered'

interface Device extends DBSchema {
  read: { key: 'all'; value: unknown }
  entered: { key: string; value: Waiting }
}

let keeps = true
const watchers = new Set<() => void>()

/** From now on nothing is promised: what is entered is in the memory of this page alone. */
function keepsNothing() {
  keeps = false
  watchers.forEach((watch) => watch())
  return undefined
}

/** Whether this device keeps what is entered when the page is closed: not in a private window or with a full disk. */
export const useKeeps = () =>
  useSyncExternalStore(
    (watch) => {
      watchers.add(watch)
      return () => void watchers.delete(watch)
    },
    () => keeps,
  )

const open = async () =>
  await openDB<Device>('jogo', 2, {
    upgrade(device, before) {
      // What was read can be read again; what was entered stays, whatever the version.
      if (before > 0) device.deleteObjectStore('read')
      device.createObjectStore('read')
      if (before < 1) device.createObjectStore('entered', { keyPath: 'key' })
    },
    terminated: keepsNothing,
  })

const opened: Promise<IDBPDatabase<Device> | undefined> = open().catch(keepsNothing)

/** Asks the browser not to clear this device's storage when the disk is full; it decides by itself. */
export const askToKeep = () => {
  if ('storage' in navigator) void navigator.storage.persist().catch(() => false)
}

const kinds = v.picklist(['outcome', 'presence', 'note', 'next_time', 'voice', 'word', 'trial', 'taken_back'])
const isWaiting = v.looseObject({
  key: v.string(),
  place: v.number(),
  // Entries of the first versions do not say whose they are.
  by: v.optional(v.string(), ''),
  kind: kinds,
  team: v.string(),
  entry: v.looseObject({ said_at: v.string() }),
})

/** Everything entered and not yet sent, in its order. What cannot be read stays where it is, and breaks nothing. */
export async function entered(): Promise<Waiting[]> {
  const all = await opened.then((device) => device?.getAll('entered')).catch(keepsNothing)
  const read = (all ?? []).flatMap((entry) => {
    const { success, output } = v.safeParse(isWaiting, entry)
    return success ? [output as Waiting] : []
  })
  return read.sort((a, b) => a.place - b.place)
}

/** Writes and removes entries, all or none; what is written has reached the disk once this is done. */
export async function keepEntered(add: Waiting[], remove: string[]) {
  try {
    const work = (await opened)?.transaction('entered', 'readwrite', { durability: 'strict' })
    if (!work) return
    await Promise.all([
      ...add.map((entry) => work.store.put(entry)),
      ...remove.map((key) => work.store.delete(key)),
      work.done,
    ])
  } catch {
    keepsNothing()
  }
}

/** What a coach needs beside a pitch and a child at home, by the first words of its key. */
const CARRIED = [
  'people session',
  'drill phrases',
  'delivery sessions',
  'delivery session',
  'delivery home',
  'assessment squad',
  'assessment board',
  'assessment sheet',
]
const KEEP_AFTER_MS = 300
const KEPT_FOR_MS = 30 * 24 * 3_600_000

const isKept = v.looseObject({
  timestamp: v.number(),
  buster: v.string(),
  clientState: v.looseObject({
    mutations: v.array(v.unknown()),
    queries: v.array(
      v.looseObject({
        queryHash: v.string(),
        queryKey: v.array(v.unknown()),
        state: v.looseObject({ data: v.unknown(), dataUpdatedAt: v.number(), status: v.literal('success') }),
      }),
    ),
  }),
})

/** What was read is kept as it was read: that a later question found no network is not kept. */
const asRead = (client: PersistedClient): PersistedClient => ({
  ...client,
  clientState: {
    mutations: [],
    queries: client.clientState.queries.map(({ queryKey, queryHash, dehydratedAt, state }) => ({
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
  },
})

const persister: Persister = {
  persistClient: async (client) => {
    await opened.then((device) => device?.put('read', asRead(client), 'all')).catch(keepsNothing)
  },
  restoreClient: async () => {
    const kept = await opened.then((device) => device?.get('read', 'all')).catch(keepsNothing)
    return v.is(isKept, kept) ? (kept as unknown as PersistedClient) : undefined
  },
  removeClient: async () => {
    await opened.then((device) => device?.delete('read', 'all')).catch(keepsNothing)
  },
}

/** Forgets everything that was read on this device: a screen that it breaks starts again. What was entered stays. */
export const forgetRead = async () => await persister.removeClient()

/** Brings back what an earlier visit read, and from now on keeps what is read. */
export async function keepRead(queryClient: QueryClient) {
  // What is carried stays in memory as long as the page is open.
  for (const key of CARRIED) queryClient.setQueryDefaults([key], { gcTime: Infinity })
  // What another version of the interface answered is not shown: its form may be another.
  const kept = { queryClient, persister, buster: __API_FORM__ }
  await persistQueryClientRestore({ ...kept, maxAge: KEPT_FOR_MS })
  // Nothing was brought back: what is remembered of children beside it has had its time as well.
  if (queryClient.getQueryCache().getAll().length === 0) forgetChildren()
  // It is shown at once, and asked for again all the same.
  void queryClient.invalidateQueries()
  let waits: ReturnType<typeof setTimeout> | undefined
  keepReadNow = async () => {
    clearTimeout(waits)
    waits = undefined
    await persistQueryClientSave({
      ...kept,
      dehydrateOptions: {
        shouldDehydrateQuery: ({ queryKey, state }) =>
          CARRIED.includes(queryKey.slice(0, 2).join(' ')) && state.data != null,
        shouldDehydrateMutation: () => false,
      },
    })
  }
  queryClient.getQueryCache().subscribe((event) => {
    // A question that is asked, or fails, changes nothing of what was read.
    if (event.type === 'removed' || (event.type === 'updated' && event.action.type === 'success'))
      waits ??= setTimeout(() => void keepReadNow(), KEEP_AFTER_MS)
  })
}

/** Keeps what was read without waiting for more. */
export let keepReadNow: () => Promise<void> = () => Promise.resolve()
