// Writes the names of the interface's texts and of their values, as types: a text that is not there, or that wants
// another value, is a fault of the front end before it runs.
import { readdirSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const { FluentParser, Visitor } = createRequire(new URL('../web/package.json', import.meta.url))('@fluent/syntax')
const folder = new URL('../locales/en/', import.meta.url)

class Values extends Visitor {
  names = new Set()
  visitVariableReference(node) {
    this.names.add(node.id.name)
  }
}

const lines = []
const glossary = []

function add(name, pattern) {
  const values = new Values()
  values.visit(pattern)
  const said = [...values.names].map((value) => `${value}: Value`)
  lines.push(`  '${name}': ${said.length ? `{ ${said.join('; ')} }` : 'null'}`)
}

for (const file of readdirSync(folder).sort()) {
  for (const entry of new FluentParser().parse(readFileSync(new URL(file, folder), 'utf8')).body) {
    if (entry.type === 'Junk') throw new Error(`${file}: ${entry.annotations.map((a) => a.message)}: ${entry.content}`)
    if (entry.type !== 'Message') continue
    const { name } = entry.id
    if (name.startsWith('glossary-')) glossary.push(name.slice('glossary-'.length))
    add(name, entry.value)
    for (const attribute of entry.attributes) add(`${name}.${attribute.id.name}`, attribute.value)
  }
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
