import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { deliveryKeys } from '../keys'

export const eveningsOf = (team: string) =>
  queryOptions({
    queryKey: deliveryKeys.evenings(team),
    queryFn: () => data(api.GET('/teams/{team}/evenings', { params: { path: { team } } })),
  })

export const useEvenings = (team: string) => useQuery(eveningsOf(team))

export const eveningOf = (team: string, edition: string, session: number) =>
  queryOptions({
    queryKey: deliveryKeys.evening(team, edition, session),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/evenings/{edition}/{session}', {
          params: { path: { team, edition, session } },
        }),
      ),
  })

export const useTeamEvening = (team: string, edition: string | undefined, session: number | undefined) =>
  useQuery({
    ...eveningOf(team, edition ?? '', session ?? 0),
    enabled: edition !== undefined && session !== undefined,
  })

/** The evening that takes place on a day, or the next one after it. */
export const tonightOf = (evenings: Schemas['EveningEntry'][], today: string) =>
  evenings.find((evening) => evening.date >= today && evening.upset?.left !== 0)

/** The ways to go on when an evening has only some minutes left. */
export const useRemedies = (team: string, edition: string, session: number, left: number, enabled: boolean) =>
  useQuery({
    queryKey: deliveryKeys.remedies(team, edition, session, left),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/evenings/{edition}/{session}/remedies', {
          params: { path: { team, edition, session }, query: { left } },
        }),
      ),
    enabled,
    gcTime: 0,
  })

const renewEvenings = (queries: ReturnType<typeof useQueryClient>, team: string) =>
  Promise.all([
    queries.invalidateQueries({ queryKey: deliveryKeys.eveningsRead(team) }),
    queries.invalidateQueries({ queryKey: deliveryKeys.evenings(team) }),
  ])

/** The evenings are read anew only once whoever asked has gone on: their screen may be gone by then. */
export function useGoOn(team: string, edition: string, session: number, onDone: () => void) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['Chosen']) =>
      data(
        api.POST('/teams/{team}/evenings/{edition}/{session}/upset', {
          params: { path: { team, edition, session } },
          body,
        }),
      ),
    onSuccess: () => {
      onDone()
      return renewEvenings(queries, team)
    },
  })
}

/** Sets who is kept apart and who stays together, in all blocks from now on; this needs the network. */
export function usePairs(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (pairs: Schemas['PairWish'][]) =>
      api.PUT('/teams/{team}/pairs', { params: { path: { team } }, body: { pairs } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: deliveryKeys.eveningsRead(team) }),
  })
}

/** Takes back what the team changed last in an edition. */
export function useTakeBack(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ edition, version }: { edition: string; version: number }) =>
      data(
        api.POST('/teams/{team}/editions/{edition}/back', {
          params: { path: { team, edition } },
          body: { version },
        }),
      ),
    onSettled: () => renewEvenings(queries, team),
  })
}
