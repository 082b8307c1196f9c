import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState, type FormEvent } from 'react'
import { texts } from '../../texts/en'
import { ErrorNote } from '../../ui/notes'

interface Props {
  open: boolean
  number: number
  name: string
  busy: boolean
  error: unknown
  onClose: () => void
  onPublish: (note: string) => void
}

export function PublishDialog({ open, number, name, busy, error, onClose, onPublish }: Props) {
  const [note, setNote] = useState('')
  return (
    <Dialog
      open={open}
      onClose={onClose}
      aria-labelledby="publish-title"
      slotProps={{
        paper: {
          component: 'form',
          onSubmit: (event: FormEvent) => {
            event.preventDefault()
            if (!busy) onPublish(note)
          },
        },
      }}
    >
      <DialogTitle id="publish-title">{texts.plan.publishTitle(number, name)}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{texts.plan.publishSays}</Typography>
        <TextField
          autoFocus
          fullWidth
          label={texts.plan.note}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        {error ? <ErrorNote error={error} /> : null}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {texts.cancel}
        </Button>
        <Button type="submit" variant="contained" disabled={busy}>
          {texts.plan.publishGo}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
