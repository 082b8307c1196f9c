import { useEffect } from 'react'

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

/** Keys of a tool that is on the screen: it comes before the page around it. `press` says whether it took the key. */
export function useToolKeys(press: (key: string) => boolean) {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || event.repeat || !press(event.key)) return
      event.preventDefault()
      event.stopImmediatePropagation()
    }
    window.addEventListener('keydown', onKey, { capture: true })
    return () => window.removeEventListener('keydown', onKey, { capture: true })
  })
}
