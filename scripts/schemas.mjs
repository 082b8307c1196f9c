// Every type that the interface describes has a name of its own there: of two with one name the description keeps one,
// and says it of both.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const files = execFileSync('git', ['ls-files', 'crates/*.rs'], { encoding: 'utf8' }).trim().split('\n')
const described = /((?:^[ \t]*#\[[^\n]*\n|^[ \t]*\/\/[^\n]*\n)+)^[ \t]*pub(?:\([^)]*\))? (?:struct|enum) (\w+)/gm

// The problem of a plan has a schema of its own, apart from the interface.
const APART = 'crates/core/src/plan/problem/mod.rs'

const places = new Map()
for (const file of files) {
  for (const [, before, name] of readFileSync(file, 'utf8').matchAll(described)) {
    if (!before.includes('ToSchema')) continue
    const shown = /schema\([^)]*\bas = (\w+)/.exec(before)?.[1] ?? name
    if (file === APART && shown === 'Problem') continue
    places.set(shown, [...(places.get(shown) ?? []), file])
  }
}
const twice = [...places].filter(([, files]) => files.length > 1)
for (const [name, files] of twice) console.error(`${name} is described in ${files.join(' and in ')}: rename one`)
if (places.size < 50) console.error('few types were found: does this script still know how one is written?')
process.exit(twice.length > 0 || places.size < 50 ? 1 : 0)
