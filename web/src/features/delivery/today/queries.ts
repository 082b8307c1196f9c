import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { deliveryKeys } from '../keys'

export const sessionsOf = (team: string) =>
  queryOptions({
    queryKey: deliveryKeys.sessions(team),
    queryFn: () => data(api.GET('/teams/{team}/sessions', { params: { path: { team } } })),
  })

export const useSessions = (team: string) => useQuery({ ...sessionsOf(team), select: useTranslated() })

export const sessionOf = (team: string, edition: string, session: number) =>
  queryOptions({
    queryKey: deliveryKeys.session(team, edition, session),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/sessions/{edition}/{session}', {
          params: { path: { team, edition, session } },
        }),
      ),
  })

export const useTeamSession = (team: string, edition: string | undefined, session: number | undefined) =>
  useQuery({
    ...sessionOf(team, edition ?? '', session ?? 0),
    enabled: edition !== undefined && session !== undefined,
    select: useTranslated(),
  })

/** The session that takes place on a day, or the next one after it. */
export const todayOf = (sessions: Schemas['SessionEntry'][], today: string) =>
  sessions.find((session) => session.date >= today && session.upset?.left !== 0)

/** The ways to go on when a session has only some minutes left. */
export const useRemedies = (team: string, edition: string, session: number, left: number, enabled: boolean) =>
  useQuery({
    queryKey: deliveryKeys.remedies(team, edition, session, left),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/sessions/{edition}/{session}/remedies', {
          params: { path: { team, edition, session }, query: { left } },
        }),
      ),
    enabled,
    gcTime: 0,
    select: useTranslated(),
  })

const renewSessions = (queries: ReturnType<typeof useQueryClient>, team: string) =>
  Promise.all([
    queries.invalidateQueries({ queryKey: deliveryKeys.sessionsRead(team) }),
    queries.invalidateQueries({ queryKey: deliveryKeys.sessions(team) }),
  ])

/** The sessions are read again only once whoever asked has gone on: their screen may be gone by then. */
export function useGoOn(team: string, edition: string, session: number, onDone: () => void) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['Chosen']) =>
      data(
        api.POST('/teams/{team}/sessions/{edition}/{session}/upset', {
          params: { path: { team, edition, session } },
          body,
        }),
      ),
    onSuccess: () => {
      onDone()
      return renewSessions(queries, team)
    },
  })
}

/** Sets who is kept apart and who stays together, in all blocks from now on; this needs the network. */
export function usePairs(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (pairs: Schemas['PairWish'][]) =>
      api.PUT('/teams/{team}/pairs', { params: { path: { team } }, body: { pairs } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: deliveryKeys.sessionsRead(team) }),
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
    onSettled: () => renewSessions(queries, team),
  })
}

/** Lets a skill begin that the team waits for; this needs the network. */
export function useLetBegin(team: string, edition: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (skill: string) =>
      data(
        api.POST('/teams/{team}/editions/{edition}/hinges/{skill}', {
          params: { path: { team, edition, skill } },
        }),
      ),
    onSettled: () => renewSessions(queries, team),
  })
}

/** Deletes what was noted of a day, with everything that it said before. */
export function useDeleteNote(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (day: string) =>
      data(api.DELETE('/teams/{team}/notes/{day}', { params: { path: { team, day } } })),
    onSuccess: () => queries.invalidateQueries({ queryKey: deliveryKeys.sessionsRead(team) }),
  })
}
