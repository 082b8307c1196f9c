// Writes every layout text or every score of the demo into a folder, as seeds for the fuzzer.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'

const [notation, folder] = process.argv.slice(2)
mkdirSync(folder, { recursive: true })
const { from, text } = { layout: { from: 'drills', text: 'layout' }, score: { from: 'skills', text: 'score' } }[notation]
for (const file of readdirSync(`demo/${from}`)) {
  const pieces = [JSON.parse(readFileSync(`demo/${from}/${file}`, 'utf8'))].flat()
  for (const piece of pieces) if (piece[text]) writeFileSync(`${folder}/${piece.id}`, piece[text])
}
