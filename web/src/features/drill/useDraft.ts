// A drill while it is being written: kept on this device until it is saved, with every step back.
import { useEffect, useMemo, useState } from 'react'
import type { Schemas } from '../../api/client'
import { draft } from '../../storage/remembered'
import { BLANK, whole } from './drill'
import type { Drill } from './queries'

/** What is typed into one field within this time is one step back. */
const ONE_STEP_MS = 1_000
const MOST_STEPS = 100

export function useDraft(view: Schemas['DrillView'] | null) {
  const saved = useMemo(() => (view ? whole(view.drill) : BLANK), [view])
  const place = view?.drill.id ?? 'new'
  const [past, setPast] = useState<Drill[]>([])
  const [drill, setDrill] = useState<Drill>(() => draft.read(place) ?? saved)
  const [last, setLast] = useState({ what: '', at: 0 })
  const changed = JSON.stringify(drill) !== JSON.stringify(saved)
  // A reload or a lost network loses nothing.
  useEffect(() => {
    if (changed) draft.write(drill, place)
    else draft.forget(place)
  }, [changed, drill, place])
  return {
    drill,
    changed,
    undoable: past.length > 0,
    change: (next: Partial<Drill>) => {
      const [what, now] = [Object.keys(next).join(), Date.now()]
      if (what !== last.what || now - last.at > ONE_STEP_MS)
        setPast((all) => [...all.slice(1 - MOST_STEPS), drill])
      setLast({ what, at: now })
      setDrill({ ...drill, ...next })
    },
    undo: () => {
      const before = past.at(-1)
      if (!before) return
      setPast(past.slice(0, -1))
      setLast({ what: '', at: 0 })
      setDrill(before)
    },
    forgetPast: () => setPast([]),
  }
}
