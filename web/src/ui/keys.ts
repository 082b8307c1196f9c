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
    (at instanceof HTMLElement && (at.isContentEditable || at.closest('[role="dialog"], [role="menu"], [role="listbox"]') !== null))
  )
}
