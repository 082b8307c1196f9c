/** By which keys the drill room asks: the library, a drill, the desk. */
export const drillKeys = {
  lists: ['drill', 'list'],
  list: (wanted: object) => ['drill', 'list', wanted],
  questions: ['drill', 'questions'],
  drill: (id: string | undefined) => ['drill', 'drill', id],
  phrases: (language: string, page: string | undefined) => ['drill', 'phrases', language, page],
  voices: (id: string) => ['drill', 'voices', id],
  desks: ['drill', 'desk'],
  desk: (looking: object | null | undefined) => ['drill', 'desk', looking],
} as const
