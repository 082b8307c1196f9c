import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { drillKeys } from '../../drill/keys'
import { academyKeys } from '../keys'

/** The tempos that the results of a band show. */
export const useMeasuredTempos = (band: string) =>
  useQuery({
    queryKey: academyKeys.tempos(band),
    queryFn: () => data(api.GET('/bands/{id}/tempos', { params: { path: { id: band } } })),
  })

/** Children who have left, and when they will be erased. */
export const useAllLeft = () =>
  useQuery({ queryKey: academyKeys.left, queryFn: () => data(api.GET('/left')) })

/** Changes of bands and of what holds for the whole academy. Drills look different afterwards. */
export function useBandChanges() {
  const queries = useQueryClient()
  const lookAgain = () => {
    void queries.invalidateQueries({ queryKey: drillKeys.desks })
    void queries.invalidateQueries({ queryKey: drillKeys.lists })
  }
  const change = useMutation({
    mutationFn: ({ band, version }: { band: Schemas['Band']; version: number }) =>
      data(
        api.PUT('/bands/{id}', {
          params: { path: { id: band.id }, header: { 'If-Match': `"${version}"` } },
          body: band,
        }),
      ),
    onSuccess: (bands) => {
      queries.setQueryData(academyKeys.bands, bands)
      lookAgain()
    },
  })
  const changeAcademy = useMutation({
    mutationFn: ({ academy, version }: { academy: Schemas['Academy']; version: number }) =>
      data(api.PUT('/academy', { params: { header: { 'If-Match': `"${version}"` } }, body: academy })),
    onSuccess: (view) => {
      queries.setQueryData(academyKeys.academy, view)
      void queries.invalidateQueries({ queryKey: academyKeys.left })
      lookAgain()
    },
  })
  const add = useMutation({
    mutationFn: (body: Schemas['NewBand']) => data(api.POST('/bands', { body })),
    onSuccess: (bands) => {
      queries.setQueryData(academyKeys.bands, bands)
      lookAgain()
    },
  })
  return { add, change, changeAcademy }
}

/** Gives the academy a name and a time zone: what says the one or counts days by the other is asked for again. */
export function useNameAcademy() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['AcademyNamed']) => data(api.PUT('/academy/name', { body })),
    onSuccess: (view) => {
      queries.setQueryData(academyKeys.academy, view)
      void queries.invalidateQueries()
    },
  })
}
