// Facts in words: a code with its values becomes the text that the catalogue has for the code.
import type { Schemas } from '../api/client'
import { locale, say } from './t'

/** What was found; a device may still hold the sentence of an earlier version. */
type Fact = Schemas['Fact'] | string

const isFact = (value: unknown): value is Schemas['Fact'] =>
  typeof value === 'object' && value !== null && 'code' in value

function valueOf(value: unknown): string | number {
  if (typeof value === 'number') return value
  if (isFact(value)) return told(value)
  if (Array.isArray(value))
    return new Intl.ListFormat(locale(), { type: 'conjunction' }).format(
      value.map((each) => String(valueOf(each))),
    )
  return String(value)
}

/** A fact in the reader's language; what the catalogue lacks, in the server's words. */
export function told(fact: Fact): string {
  if (typeof fact === 'string') return fact
  const { code, detail, ...values } = fact
  const said = Object.entries(values).map(([name, value]) => [name, valueOf(value)] as const)
  return say(code, Object.fromEntries(said)) ?? detail ?? code
}
