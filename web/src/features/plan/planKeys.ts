// What the keys do on the plan.
import type { Curriculum } from '../../api/client'
import { type Acts, onControl, useKeys } from '../../ui/keys'
import { STAGES } from '../../ui/stages'
import type { At } from './at'
import type { Edit } from './queries'

interface PlanKeys {
  view: Curriculum
  at: At
  /** While a dialog is open. */
  paused: boolean
  /** Steps this many rows and sessions on. */
  onStep: (rows: number, sessions: number) => void
  onEdit: (what: Edit) => void
  /** Opens what is chosen. */
  onOpen: () => void
  onSolve: () => void
  onUndo: () => void
  onPublish: () => void
}

/** Arrows go about, and with Shift move the chosen block; letters do what the buttons do. */
export function usePlanKeys({
  view,
  at,
  paused,
  onStep,
  onEdit,
  onOpen,
  onSolve,
  onUndo,
  onPublish,
}: PlanKeys) {
  const { session, block } = at
  const last = Math.max(view.sessions.length, 1) - 1
  const laid = block === undefined ? undefined : view.sessions[session]?.blocks[block]
  const onBlock = (make: (place: { session: number; block: number }) => Edit | undefined) => () => {
    const what = block === undefined ? undefined : make({ session, block })
    if (what) onEdit(what)
  }
  const toStage = (by: number) =>
    onBlock((place) => {
      const stage = STAGES[STAGES.indexOf(laid?.stage ?? 'form') + by]
      return stage && { edit: 'stage', ...place, stage }
    })
  const toSession = (by: number) =>
    onBlock((place) =>
      session + by < 0 || session + by > last
        ? undefined
        : { edit: 'move', ...place, to: session + by, at: null },
    )
  const minutes = (by: number) =>
    onBlock((place) => ({ edit: 'minutes', ...place, minutes: (laid?.minutes ?? 0) + by }))
  const acts: Acts = {
    ArrowRight: () => onStep(0, 1),
    ArrowLeft: () => onStep(0, -1),
    ArrowDown: () => onStep(1, 0),
    ArrowUp: () => onStep(-1, 0),
    'Shift+ArrowRight': toSession(1),
    'Shift+ArrowLeft': toSession(-1),
    Enter: (event) => {
      if (onControl(event)) return false
      onOpen()
      requestAnimationFrame(() => document.querySelector<HTMLElement>('[data-open-block]')?.focus())
    },
    '+': minutes(1),
    '-': minutes(-1),
    '.': toStage(1),
    ',': toStage(-1),
    l: onBlock((place) => ({ edit: laid?.locked ? 'unlock' : 'lock', ...place })),
    x: onBlock((place) => ({ edit: 'remove', ...place })),
    a: () => {
      if (at.skill) onEdit({ edit: 'show', session, skill: at.skill })
    },
    s: onSolve,
    z: onUndo,
    p: onPublish,
  }
  useKeys(acts, { paused })
}
