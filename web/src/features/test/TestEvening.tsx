// The test evening: one player at a time, big digits, for a thumb or for the keyboard alone.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import type { Schemas } from '../../api/client'
import { dayNow } from '../../api/day'
import { texts } from '../../texts/en'
import { asResult, Figure } from '../../ui/figures'
import { isTyping } from '../../ui/keys'
import { levelOf, LevelSteps } from '../../ui/levels'
import { ErrorNote, Loading } from '../../ui/notes'
import { useTeam } from '../team'
import { Keypad } from './Keypad'
import { ResultSheet } from './ResultSheet'
import { cellsOf, useSheet, useTrials, type Cell } from './queries'

export function TestEvening() {
  const team = useTeam()
  const { test = '' } = useParams()
  const sheet = useSheet(team.id, test)
  if (sheet.isError && !sheet.data) return <ErrorNote error={sheet.error} />
  if (!sheet.data) return <Loading />
  return <Entry key={test} team={team.id} sheet={sheet.data} today={dayNow(sheet.data.today, sheet.dataUpdatedAt)} />
}

const nameOf = ({ player, side, round }: Cell) => `${player.id} ${side ?? ''} ${round}`

function Entry({ team, sheet, today }: { team: string; sheet: Schemas['Sheet']; today: string }) {
  const trials = useTrials(team, sheet, today)
  const cells = cellsOf(sheet)
  const standing = (cell: Cell) => trials.of(cell)[cell.round]
  // Entry goes on where nothing stands yet, unless another place was chosen.
  const [chosen, setChosen] = useState<string | null>(null)
  const [typed, setTyped] = useState('')
  const [wrong, setWrong] = useState<string | null>(null)
  const [entered, setEntered] = useState<string[]>([])
  const open = cells.findIndex((cell) => !standing(cell))
  const asked = cells.findIndex((cell) => nameOf(cell) === chosen)
  const at = asked >= 0 ? asked : open
  const cell = cells[at]

  const choose = (next: Cell | undefined) => {
    setChosen(next ? nameOf(next) : null)
    setTyped('')
    setWrong(null)
  }
  const value = typed === '' ? null : Number(typed.replace(',', '.'))
  const fault =
    value === null
      ? null
      : Number.isNaN(value) || value < sheet.least || value > sheet.most
        ? texts.test.outOfRange(sheet.least, sheet.most)
        : sheet.step === 1 && !Number.isInteger(value)
          ? texts.test.whole
          : null
  const take = () => {
    if (!cell || value === null) return
    if (fault) {
      setWrong(fault)
      return
    }
    const id = trials.enter(cell, value, standing(cell))
    setEntered([...entered, id])
    // After this place comes the next one where nothing stands.
    const next = cells.slice(at + 1).find((c) => !standing(c)) ?? cells.find((c, i) => i !== at && !standing(c))
    choose(next)
  }
  const undo = () => {
    const last = entered.at(-1)
    if (!last) return
    trials.takeBack(last)
    setEntered(entered.slice(0, -1))
    choose(undefined)
  }
  const press = (key: string) => {
    setWrong(null)
    if (key === '⌫') setTyped(typed.slice(0, -1))
    else if (typed.length < 6) setTyped(typed + key)
  }

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event)) return
      const onButton = event.target instanceof HTMLElement && event.target.closest('button, a') !== null
      if (/^[0-9]$/.test(event.key)) press(event.key)
      else if ((event.key === '.' || event.key === ',') && sheet.step < 1) press('.')
      else if (event.key === 'Backspace') press('⌫')
      else if (event.key === 'Enter' && !(onButton && typed === '')) take()
      else if (event.key === 'ArrowDown') choose(cells[Math.min(at + 1, cells.length - 1)])
      else if (event.key === 'ArrowUp') choose(cells[Math.max(at - 1, 0)])
      else if (event.key === 'z') undo()
      else return
      event.preventDefault()
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })

  const level = value !== null && !fault ? levelOf(sheet.levels, value) : null
  const before = cell?.player.before.find((b) => (b.side ?? null) === cell.side)
  return (
    <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', sm: 'row' } }}>
      <Box sx={{ flex: 'none', width: { sm: 330 }, px: 1.5, py: 1, bgcolor: 'background.paper', borderBottom: { xs: 1, sm: 0 }, borderRight: { sm: 1 }, borderColor: { xs: 'divider', sm: 'divider' } }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
          <Typography variant="h3" component="h1" sx={{ flex: 1 }}>
            {sheet.test.name}
          </Typography>
          <Button variant="text" size="small" component={Link} to="/test">
            {texts.test.back}
          </Button>
        </Box>
        {sheet.levels.length === 0 && <Typography variant="body2">{texts.test.noStandard}</Typography>}
        {cell ? (
          <Box role="status" aria-label={texts.test.entry(cell.player.name, cell.side && texts.side[cell.side], cell.round + 1)}>
            <Typography sx={{ fontSize: '1.35rem', fontWeight: 700, lineHeight: 1.15 }}>{cell.player.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {[
                cell.side && texts.squad.strong(texts.side[cell.side]),
                sheet.test.trials > 1 && texts.test.round(cell.round + 1),
                before && texts.test.before(asResult(before.value)),
              ]
                .filter(Boolean)
                .join(' · ') || '\u00a0'}
            </Typography>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 62 }}>
              <Figure aria-label={texts.test.enter} sx={{ fontSize: '3.6rem', lineHeight: 1, fontWeight: 600, minWidth: 110, borderBottom: 2, borderColor: 'text.primary' }}>
                {typed || (standing(cell) ? <Box component="span" sx={{ color: 'text.secondary' }}>{asResult(standing(cell)?.value ?? 0)}</Box> : '\u00a0')}
                {sheet.test.unit && <Box component="span" sx={{ fontSize: '1.5rem' }}> {sheet.test.unit}</Box>}
              </Figure>
              {level && (
                <>
                  <LevelSteps level={level} size={30} />
                  <Typography>{texts.level[level]}</Typography>
                </>
              )}
            </Box>
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
        <Keypad decimals={sheet.step < 1} ready={typed !== '' && cell !== undefined} undoable={entered.length > 0} onPress={press} onEnter={take} onUndo={undo} />
      </Box>
      <ResultSheet sheet={sheet} at={cell ? nameOf(cell) : null} nameOf={nameOf} standing={standing} onChoose={choose} />
    </Box>
  )
}
