// A player goes on in another team.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { t } from '../../../texts/t'
import { SelectCell } from '../../../ui/fields'
import { ErrorNote } from '../../../ui/notes'
import { useClubs } from '../../academy/clubs/queries'
import { useSession } from '../../people/session'
import { usePlayerChanges } from './queries'

interface Props {
  team: string
  player: string
  name: string
  toSquad: string
  onClose: () => void
}

export function MoveDialog({ team, player, name, toSquad, onClose }: Props) {
  const navigate = useNavigate()
  const { move } = usePlayerChanges(team, player)
  const [to, setTo] = useState('')
  const teams = useTeams().filter(({ id }) => id !== team)
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (to) move.mutate(to, { onSuccess: () => void navigate(toSquad, { replace: true }) })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="move-title"
      slotProps={{ paper: { component: 'form', onSubmit: save } }}
    >
      <DialogTitle id="move-title">{t('progress-move')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2, maxWidth: 420 }}>
        <Typography>{t('progress-move-about', { name })}</Typography>
        {teams.length === 0 ? (
          <Typography color="text.secondary">{t('progress-move-none')}</Typography>
        ) : (
          <SelectCell
            label={t('progress-move-to')}
            none={t('progress-move-choose')}
            value={to}
            options={teams.map(({ id, says }) => ({ value: id, says }))}
            onChange={setTo}
          />
        )}
        {move.isError && <ErrorNote error={move.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={!to || move.isPending}>
          {t('progress-move-go')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

/** The teams for whose players one may answer: one's own, and those of the clubs that one looks after. */
function useTeams() {
  const session = useSession().data
  const looksAfter = session !== undefined && session !== null && session.role !== 'coach'
  const clubs = useClubs(looksAfter).data ?? []
  if (!looksAfter) return (session?.teams ?? []).map(({ id, name }) => ({ id, says: name }))
  return clubs.flatMap((club) => club.teams.map(({ id, name }) => ({ id, says: `${club.name}: ${name}` })))
}
