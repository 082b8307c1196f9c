// Who is signed in.

import { hashKey, type QueryClient, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, ProblemError, type Schemas } from '../../api/client'
import { forgetRead as forgetKept } from '../../storage/device'
import { forgetGlimpse } from '../../storage/glimpse'
import { sendForNobody } from '../../storage/outbox'
import { chosenLanguage, forgetChildren, signedOut } from '../../storage/remembered'
import { type Language, ofBrowser } from '../../texts/t'
import { deliveryKeys } from '../delivery/keys'
import { drillKeys } from '../drill/keys'
import { planKeys } from '../plan/keys'
import { peopleKeys } from './keys'

/** Where the work of each role begins. */
export const BEGINS_AT: Record<Schemas['RoleView'], string> = {
  director: '/plan',
  club_lead: '/sessions',
  coach: '/today',
}

export function useSession() {
  const queries = useQueryClient()
  return useQuery({
    queryKey: peopleKeys.session,
    queryFn: async () => {
      if (!(await serverKnows())) return null
      try {
        const session = await data(api.GET('/session'))
        const before = queries.getQueryData<typeof session | null>(peopleKeys.session)
        if (before && before.id !== session.id) forgetOthers(queries)
        return session
      } catch (error) {
        if (!(error instanceof ProblemError && error.status === 401)) throw error
        signedOutHere(queries)
        return null
      }
    },
    staleTime: 60_000,
  })
}

/** Whoever signed out here without network is signed out at the server first; false if that cannot be. */
async function serverKnows() {
  if (signedOut.read() === null) return true
  try {
    await api.DELETE('/session')
    signedOut.forget()
    return true
  } catch {
    return false
  }
}

/** A question was answered with 401: whoever was signed in here is no longer. */
export function signedOutHere(queries: QueryClient) {
  // A child at home was never signed in, and keeps the page for practice.
  if (queries.getQueryData(peopleKeys.session)) forgetRead(queries)
  queries.setQueryData(peopleKeys.session, null)
}

/**
 * Nobody is signed in here any more: this device shows and keeps nothing of what was read. What was entered and not
 * sent stays, hidden, until whoever entered it signs in here again.
 */
export function forgetRead(queries: QueryClient) {
  sendForNobody()
  forgetOthers(queries)
  forgetChildren()
  void forgetKept()
}

export const useSamples = () =>
  useQuery({ queryKey: peopleKeys.samples, queryFn: () => data(api.GET('/samples')), staleTime: Infinity })

/** What is asked for whoever is signed in. */
const MINE = [peopleKeys.session, peopleKeys.samples].map((key) => hashKey(key))

/** What one person has read is not shown to the next. */
function forgetOthers(queries: QueryClient) {
  forgetGlimpse()
  queries.removeQueries({
    predicate: ({ queryHash }) => !MINE.includes(queryHash),
  })
}

export function useSignIn() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['Credentials']) => data(api.POST('/session', { body })),
    onSuccess: (session) => {
      signedOut.forget()
      forgetOthers(queries)
      queries.setQueryData(peopleKeys.session, session)
    },
  })
}

export function useSignOut() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async () => {
      try {
        await api.DELETE('/session')
      } catch {
        // Without network the server hears of it later; this device forgets at once.
        signedOut.write('yes')
      }
    },
    onSuccess: () => {
      queries.setQueryData(peopleKeys.session, null)
      forgetRead(queries)
    },
  })
}

/** The address of one's own calendar: made, made again, let go. */
export function useCalendar() {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: peopleKeys.session })
  return {
    make: useMutation({ mutationFn: () => data(api.POST('/session/calendar')), onSuccess: again }),
    end: useMutation({ mutationFn: () => api.DELETE('/session/calendar'), onSuccess: again }),
  }
}

/** Keeps where one gets post; undefined for no post. */
export function useSetEmail() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (email: string | null) => api.PUT('/session/email', { body: { email } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: peopleKeys.session }),
  })
}

/** In which language somebody reads: their own choice, then the last one on this device, then the browser's. */
export const languageOf = (session: Schemas['Session'] | null | undefined): Language =>
  (session && (chosenLanguage.read(session.id) ?? session.language)) ?? chosenLanguage.read() ?? ofBrowser()

/** Chooses a language: at once on this device, and everywhere as soon as the server has heard of it. */
export function useChooseLanguage(session: Schemas['Session']) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (language: Schemas['Language']) => {
      chosenLanguage.write(language, session.id)
      chosenLanguage.write(language)
      queries.setQueryData(peopleKeys.session, { ...session, language })
      return data(api.PUT('/session/language', { body: { language } }))
    },
    onSuccess: (session) => {
      chosenLanguage.write(null, session.id)
      queries.setQueryData(peopleKeys.session, session)
    },
  })
}

/** Keeps the measured pace of whoever is signed in; everything that was laid in the old one is asked for again. */
export function useSetPace() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (pace_m: number | null) => data(api.PUT('/session/pace', { body: { pace_m } })),
    onSuccess: (session) => {
      queries.setQueryData(peopleKeys.session, session)
      for (const queryKey of [
        deliveryKeys.allSessions,
        planKeys.runningOrders,
        drillKeys.desks,
        drillKeys.lists,
      ])
        void queries.invalidateQueries({ queryKey })
    },
  })
}
