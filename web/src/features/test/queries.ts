import { queryOptions, useQuery } from '@tanstack/react-query'
import { api, data, newId, type Schemas, type Side } from '../../api/client'
import { put, useOutbox } from '../../api/outbox'

export const sheetOf = (team: string, test: string) =>
  queryOptions({
    queryKey: ['sheet', team, test],
    queryFn: () => data(api.GET('/teams/{team}/tests/{test}', { params: { path: { team, test } } })),
  })

export const useSheet = (team: string, test: string) => useQuery(sheetOf(team, test))

/** A place on the sheet: one player, one foot, one round. */
export interface Cell {
  player: Schemas['SheetPlayer']
  side: Side | null
  round: number
}

export interface Entered {
  id: string
  value: number
}

/** The sheet's places in the order in which they are filled: round by round, player by player, left then right. */
export function cellsOf(sheet: Schemas['Sheet']): Cell[] {
  const sides: (Side | null)[] = sheet.test.per_side ? ['left', 'right'] : [null]
  return Array.from({ length: sheet.test.trials }, (_, round) =>
    sheet.players.flatMap((player) => sides.map((side) => ({ player, side, round }))),
  ).flat()
}

/** What stands in a place, with what still waits on this device, and the ways to change it. */
export function useTrials(team: string, sheet: Schemas['Sheet'], today: string) {
  const waiting = useOutbox().filter((w) => !w.refused && w.team === team)
  const back = new Set(waiting.flatMap((w) => (w.kind === 'taken_back' ? [w.entry.trial] : [])))
  const of = ({ player, side }: Omit<Cell, 'round'>): Entered[] => {
    const known: Entered[] = player.trials.filter((t) => (t.side ?? null) === side)
    const coming = waiting.flatMap((w) =>
      w.kind === 'trial' && w.entry.player === player.id && w.entry.test === sheet.test.id && (w.entry.side ?? null) === side
        ? [{ id: w.entry.id, value: w.entry.value }]
        : [],
    )
    const all = [...known, ...coming.filter((c) => !known.some((k) => k.id === c.id))]
    return all.filter((t) => !back.has(t.id))
  }
  const enter = (cell: Cell, value: number, instead: Entered | undefined) => {
    const said_at = new Date().toISOString()
    const entry = { id: newId(), player: cell.player.id, test: sheet.test.id, taken_on: today, side: cell.side, value, said_at }
    if (instead) put({ kind: 'taken_back', team, entry: { trial: instead.id, said_at } }, { kind: 'trial', team, entry })
    else put({ kind: 'trial', team, entry })
    return entry.id
  }
  const takeBack = (id: string) => put({ kind: 'taken_back', team, entry: { trial: id, said_at: new Date().toISOString() } })
  return { of, enter, takeBack }
}
