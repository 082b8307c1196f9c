// English: what the interface says, and what it shares with the server.
const files = import.meta.glob<string>('../../../../locales/en/{interface,shared}/*.ftl', {
  query: '?raw',
  import: 'default',
  eager: true,
})

export const catalogue = Object.values(files)
