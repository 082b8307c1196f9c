// Looks through the catalogues: every text is used, and every language has the same texts with the same values as
// English. That no text is missing is the compiler's work (web/src/texts/messages.ts).
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { entries, languages, refers, valuesOf } from './catalogue.mjs'

const faults = []

/** The texts of a language by their names, each with the values that it uses. */
function catalogue(language) {
  const texts = new Map()
  for (const { at, readers, entry } of entries(language)) {
    if (entry.type === 'Junk') {
      faults.push(`${at}: cannot be read: ${entry.content.split('\n')[0]}`)
      continue
    }
    const { name } = entry.id
    // The interface reads each text by itself, when it is said.
    if (refers(entry)) faults.push(`${at}: ${name} refers to another text`)
    if (texts.has(name)) faults.push(`${at}: ${name} is there twice`)
    texts.set(name, { at, readers, values: valuesOf(entry) })
  }
  return texts
}

const english = catalogue('en')

for (const language of languages().filter((each) => each !== 'en')) {
  const other = catalogue(language)
  for (const [name, { values }] of english) {
    const translated = other.get(name)
    if (!translated) faults.push(`locales/${language}: ${name} is missing`)
    else {
      const unlike = [...values].filter((value) => !translated.values.has(value))
      unlike.push(...[...translated.values].filter((value) => !values.has(value)))
      if (unlike.length) faults.push(`${translated.at}: ${name} does not have the values of the English one: ${unlike}`)
    }
  }
  for (const [name, { at }] of other) if (!english.has(name)) faults.push(`${at}: ${name} is not in English`)
}

// A name is used as it is, or made of parts: `stage-${stage}` uses every name that begins and ends so.
const files = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', 'web/src/**/*.ts', 'web/src/**/*.tsx'], {
  encoding: 'utf8',
})
const sources = files.trim().split('\n').filter((file) => file !== 'web/src/texts/messages.ts')
const used = new Set([...english.keys()].filter((name) => name.startsWith('glossary-')))
const made = []
const call = /\b(?:t|said)\(\s*(?:'([^']+)'|`([^`]+)`)/g
const choice = /'([a-z]+(?:-[\w]+)+)'/g
for (const file of sources) {
  const text = readFileSync(file, 'utf8')
  for (const [, name, pattern] of text.matchAll(call)) {
    if (name) used.add(name)
    else made.push(new RegExp(`^${pattern.split(/\$\{[^}]*\}/).join('[\\w-]+')}$`))
  }
  for (const [, name] of text.matchAll(choice)) used.add(name)
}
// What the server reads is used by its facts: a test of crates/server compares them.
for (const [name, { at, readers }] of english)
  if (readers === 'interface' && !used.has(name) && !made.some((pattern) => pattern.test(name))) faults.push(`${at}: ${name} is not used`)

for (const fault of faults) console.error(fault)
process.exit(faults.length > 0 ? 1 : 0)
