// One's own sessions in a calendar: an address that only its owner should have.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { t } from '../../texts/t'
import { asDay } from '../../ui/figures'
import { LinkField } from '../../ui/LinkField'
import { ErrorNote } from '../../ui/notes'
import { useCalendar } from './session'

export function CalendarDialog({ since, onClose }: { since: string | null; onClose: () => void }) {
  const { make, end } = useCalendar()
  const failed = make.error ?? end.error
  return (
    <Dialog open onClose={onClose} aria-labelledby="calendar-title">
      <DialogTitle id="calendar-title">{t('calendar-title')}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 1.5, maxWidth: 460 }}>
        <Typography>{t('calendar-how')}</Typography>
        {make.data ? (
          <>
            <LinkField path={make.data.path} />
            <Typography variant="body2">{t('calendar-secret')}</Typography>
          </>
        ) : (
          since && (
            <Typography variant="body2">{t('calendar-since', { day: asDay(since.slice(0, 10)) })}</Typography>
          )
        )}
        {failed && <ErrorNote error={failed} />}
      </DialogContent>
      <DialogActions>
        {since && (
          <Button
            variant="text"
            disabled={end.isPending}
            onClick={() => end.mutate(undefined, { onSuccess: () => make.reset() })}
          >
            {t('calendar-end')}
          </Button>
        )}
        {!make.data && (
          <Button variant="contained" disabled={make.isPending} onClick={() => make.mutate()}>
            {since ? t('calendar-renew') : t('calendar-make')}
          </Button>
        )}
        <Button variant="text" onClick={onClose}>
          {t('done')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
