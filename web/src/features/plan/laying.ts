// Laying the plan out: once, or again and again for as long as the director waits.
import { useRef, useState } from 'react'
import type { Curriculum } from '../../api/client'
import type { useChanges } from './queries'

/** How often a longer search looks again. */
export const TRIES = 12

export function useLaying(view: Curriculum, solve: ReturnType<typeof useChanges>['solve']) {
  const [longer, setLonger] = useState<number | null>(null)
  const stopped = useRef(false)
  // A longer search keeps what is better, and can be stopped at any time.
  const lookOn = (tries: number) => {
    setLonger(tries)
    solve.mutate(
      { near: false, onlyBetter: true, seed: tries + 1 },
      {
        onSuccess: () => (stopped.current || tries + 1 >= TRIES ? setLonger(null) : lookOn(tries + 1)),
        onError: () => setLonger(null),
      },
    )
  }
  return {
    /** How often a longer search has looked again; null while none runs. */
    longer,
    layAgain: () => {
      if (!solve.isPending) solve.mutate({ near: view.stitches.length > 0 })
    },
    lookLonger: () => {
      stopped.current = false
      lookOn(0)
    },
    stop: () => {
      stopped.current = true
    },
  }
}

export type Laying = ReturnType<typeof useLaying>
