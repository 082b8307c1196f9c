// One player's progress, the way to print it, and what is kept of them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { t } from '../../../texts/t'
import { ErrorNote, Loading } from '../../../ui/notes'
import { ProgressOnPaper } from './ProgressSheet'
import { useErase, useProgress } from './queries'

interface Props {
  team: string
  coaching: boolean
  toSquad: string
}

export function ProgressPage({ team, coaching, toSquad }: Props) {
  const { player = '' } = useParams()
  const { floor } = useTheme()
  const progress = useProgress(team, player)
  const [erasing, setErasing] = useState(false)
  if (progress.isError && !progress.data) return <ErrorNote error={progress.error} />
  if (!progress.data) return <Loading />
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
          {coaching && (
            <Button color="error" onClick={() => setErasing(true)}>
              {t('progress-erase')}
            </Button>
          )}
        </Box>
      </Box>
      {erasing && (
        <EraseDialog
          team={team}
          player={player}
          name={progress.data.name}
          toSquad={toSquad}
          onClose={() => setErasing(false)}
        />
      )}
    </Box>
  )
}

interface EraseProps {
  team: string
  player: string
  name: string
  toSquad: string
  onClose: () => void
}

function EraseDialog({ team, player, name, toSquad, onClose }: EraseProps) {
  const [written, setWritten] = useState('')
  const erase = useErase(team, player)
  const navigate = useNavigate()
  return (
    <Dialog open onClose={onClose}>
      <DialogTitle>{t('progress-erase')}</DialogTitle>
      <DialogContent>
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
              erase.mutate(undefined, { onSuccess: () => void navigate(toSquad, { replace: true }) })
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
