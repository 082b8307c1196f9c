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
for (const file of readdirSync(folder).sort()) {
  for (const entry of new FluentParser().parse(readFileSync(new URL(file, folder), 'utf8')).body) {
    if (entry.type === 'Junk') throw new Error(`${file}: ${entry.annotations.map((a) => a.message)}: ${entry.content}`)
    if (entry.type !== 'Message') continue
    const values = new Values()
    values.visit(entry)
    const said = [...values.names].map((name) => `${name}: Value`)
    lines.push(`  '${entry.id.name}': ${said.length ? `{ ${said.join('; ')} }` : 'null'}`)
  }
}
process.stdout.write(`/** Every text with the values that it wants. Made from locales/en by \`make words\`. */
export interface Messages {
${lines.join('\n')}
}
type Value = string | number
`)
