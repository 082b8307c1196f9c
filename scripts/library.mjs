// Writes docs/library.md and the sheets in docs/library from the demo's library: by strand what each drill trains, with
// its drawing and the strip of the skill that leads it. With --check it only says whether they are as they should be.
import { execFileSync } from 'node:child_process'
import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs'

const root = new URL('../', import.meta.url)
const read = (path) => JSON.parse(readFileSync(new URL(path, root), 'utf8'))
const jogo = (...args) => (input) => execFileSync(new URL('target/debug/jogo', root).pathname, args, { input, encoding: 'utf8' })

const STRANDS = { ball_mastery: 'Ball mastery', dribbling: 'Dribbling', receiving: 'Receiving', passing: 'Passing' }
const bands = read('demo/bands.json')
const skills = new Map(Object.keys(STRANDS).flatMap((strand) => read(`demo/skills/${strand}.json`)).map((skill) => [skill.id, skill]))
const allSkills = new URL('target/skills.json', root).pathname
writeFileSync(allSkills, JSON.stringify([...skills.values()]))
const drills = readdirSync(new URL('demo/drills/', root)).sort().map((file) => read(`demo/drills/${file}`))
const strandOf = ({ strands }) => Object.entries(strands).reduce((most, each) => (each[1] > most[1] ? each : most))[0]

const layout = jogo('layout', 'draw', '-')
const strip = jogo('score', 'draw', '-', '--skills', allSkills)
/** The score that a drill shows: its own, or that of the skill that leads it. */
const scoreOf = ({ score, serves }) => score ?? skills.get(serves[0].skill)?.score

const escaped = (text) => text.replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign])
const [WIDE, HIGH, COLUMNS] = [240, 290, 4]
/** A drawing inside of a sheet. */
const inside = (svg, x, y, width, height) =>
  svg.replace(/<svg [^>]*viewBox="([^"]*)"[^>]*>/, `<svg x="${x}" y="${y}" width="${width}" height="${height}" viewBox="$1">`).trim()

function sheet(of) {
  const cells = of.map((drill, i) => {
    const [x, y] = [(i % COLUMNS) * WIDE + 10, Math.floor(i / COLUMNS) * HIGH + 10]
    const score = scoreOf(drill)
    const narrow = drill.title.length > 30 ? ` textLength="${WIDE - 20}" lengthAdjust="spacingAndGlyphs"` : ''
    const title = `<text x="${x}" y="${y + 12}" font-size="12" font-weight="600"${narrow}>${escaped(drill.title)}</text>`
    const feet = score ? inside(strip(score), x, y + 210, WIDE - 20, 62) : ''
    return title + inside(layout(drill.layout), x, y + 20, WIDE - 20, 184) + feet
  })
  const [width, height] = [COLUMNS * WIDE, Math.ceil(of.length / COLUMNS) * HIGH + 10]
  const head = `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${width} ${height}" width="${width}" height="${height}"`
  return `${head} font-family="sans-serif" color="#26282b">\n<rect width="100%" height="100%" fill="#fff"/>\n${cells.join('\n')}\n</svg>\n`
}

const named = ({ skill, stages }) => `${skills.get(skill).name} (${stages.join(', ')})`
const doses = (drill) => bands.filter(({ id }) => drill.doses[id]).map(({ name }) => name).join(', ')
const row = (drill) => `| ${drill.title} | ${drill.purpose} | ${drill.serves.map(named).join('; ')} | ${doses(drill)} |`
const section = ([strand, name]) => {
  const of = drills.filter((drill) => strandOf(drill) === strand)
  return `## ${name}

${of.length} drills.

| drill | what for | trains | bands |
|---|---|---|---|
${of.map(row).join('\n')}

![${name}: each drill as it is laid, and below it the strip of the skill that leads it](library/${strand}.svg)
`
}

const files = new Map([
  ['docs/library.md', `# The demo's library

<!-- Made from demo by \`make library\`. -->

${drills.length} drills for ${skills.size} skills. A drill stands with the strand that takes most of its minutes.

${Object.entries(STRANDS).map(section).join('\n')}`],
  ...Object.keys(STRANDS).map((strand) => [`docs/library/${strand}.svg`, sheet(drills.filter((drill) => strandOf(drill) === strand))]),
])
const kept = (path) => {
  try {
    return readFileSync(new URL(path, root), 'utf8')
  } catch {
    return ''
  }
}
if (process.argv.includes('--check')) {
  const stale = [...files].filter(([path, text]) => kept(path) !== text)
  for (const [path] of stale) console.error(`${path} is stale: run make library`)
  process.exit(stale.length > 0 ? 1 : 0)
}
mkdirSync(new URL('docs/library/', root), { recursive: true })
for (const [path, text] of files) writeFileSync(new URL(path, root), text)
