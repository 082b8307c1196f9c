// Who is signed in.

import { hashKey, type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, ProblemError } from '../../api/client'
import { deliveryKeys } from '../delivery/keys'
import { drillKeys } from '../drill/keys'
import { planKeys } from '../plan/keys'
import { peopleKeys } from './keys'

export function useSession() {
  const queries = useQueryClient()
  return useQuery({
    queryKey: peopleKeys.session,
    queryFn: async () => {
      try {
        const session = await data(api.GET('/session'))
        const before = queries.getQueryData<typeof session | null>(peopleKeys.session)
        if (before && before.id !== session.id) forgetOthers(queries)
        return session
      } catch (error) {
        if (error instanceof ProblemError && error.status === 401) return null
        throw error
      }
    },
    staleTime: 60_000,
  })
}

export const useSamples = () =>
  useQuery({ queryKey: peopleKeys.samples, queryFn: () => data(api.GET('/samples')), staleTime: Infinity })

/** What is asked for whoever is signed in. */
const MINE = [peopleKeys.session, peopleKeys.samples].map((key) => hashKey(key))

/** What one person has read is not shown to the next. */
const forgetOthers = (queries: QueryClient) =>
  queries.removeQueries({
    predicate: ({ queryHash }) => !MINE.includes(queryHash),
  })

export function useSignIn() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: { login: string; password: string }) => data(api.POST('/session', { body })),
    onSuccess: (session) => {
      forgetOthers(queries)
      queries.setQueryData(peopleKeys.session, session)
    },
  })
}

export function useSignOut() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: () => api.DELETE('/session'),
    onSuccess: () => {
      queries.setQueryData(peopleKeys.session, null)
      forgetOthers(queries)
    },
  })
}

/** The address of one's own calendar: made, made anew, let go. */
export function useCalendar() {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: peopleKeys.session })
  return {
    make: useMutation({ mutationFn: () => data(api.POST('/session/calendar')), onSuccess: again }),
    end: useMutation({ mutationFn: () => api.DELETE('/session/calendar'), onSuccess: again }),
  }
}

/** Keeps where one gets post; nothing for no post. */
export function useSetEmail() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (email: string | null) => api.PUT('/session/email', { body: { email } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: peopleKeys.session }),
  })
}

/** Keeps the measured pace of whoever is signed in; everything that was laid in the old one is asked for again. */
export function useSetPace() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (pace_m: number | null) => data(api.PUT('/session/pace', { body: { pace_m } })),
    onSuccess: (session) => {
      queries.setQueryData(peopleKeys.session, session)
      for (const queryKey of [deliveryKeys.allEvenings, planKeys.evenings, drillKeys.desks, drillKeys.lists])
        void queries.invalidateQueries({ queryKey })
    },
  })
}
