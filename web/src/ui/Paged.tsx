// Pages of paper: pieces are laid one under the other, each whole on one page, and every piece knows its page.
import Box from '@mui/material/Box'
import GlobalStyles from '@mui/material/GlobalStyles'
import { type ReactNode, useLayoutEffect, useRef, useState } from 'react'

export interface Piece {
  key: string
  node: ReactNode
  /** Whether it begins a page. */
  fresh?: boolean
}

/** What a sheet measures inside its margins, in millimetres. */
export const PAPERS = {
  A4: { wide: 190, high: 277 },
  Letter: { wide: 195.9, high: 259.4 },
} as const

export type Paper = keyof typeof PAPERS

const PIXELS_PER_MM = 96 / 25.4
/** So much of a page is filled at most: print rounds otherwise than the screen. */
const FILLED = 0.985

/** On which page each piece stands, from 1, as many pieces as fit on each. */
export function pagesOf(heights: number[], fresh: boolean[], high: number): number[] {
  let page = 1
  let used = 0
  return heights.map((height, at) => {
    if (at > 0 && (fresh[at] || used + height > high)) {
      page += 1
      used = 0
    }
    used += height
    return page
  })
}

interface Props {
  paper: Paper
  /** The pieces; `pageOf` says where each stands, as soon as it is known. */
  pieces: (pageOf: (key: string) => number | undefined) => Piece[]
}

export function Paged({ paper, pieces }: Props) {
  const box = useRef<HTMLDivElement>(null)
  const [pages, setPages] = useState<Record<string, number>>({})
  const all = pieces((key) => pages[key])
  const { wide, high } = PAPERS[paper]
  const order = all.map(({ key, fresh }) => `${key}${fresh ? '!' : ''}`).join(' ')
  useLayoutEffect(() => {
    const parts = [...(box.current?.children ?? [])].flatMap((child) => child.firstElementChild ?? [])
    const lay = () => {
      const heights = parts.map((part) => part.getBoundingClientRect().height)
      const keys = order.split(' ')
      const numbers = pagesOf(
        heights,
        keys.map((key) => key.endsWith('!')),
        high * PIXELS_PER_MM * FILLED,
      )
      const next = Object.fromEntries(keys.map((key, at) => [key.replace(/!$/, ''), numbers[at] ?? 1]))
      setPages((before) => (JSON.stringify(before) === JSON.stringify(next) ? before : next))
    }
    const watch = new ResizeObserver(lay)
    for (const part of parts) watch.observe(part)
    lay()
    return () => watch.disconnect()
  }, [order, high])
  return (
    <Box ref={box} sx={{ width: `${wide}mm`, mx: 'auto', '@media print': { mx: 0 } }}>
      <GlobalStyles
        styles={{
          '@page': {
            size: paper,
            margin: '10mm',
            '@bottom-center': { content: 'counter(page)', fontSize: '9pt' },
          },
        }}
      />
      {all.map(({ key, node }, at) => {
        const begins = at > 0 && pages[key] !== pages[all[at - 1]?.key ?? '']
        return (
          <Box
            key={key}
            data-page={pages[key]}
            sx={{
              ...(begins && {
                borderTop: '2px dashed',
                borderColor: 'divider',
                mt: '12mm',
                pt: '10mm',
                '@media print': { border: 0, m: 0, p: 0, breakBefore: 'page' },
              }),
            }}
          >
            <Box sx={{ display: 'flow-root', breakInside: 'avoid' }}>{node}</Box>
          </Box>
        )
      })}
    </Box>
  )
}
