import { useState } from 'react'
import { type Ground, useAcademy } from './queries'

/** Where drills are looked at until the academy has named its halls. */
const HALL: Ground = {
  width_m: 18,
  depth_m: 12,
  margin_m: 1,
  run_off_m: 0.5,
  squad: 14,
  markers: 80,
  adults: 1,
}

/** The floor and squad that a drill is looked at for: what was chosen, else the academy's hall or first ground. */
export function useGround() {
  const grounds = useAcademy().data?.academy.grounds ?? {}
  const [chosen, setGround] = useState<Ground | null>(null)
  return { grounds, ground: chosen ?? grounds['School hall'] ?? Object.values(grounds)[0] ?? HALL, setGround }
}

/** A percentage that was typed, as a share; undefined if nothing was. */
export const asShare = (percent: number | null) =>
  percent === null ? null : Math.min(Math.max(percent, 0), 100) / 100
