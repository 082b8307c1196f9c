import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useCallback } from 'react'
import { api, data, everyPage, LONGEST_PAGE, type Schemas } from '../../api/client'
import type { paths } from '../../api/schema'
import { useTranslated } from '../../texts/phrases'
import { type Language, locale, spoken } from '../../texts/t'
import { STRANDS } from '../../ui/strands'
import { academyKeys } from '../academy/keys'
import { progressionKeys } from '../progression/keys'
import { drillKeys } from './keys'

/** What a file may leave out is there. */
export type Drill = Schemas['Drill'] &
  Required<Pick<Schemas['Drill'], 'cautions' | 'stand_ins' | 'touches_by_band'>>
export type Levers = Schemas['Levers']
export type Ground = Schemas['Ground']
export type Looking = Schemas['Looking']
export type Wanted = NonNullable<paths['/drills']['get']['parameters']['query']>

export function useDrills(wanted: Wanted) {
  const translated = useTranslated()
  const language = spoken()
  const asked = wanted.text && language !== 'pseudo' ? { ...wanted, language } : wanted
  return useQuery({
    queryKey: drillKeys.list(asked),
    queryFn: () =>
      everyPage((after) =>
        data(api.GET('/drills', { params: { query: { ...asked, after, limit: LONGEST_PAGE } } })),
      ),
    placeholderData: (before) => before,
    select: useCallback((found: Schemas['DrillEntry'][]) => inOrder(translated(found)), [translated]),
  })
}

/** By strand and title, as the reader's language sorts them. */
function inOrder(found: Schemas['DrillEntry'][]) {
  const { compare } = new Intl.Collator(locale())
  return found.toSorted(
    (a, b) => STRANDS.indexOf(a.strand) - STRANDS.indexOf(b.strand) || compare(a.title, b.title),
  )
}

/** What is asked of the library as a whole. */
export const useQuestions = () =>
  useQuery({
    queryKey: drillKeys.questions,
    queryFn: () => data(api.GET('/questions')),
    select: useTranslated(),
  })

export const useSkills = () =>
  useQuery({
    queryKey: progressionKeys.skills,
    queryFn: () => data(api.GET('/skills')),
    staleTime: 60_000,
    select: useTranslated(),
  })

const bands = queryOptions({ queryKey: academyKeys.bands, queryFn: () => data(api.GET('/bands')) })
export const useBands = () => useQuery({ ...bands, select: useTranslated() })
/** The bands as they are written, for changing them. */
export const useWrittenBands = () => useQuery(bands)

export const useAcademy = () =>
  useQuery({ queryKey: academyKeys.academy, queryFn: () => data(api.GET('/academy')) })

/** The library's texts in a language; those of a page that players open, for whoever has not signed in. */
export const usePhrases = (language: Language, page: string | undefined, signedIn: boolean) =>
  useQuery({
    queryKey: drillKeys.phrases(language, page),
    queryFn: () =>
      language === 'pseudo'
        ? null
        : page === undefined
          ? data(api.GET('/phrases/{language}', { params: { path: { language } } }))
          : data(
              api.GET('/home/{token}/phrases/{language}', { params: { path: { token: page, language } } }),
            ),
    enabled: signedIn || page !== undefined,
    staleTime: 60_000,
  })

/** A drill as it is written. */
export const useDrill = (id: string | undefined) =>
  useQuery({
    queryKey: drillKeys.drill(id),
    queryFn: () => data(api.GET('/drills/{id}', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  })

/** The drill as it is just being written, looked at by the core; what it said before stays until it has answered. */
export const useDesk = (looking: Looking | undefined) =>
  useQuery({
    queryKey: drillKeys.desk(looking),
    queryFn: ({ signal }) => data(api.POST('/desk', { body: looking as Looking, signal })),
    enabled: looking !== undefined,
    placeholderData: (before) => before,
    gcTime: 10_000,
    staleTime: Infinity,
  })

/** The ways in which a director changes the library. */
export function useDrillChanges() {
  const queries = useQueryClient()
  const shown = (view: Schemas['DrillView']) => {
    queries.setQueryData(drillKeys.drill(view.drill.id), view)
    void queries.invalidateQueries({ queryKey: drillKeys.lists })
  }
  const create = useMutation({
    mutationFn: (drill: Drill) => data(api.POST('/drills', { body: drill })),
    onSuccess: shown,
  })
  const save = useMutation({
    mutationFn: ({ drill, version }: { drill: Drill; version: number }) =>
      data(
        api.PUT('/drills/{id}', {
          params: { path: { id: drill.id }, header: { 'If-Match': `"${version}"` } },
          body: drill,
        }),
      ),
    onSuccess: shown,
  })
  const putAway = useMutation({
    mutationFn: ({ id, away }: { id: string; away: boolean }) =>
      data(api.POST('/drills/{id}/archive', { params: { path: { id } }, body: { away } })),
    onSuccess: shown,
  })
  return { create, save, putAway }
}

export const earlierDrill = (id: string, version: number) =>
  data(api.GET('/drills/{id}/versions/{version}', { params: { path: { id, version } } }))

export const callCues = (cues: Schemas['CueWish'], calls: number, seed: number) =>
  data(api.POST('/cues', { body: { cues, calls, seed } }))

/** What coaches say of a drill; only the director asks. */
export const useVoices = (id: string) =>
  useQuery({
    queryKey: drillKeys.voices(id),
    queryFn: () => data(api.GET('/drills/{id}/voices', { params: { path: { id } } })),
  })

/** Answers all who have spoken of a drill. */
export function useAnswer(id: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (says: string) =>
      api.PUT('/drills/{id}/answer', { params: { path: { id } }, body: { says } }),
    onSuccess: () =>
      Promise.all([
        queries.invalidateQueries({ queryKey: drillKeys.voices(id) }),
        queries.invalidateQueries({ queryKey: drillKeys.lists }),
      ]),
  })
}
