import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api, data, newId, type Schemas } from '../../../api/client'
import { useOutbox } from '../../../storage/outbox'
import { useTranslated } from '../../../texts/phrases'
import { assessmentKeys } from '../keys'

export const squadOf = (team: string) =>
  queryOptions({
    queryKey: assessmentKeys.squad(team),
    queryFn: () => data(api.GET('/teams/{team}/squad', { params: { path: { team } } })),
  })

export const useSquad = (team: string) => useQuery({ ...squadOf(team), select: useTranslated() })

export const boardOf = (team: string) =>
  queryOptions({
    queryKey: assessmentKeys.board(team),
    queryFn: () => data(api.GET('/teams/{team}/board', { params: { path: { team } } })),
  })

/** The board, with what was said on this device and has not been read back. */
export function useBoard(team: string) {
  const board = useQuery({ ...boardOf(team), select: useTranslated() })
  const words = useOutbox().flatMap((w) =>
    w.kind === 'word' && w.team === team && !w.refused ? [w.entry] : [],
  )
  if (!board.data || words.length === 0) return board
  const said = (
    player: Schemas['BoardPlayer'],
    standing: Schemas['StandingView'],
  ): Schemas['StandingView'] => {
    const word = words.findLast((w) => w.player === player.id && w.milestone === standing.milestone)
    if (!word) return standing
    const { verdict, reason, day } = word
    const state = board.data.verdicts.find((known) => known.verdict === verdict)?.state
    if (!state) return { ...standing, state: standing.by_evidence, overridden: null }
    return {
      ...standing,
      state,
      since: day,
      overridden: { verdict, reason, by: '', on: day },
    }
  }
  const players = board.data.players.map((player) => ({
    ...player,
    standings: player.standings.map((standing) => said(player, standing)),
  }))
  return { ...board, data: { ...board.data, players } }
}

/** What a squad brings to the curriculum that it begins. */
export const useHandover = (team: string) =>
  useQuery({
    queryKey: assessmentKeys.handover(team),
    queryFn: () => data(api.GET('/teams/{team}/handover', { params: { path: { team } } })),
    select: useTranslated(),
  })

export const progressOf = (team: string, player: string) =>
  queryOptions({
    queryKey: assessmentKeys.progress(team, player),
    queryFn: () => data(api.GET('/teams/{team}/players/{player}', { params: { path: { team, player } } })),
  })

export const useProgress = (team: string, player: string) =>
  useQuery({ ...progressOf(team, player), select: useTranslated() })

/** Erases a player with everything that is kept of them. */
export function useErase(team: string, player: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: () =>
      data(api.DELETE('/teams/{team}/players/{player}', { params: { path: { team, player } } })),
    onSuccess: () => {
      for (const of of ['squad', 'board', 'sheets'] as const)
        void queries.invalidateQueries({ queryKey: assessmentKeys[of](team) })
      queries.removeQueries({ queryKey: assessmentKeys.progress(team, player) })
    },
  })
}

/** Corrects what is known of a player, or notes that they have left. */
export function usePlayerChanges(team: string, player: string) {
  const queries = useQueryClient()
  const params = { path: { team, player } }
  const onSuccess = () => queries.invalidateQueries({ queryKey: assessmentKeys.all })
  return {
    correct: useMutation({
      mutationFn: (body: Schemas['Corrected']) => api.PUT('/teams/{team}/players/{player}', { params, body }),
      onSuccess,
    }),
    leave: useMutation({
      mutationFn: () => api.POST('/teams/{team}/players/{player}/leave', { params }),
      onSuccess,
    }),
    move: useMutation({
      mutationFn: (to: string) =>
        api.PUT('/teams/{team}/players/{player}/team', { params, body: { team: to } }),
      onSuccess,
    }),
  }
}

/** The players of a team who have left, and when they will be erased. */
export const useLeft = (team: string) =>
  useQuery({
    queryKey: assessmentKeys.left(team),
    queryFn: () => data(api.GET('/teams/{team}/left', { params: { path: { team } } })),
  })

/** Brings a player back who had left. */
export function useReturn(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (player: string) =>
      api.POST('/teams/{team}/players/{player}/return', { params: { path: { team, player } } }),
    onSuccess: () => queries.invalidateQueries({ queryKey: assessmentKeys.all }),
  })
}

/** Reads a file and says what it would add; nothing is written. */
export const useRosterPreview = (team: string) =>
  useMutation({
    mutationFn: async ({ file, columns }: { file: File; columns?: Schemas['Columns'] }) => {
      const bytes = await file.arrayBuffer()
      return data(
        api.POST('/teams/{team}/roster', {
          params: { path: { team }, query: columns },
          body: '',
          bodySerializer: () => bytes,
          headers: { 'Content-Type': 'text/csv' },
        }),
      )
    },
  })

export function useAddPlayers(team: string) {
  const queries = useQueryClient()
  return useMutation({
    mutationFn: (players: Schemas['NewPlayer'][]) =>
      api.POST('/teams/{team}/players', {
        params: { path: { team } },
        body: { players: players.map((player) => ({ id: newId(), ...player })) },
      }),
    onSuccess: () => {
      void queries.invalidateQueries({ queryKey: assessmentKeys.squad(team) })
      void queries.invalidateQueries({ queryKey: assessmentKeys.board(team) })
      void queries.invalidateQueries({ queryKey: assessmentKeys.sheets(team) })
    },
  })
}
