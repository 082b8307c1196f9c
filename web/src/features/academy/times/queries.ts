import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { deliveryKeys } from '../../delivery/keys'
import { peopleKeys } from '../../people/keys'
import { academyKeys } from '../keys'

export const useClubTimes = (club: string) =>
  useQuery({
    queryKey: academyKeys.clubTimes(club),
    queryFn: () => data(api.GET('/clubs/{club}/times', { params: { path: { club } } })),
  })

export const useTeamTimes = (team: string) =>
  useQuery({
    queryKey: academyKeys.teamTimes(team),
    queryFn: () => data(api.GET('/teams/{team}/times', { params: { path: { team } } })),
  })

/** Times and places decide about sessions: their days, their floor, and what a phone says. */
function useRenew() {
  const queries = useQueryClient()
  return () =>
    Promise.all(
      [academyKeys.times, deliveryKeys.all, peopleKeys.session].map((queryKey) =>
        queries.invalidateQueries({ queryKey }),
      ),
    )
}

export const useSetSlots = (team: string) => {
  const renew = useRenew()
  return useMutation({
    mutationFn: (slots: Schemas['Slot'][]) =>
      data(api.PUT('/teams/{team}/times', { params: { path: { team } }, body: { slots } })),
    onSuccess: renew,
  })
}

export const usePutPlace = (club: string) => {
  const renew = useRenew()
  return useMutation({
    mutationFn: ({ id, place }: Schemas['PlaceView']) =>
      data(api.PUT('/clubs/{club}/places/{place}', { params: { path: { club, place: id } }, body: place })),
    onSuccess: renew,
  })
}

export const useDropPlace = (club: string) => {
  const renew = useRenew()
  return useMutation({
    mutationFn: (place: string) =>
      api.DELETE('/clubs/{club}/places/{place}', { params: { path: { club, place } } }),
    onSuccess: renew,
  })
}
