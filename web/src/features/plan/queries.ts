import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Curriculum } from '../../api/client'

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

export type Wishes = Curriculum['wishes']
/** What a change makes of the wishes that stand when its turn comes. */
export type Change = (wishes: Wishes) => Wishes

/**
 * The three ways in which a director changes a curriculum. They take their turns: each reads what the one before it
 * left, so that quick hands never run into their own changes. `onUndoable` hears what stood before a change.
 */
export function useChanges(id: string, onUndoable: (before: Wishes) => void) {
  const queries = useQueryClient()
  const scope = { id: `curriculum ${id}` }
  const standing = async () => {
    const known = queries.getQueryData<Curriculum>(['curriculum', id])
    return known ?? data(api.GET('/curricula/{id}', { params: { path: { id } } }))
  }
  const of = ({ version }: Curriculum) => ({ path: { id }, header: { 'If-Match': `"${version}"` } })
  const shown = (next: Curriculum) => void queries.setQueryData(['curriculum', id], next)
  const onError = () => void queries.invalidateQueries({ queryKey: ['curriculum', id] })
  const wish = useMutation({
    scope,
    onError,
    mutationFn: async ({ change, undoable }: { change: Change; undoable: boolean }) => {
      const before = await standing()
      shown(await data(api.PUT('/curricula/{id}', { params: of(before), body: change(before.wishes) })))
      if (undoable) onUndoable(before.wishes)
    },
  })
  const solve = useMutation({
    scope,
    onError,
    mutationFn: async () => {
      const before = await standing()
      // Every press looks elsewhere among the plans, and the same press on the same version finds the same one.
      shown(await data(api.POST('/curricula/{id}/solve', { params: of(before), body: { seed: before.version } })))
    },
  })
  const publish = useMutation({
    scope,
    onError,
    mutationFn: async (edition: { id: string; note: string }) => {
      const before = await standing()
      shown(await data(api.POST('/curricula/{id}/editions', { params: of(before), body: edition })))
    },
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['curricula'] }),
  })
  return { wish, solve, publish }
}
