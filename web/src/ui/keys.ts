import { useEffect } from 'react'
import { tinykeys } from 'tinykeys'

/** Whether a key belongs to a field that somebody types into. */
export function isTyping(event: KeyboardEvent): boolean {
  const at = event.target
  return (
    event.ctrlKey ||
    event.metaKey ||
    event.altKey ||
    at instanceof HTMLInputElement ||
    at instanceof HTMLTextAreaElement ||
    at instanceof HTMLSelectElement ||
    (at instanceof HTMLElement &&
      (at.isContentEditable || at.closest('[role="dialog"], [role="menu"], [role="listbox"]') !== null))
  )
}

/** Whether a key goes to something that takes Enter for itself. */
export const onControl = ({ target }: KeyboardEvent) =>
  target instanceof HTMLElement && target.closest('button, a, summary') !== null

/** Signs that some keyboards have only with Shift. */
const spelled = (key: string) => (/^[^\p{L}]$/u.test(key) ? [key, `Shift+${key}`] : [key])

/** What keys do, by their names as the library spells them; one that answers false has not taken its key. */
export type Acts = Record<string, (event: KeyboardEvent) => unknown>

interface How {
  /** While a dialog is open. */
  paused?: boolean
  /** A tool that is on the screen takes its keys before the page around it, and each only once. */
  first?: boolean
}

/** Keys of a page, while nobody types. Keys with Ctrl, or its like, also act while somebody does. */
export function useKeys(acts: Acts, { paused = false, first = false }: How = {}) {
  useEffect(() => {
    if (paused) return
    const bound = ([key, act]: [string, Acts[string]]): [string, typeof act][] => {
      const onKey = (event: KeyboardEvent) => {
        if (!key.startsWith('$mod') && (isTyping(event) || (first && event.repeat))) return
        if (act(event) === false) return
        event.preventDefault()
        if (first) event.stopImmediatePropagation()
      }
      return spelled(key).map((name) => [name, onKey])
    }
    return tinykeys(window, Object.fromEntries(Object.entries(acts).flatMap(bound)), { capture: first })
  })
}
