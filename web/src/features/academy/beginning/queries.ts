import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { academyKeys } from '../keys'

/** How often it is asked how far the academy has come, until its first plan is out. */
const AGAIN_MS = 10_000

/** The steps of a new academy, and which of them are done. */
export const useSteps = (wanted: boolean) =>
  useQuery({
    queryKey: academyKeys.beginning,
    queryFn: () => data(api.GET('/beginning')),
    enabled: wanted,
    refetchInterval: ({ state }) => (state.data?.steps.every((step) => step.done) ? false : AGAIN_MS),
  })

/** The library that comes with Jogo, part by part. */
export const useStarter = () =>
  useQuery({ queryKey: academyKeys.starter, queryFn: () => data(api.GET('/starter')) })

/** Takes parts of it: afterwards there is much that was not there before. */
export function useTakeStarter() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (parts: Schemas['StarterPart'][]) => data(api.POST('/starter', { body: { parts } })),
    onSuccess: (starter) => {
      queries.setQueryData(academyKeys.starter, starter)
      void queries.invalidateQueries()
    },
  })
}
