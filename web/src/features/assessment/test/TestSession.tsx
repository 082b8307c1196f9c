// The test session: one player at a time, big digits, for a thumb or for the keyboard alone.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Link, useParams, useSearchParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { dayNow } from '../../../api/day'
import { tool as lastTool, useRemembered } from '../../../storage/remembered'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asDay, asResult, asTyped } from '../../../ui/figures'
import { onControl, useKeys } from '../../../ui/keys'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { EntryTool } from './EntryTool'
import { nameOf, toolsOf } from './entry'
import { useSheet } from './queries'
import { Reading } from './Reading'
import { ResultSheet } from './ResultSheet'
import { type Entry, useEntry } from './useEntry'

export function TestSession() {
  const team = useTeam()
  const { test = '' } = useParams()
  // Another day is read back from paper.
  const day = useSearchParams()[0].get('day')
  const sheet = useSheet(team.id, test, day)
  if (sheet.isError && !sheet.data) return <ErrorNote error={sheet.error} />
  if (!sheet.data) return <Loading />
  return (
    <EntryDesk
      key={`${test} ${day ?? ''}`}
      team={team.id}
      sheet={sheet.data}
      fromPaper={day !== null}
      today={day ?? dayNow(sheet.data.today, sheet.dataUpdatedAt)}
    />
  )
}

interface Props {
  team: string
  sheet: Schemas['Sheet']
  today: string
  fromPaper: boolean
}

function EntryDesk({ team, sheet, today, fromPaper }: Props) {
  const entry = useEntry(team, sheet, today, fromPaper)
  const tools = toolsOf(sheet)
  const [wanted, setWanted] = useRemembered(lastTool, sheet.protocol.kind)
  const tool = tools.find((each) => each === wanted) ?? tools[0] ?? 'keys'
  const { cell, before, typed } = entry
  useEntryKeys(sheet, entry)
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
            {t('test-back')}
          </Button>
        </Box>
        {fromPaper && (
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {asDay(today)}, {t('test-on-paper')}
          </Typography>
        )}
        {sheet.levels.length === 0 && <Typography variant="body2">{t('test-no-standard')}</Typography>}
        <Place sheet={sheet} entry={entry} />
        {typed.wrong && (
          <Typography role="alert" color="error">
            {typed.wrong}
          </Typography>
        )}
        {typed.sure && before && (
          <Typography role="alert" color="error">
            {t('test-sure', { before: asResult(before.value) })}
          </Typography>
        )}
        {tools.length > 1 && (
          <Choice
            label={t('test-tools')}
            options={tools}
            chosen={[tool]}
            says={(each) => t(`test-tool-${each}`)}
            onToggle={(each) => {
              setWanted(each)
              entry.write('')
            }}
          />
        )}
        <EntryTool team={team} sheet={sheet} entry={entry} tool={tool} />
      </Box>
      <ResultSheet
        sheet={sheet}
        at={cell ? nameOf(cell) : null}
        nameOf={nameOf}
        standing={entry.taken}
        onChoose={entry.choose}
      />
    </Box>
  )
}

/** Digits write, Enter takes, arrows go about. */
function useEntryKeys(sheet: Schemas['Sheet'], { press, take, typed, step, undo }: Entry) {
  const point = () => (sheet.step < 1 ? press('.') : false)
  useKeys({
    ...Object.fromEntries(Array.from('0123456789', (digit) => [digit, () => press(digit)])),
    '.': point,
    ',': point,
    Backspace: () => press('⌫'),
    Enter: (event) => (onControl(event) && typed.text === '' ? false : take()),
    ArrowDown: () => step(1),
    ArrowUp: () => step(-1),
    z: undo,
  })
}

/** Who is next, what is known of this place, and what is being entered. */
function Place({ sheet, entry }: { sheet: Schemas['Sheet']; entry: Entry }) {
  const { cell, before, typed, value } = entry
  if (!cell)
    return (
      <Typography role="status" sx={{ fontSize: '1.35rem', fontWeight: 700, py: 2 }}>
        {t('test-complete')}
      </Typography>
    )
  const { name } = cell.player
  const { side } = cell
  const known = [
    sheet.test.trials > 1 && t('test-round', { n: cell.round + 1 }),
    before && t('test-before', { value: asResult(before.value) }),
    sheet.rest_s > 0 && t('test-rest', { seconds: sheet.rest_s }),
    sheet.parts > 1 && t('test-services', { n: sheet.parts }),
  ]
  return (
    <Box
      role="status"
      aria-label={t('test-entry', { player: name, side: cell.side ?? 'none', round: cell.round + 1 })}
    >
      <Typography sx={{ fontSize: '1.35rem', fontWeight: 700, lineHeight: 1.15 }}>
        {name}
        {side && `, ${t('squad-strong', { side })}`}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {known.filter(Boolean).join(' · ') || '\u00a0'}
      </Typography>
      <Reading sheet={sheet} typed={asTyped(typed.text)} value={value} taken={entry.taken(cell)?.value} />
    </Box>
  )
}
