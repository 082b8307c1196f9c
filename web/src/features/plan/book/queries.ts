import { useQueries } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { planKeys } from '../keys'

export type Book = Schemas['Book']

/** The books of curricula, in their order. */
export function useBooks(ids: string[]) {
  const select = useTranslated()
  return useQueries({
    queries: ids.map((id) => ({
      queryKey: planKeys.book(id),
      queryFn: () => data(api.GET('/curricula/{id}/book', { params: { path: { id } } })),
      select,
    })),
  })
}
