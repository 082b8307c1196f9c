// The test evening: one player at a time, big digits, for a thumb or for the keyboard alone.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { tool as lastTool, useRemembered } from '../../../storage/remembered'
import { texts } from '../../../texts/en'
import { Choice } from '../../../ui/Choice'
import { asDay, asPercent, asResult, Figure } from '../../../ui/figures'
import { onControl, useKeys } from '../../../ui/keys'
import { LevelSteps, levelOf } from '../../../ui/levels'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { faultOf, kept, nearOf, surprises, toolsOf } from './entry'
import { GateRuns } from './GateRuns'
import { Keypad } from './Keypad'
import { Points } from './Points'
import { type Cell, cellsOf, useSheet, useTrials } from './queries'
import { ResultSheet } from './ResultSheet'
import { Stopwatch } from './Stopwatch'
import { Tapper } from './Tapper'
import { Ticks } from './Ticks'

export function TestEvening() {
  const team = useTeam()
  const { test = '' } = useParams()
  // Another day is read back from paper.
  const day = useSearchParams()[0].get('day')
  const sheet = useSheet(team.id, test, day)
  if (sheet.isError && !sheet.data) return <ErrorNote error={sheet.error} />
  if (!sheet.data) return <Loading />
  return (
    <Entry
      key={`${test} ${day ?? ''}`}
      team={team.id}
      sheet={sheet.data}
      fromPaper={day !== null}
      today={day ?? dayNow(sheet.data.today, sheet.dataUpdatedAt)}
    />
  )
}

const nameOf = ({ player, side, round }: Cell) => `${player.id} ${side ?? ''} ${round}`

/** What is about to be entered. */
interface Typed {
  text: string
  marks: number[]
}
const NOTHING: Typed = { text: '', marks: [] }

function Entry({
  team,
  sheet,
  today,
  fromPaper,
}: {
  team: string
  sheet: Schemas['Sheet']
  today: string
  fromPaper: boolean
}) {
  const trials = useTrials(team, sheet, today, fromPaper)
  const cells = cellsOf(sheet)
  const standing = (cell: Cell) => trials.of(cell)[cell.round]
  // Entry goes on where nothing stands yet, unless another place was chosen.
  const [chosen, setChosen] = useState<string | null>(null)
  const [{ text: typed, marks }, setTyped] = useState(NOTHING)
  const [wrong, setWrong] = useState<string | null>(null)
  const [sure, setSure] = useState(false)
  const [entered, setEntered] = useState<string[]>([])
  // Runs of the gates that were entered, and the one that stands in the big digits.
  const [taken, setTaken] = useState<number[]>([])
  const [run, setRun] = useState<number | null>(null)
  const tools = toolsOf(sheet)
  const [wanted, setWanted] = useRemembered(lastTool, sheet.protocol.kind)
  const tool = tools.find((each) => each === wanted) ?? tools[0] ?? 'keys'
  const open = cells.findIndex((cell) => !standing(cell))
  const asked = cells.findIndex((cell) => nameOf(cell) === chosen)
  const at = asked >= 0 ? asked : open
  const cell = cells[at]
  const before = cell?.player.before.find((b) => (b.side ?? null) === cell.side)

  const choose = (next: Cell | undefined) => {
    setChosen(next ? nameOf(next) : null)
    setTyped(NOTHING)
    setWrong(null)
    setSure(false)
    setRun(null)
  }
  const number = typed === '' ? null : Number(typed.replace(',', '.'))
  const fault = number === null ? null : faultOf(sheet, number)
  const value = number === null || fault ? null : kept(sheet, number)
  const put = (place: Cell, value: number, marks: number[], origin?: 'gates') => {
    const id = trials.enter(place, { value, marks, origin }, standing(place))
    setEntered([...entered, id])
    // After this place comes the next one where nothing stands.
    const from = cells.indexOf(place)
    choose(
      cells.slice(from + 1).find((c) => !standing(c)) ?? cells.find((c, i) => i !== from && !standing(c)),
    )
  }
  const take = () => {
    if (!cell || number === null) return
    if (fault || value === null) {
      setWrong(fault)
      return
    }
    if (surprises(before, value) && !sure) {
      setSure(true)
      return
    }
    if (run !== null) setTaken([...taken, run])
    put(cell, value, marks, run === null ? undefined : 'gates')
  }
  /** Takes a lap at once; a time that cannot be true stops nothing and says why. */
  const lap = (seconds: number) => {
    const wrong = faultOf(sheet, seconds)
    if (!cell || wrong) {
      setWrong(wrong)
      return false
    }
    put(cell, seconds, [])
    return true
  }
  const undo = () => {
    const last = entered.at(-1)
    if (!last) return
    trials.takeBack(last)
    setEntered(entered.slice(0, -1))
    choose(undefined)
  }
  const write = (text: string, marks: number[] = []) => {
    setTyped({ text, marks })
    setWrong(null)
    setSure(false)
    setRun(null)
  }
  const press = (key: string) => {
    if (key === '⌫') write(typed.slice(0, -1))
    else if (typed.length < 6) write(typed + key)
  }

  const point = () => (sheet.step < 1 ? press('.') : false)
  useKeys({
    ...Object.fromEntries(Array.from('0123456789', (digit) => [digit, () => press(digit)])),
    '.': point,
    ',': point,
    Backspace: () => press('⌫'),
    Enter: (event) => (onControl(event) && typed === '' ? false : take()),
    ArrowDown: () => choose(cells[Math.min(at + 1, cells.length - 1)]),
    ArrowUp: () => choose(cells[Math.max(at - 1, 0)]),
    z: undo,
  })

  const steps = {
    ready: typed !== '' && cell !== undefined,
    undoable: entered.length > 0,
    onEnter: take,
    onUndo: undo,
  }
  const key = cell ? nameOf(cell) : 'none'
  const penalty = sheet.protocol.kind === 'course' ? sheet.protocol.penalty_s : 0
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', sm: 'row' } }}>
      <Box
        sx={{
          flex: 'none',
          width: { sm: 340 },
          px: 1.5,
          py: 1,
          bgcolor: 'background.paper',
          borderBottom: { xs: 1, sm: 0 },
          borderRight: { sm: 1 },
          borderColor: { xs: 'divider', sm: 'divider' },
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
          <Typography variant="h3" component="h1" sx={{ flex: 1 }}>
            {sheet.test.name}
          </Typography>
          <Button variant="text" size="small" component={Link} to="/test">
            {texts.test.back}
          </Button>
        </Box>
        {fromPaper && (
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {asDay(today)}, {texts.test.onPaper}
          </Typography>
        )}
        {sheet.levels.length === 0 && <Typography variant="body2">{texts.test.noStandard}</Typography>}
        {cell ? (
          <Box
            role="status"
            aria-label={texts.test.entry(
              cell.player.name,
              cell.side && texts.side[cell.side],
              cell.round + 1,
            )}
          >
            <Typography sx={{ fontSize: '1.35rem', fontWeight: 700, lineHeight: 1.15 }}>
              {cell.player.name}
              {cell.side && `, ${texts.squad.strong(texts.side[cell.side])}`}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {[
                sheet.test.trials > 1 && texts.test.round(cell.round + 1),
                before && texts.test.before(asResult(before.value)),
                sheet.rest_s > 0 && texts.test.rest(sheet.rest_s),
                sheet.parts > 1 && texts.test.services(sheet.parts),
              ]
                .filter(Boolean)
                .join(' · ') || '\u00a0'}
            </Typography>
            <Reading sheet={sheet} typed={typed} value={value} standing={standing(cell)?.value} />
          </Box>
        ) : (
          <Typography role="status" sx={{ fontSize: '1.35rem', fontWeight: 700, py: 2 }}>
            {texts.test.complete}
          </Typography>
        )}
        {wrong && (
          <Typography role="alert" color="error">
            {wrong}
          </Typography>
        )}
        {sure && before && (
          <Typography role="alert" color="error">
            {texts.test.sure(asResult(before.value))}
          </Typography>
        )}
        {tools.length > 1 && (
          <Choice
            label={texts.test.tools}
            options={tools}
            chosen={[tool]}
            says={(each) => texts.test.tool[each]}
            onToggle={(each) => {
              setWanted(each)
              write('')
            }}
          />
        )}
        {tool === 'keys' && (
          <Keypad {...steps} decimals={sheet.step < 1 && sheet.parts === 1} onPress={press} />
        )}
        {tool === 'stopwatch' && (
          // The watch runs on from player to player.
          <Stopwatch
            {...steps}
            place={key}
            penalty={penalty}
            onValue={(seconds) => write(seconds.toFixed(2))}
            onLap={lap}
          />
        )}
        {tool === 'gates' && (
          <GateRuns
            {...steps}
            team={team}
            test={sheet.test.id}
            penalty={penalty}
            taken={taken}
            offered={run}
            empty={typed === ''}
            onValue={(seconds, of) => {
              write(seconds.toFixed(2))
              setRun(of)
            }}
          />
        )}
        {tool === 'tapper' && (
          <Tapper
            key={key}
            {...steps}
            seconds={sheet.protocol.kind === 'count' ? sheet.protocol.seconds : null}
            most={sheet.most * sheet.parts}
            onValue={(count) => write(String(count))}
          />
        )}
        {tool === 'ticks' && sheet.protocol.kind === 'hits' && (
          <Ticks
            key={key}
            {...steps}
            of={sheet.protocol.of}
            onValue={(hits) => write(hits === null ? '' : String(hits))}
          />
        )}
        {tool === 'points' && sheet.protocol.kind === 'points' && (
          <Points
            key={key}
            {...steps}
            points={sheet.protocol.points}
            onValue={(sum, marks) => write(sum === null ? '' : String(sum), marks)}
          />
        )}
      </Box>
      <ResultSheet
        sheet={sheet}
        at={cell ? nameOf(cell) : null}
        nameOf={nameOf}
        standing={standing}
        onChoose={choose}
      />
    </Box>
  )
}

/** The value in big digits, with its level and whether it is near a line. */
function Reading({
  sheet,
  typed,
  value,
  standing,
}: {
  sheet: Schemas['Sheet']
  typed: string
  value: number | null
  standing: number | undefined
}) {
  const level = value === null ? null : levelOf(sheet.levels, value)
  const near = value === null ? null : nearOf(sheet, value)
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 62, mb: 0.75 }}>
      <Figure
        sx={{
          fontSize: '3.6rem',
          lineHeight: 1,
          fontWeight: 600,
          minWidth: 110,
          borderBottom: 2,
          borderColor: 'text.primary',
        }}
      >
        {typed ||
          (standing !== undefined ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {asResult(standing)}
            </Box>
          ) : (
            '\u00a0'
          ))}
        {sheet.test.unit && (
          <Box component="span" sx={{ fontSize: '1.5rem' }}>
            {' '}
            {sheet.test.unit}
          </Box>
        )}
      </Figure>
      {level && (
        <>
          <LevelSteps level={level} size={30} />
          <Box>
            <Typography sx={{ lineHeight: 1.2 }}>
              {texts.level[level]}
              {value !== null && sheet.parts > 1 && ` · ${texts.test.mean(asResult(value))}`}
            </Typography>
            {near && (
              <Typography variant="caption" component="div">
                {texts.passport.near(texts.level[near.higher], asPercent(near.probability))}
              </Typography>
            )}
          </Box>
        </>
      )}
    </Box>
  )
}
