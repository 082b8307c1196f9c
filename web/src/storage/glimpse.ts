// The last sight of Today: on a slow phone it stands there a second before the page has begun. It is taken here, kept
// among what this device remembers, and shown by `public/glimpse.js`.
import { useEffect } from 'react'
import { lastSight } from './remembered'

/** How long Today stands before a sight of it is taken: what comes first must not wait for it. */
const STANDS_MS = 1_500

const root = () => document.getElementById('root')

/** The rules of the styles that the page wrote itself; those in files are fetched with the page. */
const ownStyles = () =>
  [...document.styleSheets]
    .filter(({ ownerNode }) => ownerNode instanceof HTMLStyleElement && ownerNode.dataset.emotion)
    .flatMap(({ cssRules }) => [...cssRules].map((rule) => rule.cssText))
    .join('\n')

/** Takes a sight of the page as it stands, if it is the one at that address: another session is not today's. */
function take(path: string) {
  const copy = root()?.cloneNode(true)
  if (!(copy instanceof HTMLElement) || copy.inert || location.pathname !== path) return
  // The page's policy takes no styles that are written into elements: they are put back one by one.
  for (const each of copy.querySelectorAll('[style]')) {
    each.setAttribute('data-style', each.getAttribute('style') ?? '')
    each.removeAttribute('style')
  }
  lastSight.write({
    path,
    day: new Date().toDateString(),
    lang: document.documentElement.lang,
    html: copy.innerHTML,
    css: ownStyles(),
  })
}

/** Takes a sight of this page whenever it has stood for a while, and when it is put away. */
export function useGlimpse(of: unknown, path: string) {
  useEffect(() => {
    const waits = setTimeout(() => take(path), STANDS_MS)
    const putAway = () => document.visibilityState === 'hidden' && take(path)
    document.addEventListener('visibilitychange', putAway)
    return () => {
      clearTimeout(waits)
      document.removeEventListener('visibilitychange', putAway)
    }
  }, [of, path])
}

/** The page has begun: what was shown before it is over. */
export function begun() {
  performance.mark('begun')
  document.getElementById('glimpse')?.remove()
  const page = root()
  if (page) page.inert = false
}

/** What one person saw is not shown to the next. */
export const forgetGlimpse = () => lastSight.forget()
