// The library's texts in the reader's language. A drill is written in one language; a phrase book says what its texts
// are in another. What the book lacks is read as it was written.
import { createContext, useContext } from 'react'
import type { Schemas } from '../api/client'

type Phrases = Schemas['Phrases']

/** Something that was read, with every text of the library in it translated; nothing else of it changes. */
export type Translate = <T>(read: T) => T

export interface Book {
  translated: Translate
  /** Whether a text is still in the language in which it was written, though others are translated. */
  lacks: (text: string) => boolean
}

/** What holds in the language in which the library was written. */
export const AS_WRITTEN: Book = { translated: (read) => read, lacks: () => false }

/** Keys below which nothing is translated: what is there is sent back as it was read. */
const KEPT = new Set(['id', 'code', 'wishes'])
/** The key of words that are called. */
const CALLED = 'word'

/** A book to read with. */
export function bookOf({ texts, calls }: Phrases): Book {
  const said = new Map(Object.entries(texts).filter(([, text]) => text !== ''))
  const called = new Map(Object.entries(calls).filter(([, word]) => word !== ''))
  if (said.size + called.size === 0) return AS_WRITTEN
  const known = new Set([...said.keys(), ...said.values()])
  const walk = (value: unknown, key: string): unknown => {
    if (typeof value === 'string') return (key === CALLED ? called : said).get(value) ?? value
    if (Array.isArray(value)) return value.map((each) => walk(each, key))
    if (typeof value !== 'object' || value === null) return value
    return Object.fromEntries(
      Object.entries(value).map(([name, each]) => [name, KEPT.has(name) ? each : walk(each, name)]),
    )
  }
  return { translated: <T>(read: T) => walk(read, '') as T, lacks: (text) => !known.has(text) }
}

export const BookOfReader = createContext<Book>(AS_WRITTEN)

/** The book of whoever reads. */
export const useBook = () => useContext(BookOfReader)

/** Reads the library's texts in the reader's language: for `select` of a question, or for a single text. */
export const useTranslated = () => useContext(BookOfReader).translated
