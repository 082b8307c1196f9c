// Every text of the interface, from the catalogue of the reader's language: locales/<language>/*.ftl.
import { FluentBundle, FluentResource } from '@fluent/bundle'
import type { Messages } from './messages'

type Value = string | number

/** The catalogues; each is fetched when somebody reads its language. */
const CATALOGUES = {
  en: () => import('./catalogue/en'),
  de: () => import('./catalogue/de'),
  /** English with accents and longer by two fifths: whatever is cut off or not in a catalogue is seen. */
  pseudo: () => import('./catalogue/en'),
}
export type Language = keyof typeof CATALOGUES

const ACCENTED: Record<string, string> = {
  a: 'á',
  e: 'é',
  i: 'í',
  o: 'ö',
  u: 'ü',
  n: 'ñ',
  c: 'ç',
  A: 'Å',
  E: 'É',
}
const pseudo = (text: string) =>
  text.replace(/[aeiouncAE]/g, (letter) => ACCENTED[letter] ?? letter) +
  '·'.repeat(Math.round(text.length * 0.4))

let bundle = new FluentBundle('en')
let now: Language | null = null
let unread = new Map<string, string>()

const BEGINS = /^(?=[a-zA-Z][\w-]* *=)/gm
const nameOf = (text: string) => text.slice(0, text.indexOf('=')).trimEnd()

/** The language that texts are in. */
export const spoken = (): Language => now ?? 'en'

/** The first of the browser's languages that Jogo speaks; English if it speaks none of them. */
export const ofBrowser = (): Language =>
  navigator.languages.map((each) => each.slice(0, 2)).find((each) => each === 'en' || each === 'de') ?? 'en'

/** Reads the catalogue of a language; every text from now on is in it. */
export async function speak(language: Language) {
  if (now === language) return
  const { catalogue } = await CATALOGUES[language]()
  const next = new FluentBundle(localeOf(language), {
    useIsolating: false,
    transform: language === 'pseudo' ? pseudo : undefined,
  })
  unread = new Map(catalogue.flatMap((file) => file.split(BEGINS)).map((text) => [nameOf(text), text]))
  bundle = next
  now = language
  document.documentElement.lang = language === 'pseudo' ? 'en' : language
}

/** The browser's own form of a language, as British English, for dates and numbers. */
const localeOf = (language: Language) => {
  const code = language === 'pseudo' ? 'en' : language
  return navigator.languages.find((each) => each === code || each.startsWith(`${code}-`)) ?? code
}

/** How dates and numbers are written. */
export const locale = () => bundle.locales[0] ?? 'en'

/** A text is read when it is first said: all of them at once take a slow phone a tenth of a second. */
function messageOf(name: string) {
  const text = unread.get(name)
  if (text !== undefined) {
    bundle.addResource(new FluentResource(text))
    unread.delete(name)
  }
  return bundle.getMessage(name)
}

function format(id: string, values?: Record<string, Value>): string | null {
  const [name = '', attribute] = id.split('.')
  const message = messageOf(name)
  const pattern = attribute ? message?.attributes[attribute] : message?.value
  // What is missing or unlike is found by `make check`; a screen is not broken for it.
  return pattern == null ? null : bundle.formatPattern(pattern, values, [])
}

/** A text with its values. */
export function t<Id extends keyof Messages>(
  id: Id,
  ...values: Messages[Id] extends null ? [] : [Messages[Id]]
): string {
  return format(id, values[0] ?? undefined) ?? id
}

/** The text of a name that is not known beforehand; undefined if there is none. */
export const said = (id: string) => format(id)

/** The same with values. */
export const say = (id: string, values: Record<string, Value>) => format(id, values)
