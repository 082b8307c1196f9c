// The log: who was here, how the blocks went, a line of note, and who said what.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { RunningOrder, Schemas } from '../../../api/client'
import { yesNo } from '../../../texts/said'
import { t } from '../../../texts/t'
import { NumberField } from '../../../ui/fields'
import { asTime } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { useSquad } from '../../assessment/squad/queries'
import { type BlockLog, type BlockSaid, nameOf, type SessionLog } from './log'
import { CameOffAt } from './NextTime'
import { Note } from './Note'
import { useDeleteNote } from './queries'
import { Voice } from './Voice'

interface Props {
  team: string
  order: RunningOrder
  log: SessionLog
  history: Schemas['HistoryEntry'][]
}

export function LogScreen({ team, order, log, history }: Props) {
  const { floor } = useTheme()
  const players = useSquad(team).data?.players ?? []
  return (
    <Box
      sx={{
        flex: 1,
        minWidth: 0,
        overflowY: 'auto',
        px: 1.5,
        py: 1,
        display: 'grid',
        alignContent: 'start',
        gap: 2.5,
        borderTop: `1px solid ${floor.hair}`,
        bgcolor: 'background.paper',
      }}
    >
      {players.length > 0 && <WhoIsHere players={players} log={log} />}
      <Box component="section" aria-label={t('log-blocks')}>
        <Typography variant="h2">{t('log-blocks')}</Typography>
        {order.blocks.map((block, i) => {
          const name = nameOf(block, i)
          const said = log.outcomes.get(name)
          return (
            <BlockRow
              key={name}
              title={block.title}
              planned={block.minutes}
              said={said}
              onSay={(now) => log.say(name, now)}
            >
              {said && <CameOffAt {...{ log, name, said }} title={block.title} />}
              <Voice log={log} drill={block.drill} title={block.title} />
            </BlockRow>
          )
        })}
      </Box>
      <Note note={log.note} players={players} onSay={log.sayNote} />
      <DeleteNote team={team} day={order.date} written={history.some(({ told }) => told.of === 'note')} />
      {history.length > 0 && <History history={history} players={players} />}
    </Box>
  )
}

function WhoIsHere({ players, log }: { players: Schemas['PlayerView'][]; log: SessionLog }) {
  const { floor } = useTheme()
  const { missing } = log
  const all = players.map((player) => player.id)
  const toggle = (player: string) => {
    // Whoever names the first one who is missing has looked round: the others are here.
    if (!missing)
      log.sayPresence(
        all.filter((id) => id !== player),
        true,
      )
    log.sayPresence([player], missing?.has(player) ?? false)
  }
  const away = missing ? all.filter((id) => missing.has(id)).length : 0
  return (
    <Box component="section" aria-label={t('log-here')}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.75 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t('log-here')}
        </Typography>
        <Typography role="status" sx={{ fontWeight: 650 }}>
          {missing ? t('log-count', { here: players.length - away, all: players.length }) : t('log-tap')}
        </Typography>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(128px, 1fr))', gap: 0.5 }}>
        {players.map((player) => {
          const gone = missing?.has(player.id) ?? false
          return (
            <ButtonBase
              key={player.id}
              aria-pressed={gone}
              aria-label={t('log-is-missing', { name: player.name })}
              onClick={() => toggle(player.id)}
              sx={{
                minHeight: 44,
                px: 1,
                font: 'inherit',
                justifyContent: 'flex-start',
                textAlign: 'left',
                lineHeight: 1.1,
                border: `1px solid ${gone ? floor.hair : floor.ink}`,
                color: gone ? 'text.secondary' : 'text.primary',
                textDecoration: gone ? 'line-through' : 'none',
                fontWeight: gone ? 400 : 550,
              }}
            >
              {player.name}
            </ButtonBase>
          )
        })}
      </Box>
      {!missing && (
        <Button variant="contained" onClick={() => log.sayPresence(all, true)} sx={{ mt: 1, minHeight: 44 }}>
          {t('log-everyone')}
        </Button>
      )}
    </Box>
  )
}

function BlockRow({
  title,
  planned,
  said,
  onSay,
  children,
}: {
  title: string
  planned: number
  said: BlockLog | undefined
  onSay: (said: BlockSaid) => void
  children: ReactNode
}) {
  return (
    <Box sx={{ py: 1, borderTop: 1, borderColor: 'divider' }}>
      <Typography sx={{ fontWeight: 600, lineHeight: 1.2 }}>{title}</Typography>
      <Typography variant="body2" color="text.secondary">
        {said
          ? [t(`outcome-${said.outcome}`), said.ran && t(`ran-${said.ran}`)].filter(Boolean).join(', ')
          : t('log-nothing')}
      </Typography>
      {said?.outcome === 'short' && (
        <NumberField
          label={t('log-minutes', { planned })}
          value={said.minutes ?? null}
          optional
          whole
          onChange={(minutes) => onSay({ ...said, minutes })}
          sx={{ mt: 1, width: 190 }}
        />
      )}
      {said && said.outcome !== 'skipped' && (
        <Box sx={{ display: 'grid', gap: 0.75, mt: 0.75 }}>{children}</Box>
      )}
    </Box>
  )
}

/** Deletes what was noted of a day for good: an empty note leaves what it said before in the database. */
function DeleteNote({ team, day, written }: { team: string; day: string; written: boolean }) {
  const remove = useDeleteNote(team)
  if (!written)
    return remove.isSuccess ? <Typography role="status">{t('log-note-deleted')}</Typography> : null
  return (
    <>
      {remove.isError && <ErrorNote error={remove.error} />}
      <Button
        size="small"
        variant="text"
        color="error"
        disabled={remove.isPending}
        onClick={() => remove.mutate(day)}
        sx={{ justifySelf: 'start' }}
      >
        {t('log-note-delete')}
      </Button>
    </>
  )
}

function History({
  history,
  players,
}: {
  history: Schemas['HistoryEntry'][]
  players: Schemas['PlayerView'][]
}) {
  const says = (told: Schemas['Told']) => {
    if (told.of === 'note') return told.gone ? t('log-note-gone') : t('log-note-said')
    if (told.of === 'player')
      return t('log-player', {
        name: players.find((player) => player.id === told.player)?.name ?? t('log-somebody'),
        present: yesNo(told.present),
      })
    return t('log-block', {
      title: told.title,
      outcome: t(`outcome-${told.outcome}`),
      success: told.success == null ? 'none' : told.success / 10,
    })
  }
  return (
    <Box component="details">
      <Typography component="summary" variant="h3" sx={{ minHeight: 44, cursor: 'pointer' }}>
        {t('log-history')}
      </Typography>
      {history.map((entry, i) => (
        <Typography key={i} variant="body2">
          {asTime(entry.at)} {entry.by}: {says(entry.told)}
        </Typography>
      ))}
    </Box>
  )
}
