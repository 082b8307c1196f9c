// Plays a score: the count goes on by the tempo, frame by frame, until it is stopped.
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
  // Whatever changes while it plays holds from the next frame on.
  const latest = useRef({ feet, beat, onCount })
  useEffect(() => {
    latest.current = { feet, beat, onCount }
  })
  const now = useRef({ count: 0, round: 0, passed: 0 })

  useEffect(() => {
    if (!playing) return
    let [frame, before] = [0, performance.now()]
    const begin = () => {
      const { count, round } = now.current
      setAt({ count, round })
      latest.current.onCount(count, round)
    }
    const step = (time: number) => {
      const { counts } = latest.current.feet
      now.current.passed += (time - before) / 1000
      before = time
      let length = lastsOf(counts[now.current.count], latest.current.beat)
      while (now.current.passed >= length) {
        now.current.passed -= length
        now.current.count = (now.current.count + 1) % counts.length
        if (now.current.count === 0) now.current.round += 1
        begin()
        length = lastsOf(counts[now.current.count], latest.current.beat)
      }
      picture.current?.show(now.current.count, now.current.passed / length)
      frame = requestAnimationFrame(step)
    }
    now.current = { count: 0, round: 0, passed: 0 }
    begin()
    frame = requestAnimationFrame(step)
    return () => cancelAnimationFrame(frame)
  }, [playing, picture])

  const look = useCallback(
    (count: number) => {
      setPlaying(false)
      setAt({ count, round: 0 })
      picture.current?.show(count, LOOKED_AT)
    },
    [picture],
  )
  return { ...at, playing, play: () => setPlaying(true), stop: () => setPlaying(false), look }
}

/** A count never takes no time, whatever a device has kept. */
const lastsOf = (count: Feet['counts'][number] | undefined, beat: number) =>
  Math.max(0.1, count ? lasts(count, beat) : beat)
