import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, type Curriculum, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { assessmentKeys } from '../../assessment/keys'
import { progressionKeys } from '../../progression/keys'
import { planKeys } from '../keys'

export type Mend = Schemas['BenchmarkMend']
export type Finding = Schemas['BenchmarkFinding']
/** A milestone that is proposed, before it is put in words. */
export type Proposed = Extract<Mend, { kind: 'milestone' }>
/** A standard that is proposed. */
export type NewStandard = Extract<Mend, { kind: 'standard' }>

/** What can be shown of the goals; `version` renews it with every change of the plan. */
export const useBenchmarks = (id: string, version: number) =>
  useQuery({
    queryKey: planKeys.benchmarksOf(id, version),
    queryFn: () => data(api.GET('/curricula/{id}/benchmarks', { params: { path: { id } } })),
    placeholderData: (before) => before,
    select: useTranslated(),
  })

/** All milestones as they are written, for changing one. */
export const useMilestones = () =>
  useQuery({ queryKey: planKeys.milestones, queryFn: () => data(api.GET('/milestones')) })

/** Mends what is a matter of the wishes: when a test is taken, what is to be reached. */
export function useMend(view: Curriculum) {
  const queries = useQueryClient()
  return useMutation({
    scope: { id: `curriculum ${view.id}` },
    mutationFn: async (mend: Mend) => {
      const { id, version } = queries.getQueryData<Curriculum>(planKeys.curriculum(view.id)) ?? view
      const params = { path: { id }, header: { 'If-Match': `"${version}"` } }
      const next = await data(api.POST('/curricula/{id}/benchmarks/mend', { params, body: mend }))
      queries.setQueryData(planKeys.curriculum(id), next)
    },
    onError: () => void queries.invalidateQueries({ queryKey: planKeys.curriculum(view.id) }),
  })
}

/** What shows milestones, tests and standards. */
const OF_LIBRARY = [planKeys.benchmarks, planKeys.milestones, assessmentKeys.all, progressionKeys.map]

/** Keeps a milestone, and the test with its points first where that is new. */
export function useKeepProposed() {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async ({ milestone, test }: { milestone: Schemas['Milestone']; test?: Schemas['Test'] }) => {
      if (test) {
        // Sent again after a lost answer it is there already, and is the same.
        await api.PUT('/tests/{id}', { params: { path: { id: test.id } }, body: test })
      }
      await api.PUT('/milestones/{id}', { params: { path: { id: milestone.id } }, body: milestone })
    },
    onSuccess: () => OF_LIBRARY.forEach((queryKey) => void queries.invalidateQueries({ queryKey })),
  })
}

/** Sets a standard for a band, from today on. */
export function useBeginStandard(band: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async ({ test, thresholds }: NewStandard) => {
      const { today } = await data(api.GET('/standards/{test}', { params: { path: { test }, query: {} } }))
      const body = { from: today, bands: { [band]: thresholds } }
      await api.PUT('/standards/{test}', { params: { path: { test } }, body })
    },
    onSuccess: () => OF_LIBRARY.forEach((queryKey) => void queries.invalidateQueries({ queryKey })),
  })
}
