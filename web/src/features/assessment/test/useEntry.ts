// The entry of results into a sheet: where it is, what is typed, what was taken, and the way back.
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { type Cell, cellsOf, faultOf, kept, nameOf, surprises } from './entry'
import { useTrials } from './queries'

/** What is about to be entered, and what was said about it. */
interface Typed {
  text: string
  marks: number[]
  /** Why it cannot be taken. */
  wrong: string | null
  /** Whether a value far from the one before was asked about, so that the next press takes it. */
  sure: boolean
  /** The run of the gates that it came from. */
  run: number | null
}
const NOTHING: Typed = { text: '', marks: [], wrong: null, sure: false, run: null }

/** Digits, the point and the fraction of the longest result. */
const LONGEST = 6

export function useEntry(team: string, sheet: Schemas['Sheet'], today: string, fromPaper: boolean) {
  const trials = useTrials(team, sheet, today, fromPaper)
  const cells = cellsOf(sheet)
  const taken = (cell: Cell) => trials.of(cell)[cell.round]
  // Entry goes on where nothing is yet, unless another place was chosen.
  const [chosen, setChosen] = useState<string | null>(null)
  const [typed, setTyped] = useState(NOTHING)
  const [entered, setEntered] = useState<string[]>([])
  const [runs, setRuns] = useState<number[]>([])
  const open = cells.findIndex((cell) => !taken(cell))
  const asked = cells.findIndex((cell) => nameOf(cell) === chosen)
  const at = asked >= 0 ? asked : open
  const cell = cells[at]
  const before = cell?.player.before.find((b) => (b.side ?? null) === cell.side)

  const choose = (next: Cell | undefined) => {
    setChosen(next ? nameOf(next) : null)
    setTyped(NOTHING)
  }
  const number = typed.text === '' ? null : Number(typed.text.replace(',', '.'))
  const fault = number === null ? null : faultOf(sheet, number)
  const value = number === null || fault ? null : kept(sheet, number)
  const refuse = (wrong: string) => setTyped({ ...typed, wrong })
  const put = (place: Cell, value: number, marks: number[], origin?: 'gates') => {
    const id = trials.enter(place, { value, marks, origin }, taken(place))
    setEntered([...entered, id])
    // After this place comes the next one where nothing is yet.
    const from = cells.indexOf(place)
    choose(cells.slice(from + 1).find((c) => !taken(c)) ?? cells.find((c, i) => i !== from && !taken(c)))
  }
  const write = (text: string, marks: number[] = [], run: number | null = null) =>
    setTyped({ ...NOTHING, text, marks, run })
  return {
    cell,
    before,
    typed,
    value,
    /** The runs of the gates that were entered. */
    runs,
    undoable: entered.length > 0,
    taken,
    choose,
    write,
    step: (by: number) => choose(cells[Math.min(Math.max(at + by, 0), cells.length - 1)]),
    press: (key: string) => {
      if (key === '⌫') write(typed.text.slice(0, -1))
      else if (typed.text.length < LONGEST) write(typed.text + key)
    },
    take: () => {
      if (!cell || number === null) return
      if (fault || value === null) return refuse(fault ?? '')
      if (surprises(before, value) && !typed.sure) return setTyped({ ...typed, sure: true })
      if (typed.run !== null) setRuns([...runs, typed.run])
      put(cell, value, typed.marks, typed.run === null ? undefined : 'gates')
    },
    /** Takes a lap at once; a time that cannot be true stops nothing and says why. */
    lap: (seconds: number) => {
      const wrong = faultOf(sheet, seconds)
      if (!cell) return false
      if (wrong) {
        refuse(wrong)
        return false
      }
      put(cell, seconds, [])
      return true
    },
    undo: () => {
      const last = entered.at(-1)
      if (!last) return
      trials.takeBack(last)
      setEntered(entered.slice(0, -1))
      choose(undefined)
    },
  }
}

export type Entry = ReturnType<typeof useEntry>
