// No file of a crate rests on one that rests on it. Modules that only gather others (`mod`, `pub use`) are seen through.
// Prints every circle, and the longest way down. (Circles between files of the front end are found by Biome.)
import { readdirSync, readFileSync } from 'node:fs'
import { join, relative } from 'node:path'

const filesOf = (folder) =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name)
    return entry.isDirectory() ? filesOf(path) : path.endsWith('.rs') ? [path] : []
  })

/** `use a::{b, c::d}` as its single paths. */
function single(path) {
  const text = path.replace(/\s+as\s+\w+/g, '').replace(/\s+/g, '')
  const open = text.indexOf('{')
  if (open < 0) return [text]
  const parts = []
  let [depth, part] = [0, '']
  for (const letter of text.slice(open + 1, text.lastIndexOf('}'))) {
    if (letter === ',' && depth === 0) {
      parts.push(part)
      part = ''
    } else {
      depth += (letter === '{') - (letter === '}')
      part += letter
    }
  }
  return [...parts, part].filter(Boolean).flatMap((each) => single(text.slice(0, open) + each))
}

function graphOf(root) {
  const text = new Map()
  for (const file of filesOf(root)) {
    const name = relative(root, file).slice(0, -3).replaceAll('/', '::').replace(/(^|::)(mod|lib|main)$/, '')
    if (/(^|::)tests(::|$)/.test(name)) continue
    text.set(name, readFileSync(file, 'utf8').replace(/\/\/.*/g, '').split('#[cfg(test)]\nmod tests')[0]
      .split('#[cfg(test)]\n#[allow')[0])
  }
  const absolute = (from, path) => {
    let [parts, base] = [path.split('::'), from === '' ? [] : from.split('::')]
    if (parts[0] === 'crate') return parts.slice(1)
    if (parts[0] === 'self') return [...base, ...parts.slice(1)]
    for (; parts[0] === 'super'; parts = parts.slice(1)) base = base.slice(0, -1)
    return [...base, ...parts]
  }
  const used = /(pub(?:\([^)]*\))? )?use ((?:crate|super|self)::[^;]+);|\b((?:crate|super)(?:::\w+)+)/g
  const uses = (from) =>
    [...text.get(from).matchAll(used)]
      .flatMap(([, isPublic, used, path]) =>
        single(used ?? path).map((each) => ({ isPublic: Boolean(isPublic), path: absolute(from, each) })))
  const passed = new Map([...text.keys()].map((name) => [name, new Map()]))
  for (const name of text.keys())
    for (const { isPublic, path } of uses(name)) if (isPublic) passed.get(name).set(path.at(-1), path)
  const target = (path, depth = 0) => {
    for (let n = path.length; n >= 0; n -= 1) {
      const file = path.slice(0, n).join('::')
      if (!text.has(file)) continue
      const on = passed.get(file).get(path[n])
      return on && depth < 5 ? target([...on, ...path.slice(n + 1)], depth + 1) : file
    }
    return ''
  }
  return new Map([...text.keys()].map((name) => {
    const found = uses(name).filter(({ isPublic }) => !isPublic).map(({ path }) => target(path))
    return [name, new Set(found.filter((each) => each !== name))]
  }))
}

/** The longest way down from a file; a circle ends the search and is told. */
function depthOf(graph, name, known, way, circles) {
  if (known.has(name)) return known.get(name)
  if (way.includes(name)) {
    circles.add([...way.slice(way.indexOf(name)), name].join(' → '))
    return 0
  }
  const below = [...graph.get(name)].map((each) => depthOf(graph, each, known, [...way, name], circles))
  known.set(name, 1 + Math.max(0, ...below))
  return known.get(name)
}

let found = 0
for (const crate of ['core', 'store', 'words', 'server', 'gates', 'e2e']) {
  const graph = graphOf(`crates/${crate}/src`)
  const [known, circles] = [new Map(), new Set()]
  const deepest = Math.max(...[...graph.keys()].map((name) => depthOf(graph, name, known, [], circles)))
  console.log(`crates/${crate}: ${graph.size} files, ${circles.size} circles, ${deepest} files deep`)
  for (const circle of circles) console.error(`  ${circle}`)
  found += circles.size
}
if (found > 0) process.exit(1)
