import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, type Schemas } from '../../../api/client'
import { useOutbox } from '../../../storage/outbox'
import { useTranslated } from '../../../texts/phrases'
import { assessmentKeys } from '../keys'
import type { Cell } from './entry'
import { enterTrial, takeTrialBack } from './trials'

/** The sheet of today, or of a day that is read back from paper. */
export const sheetOf = (team: string, test: string, day: string | null = null) =>
  queryOptions({
    queryKey: assessmentKeys.sheet(team, test, day),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/tests/{test}', {
          params: { path: { team, test }, query: day === null ? {} : { on: day } },
        }),
      ),
  })

export const useSheet = (team: string, test: string, day: string | null) =>
  useQuery({ ...sheetOf(team, test, day), select: useTranslated() })

export interface Entered {
  id: string
  value: number
}

/** What stands in a place, with what still waits on this device, and the ways to change it. */
export function useTrials(team: string, sheet: Schemas['Sheet'], today: string, fromPaper: boolean) {
  const waiting = useOutbox().filter((w) => !w.refused && w.team === team)
  const back = new Set(waiting.flatMap((w) => (w.kind === 'taken_back' ? [w.entry.trial] : [])))
  const of = ({ player, side }: Omit<Cell, 'round'>): Entered[] => {
    // A sheet that was read on another day holds the results of that day, and these are not changed today.
    const ofToday = sheet.today === today ? player.trials : []
    const known: Entered[] = ofToday.filter((t) => (t.side ?? null) === side)
    const coming = waiting.flatMap((w) =>
      w.kind === 'trial' &&
      w.entry.player === player.id &&
      w.entry.test === sheet.test.id &&
      w.entry.taken_on === today &&
      (w.entry.side ?? null) === side
        ? [{ id: w.entry.id, value: w.entry.value }]
        : [],
    )
    const all = [...known, ...coming.filter((c) => !known.some((k) => k.id === c.id))]
    return all.filter((t) => !back.has(t.id))
  }
  const enter = (
    cell: Cell,
    { value, marks, origin }: { value: number; marks: number[]; origin?: 'gates' },
    instead: Entered | undefined,
  ) =>
    enterTrial(
      team,
      {
        player: cell.player.id,
        test: sheet.test.id,
        taken_on: today,
        side: cell.side,
        value,
        marks,
        origin: origin ?? (fromPaper ? 'read_in' : 'entered'),
      },
      instead?.id,
    )
  return { of, enter, takeBack: (id: string) => takeTrialBack(team, id) }
}

/** Reads a list of results and says what it would add; nothing is written. */
export const useResultsPreview = (team: string) =>
  useMutation({
    mutationFn: async (file: File) => {
      const bytes = await file.arrayBuffer()
      return data(
        api.POST('/teams/{team}/results', {
          params: { path: { team } },
          body: '',
          bodySerializer: () => bytes,
          headers: { 'Content-Type': 'text/csv' },
        }),
      )
    },
  })

/** How many trials go at once. */
const MOST_AT_ONCE = 400

/** Takes the lines of a list in. */
export function useReadIn(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: async (trials: Schemas['TrialSaid'][]) => {
      for (let from = 0; from < trials.length; from += MOST_AT_ONCE) {
        await api.POST('/teams/{team}/trials', {
          params: { path: { team } },
          body: { trials: trials.slice(from, from + MOST_AT_ONCE), taken_back: [] },
        })
      }
    },
    onSuccess: () => {
      for (const of of ['sheets', 'squad', 'board', 'progressSheets'] as const)
        void queries.invalidateQueries({ queryKey: assessmentKeys[of](team) })
    },
  })
}

/** Where a pair of gates joins; it stays the same while this page is open. */
export function useOpenGates(team: string) {
  const queries = useQueryClient()
  const key = assessmentKeys.joining(team)
  const joining =
    useQuery<Schemas['GatesJoin'] | null>({
      queryKey: key,
      queryFn: () => null,
      staleTime: Infinity,
      gcTime: Infinity,
    }).data ?? null
  const open = useMutation({
    mutationFn: () => data(api.POST('/teams/{team}/gates', { params: { path: { team } } })),
    onSuccess: (joined) => queries.setQueryData(key, joined),
  })
  return { joining, open: () => open.mutate(), error: open.isError ? open.error : null }
}

const LOOK_MS = 600

/** What the gates saw, looked at again and again. */
export const useGates = (team: string, code: string | undefined, test: string) =>
  useQuery({
    queryKey: assessmentKeys.gates(team, code, test),
    queryFn: () =>
      data(
        api.GET('/teams/{team}/gates/{code}', {
          params: { path: { team, code: code ?? '' }, query: { test } },
        }),
      ),
    enabled: code !== undefined,
    refetchInterval: LOOK_MS,
    gcTime: 0,
  })
