// What is below is written in a language; another one is fetched, and then everything is written again.
import { type ReactNode, useEffect, useMemo, useState } from 'react'
import type { Schemas } from '../api/client'
import { AS_WRITTEN, BookOfReader, bookOf } from '../texts/phrases'
import { type Language, speak, spoken } from '../texts/t'
import { Loading } from './notes'

interface Props {
  language: Language
  /** The library's texts in it, once they are known. */
  phrases: Schemas['Phrases'] | null | undefined
  children: ReactNode
}

export function InLanguage({ language, phrases, children }: Props) {
  const book = useMemo(() => (phrases ? bookOf(phrases) : AS_WRITTEN), [phrases])
  const [now, setNow] = useState(spoken)
  useEffect(() => {
    let wanted = true
    // Without the catalogue (no network, and never read here) the language stays as it is.
    speak(language).then(
      () => wanted && setNow(language),
      () => wanted && setNow(spoken()),
    )
    return () => {
      wanted = false
    }
  }, [language])
  if (now !== spoken()) return <Loading />
  return (
    <BookOfReader key={now} value={book}>
      {children}
    </BookOfReader>
  )
}
