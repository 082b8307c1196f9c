// Walk ten paces, measure, enter the metres: from then on every floor is laid in one's own pace.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { t } from '../../texts/t'
import { NumberField } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { useSetPace } from './session'

const PACES = 10

export function PaceDialog({
  open,
  pace,
  onClose,
}: {
  open: boolean
  pace: number | null
  onClose: () => void
}) {
  const [metres, setMetres] = useState<number | null>(
    pace === null ? null : Math.round(pace * PACES * 100) / 100,
  )
  const set = useSetPace()
  const keep = (next: number | null) => set.mutate(next, { onSuccess: onClose })
  return (
    <Dialog open={open} onClose={onClose}>
      <DialogTitle>{t('pace-title')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, maxWidth: 400 }}>
        <Typography>{t('pace-how')}</Typography>
        <NumberField
          autoFocus
          label={t('pace-metres')}
          value={metres}
          optional
          onChange={setMetres}
          sx={{ width: 200, mt: 1 }}
        />
        {metres !== null && <Typography role="status">{t('pace-one', { pace: metres / PACES })}</Typography>}
        {set.isError && <ErrorNote error={set.error} />}
      </DialogContent>
      <DialogActions>
        {pace !== null && <Button onClick={() => keep(null)}>{t('pace-forget')}</Button>}
        <Button onClick={onClose} variant="text">
          {t('cancel')}
        </Button>
        <Button
          variant="contained"
          disabled={metres === null || set.isPending}
          onClick={() => metres !== null && keep(metres / PACES)}
        >
          {t('pace-keep')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
