// The core finds facts and says nothing: no sentence is built in crates/core. A text with four words in a row is taken
// for one, outside of tests, of the reasons of lints and of the interface's description.
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const filesOf = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    return entry.isDirectory() ? filesOf(path) : path.endsWith('.rs') && entry.name !== 'tests.rs' ? [path] : []
  })

/** Where the braces that open after a place close again. */
function closing(text, from) {
  let depth = 0
  for (let at = text.indexOf('{', from); at >= 0 && at < text.length; at++) {
    depth += (text[at] === '{') - (text[at] === '}')
    if (depth === 0) return at + 1
  }
  return text.length
}

/** The code as long as it was, without what says nothing to a reader. */
function spoken(text) {
  const tests = /#\[cfg\(test\)\]\s+(?:#\[allow[^\n]*\n)?mod tests/
  let code = text.replace(/^\s*\/\/.*$/gm, (line) => ' '.repeat(line.length)).split(tests)[0]
  for (const described of code.matchAll(/#\[cfg\(feature = "openapi"\)\]\s*impl/g)) {
    const end = closing(code, described.index)
    code = code.slice(0, described.index) + code.slice(described.index, end).replace(/[^\n]/g, ' ') + code.slice(end)
  }
  return code.replace(/reason = "[^"]*"/g, (reason) => ' '.repeat(reason.length))
}

let found = 0
for (const file of filesOf('crates/core/src')) {
  const code = spoken(readFileSync(file, 'utf8'))
  for (const { 0: literal, index } of code.matchAll(/"(?:[^"\\\n]|\\[^])*"/g)) {
    if (!/(?:\p{L}{2,}[ ,:]+){3}\p{L}{2,}/u.test(literal.replace(/\{[^}]*\}/g, ''))) continue
    console.error(`${file}:${code.slice(0, index).split('\n').length}: a sentence: ${literal}`)
    found++
  }
}
process.exit(found > 0 ? 1 : 0)
