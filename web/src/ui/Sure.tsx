// Asks once more before something that cannot be undone with a tap.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { t } from '../texts/t'

interface Props {
  title: string
  says: ReactNode
  /** What is done. */
  go: string
  /** What is done instead; else the way out is called as everywhere. */
  stay?: string
  onGo: () => void
  onClose: () => void
}

export function Sure({ title, says, go, stay, onGo, onClose }: Props) {
  return (
    <Dialog open onClose={onClose} aria-labelledby="sure-title">
      <DialogTitle id="sure-title">{title}</DialogTitle>
      <DialogContent sx={{ maxWidth: 460 }}>
        <Typography component="div">{says}</Typography>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {stay ?? t('cancel')}
        </Button>
        <Button color="error" onClick={onGo}>
          {go}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
