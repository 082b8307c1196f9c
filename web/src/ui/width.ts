import { useLayoutEffect, useRef, useState } from 'react'

/** The width of a frame, followed as it changes, in px. */
export function useWidth() {
  const frame = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(880)
  useLayoutEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    if (frame.current) watch.observe(frame.current)
    return () => watch.disconnect()
  }, [])
  return { frame, width }
}
