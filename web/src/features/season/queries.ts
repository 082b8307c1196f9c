import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, newId, type Schemas } from '../../api/client'
import { useTranslated } from '../../texts/phrases'
import { academyKeys } from '../academy/keys'
import { assessmentKeys } from '../assessment/keys'
import { deliveryKeys } from '../delivery/keys'
import { peopleKeys } from '../people/keys'
import { planKeys } from '../plan/keys'
import { seasonKeys } from './keys'

export type YearSheet = Schemas['YearSheetView']
export type BandYear = Schemas['BandYear']

export const useSeasons = () =>
  useQuery({ queryKey: seasonKeys.seasons, queryFn: () => data(api.GET('/seasons')) })

export const useYear = (season: string) =>
  useQuery({
    queryKey: seasonKeys.year(season),
    queryFn: () => data(api.GET('/seasons/{season}/year', { params: { path: { season } } })),
    select: useTranslated(),
    placeholderData: (before) => before,
  })

export const useDaysOff = () =>
  useQuery({ queryKey: seasonKeys.daysOff, queryFn: () => data(api.GET('/days-off')) })

/** Reads again what follows from seasons, outlines and days off. */
function useRenew(also: readonly (readonly string[])[] = []) {
  const queries = useQueryClient()
  return () =>
    Promise.all([seasonKeys.all, ...also].map((queryKey) => queries.invalidateQueries({ queryKey })))
}

export const useKeepSeason = () => {
  const renew = useRenew()
  return useMutation({
    mutationFn: ({ id, season }: { id: string; season: Schemas['Year'] }) =>
      api.PUT('/seasons/{season}', { params: { path: { season: id } }, body: season }),
    onSuccess: renew,
  })
}

export const useDropSeason = () => {
  const renew = useRenew()
  return useMutation({
    mutationFn: (season: string) => api.DELETE('/seasons/{season}', { params: { path: { season } } }),
    onSuccess: renew,
  })
}

/** Days off decide about sessions: which take place, and what the plans have on the others. */
const OF_SESSIONS = [deliveryKeys.all, academyKeys.times, peopleKeys.session]

export const useKeepDaysOff = () => {
  const renew = useRenew(OF_SESSIONS)
  return useMutation({
    mutationFn: ({ id, ...body }: { id: string } & Schemas['DaysOffSaid']) =>
      data(api.PUT('/days-off/{days_off}', { params: { path: { days_off: id } }, body })),
    onSuccess: renew,
  })
}

export const useDropDaysOff = () => {
  const renew = useRenew(OF_SESSIONS)
  return useMutation({
    mutationFn: (id: string) =>
      data(api.DELETE('/days-off/{days_off}', { params: { path: { days_off: id } } })),
    onSuccess: renew,
  })
}

export const useKeepOutline = () => {
  const renew = useRenew()
  return useMutation({
    mutationFn: ({ id, outline }: { id: string; outline: Schemas['Outline'] }) =>
      api.PUT('/outlines/{outline}', { params: { path: { outline: id } }, body: outline }),
    onSuccess: renew,
  })
}

export const useDropOutline = () => {
  const renew = useRenew()
  return useMutation({
    mutationFn: (outline: string) => api.DELETE('/outlines/{outline}', { params: { path: { outline } } }),
    onSuccess: renew,
  })
}

/** Lays the plans of a band one after the other. */
export const useLayYear = (season: string) => {
  const renew = useRenew([planKeys.all])
  return useMutation({
    mutationFn: (wish: { band: string; believed: Schemas['Believed'] }) =>
      data(
        api.POST('/seasons/{season}/plans', {
          params: { path: { season } },
          body: { id: newId(), ...wish },
        }),
      ),
    onSuccess: renew,
  })
}

export const useChangeStart = (season: string) =>
  useQuery({
    queryKey: seasonKeys.changes(season),
    queryFn: () => data(api.GET('/seasons/{season}/changes', { params: { path: { season } } })),
  })

/** What a season change would do; the last answer stands until the next one is there. */
export const useChangePreview = (season: string, wish: Schemas['ChangeWish']) =>
  useQuery({
    queryKey: seasonKeys.preview(season, wish),
    queryFn: () =>
      data(api.POST('/seasons/{season}/changes/preview', { params: { path: { season } }, body: wish })),
    select: useTranslated(),
    placeholderData: (before) => before,
  })

/** Squads are other ones: whatever is read of children and teams is read again. */
const OF_SQUADS = [academyKeys.all, assessmentKeys.all, deliveryKeys.all, peopleKeys.session]

export const useMakeChange = (season: string) => {
  const renew = useRenew(OF_SQUADS)
  return useMutation({
    mutationFn: ({ id, ...body }: { id: string } & Schemas['Confirmed']) =>
      api.PUT('/seasons/{season}/changes/{change}', { params: { path: { season, change: id } }, body }),
    onSettled: renew,
  })
}

export const useTakeBackChange = (season: string) => {
  const renew = useRenew(OF_SQUADS)
  return useMutation({
    mutationFn: (change: string) =>
      data(api.DELETE('/seasons/{season}/changes/{change}', { params: { path: { season, change } } })),
    onSettled: renew,
  })
}
