// One player's progress, the way to print it, and what is kept of them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { sideValues as SIDES } from '../../../api/schema'
import { t } from '../../../texts/t'
import { SelectCell, TextCell } from '../../../ui/fields'
import { ErrorNote, Loading } from '../../../ui/notes'
import { Sure } from '../../../ui/Sure'
import { MoveDialog } from './MoveDialog'
import { ProgressOnPaper } from './ProgressSheet'
import { useErase, usePlayerChanges, useProgress, useSquad } from './queries'

interface Props {
  team: string
  toSquad: string
}

export function ProgressPage({ team, toSquad }: Props) {
  const { player = '' } = useParams()
  const { floor } = useTheme()
  const progress = useProgress(team, player)
  const [doing, setDoing] = useState<'correct' | 'move' | 'leave' | 'erase' | null>(null)
  if (progress.isError && !progress.data) return <ErrorNote error={progress.error} />
  if (!progress.data) return <Loading />
  const of = { team, player, name: progress.data.name, toSquad, onClose: () => setDoing(null) }
  return (
    <Box sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        <Button variant="text" component={Link} to={toSquad}>
          {t('progress-back')}
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button component={Link} to={`/print/progress/${team}?player=${player}`}>
          {t('board-print')}
        </Button>
      </Box>
      <ProgressOnPaper progress={progress.data} />
      <Box component="section" sx={{ mt: 3, pt: 1, borderTop: `1px solid ${floor.ink}` }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {t('progress-data')}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
          <MuiLink href={`/api/v1/teams/${team}/players/${player}/export`} sx={{ flex: 1, minWidth: 240 }}>
            {t('progress-export')}
          </MuiLink>
          <Button onClick={() => setDoing('correct')}>{t('progress-correct')}</Button>
          <Button onClick={() => setDoing('move')}>{t('progress-move')}</Button>
          <Button onClick={() => setDoing('leave')}>{t('progress-leave')}</Button>
          <Button color="error" onClick={() => setDoing('erase')}>
            {t('progress-erase')}
          </Button>
        </Box>
      </Box>
      {doing === 'erase' && <EraseDialog {...of} />}
      {doing === 'leave' && <LeaveDialog {...of} />}
      {doing === 'move' && <MoveDialog {...of} />}
      {doing === 'correct' && <CorrectDialog {...of} />}
    </Box>
  )
}

export interface OfPlayer {
  team: string
  player: string
  name: string
  toSquad: string
  onClose: () => void
}

function LeaveDialog({ team, player, name, toSquad, onClose }: OfPlayer) {
  const { leave } = usePlayerChanges(team, player)
  const navigate = useNavigate()
  return (
    <Sure
      title={t('progress-leave')}
      says={
        <>
          {t('progress-leave-about', { name })}
          {leave.isError && <ErrorNote error={leave.error} />}
        </>
      }
      go={t('progress-leave')}
      onGo={() => leave.mutate(undefined, { onSuccess: () => void navigate(toSquad, { replace: true }) })}
      onClose={onClose}
    />
  )
}

function CorrectDialog({ team, player, onClose }: OfPlayer) {
  const known = useSquad(team).data?.players.find((each) => each.id === player)
  return known ? <CorrectForm team={team} known={known} onClose={onClose} /> : null
}

interface CorrectProps {
  team: string
  known: Schemas['PlayerView']
  onClose: () => void
}

function CorrectForm({ team, known, onClose }: CorrectProps) {
  const { correct } = usePlayerChanges(team, known.id)
  const { name, birth_month, strong_foot } = known
  const [said, setSaid] = useState<Schemas['Corrected']>({ name, birth_month, strong_foot })
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="correct-title"
      slotProps={{
        paper: {
          component: 'form',
          onSubmit: (event: SyntheticEvent) => {
            event.preventDefault()
            correct.mutate(said, { onSuccess: onClose })
          },
        },
      }}
    >
      <DialogTitle id="correct-title">{t('progress-correct')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, width: 340, maxWidth: '100%' }}>
        <TextCell
          label={t('progress-correct-name')}
          longest={LONGEST.Corrected.name}
          value={said.name}
          onChange={(next) => setSaid({ ...said, name: next })}
          sx={{ mt: 1 }}
        />
        <TextCell
          label={t('progress-correct-born')}
          value={said.birth_month}
          onChange={(next) => setSaid({ ...said, birth_month: next })}
        />
        <SelectCell<Schemas['Side']>
          label={t('progress-correct-foot')}
          value={said.strong_foot}
          options={SIDES.map((side) => ({ value: side, says: t(`progress-foot-${side}`) }))}
          onChange={(side) => side && setSaid({ ...said, strong_foot: side })}
        />
        {correct.isError && <ErrorNote error={correct.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={correct.isPending}>
          {t('progress-correct-save')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

function EraseDialog({ team, player, name, toSquad, onClose }: OfPlayer) {
  const [written, setWritten] = useState('')
  const erase = useErase(team, player)
  const navigate = useNavigate()
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>{t('progress-erase')}</DialogTitle>
      <DialogContent>
        {erase.data?.waits && <Typography role="status">{t('progress-waits')}</Typography>}
        <Typography sx={{ mb: 2 }}>{t('progress-erase-about', { name })}</Typography>
        <TextField
          fullWidth
          size="small"
          label={t('progress-erase-sure')}
          placeholder={name}
          value={written}
          onChange={(event) => setWritten(event.target.value)}
          sx={{ mt: 1 }}
        />
        {erase.isError && <ErrorNote error={erase.error} />}
        <Box sx={{ display: 'flex', gap: 1, mt: 2 }}>
          <Button
            color="error"
            disabled={written.trim() !== name || erase.isPending}
            onClick={() =>
              erase.mutate(undefined, {
                onSuccess: ({ waits }) => {
                  if (!waits) void navigate(toSquad, { replace: true })
                },
              })
            }
          >
            {t('progress-erase')}
          </Button>
          <Button variant="text" onClick={onClose}>
            {t('progress-keep')}
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  )
}
