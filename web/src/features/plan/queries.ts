import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api, type Curriculum, data, everyPage, LONGEST_PAGE, type Schemas } from '../../api/client'
import { useTranslated } from '../../texts/phrases'
import { planKeys } from './keys'
import { lineSaid } from './lines'

export const useCurricula = () =>
  useQuery({
    queryKey: planKeys.curricula,
    queryFn: () =>
      everyPage((after) =>
        data(api.GET('/curricula', { params: { query: { after, limit: LONGEST_PAGE } } })),
      ),
    select: useTranslated(),
  })

/** A plan with the names of its lines as they are read. */
function useLinesSaid() {
  const translated = useTranslated()
  return useCallback(
    (view: Curriculum) => {
      const read = translated(view)
      return { ...read, skills: read.skills.map((line) => ({ ...line, name: lineSaid(line) })) }
    },
    [translated],
  )
}

export const useCurriculum = (id: string | undefined) =>
  useQuery({
    queryKey: planKeys.curriculum(id),
    queryFn: () => data(api.GET('/curricula/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    select: useLinesSaid(),
  })

/** What a new curriculum may begin from, and the approaches that come with Jogo. */
export const useBeginnings = () =>
  useQuery({
    queryKey: planKeys.beginnings,
    queryFn: () => data(api.GET('/curricula/beginnings')),
    select: useTranslated(),
  })

/** The running order of a session; `version` renews it with every change of the plan. */
export const useDraftSession = (id: string, session: number, version: number) =>
  useQuery({
    queryKey: planKeys.runningOrder(id, session, version),
    queryFn: () => data(api.GET('/curricula/{id}/sessions/{session}', { params: { path: { id, session } } })),
    placeholderData: (before) => before,
    select: useTranslated(),
  })

export interface Asked {
  block?: string
  skill?: string
}

/** Why a block is here, and why a skill comes so late. */
export const useWhy = (id: string, version: number, asked: Asked) =>
  useQuery({
    queryKey: planKeys.why(id, version, asked),
    queryFn: () => data(api.GET('/curricula/{id}/why', { params: { path: { id }, query: asked } })),
    placeholderData: (before) => before,
    select: useTranslated(),
  })

export const useForecast = (id: string, version: number, wanted: boolean) =>
  useQuery({
    queryKey: planKeys.forecast(id, version),
    queryFn: () => data(api.GET('/curricula/{id}/forecast', { params: { path: { id } } })),
    placeholderData: (before) => before,
    enabled: wanted,
    select: useTranslated(),
  })

/** What the squads that run the curriculum have reached so far, beside what is foreseen of the same goals. */
export const useSoFar = (id: string, version: number, wanted: boolean) =>
  useQuery({
    queryKey: planKeys.soFar(id, version),
    queryFn: () => data(api.GET('/curricula/{id}/so-far', { params: { path: { id } } })),
    placeholderData: (before) => before,
    enabled: wanted,
    select: useTranslated(),
  })

/** Touches by strand, surface and foot over the whole plan. */
export const useSurfaces = (id: string, version: number) =>
  useQuery({
    queryKey: planKeys.surfaces(id, version),
    queryFn: () => data(api.GET('/curricula/{id}/surfaces', { params: { path: { id } } })),
    placeholderData: (before) => before,
    select: useTranslated(),
  })

/** Where the calendar stands, and what the teams have delivered by session. */
export const useDelivered = (id: string) =>
  useQuery({
    queryKey: planKeys.delivered(id),
    queryFn: () => data(api.GET('/curricula/{id}/delivered', { params: { path: { id } } })),
  })

/** The goals as they would be from where the squads of the band, or one of them, stand today. */
export const useGoalsOfSquads = (id: string, whose: string) =>
  useQuery({
    queryKey: planKeys.goals(id, whose),
    queryFn: () =>
      data(
        api.GET('/curricula/{id}/goals', {
          params: { path: { id }, query: queryOf(whose) },
        }),
      ),
    enabled: whose !== '',
    select: useTranslated(),
  })
/** What may be believed of the curricula before. */
export const BELIEVED = ['planned', 'forecast'] as const

function queryOf(whose: string) {
  const believed = BELIEVED.find((each) => each === whose)
  if (believed) return { believed }
  return whose === EVERYBODY ? {} : { team: whose }
}

/** All squads of a band. */
export const EVERYBODY = 'band'

/** The plan beside one by another approach. */
export const useCompared = (id: string, version: number, approach: Schemas['Approach'] | undefined) =>
  useQuery({
    queryKey: planKeys.byApproach(id, version, approach),
    queryFn: () =>
      data(
        api.POST('/curricula/{id}/compare', {
          params: { path: { id } },
          body: { approach: approach as Schemas['Approach'], seed: 1 },
        }),
      ),
    enabled: approach !== undefined,
    select: useTranslated(),
  })

/** The plan beside the one of an edition. */
export const useComparedWithEdition = (id: string, version: number, number: number | undefined) =>
  useQuery({
    queryKey: planKeys.byEdition(id, version, number),
    queryFn: () =>
      data(
        api.GET('/curricula/{id}/editions/{number}/compared', {
          params: { path: { id, number: number ?? 0 } },
        }),
      ),
    enabled: number !== undefined,
    select: useTranslated(),
  })

export const useCreate = () => {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (body: Schemas['NewCurriculum']) => data(api.POST('/curricula', { body })),
    onSuccess: (made) => {
      queries.setQueryData(planKeys.curriculum(made.id), made)
      void queries.invalidateQueries({ queryKey: planKeys.curricula })
      void queries.invalidateQueries({ queryKey: planKeys.beginnings })
    },
  })
}

export type Wishes = Curriculum['wishes']
export type Edit = Schemas['Edit']
/** What a change makes of the wishes that stand when its turn comes. */
export type Change = (wishes: Wishes) => Wishes

/**
 * The ways in which a director changes a curriculum. They take their turns: each reads what the one before it left, so
 * that quick hands never run into their own changes.
 */
export function useChanges(id: string) {
  const queries = useQueryClient()
  const scope = { id: `curriculum ${id}` }
  const standing = async () => {
    const known = queries.getQueryData<Curriculum>(planKeys.curriculum(id))
    return known ?? data(api.GET('/curricula/{id}', { params: { path: { id } } }))
  }
  const of = ({ version }: Curriculum) => ({ path: { id }, header: { 'If-Match': `"${version}"` } })
  const shown = (next: Curriculum) => {
    queries.setQueryData(planKeys.curriculum(id), next)
    return next
  }
  const onError = () => void queries.invalidateQueries({ queryKey: planKeys.curriculum(id) })
  const wish = useMutation({
    scope,
    onError,
    mutationFn: async (change: Change) => {
      const before = await standing()
      return shown(
        await data(api.PUT('/curricula/{id}', { params: of(before), body: change(before.wishes) })),
      )
    },
  })
  const season = useMutation({
    scope,
    onError,
    mutationFn: async (body: Schemas['Season']) =>
      shown(await data(api.PUT('/curricula/{id}/season', { params: of(await standing()), body }))),
  })
  const edit = useMutation({
    scope,
    onError,
    mutationFn: async (body: Edit) =>
      shown(await data(api.POST('/curricula/{id}/edits', { params: of(await standing()), body }))),
  })
  const undo = useMutation({
    scope,
    onError,
    mutationFn: async () =>
      shown(await data(api.POST('/curricula/{id}/undo', { params: of(await standing()) }))),
  })
  const solve = useMutation({
    scope,
    onError,
    mutationFn: async (how: { near: boolean; seed?: number }) => {
      const before = await standing()
      // Every press looks elsewhere among the plans, and the same press on the same version finds the same one.
      const body = { seed: how.seed ?? before.version, near: how.near }
      return shown(await data(api.POST('/curricula/{id}/solve', { params: of(before), body })))
    },
  })
  const take = useMutation({
    scope,
    onError,
    mutationFn: async (body: Schemas['PlanForm']) =>
      shown(await data(api.POST('/curricula/{id}/offer', { params: of(await standing()), body }))),
  })
  const publish = useMutation({
    scope,
    onError,
    mutationFn: async (edition: { id: string; note: string }) => {
      const before = await standing()
      shown(await data(api.POST('/curricula/{id}/editions', { params: of(before), body: edition })))
    },
    onSuccess: () => void queries.invalidateQueries({ queryKey: planKeys.curricula }),
  })
  return { wish, season, edit, undo, solve, take, publish }
}

/** The name of the preset that has these numbers; undefined if they were changed. */
export const presetOf = (approach: Schemas['Approach'], presets: Schemas['NamedApproach'][]) =>
  presets.find((preset) => JSON.stringify(numbers(preset.approach)) === JSON.stringify(numbers(approach)))
    ?.name

const numbers = ({ exposures, ladder, open_play, success_window, weights }: Schemas['Approach']) => [
  exposures,
  ladder ?? 'strict',
  open_play?.first,
  open_play?.last,
  success_window?.least,
  success_window?.most,
  Object.entries(weights ?? {}).sort(),
]
