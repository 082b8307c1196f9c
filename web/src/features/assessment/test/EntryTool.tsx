// The tool with which a result is taken: digits, a watch, gates, taps, ticks or marks.
import type { Schemas } from '../../../api/client'
import { nameOf, type Tool } from './entry'
import { GateRuns } from './GateRuns'
import { Keypad } from './Keypad'
import { Points } from './Points'
import { Stopwatch } from './Stopwatch'
import { Tapper } from './Tapper'
import { Ticks } from './Ticks'
import type { Entry } from './useEntry'

interface Props {
  team: string
  sheet: Schemas['Sheet']
  entry: Entry
  tool: Tool
}

/** A tool starts again at every place; only the watch runs on from player to player. */
export function EntryTool({ team, sheet, entry, tool }: Props) {
  const { protocol, step, parts } = sheet
  const { cell, typed, write } = entry
  const place = cell ? nameOf(cell) : 'none'
  const penalty = protocol.kind === 'course' ? protocol.penalty_s : 0
  const steps = {
    ready: typed.text !== '' && cell !== undefined,
    undoable: entry.undoable,
    onEnter: entry.take,
    onUndo: entry.undo,
  }
  const count = (n: number | null) => write(n === null ? '' : String(n))
  switch (tool) {
    case 'keys':
      return <Keypad {...steps} decimals={step < 1 && parts === 1} onPress={entry.press} />
    case 'stopwatch':
      return (
        <Stopwatch
          {...{ ...steps, place, penalty }}
          onValue={(seconds) => write(seconds.toFixed(2))}
          onLap={entry.lap}
        />
      )
    case 'gates':
      return (
        <GateRuns
          {...{ ...steps, team, penalty }}
          test={sheet.test.id}
          taken={entry.runs}
          offered={typed.run}
          empty={typed.text === ''}
          onValue={(seconds, run) => write(seconds.toFixed(2), [], run)}
        />
      )
    case 'tapper':
      return (
        <Tapper
          key={place}
          {...steps}
          seconds={protocol.kind === 'count' ? protocol.seconds : null}
          most={sheet.most * parts}
          onValue={count}
        />
      )
    case 'ticks':
      return protocol.kind === 'hits' && <Ticks key={place} {...steps} of={protocol.of} onValue={count} />
    case 'points':
      return (
        protocol.kind === 'points' && (
          <Points
            key={place}
            {...steps}
            points={protocol.points}
            onValue={(sum, marks) => write(sum === null ? '' : String(sum), marks)}
          />
        )
      )
  }
}
