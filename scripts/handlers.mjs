// A handler extracts, calls and answers: its body has at most 15 lines. What reads a form stands in `said` or beside the
// form, what puts an answer together in `views`.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const MOST = 15
const route = /^#\[(get|post|put|delete)\("/
const files = execFileSync('git', ['ls-files', 'crates/server/src/api/*.rs'], { encoding: 'utf8' }).trim().split('\n')

let seen = 0
let long = 0
for (const file of files) {
  const lines = readFileSync(file, 'utf8').split('\n')
  for (const [at, line] of lines.entries()) {
    if (!route.test(line)) continue
    seen += 1
    const begin = lines.findIndex((each, i) => i > at && each.endsWith('{'))
    const end = lines.indexOf('}', begin)
    if (end - begin - 1 <= MOST) continue
    console.error(`${file}:${begin + 1}: a handler of ${end - begin - 1} lines, at most ${MOST}`)
    long += 1
  }
}
if (seen === 0) console.error('no handler was found: does this script still know how a route is written?')
process.exit(long > 0 || seen === 0 ? 1 : 0)
