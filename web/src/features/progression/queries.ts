import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas, type Stage } from '../../api/client'
import { useTranslated } from '../../texts/phrases'
import { progressionKeys } from './keys'

export type MapView = Schemas['MapView']
/** What a file may leave out is there. */
export type Skill = Schemas['Skill'] & Required<Pick<Schemas['Skill'], 'parts' | 'helps' | 'side'>>

export const wholeSkill = (skill: Schemas['Skill']): Skill => ({
  ...skill,
  parts: skill.parts ?? [],
  helps: skill.helps ?? [],
  side: skill.side ?? 'equal',
})

const map = queryOptions({ queryKey: progressionKeys.map, queryFn: () => data(api.GET('/map')) })
export const useMap = () => useQuery({ ...map, select: useTranslated() })
/** The name of a skill as it is written, for changing it. */
export const useWrittenName = (id: string) =>
  useQuery(map).data?.skills.find((skill) => skill.id === id)?.name

export const useWay = (
  skill: string | undefined,
  stage: Stage,
  curriculum: string | undefined,
  version: number,
) =>
  useQuery({
    queryKey: progressionKeys.way(skill, stage, curriculum, version),
    queryFn: () =>
      data(api.GET('/map/way', { params: { query: { skill: skill ?? '', stage, curriculum } } })),
    enabled: skill !== undefined,
    placeholderData: (before) => before,
    select: useTranslated(),
  })

export const useCompared = (since: string | null, version: number) =>
  useQuery({
    queryKey: progressionKeys.compared(since, version),
    queryFn: () => data(api.GET('/map/compared', { params: { query: { since: since ?? '' } } })),
    enabled: since !== null,
    select: useTranslated(),
  })

export interface Change {
  put: Skill[]
  take_out: string[]
}

/** Changes of the map; each comes back with what would undo it. */
export function useMapChange(onDone: (undo: Change) => void) {
  const queries = useQueryClient()
  const translated = useTranslated()
  return useMutation({
    scope: { id: 'map' },
    mutationFn: async ({ change }: { change: Change; undoable: boolean }) => {
      const before = queries.getQueryData<MapView>(progressionKeys.map) ?? (await data(api.GET('/map')))
      // A name that was only read in translation stays as it was written.
      const asWritten = (skill: Skill): Skill => {
        const written = before.skills.find(({ id }) => id === skill.id)?.name
        return written && translated(written) === skill.name ? { ...skill, name: written } : skill
      }
      const body = { ...change, put: change.put.map(asWritten) }
      const after = await data(
        api.POST('/map', { params: { header: { 'If-Match': `"${before.version}"` } }, body }),
      )
      return { before, after }
    },
    onSuccess: ({ before, after }, { change, undoable }) => {
      queries.setQueryData(progressionKeys.map, after)
      void queries.invalidateQueries({ queryKey: progressionKeys.skills })
      if (!undoable) return
      const known = (id: string) => before.skills.find((skill) => skill.id === id)
      onDone({
        put: [...change.put.map((skill) => skill.id), ...change.take_out]
          .flatMap((id) => known(id) ?? [])
          .map(wholeSkill),
        take_out: change.put.filter((skill) => !known(skill.id)).map((skill) => skill.id),
      })
    },
    onError: () => void queries.invalidateQueries({ queryKey: progressionKeys.map }),
  })
}
