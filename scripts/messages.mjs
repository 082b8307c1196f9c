// Writes the names of the interface's texts and of their values, as types: a text that is not there, or that wants
// another value, is a fault of the front end before it runs.
import { entries, valuesOf } from './catalogue.mjs'

const lines = []
const glossary = []

function add(name, pattern) {
  const values = [...valuesOf(pattern)].map((value) => `${value}: Value`)
  lines.push(`  '${name}': ${values.length ? `{ ${values.join('; ')} }` : 'null'}`)
}

for (const { at, readers, entry } of entries('en')) {
  if (readers === 'server') continue
  if (entry.type === 'Junk') throw new Error(`${at}: ${entry.annotations.map((a) => a.message)}: ${entry.content}`)
  const { name } = entry.id
  if (name.startsWith('glossary-')) glossary.push(name.slice('glossary-'.length))
  add(name, entry.value)
  for (const attribute of entry.attributes) add(`${name}.${attribute.id.name}`, attribute.value)
}
process.stdout.write(`/** Every text with the values that it wants. Made from locales/en by \`make words\`. */
export interface Messages {
${lines.join('\n')}
}
type Value = string | number

/** The words of the glossary, in its order. */
export const GLOSSARY = [
${glossary.map((word) => `  '${word}',`).join('\n')}
] as const
`)
