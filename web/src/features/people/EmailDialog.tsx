// Where one gets the week's sessions by mail; an empty field means no post.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { t } from '../../texts/t'
import { ErrorNote } from '../../ui/notes'
import { useSetEmail } from './session'

export function EmailDialog({ email, onClose }: { email: string | null; onClose: () => void }) {
  const [typed, setTyped] = useState(email ?? '')
  const set = useSetEmail()
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (!set.isPending) set.mutate(typed.trim() || null, { onSuccess: onClose })
  }
  return (
    <Dialog
      open
      onClose={onClose}
      aria-labelledby="email-title"
      slotProps={{ paper: { component: 'form', onSubmit: save } }}
    >
      <DialogTitle id="email-title">{t('letters-mine')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, maxWidth: 420 }}>
        <Typography>{t('letters-mine-about')}</Typography>
        <TextField
          autoFocus
          type="email"
          label={t('letters-address')}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          sx={{ mt: 1 }}
        />
        {set.isError && <ErrorNote error={set.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={set.isPending}>
          {t('clubs-save')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
