// One player's passport, the way to print it, and what is kept of them.
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
import { PassportSheet } from './Passport'
import { useErase, usePassport } from './queries'

interface Props {
  team: string
  coaching: boolean
  toSquad: string
}

export function PassportPage({ team, coaching, toSquad }: Props) {
  const { player = '' } = useParams()
  const { floor } = useTheme()
  const passport = usePassport(team, player)
  const [erasing, setErasing] = useState(false)
  if (passport.isError && !passport.data) return <ErrorNote error={passport.error} />
  if (!passport.data) return <Loading />
  return (
    <Box sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
        <Button variant="text" component={Link} to={toSquad}>
          {t('passport-back')}
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button component={Link} to={`/print/progress/${team}?player=${player}`}>
          {t('board-print')}
        </Button>
      </Box>
      <PassportSheet passport={passport.data} />
      <Box component="section" sx={{ mt: 3, pt: 1, borderTop: `1px solid ${floor.ink}` }}>
        <Typography variant="h2" sx={{ mb: 1 }}>
          {t('passport-data')}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
          <MuiLink href={`/api/v1/teams/${team}/players/${player}/export`} sx={{ flex: 1, minWidth: 240 }}>
            {t('passport-export')}
          </MuiLink>
          {coaching && (
            <Button color="error" onClick={() => setErasing(true)}>
              {t('passport-erase')}
            </Button>
          )}
        </Box>
      </Box>
      {erasing && (
        <EraseDialog
          team={team}
          player={player}
          name={passport.data.name}
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
      <DialogTitle>{t('passport-erase')}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{t('passport-erase-about', { name })}</Typography>
        <TextField
          fullWidth
          size="small"
          label={t('passport-erase-sure')}
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
            {t('passport-erase')}
          </Button>
          <Button variant="text" onClick={onClose}>
            {t('passport-keep')}
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  )
}
