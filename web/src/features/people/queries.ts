// One's own account, and what a director does with people.
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../api/client'
import { academyKeys } from '../academy/keys'
import { peopleKeys } from './keys'

export const useSignIns = () =>
  useQuery({ queryKey: peopleKeys.signIns, queryFn: () => data(api.GET('/session/sign-ins')) })

export const useSecondFactor = () =>
  useQuery({ queryKey: peopleKeys.secondFactor, queryFn: () => data(api.GET('/session/second-factor')) })

/** What changes one's own account; where one is signed in may be another list afterwards. */
export function useAccount() {
  const queries = useQueryClient()
  const again = () =>
    Promise.all(
      [peopleKeys.signIns, peopleKeys.secondFactor, peopleKeys.session].map((queryKey) =>
        queries.invalidateQueries({ queryKey }),
      ),
    )
  return {
    password: useMutation({
      mutationFn: (body: Schemas['PasswordSaid']) => api.PUT('/session/password', { body }),
      onSuccess: again,
    }),
    end: useMutation({
      mutationFn: (id: string | null) =>
        id === null
          ? api.DELETE('/session/sign-ins')
          : api.DELETE('/session/sign-ins/{id}', { params: { path: { id } } }),
      onSuccess: again,
    }),
    leave: useMutation({
      mutationFn: ({ team, club }: { team?: string; club?: string }): Promise<unknown> =>
        team
          ? api.DELETE('/session/teams/{team}', { params: { path: { team } } })
          : api.DELETE('/session/clubs/{club}', { params: { path: { club: club ?? '' } } }),
      onSuccess: () => queries.invalidateQueries(),
    }),
  }
}

/** Setting a second factor up, and turning it off. */
export function useFactorChanges() {
  const queries = useQueryClient()
  const again = () => queries.invalidateQueries({ queryKey: peopleKeys.secondFactor })
  return {
    begin: useMutation({
      mutationFn: (password: string) => data(api.POST('/session/second-factor', { body: { password } })),
    }),
    // The codes are shown before the page knows that it is on.
    turnOn: useMutation({
      mutationFn: (code: string) => data(api.PUT('/session/second-factor', { body: { code } })),
    }),
    turnOff: useMutation({
      mutationFn: (password: string) => api.POST('/session/second-factor/off', { body: { password } }),
      onSuccess: again,
    }),
    kept: () => Promise.all([again(), queries.invalidateQueries({ queryKey: peopleKeys.session })]),
  }
}

export const useShutOut = () =>
  useQuery({ queryKey: peopleKeys.shutOut, queryFn: () => data(api.GET('/people/shut-out')) })

/** A link for a new password. */
export const usePasswordLink = (person: string) =>
  useMutation({
    mutationFn: () => data(api.POST('/people/{person}/password-link', { params: { path: { person } } })),
  })

type Right = { shutOut: string } | { letIn: string } | { factor: string } | { club: string; lead: string }

/** Whatever changes what somebody may do. */
export function useRights() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (right: Right): Promise<unknown> => {
      const of = (person: string) => ({ params: { path: { person } } })
      if ('shutOut' in right) return api.POST('/people/{person}/shut-out', of(right.shutOut))
      if ('letIn' in right) return api.POST('/people/{person}/let-in', of(right.letIn))
      if ('factor' in right) return api.DELETE('/people/{person}/second-factor', of(right.factor))
      return api.DELETE('/clubs/{club}/leads/{person}', {
        params: { path: { club: right.club, person: right.lead } },
      })
    },
    onSuccess: () =>
      Promise.all(
        [academyKeys.clubs, peopleKeys.all, peopleKeys.shutOut, peopleKeys.invitations].map((queryKey) =>
          queries.invalidateQueries({ queryKey }),
        ),
      ),
  })
}

export interface Filter {
  person?: string
  what?: Schemas['Deed']
}

/** What was done, page after page, the latest first. */
export const useAudit = (filter: Filter) =>
  useInfiniteQuery({
    queryKey: peopleKeys.audit(filter.person, filter.what),
    queryFn: ({ pageParam }) =>
      data(api.GET('/audit', { params: { query: { ...filter, after: pageParam, limit: 50 } } })),
    initialPageParam: undefined as string | undefined,
    getNextPageParam: (last) => last.next ?? undefined,
  })
