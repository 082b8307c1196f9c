// Where the director is on the plan: a session, a line or a block in it, and the panel beside it. The address keeps it.
import { useEffect, useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { Curriculum } from '../../api/client'
import { rowsOf } from './floor/scale'
import { useDelivered } from './queries'

/** A session, and a line or a block in it. */
export interface At {
  session: number
  skill?: string
  block?: number
}

export const PANELS = ['session', 'wishes', 'compare', 'feet', 'forecast'] as const
export type Panel = (typeof PANELS)[number]

/** What the plan is looked at as: its weeks, or what shows its goals. */
export const LOOKS = ['weeks', 'benchmarks'] as const
export type Look = (typeof LOOKS)[number]

/** Whether the address bar is still at the plan: it changes before the surface does. */
export const isHere = () => window.location.pathname.startsWith('/plan')

/** The address holds what is chosen, so that a link shows the same; keys may come faster than addresses change. */
export function useAt(view: Curriculum) {
  const [address, setAddress] = useSearchParams()
  const last = Math.max(view.sessions.length, 1) - 1
  // An address without a session leads to today's, or the next one, until another is chosen.
  const [chosen, choose] = useState<At | null>(() =>
    address.has('session')
      ? {
          session: Math.min(Math.max(Number(address.get('session')) - 1, 0), last) || 0,
          skill: address.get('skill') ?? undefined,
          block:
            address.has('skill') && !address.has('block')
              ? undefined
              : Math.max(Number(address.get('block') ?? 1) - 1, 0) || 0,
        }
      : null,
  )
  const today = useDelivered(view.id).data?.today
  const coming = view.sessions.findIndex((session) => today !== undefined && session.date >= today)
  const at = useMemo(() => chosen ?? { session: Math.max(coming, 0), block: 0 }, [chosen, coming])
  const setAt = (next: At | ((now: At) => At)) =>
    choose((now) => (typeof next === 'function' ? next(now ?? at) : next))
  const [panel, setPanel] = useState<Panel>(
    () => PANELS.find((each) => each === address.get('panel')) ?? 'session',
  )
  const [look, setLook] = useState<Look>(() => LOOKS.find((each) => each === address.get('look')) ?? 'weeks')
  useEffect(() => {
    const next: Record<string, string> = { session: String(at.session + 1) }
    if (at.skill) next.skill = at.skill
    if (at.block !== undefined) next.block = String(at.block + 1)
    if (panel !== 'session') next.panel = panel
    if (look !== 'weeks') next.look = look
    if (isHere()) setAddress(next, { replace: true })
  }, [at, panel, look, setAddress])

  /** Goes this many lines and sessions on, and stays on the floor. */
  const step = (lines: number, sessions: number) =>
    setAt((now) => {
      const rows = rowsOf(view)
      const row = rows.findIndex((skill) => skill.id === now.skill)
      const skill =
        lines === 0 && row < 0 ? undefined : rows[Math.min(Math.max(row + lines, 0), rows.length - 1)]?.id
      const session = Math.min(Math.max(now.session + sessions, 0), last)
      const stitch = view.stitches.find((s) => s.skill === skill && s.session === session)
      return { session, skill, block: skill ? stitch?.block : 0 }
    })

  // A plan may have become shorter than the place that was chosen.
  const session = Math.min(at.session, last)
  const block = view.sessions[session]?.blocks[at.block ?? -1] ? at.block : undefined
  return { at: { session, skill: at.skill, block }, setAt, step, panel, setPanel, look, setLook }
}
