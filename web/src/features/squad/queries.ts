import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, newId, type Schemas } from '../../api/client'

export const squadOf = (team: string) =>
  queryOptions({
    queryKey: ['squad', team],
    queryFn: () => data(api.GET('/teams/{team}/squad', { params: { path: { team } } })),
  })

export const useSquad = (team: string) => useQuery(squadOf(team))

/** Reads a file and says what it would add; nothing is written. */
export const useRosterPreview = (team: string) =>
  useMutation({
    mutationFn: async ({ file, columns }: { file: File; columns?: Schemas['Columns'] }) => {
      const bytes = await file.arrayBuffer()
      return data(
        api.POST('/teams/{team}/roster', {
          params: { path: { team }, query: columns },
          body: '',
          bodySerializer: () => bytes,
          headers: { 'Content-Type': 'text/csv' },
        }),
      )
    },
  })

export function useAddPlayers(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (players: Schemas['NewPlayer'][]) =>
      api.POST('/teams/{team}/players', {
        params: { path: { team } },
        body: { players: players.map((player) => ({ id: newId(), ...player })) },
      }),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: ['squad', team] })
      void queries.invalidateQueries({ queryKey: ['sheet', team] })
    },
  })
}
