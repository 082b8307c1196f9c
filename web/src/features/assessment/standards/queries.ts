import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { progressionKeys } from '../../progression/keys'
import { assessmentKeys } from '../keys'

export type Thresholds = Schemas['Thresholds']
export type Moved = Record<string, Thresholds>

export const useTests = () =>
  useQuery({
    queryKey: assessmentKeys.standards,
    queryFn: () => data(api.GET('/standards')),
    select: useTranslated(),
  })

export const useScale = (test: string | undefined, percentiles: Schemas['Percentiles'] | null) =>
  useQuery({
    queryKey: assessmentKeys.scale(test, percentiles),
    queryFn: () =>
      data(
        api.GET('/standards/{test}', { params: { path: { test: test ?? '' }, query: percentiles ?? {} } }),
      ),
    enabled: test !== undefined,
    placeholderData: (before) => (before?.test.id === test ? before : undefined),
    select: useTranslated(),
  })

/** Finds a milestone of a test as it is written, for changing it. */
export function useWrittenMilestone(test: string) {
  const queries = useQueryClient()
  return (id: string) =>
    queries
      .getQueriesData<Schemas['StandardsOfTest']>({ queryKey: assessmentKeys.standard(test) })
      .flatMap(([, scale]) => scale?.bands.flatMap((band) => band.milestones) ?? [])
      .find((milestone) => milestone.id === id)
}

/** Where the results stand under thresholds that are only thought of. */
export const useWeighed = (test: string, moved: Moved) =>
  useQuery({
    queryKey: assessmentKeys.weighed(test, moved),
    queryFn: () =>
      data(api.POST('/standards/{test}/weighed', { params: { path: { test } }, body: { bands: moved } })),
    enabled: Object.keys(moved).length > 0,
    placeholderData: (before) => before,
  })

export function useSetStandards(test: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: { from: string; bands: Moved }) =>
      api.PUT('/standards/{test}', { params: { path: { test } }, body }),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: assessmentKeys.standards })
      void queries.invalidateQueries({ queryKey: assessmentKeys.allLevels })
    },
  })
}

/** Keeps a milestone. */
export function usePutMilestone(test: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (milestone: Schemas['Milestone']) =>
      api.PUT('/milestones/{id}', { params: { path: { id: milestone.id } }, body: milestone }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: assessmentKeys.standard(test) }),
  })
}

/** Takes a milestone out. */
export function useDropMilestone(test: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (id: string) => api.DELETE('/milestones/{id}', { params: { path: { id } } }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: assessmentKeys.standard(test) }),
  })
}

/** A test as it is written, for changing it. */
export const useWrittenTest = (test: string | null) =>
  useQuery({
    queryKey: assessmentKeys.test(test),
    queryFn: () => data(api.GET('/tests/{id}', { params: { path: { id: test ?? '' } } })),
    enabled: test !== null,
  })

/** What shows a test after it has become another. */
const OF_TESTS = [assessmentKeys.all, progressionKeys.map]

/** Keeps a test; a fresh one never takes the place of another. */
export function usePutTest() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: ({ test, fresh }: { test: Schemas['Test']; fresh: boolean }) =>
      api.PUT('/tests/{id}', {
        params: { path: { id: test.id }, header: fresh ? { 'If-None-Match': '*' } : {} },
        body: test,
      }),
    onSuccess: () => OF_TESTS.forEach((queryKey) => void queries.invalidateQueries({ queryKey })),
  })
}

/** Takes a test out. */
export function useDropTest() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (id: string) => api.DELETE('/tests/{id}', { params: { path: { id } } }),
    onSuccess: () => OF_TESTS.forEach((queryKey) => void queries.invalidateQueries({ queryKey })),
  })
}
