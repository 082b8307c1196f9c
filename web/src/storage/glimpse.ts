// A snapshot of Today, which a slow phone shows a second before the page has started. It is taken here, kept among what
// this device remembers, and shown by `public/glimpse.js`.
import { useEffect, useState } from 'react'
import { snapshot } from './remembered'

/** How long Today is left alone before a snapshot is taken: starting must not wait for it. */
const SETTLED_MS = 1_500

/** How many people have gone from here: a page that was opened before the last of them is not kept any more. */
let gone = 0

const root = () => document.getElementById('root')

/** The rules of the styles that the page wrote itself; those in files are fetched with the page. */
const ownStyles = () =>
  [...document.styleSheets]
    .filter(({ ownerNode }) => ownerNode instanceof HTMLStyleElement && ownerNode.dataset.emotion)
    .flatMap(({ cssRules }) => [...cssRules].map((rule) => rule.cssText))
    .join('\n')

/** Takes a snapshot of the page, if it is at this address: another session is not today's. */
function take(path: string) {
  const copy = root()?.cloneNode(true)
  if (!(copy instanceof HTMLElement) || copy.inert || location.pathname !== path) return
  // The page's policy takes no styles that are written into elements: they are put back one by one.
  for (const each of copy.querySelectorAll('[style]')) {
    each.setAttribute('data-style', each.getAttribute('style') ?? '')
    each.removeAttribute('style')
  }
  snapshot.write({
    path,
    day: new Date().toDateString(),
    lang: document.documentElement.lang,
    html: copy.innerHTML,
    css: ownStyles(),
  })
}

/** Takes a snapshot of this page once it has settled, and when the app is left. */
export function useGlimpse(of: unknown, path: string) {
  const [before] = useState(gone)
  useEffect(() => {
    const keep = () => before === gone && take(path)
    const waits = setTimeout(keep, SETTLED_MS)
    const putAway = () => document.visibilityState === 'hidden' && keep()
    document.addEventListener('visibilitychange', putAway)
    return () => {
      clearTimeout(waits)
      document.removeEventListener('visibilitychange', putAway)
    }
  }, [of, path, before])
}

/** The page has started: the snapshot has done its work. */
export function begun() {
  performance.mark('begun')
  document.getElementById('glimpse')?.remove()
  const page = root()
  if (page) page.inert = false
}

/** What one person saw is not shown to the next. */
export function forgetGlimpse() {
  gone += 1
  snapshot.forget()
}
