// Writes docs/glossary.md from the texts that the page behind ? shows.
import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'

const { FluentParser, serializeExpression } = createRequire(new URL('../web/package.json', import.meta.url))(
  '@fluent/syntax',
)
const file = new URL('../locales/en/glossary.ftl', import.meta.url)
const said = ({ elements }) =>
  elements.map((part) => (part.type === 'TextElement' ? part.value : serializeExpression(part))).join('')
const words = new FluentParser().parse(readFileSync(file, 'utf8')).body.filter(({ type }) => type === 'Message')
/** Lines of at most 120 characters. */
const broken = (text) => text.replace(/(.{1,119})(?: |$)/g, '$1\n').trimEnd()
const lines = words.map(({ value, attributes: [means] }) => broken(`**${said(value)}**: ${said(means.value)}`))
process.stdout.write(`# Jogo's words

<!-- Made from locales/en/glossary.ftl by \`make words\`. -->

${lines.join('\n\n')}
`)
