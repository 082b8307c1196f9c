// Plays a score: the count goes on by the tempo until it is stopped.
import { type RefObject, useCallback, useEffect, useRef, useState } from 'react'
import type { Mover } from './FeetPicture'
import { type Feet, lasts } from './moving'

interface Options {
  feet: Feet
  /** Seconds of a beat. */
  beat: number
  picture: RefObject<Mover | null>
  /** A count begins. */
  onCount: (count: number, round: number) => void
}

/** How much of a count is shown when it is looked at alone: the touch, and the ball on its way. */
export const LOOKED_AT = 0.5

export function usePlayer({ feet, beat, picture, onCount }: Options) {
  const [at, setAt] = useState({ count: 0, round: 0 })
  const [playing, setPlaying] = useState(false)
  const said = useRef(onCount)
  useEffect(() => {
    said.current = onCount
  })
  const now = useRef({ count: 0, round: 0, began: 0 })

  // What changes in the middle of a count goes on from there.
  useEffect(() => {
    if (!playing) return
    let [timer, live] = [0, true]
    const go = () => {
      const { count, began } = now.current
      const length = lastsOf(feet.counts[count], beat)
      const passed = Math.min(length, (performance.now() - began) / 1000)
      picture.current?.play(count, length, passed)
      timer = window.setTimeout(() => next(began + length * 1000), (length - passed) * 1000)
    }
    // A count begins when the one before should have ended, so that no delay adds up; after a long one it begins now.
    const next = (due: number) => {
      const late = performance.now() - due
      const count = (now.current.count + 1) % feet.counts.length
      const round = now.current.round + (count === 0 ? 1 : 0)
      now.current = { count, round, began: late > LONG ? performance.now() : due }
      setAt({ count, round })
      said.current(count, round)
      if (live) go()
    }
    go()
    return () => {
      live = false
      window.clearTimeout(timer)
    }
  }, [playing, feet, beat, picture])

  const play = () => {
    now.current = { count: 0, round: 0, began: performance.now() }
    setAt({ count: 0, round: 0 })
    setPlaying(true)
    onCount(0, 0)
  }
  const look = useCallback(
    (count: number) => {
      setPlaying(false)
      setAt({ count, round: 0 })
      picture.current?.show(count, LOOKED_AT)
    },
    [picture],
  )
  return { ...at, playing, play, stop: () => setPlaying(false), look }
}

/** A page that was hidden has missed more than this, in milliseconds. */
const LONG = 400

/** A count never takes no time, whatever a device has kept. */
const lastsOf = (count: Feet['counts'][number] | undefined, beat: number) =>
  Math.max(0.1, count ? lasts(count, beat) : beat)
