// Lines stay within 120 characters, in code, comments and documents. What is in quotation marks may be longer, since a
// sentence or a drawing is not broken for it; so may a row of a table and a line that is a link.
import { execFileSync } from 'node:child_process'
import { readFileSync } from 'node:fs'

const MOST = 120
const KINDS = ['*.rs', '*.ts', '*.tsx', '*.js', '*.mjs', '*.md', '*.sh', 'Makefile']
const files = execFileSync('git', ['ls-files', ...KINDS], { encoding: 'utf8' }).trim().split('\n')
const quoted = /r#+"[^]*?"#+|"(?:[^"\\]|\\.)*"|`[^`]*`|'(?:[^'\\]|\\.)*'/g
const isLink = /^\s*!?\[[^\]]*\]\([^)]*\)$/
const isRow = /^\s*(\/\/[/!] )?\|/

let long = 0
for (const file of files.filter((file) => file !== 'web/src/api/schema.ts' && file !== 'web/src/texts/messages.ts')) {
  for (const [at, line] of readFileSync(file, 'utf8').split('\n').entries()) {
    if ([...line].length <= MOST || isRow.test(line) || isLink.test(line)) continue
    if ([...line.replace(quoted, '')].length <= MOST) continue
    console.error(`${file}:${at + 1}: ${[...line].length} characters`)
    long += 1
  }
}
if (long > 0) {
  console.error(`${long} lines have more than ${MOST} characters: break them`)
  process.exit(1)
}
