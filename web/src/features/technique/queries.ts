import { useQuery } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../api/client'
import { techniqueKeys } from './keys'

/** A score, looked at while it is written: every keystroke is answered, and the picture stays until it is. */
export const useScore = (looking: Schemas['ScoreText'] | undefined) =>
  useQuery({
    queryKey: techniqueKeys.score(looking),
    queryFn: ({ signal }) => data(api.POST('/scores', { body: looking as Schemas['ScoreText'], signal })),
    enabled: looking !== undefined,
    placeholderData: (before) => before,
    gcTime: 10_000,
    staleTime: Infinity,
  })
