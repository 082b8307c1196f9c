// Laying the plan out, and looking for a better one meanwhile: round by round, each twice as long, until nothing more
// is found. What is found is offered; the plan changes only when the director takes it.
import { useCallback, useEffect, useRef, useState } from 'react'
import { api, type Curriculum, data, type Schemas } from '../../api/client'
import type { useChanges } from './queries'

/** A search, and what it has found: both belong to the version of the plan that it was begun with. */
interface Found {
  version: number
  offer: Schemas['Offer']
}

export function useLaying(view: Curriculum, { solve, take }: ReturnType<typeof useChanges>) {
  const { id, version } = view
  const [searching, setSearching] = useState(false)
  const [found, setFound] = useState<Found | null>(null)
  const running = useRef<{ version: number; ends: AbortController } | null>(null)
  const stop = useCallback(() => {
    running.current?.ends.abort()
    running.current = null
    setSearching(false)
  }, [])
  const search = async (version: number) => {
    stop()
    const ends = new AbortController()
    running.current = { version, ends }
    setFound(null)
    setSearching(true)
    const params = { path: { id }, header: { 'If-Match': `"${version}"` } }
    try {
      let from: Schemas['PlanForm'] | null = null
      for (let round = 0, more = true; more; round++) {
        const asked = api.POST('/curricula/{id}/improve', {
          params,
          body: { round, from },
          signal: ends.signal,
        })
        const improved: Schemas['Improved'] = await data(asked)
        const { offer } = improved
        if (offer) setFound({ version, offer })
        from = offer?.plan ?? from
        more = improved.more
      }
    } catch {
      // The plan has changed meanwhile, or nobody waits any more: there is nothing to offer.
    }
    if (!ends.signal.aborted) stop()
  }
  // Another version of the plan, or another plan, ends the search.
  useEffect(() => {
    if (running.current && running.current.version !== version) stop()
  }, [version, stop])
  useEffect(() => (id ? stop : undefined), [id, stop])
  const offer = found?.version === version ? found.offer : null
  return {
    /** Whether a better plan is looked for. */
    searching,
    /** The best plan that was found. */
    offer,
    layAgain: () => {
      if (solve.isPending) return
      stop()
      const near = view.stitches.length > 0
      solve.mutate({ near }, { onSuccess: (next) => void search(next.version) })
    },
    lookLonger: () => void search(version),
    stop,
    take: () => {
      if (!offer) return
      stop()
      take.mutate(offer.plan)
    },
    leave: () => {
      stop()
      setFound(null)
    },
  }
}

export type Laying = ReturnType<typeof useLaying>
