import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect } from 'react'
import { api, data, newId, type Schemas } from '../../api/client'
import { onArrival, put, useOutbox } from '../../api/outbox'

export const useEvenings = (team: string) =>
  useQuery({
    queryKey: ['evenings', team],
    queryFn: () => data(api.GET('/teams/{team}/evenings', { params: { path: { team } } })),
  })

export const useTeamEvening = (team: string, edition: string | undefined, session: number | undefined) =>
  useQuery({
    queryKey: ['evening', team, edition, session],
    queryFn: () =>
      data(
        api.GET('/teams/{team}/evenings/{edition}/{session}', {
          params: { path: { team, edition: edition ?? '', session: session ?? 0 } },
        }),
      ),
    enabled: edition !== undefined && session !== undefined,
  })

/** The ways to go on when an evening has only some minutes left. */
export const useRemedies = (team: string, edition: string, session: number, left: number, enabled: boolean) =>
  useQuery({
    queryKey: ['remedies', team, edition, session, left],
    queryFn: () =>
      data(api.GET('/teams/{team}/evenings/{edition}/{session}/remedies', { params: { path: { team, edition, session }, query: { left } } })),
    enabled,
    gcTime: 0,
  })

const renewEvenings = (queries: ReturnType<typeof useQueryClient>, team: string) =>
  Promise.all([queries.invalidateQueries({ queryKey: ['evening', team] }), queries.invalidateQueries({ queryKey: ['evenings', team] })])

/** The evenings are read anew only once whoever asked has gone on: their screen may be gone by then. */
export function useGoOn(team: string, edition: string, session: number, onDone: () => void) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['Chosen']) =>
      data(api.POST('/teams/{team}/evenings/{edition}/{session}/upset', { params: { path: { team, edition, session } }, body })),
    onSuccess: () => {
      onDone()
      return renewEvenings(queries, team)
    },
  })
}

/** Takes back what the team changed last in an edition. */
export function useTakeBack(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ edition, version }: { edition: string; version: number }) =>
      data(api.POST('/teams/{team}/editions/{edition}/back', { params: { path: { team, edition } }, body: { version } })),
    onSettled: () => renewEvenings(queries, team),
  })
}

export type Outcome = Schemas['Outcome']

/** What became of the blocks of an evening: what the server knows, and over it what still waits on this device. */
export function useOutcomes(team: string, edition: string, session: number, known: Schemas['OutcomeView'][]) {
  const queries = useQueryClient()
  const waiting = useOutbox()
  useEffect(
    () =>
      onArrival(() => {
        void renewEvenings(queries, team)
      }),
    [queries, team],
  )
  const outcomes = new Map<number, { outcome: Outcome; minutes: number | null }>(
    known.map((o) => [o.block, { outcome: o.outcome, minutes: o.minutes ?? null }]),
  )
  for (const w of waiting) {
    if (w.kind === 'outcome' && !w.refused && w.team === team && w.entry.edition === edition && w.entry.session === session) {
      outcomes.set(w.entry.block, { outcome: w.entry.outcome, minutes: w.entry.minutes ?? null })
    }
  }
  const say = (block: number, outcome: Outcome, minutes: number | null) =>
    put({ kind: 'outcome', team, entry: { id: newId(), edition, session, block, outcome, minutes, said_at: new Date().toISOString() } })
  return { outcomes, say }
}
