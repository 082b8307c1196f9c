// Writes docs/glossary.md from the texts that the page behind ? shows.
import { entries, serializeExpression } from './catalogue.mjs'

const said = ({ elements }) =>
  elements.map((part) => (part.type === 'TextElement' ? part.value : serializeExpression(part))).join('')
const words = entries('en').filter(({ at }) => at.endsWith('glossary.ftl')).map(({ entry }) => entry)
/** Lines of at most 120 characters. */
const broken = (text) => text.replace(/(.{1,119})(?: |$)/g, '$1\n').trimEnd()
const lines = words.map(({ value, attributes: [means] }) => broken(`**${said(value)}**: ${said(means.value)}`))
process.stdout.write(`# Jogo's words

<!-- Made from locales/en/interface/glossary.ftl by \`make words\`. -->

${lines.join('\n\n')}
`)
