// The way to the server. Types come from the interface that the server describes; answers that are problems become
// errors that carry the problem.
import createClient from 'openapi-fetch'
import { patiently } from './patience'
import type { components, paths } from './schema'

/** The languages that Jogo speaks. */
export { languageValues as LANGUAGES } from './schema'

export type Schemas = components['schemas']
export type Strand = Schemas['Strand']
export type Stage = Schemas['Stage']
export type Level = Schemas['Level']
export type Side = Schemas['Side']
export type Curriculum = Schemas['CurriculumView']
export type Language = Schemas['Language']
export type RunningOrder = Schemas['RunningOrder']
export type RunningBlock = Schemas['RunningBlock']

export class ProblemError extends Error {
  constructor(
    readonly problem: Schemas['Problem'],
    readonly status: number,
  ) {
    super(problem.detail)
  }
}

export const api = createClient<paths>({ baseUrl: '/api/v1', fetch: patiently })

api.use({
  async onResponse({ response }) {
    if (response.ok) return response
    if (response.headers.get('content-type')?.includes('problem+json')) {
      throw new ProblemError((await response.json()) as Schemas['Problem'], response.status)
    }
    throw new Error(`${response.status}`)
  },
})

/** The answer's data; problems have been thrown before, and what takes long has been waited for. */
export async function data<T>(answer: Promise<{ data?: T }>): Promise<Exclude<T, Schemas['UnderWay']>> {
  return (await answer).data as Exclude<T, Schemas['UnderWay']>
}

/** The longest page that the server gives. */
export const LONGEST_PAGE = 200

/** A list of which nothing is missing: page after page, as long as there is a next one. */
export async function everyPage<T>(
  page: (after: string | undefined) => Promise<{ items: T[]; next?: string | null }>,
): Promise<T[]> {
  const items: T[] = []
  let after: string | undefined
  do {
    const read = await page(after)
    items.push(...read.items)
    after = read.next ?? undefined
  } while (after !== undefined)
  return items
}

export const newId = () => crypto.randomUUID()
