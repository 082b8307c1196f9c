import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, newId, type Curriculum } from '../../api/client'

export const useCurricula = () =>
  useQuery({ queryKey: ['curricula'], queryFn: () => data(api.GET('/curricula')) })

export const useCurriculum = (id: string | undefined) =>
  useQuery({
    queryKey: ['curriculum', id],
    queryFn: () => data(api.GET('/curricula/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  })

/** The running order of a session; `version` renews it with every change of the plan. */
export const useDraftEvening = (id: string, session: number, version: number) =>
  useQuery({
    queryKey: ['draft-evening', id, session, version],
    queryFn: () => data(api.GET('/curricula/{id}/sessions/{session}', { params: { path: { id, session } } })),
    placeholderData: (before) => before,
  })

/** The three ways in which a director changes a curriculum. Each takes the version that was read. */
export function useChanges(view: Curriculum) {
  const queries = useQueryClient()
  const params = { path: { id: view.id }, header: { 'If-Match': `"${view.version}"` } }
  const onSuccess = (next: Curriculum) => queries.setQueryData(['curriculum', view.id], next)
  const onError = () => void queries.invalidateQueries({ queryKey: ['curriculum', view.id] })
  const wish = useMutation({
    mutationFn: (wishes: Curriculum['wishes']) => data(api.PUT('/curricula/{id}', { params, body: wishes })),
    onSuccess,
    onError,
  })
  const solve = useMutation({
    mutationFn: (seed: number) => data(api.POST('/curricula/{id}/solve', { params, body: { seed } })),
    onSuccess,
  })
  const publish = useMutation({
    mutationFn: (note: string) => data(api.POST('/curricula/{id}/editions', { params, body: { id: newId(), note } })),
    onSuccess: (next) => {
      onSuccess(next)
      void queries.invalidateQueries({ queryKey: ['curricula'] })
    },
  })
  return { wish, solve, publish }
}
