// Reads the catalogues of texts, for the scripts beside this one.
import { readdirSync, readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

// What the front end depends on stands in its folder.
const syntax = createRequire(new URL('../web/package.json', import.meta.url))('@fluent/syntax')
export const { serializeExpression } = syntax

const locales = new URL('../locales/', import.meta.url)
export const languages = () => readdirSync(locales).sort()

/**
 * What is in the files of a language, in their order: messages, and what cannot be read (`Junk`). `readers` says who
 * reads them: the `interface` alone, the `server` alone, or both (`shared`).
 */
export function entries(language) {
  return ['interface', 'shared', 'server'].flatMap((readers) => {
    const folder = new URL(`${language}/${readers}/`, locales)
    return readdirSync(folder).sort().flatMap((file) => {
      const text = readFileSync(new URL(file, folder), 'utf8')
      const { body } = new syntax.FluentParser().parse(text)
      return body
        .filter(({ type }) => type === 'Message' || type === 'Junk')
        .map((entry) => ({ at: `locales/${language}/${readers}/${file}`, readers, entry }))
    })
  })
}

class Values extends syntax.Visitor {
  names = new Set()
  visitVariableReference({ id }) {
    this.names.add(id.name)
  }
}

class References extends syntax.Visitor {
  found = false
  visitMessageReference() {
    this.found = true
  }
  visitTermReference() {
    this.found = true
  }
}

/** Whether a message is made of other ones. */
export function refers(node) {
  const references = new References()
  references.visit(node)
  return references.found
}

/** The names of the values that a message, or one of its patterns, wants. */
export function valuesOf(node) {
  const values = new Values()
  values.visit(node)
  return values.names
}
