import { useMutation, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'

/** Changes of bands and of what holds for the whole academy. Drills look different afterwards. */
export function useBandChanges() {
  const queries = useQueryClient()
  const lookAgain = () => {
    void queries.invalidateQueries({ queryKey: ['desk'] })
    void queries.invalidateQueries({ queryKey: ['drills'] })
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
      queries.setQueryData(['bands'], bands)
      lookAgain()
    },
  })
  const changeAcademy = useMutation({
    mutationFn: ({ academy, version }: { academy: Schemas['Academy']; version: number }) =>
      data(api.PUT('/academy', { params: { header: { 'If-Match': `"${version}"` } }, body: academy })),
    onSuccess: (view) => {
      queries.setQueryData(['academy'], view)
      lookAgain()
    },
  })
  return { change, changeAcademy }
}
