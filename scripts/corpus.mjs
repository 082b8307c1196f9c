// Writes the layout text of every drill of the demo into a folder, as seeds for the fuzzer.
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'

const folder = process.argv[2]
mkdirSync(folder, { recursive: true })
for (const file of readdirSync('demo/drills')) {
  const drill = JSON.parse(readFileSync(`demo/drills/${file}`, 'utf8'))
  writeFileSync(`${folder}/${drill.id}`, drill.layout)
}
