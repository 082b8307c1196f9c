/** The name in files that a title gives, or `otherwise` if it has no letters. */
export const nameFor = (title: string, otherwise = 'drill') =>
  title
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 50)
    .replace(/^-+|-+$/g, '') || otherwise
