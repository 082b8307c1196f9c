import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { deliveryKeys } from '../../delivery/keys'
import { peopleKeys } from '../../people/keys'
import { academyKeys } from '../keys'

export const useClubs = (enabled = true) =>
  useQuery({
    queryKey: academyKeys.clubs,
    queryFn: () => data(api.GET('/clubs')),
    enabled,
    select: useTranslated(),
  })

export const usePeople = (enabled: boolean) =>
  useQuery({ queryKey: peopleKeys.all, queryFn: () => data(api.GET('/people')), enabled })

export const useInvitations = (enabled: boolean) =>
  useQuery({ queryKey: peopleKeys.invitations, queryFn: () => data(api.GET('/invitations')), enabled })

type Change =
  | { add: 'club'; body: Schemas['NewClub'] }
  | { rename: string; body: Schemas['NameSaid'] }
  | { add: 'team'; club: string; body: Schemas['NewTeam'] }
  | { change: string; body: Schemas['TeamSaid'] }
  | { withdraw: string }

/** Whatever changes clubs, teams or people. */
export function useChange() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (change: Change): Promise<unknown> => {
      if ('withdraw' in change)
        return api.DELETE('/invitations/{invitation}', { params: { path: { invitation: change.withdraw } } })
      if ('rename' in change)
        return api.PUT('/clubs/{club}', { params: { path: { club: change.rename } }, body: change.body })
      if ('change' in change)
        return api.PUT('/teams/{team}', { params: { path: { team: change.change } }, body: change.body })
      if (change.add === 'club') return api.POST('/clubs', { body: change.body })
      return api.POST('/clubs/{club}/teams', { params: { path: { club: change.club } }, body: change.body })
    },
    onSuccess: () =>
      Promise.all(
        [academyKeys.clubs, peopleKeys.all, peopleKeys.invitations, deliveryKeys.boards].map((queryKey) =>
          queries.invalidateQueries({ queryKey }),
        ),
      ),
  })
}

/** Reads a list and says what it would add; nothing is written. */
export const useClubList = () =>
  useMutation({
    mutationFn: async (list: Blob) => {
      const bytes = await list.arrayBuffer()
      return data(
        api.POST('/club-list', {
          body: '',
          bodySerializer: () => bytes,
          headers: { 'Content-Type': 'text/csv' },
        }),
      )
    },
  })

/** Adds what a list says, and invites the coaches who are new. */
export function useTakeClubList() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (teams: Schemas['ListedTeam'][]) => data(api.POST('/club-list/add', { body: { teams } })),
    onSuccess: () =>
      Promise.all(
        [academyKeys.clubs, peopleKeys.all, peopleKeys.invitations, deliveryKeys.boards].map((queryKey) =>
          queries.invalidateQueries({ queryKey }),
        ),
      ),
  })
}

export function useInvite() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['NewInvitation']) => data(api.POST('/invitations', { body })),
    onSuccess: () => queries.invalidateQueries({ queryKey: peopleKeys.invitations }),
  })
}
