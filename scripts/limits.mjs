// Writes the longest texts, as the description of the interface says them, for the fields of the front end.
import { readFileSync } from 'node:fs'

const { schemas } = JSON.parse(readFileSync(process.argv[2], 'utf8')).components
const lines = Object.entries(schemas).flatMap(([form, { properties = {} }]) => {
  const fields = Object.entries(properties).filter(([, { type, maxLength }]) => type === 'string' && maxLength)
  const said = fields.map(([field, { maxLength }]) => `${field}: ${maxLength}`)
  return said.length ? [`  ${form}: { ${said.join(', ')} },`] : []
})
process.stdout.write(`/** The longest texts, in characters, by form and field. Made from the interface by \`make client\`. */
export const LONGEST = {
${lines.join('\n')}
} as const
`)
