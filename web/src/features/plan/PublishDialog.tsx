import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import type { Schemas } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { ErrorNote } from '../../ui/notes'

interface Props {
  open: boolean
  number: number
  name: string
  /** What is different from the edition before, in words. */
  changes: Schemas['Fact'][]
  /** What of its goals can be shown; undefined until it is known. */
  benchmarks: Schemas['BenchmarkMap'] | undefined
  busy: boolean
  error: unknown
  onClose: () => void
  onPublish: (note: string) => void
}

export function PublishDialog(props: Props) {
  const { open, number, name, changes, benchmarks, busy, error, onClose, onPublish } = props
  const [note, setNote] = useState('')
  return (
    <Dialog
      open={open}
      onClose={onClose}
      aria-labelledby="publish-title"
      slotProps={{
        paper: {
          component: 'form',
          onSubmit: (event: SyntheticEvent) => {
            event.preventDefault()
            if (!busy) onPublish(note)
          },
        },
      }}
    >
      <DialogTitle id="publish-title">{t('plan-publish-title', { n: number, name })}</DialogTitle>
      <DialogContent>
        <Typography sx={{ mb: 2 }}>{t('plan-publish-says')}</Typography>
        <TextField
          autoFocus
          fullWidth
          label={t('plan-note')}
          value={note}
          onChange={(event) => setNote(event.target.value)}
          slotProps={{ htmlInput: { maxLength: LONGEST.EditionWish.note } }}
        />
        {benchmarks && <Shown benchmarks={benchmarks} />}
        {changes.length > 0 && (
          <Box sx={{ mt: 2 }}>
            <Typography variant="h3">{t('plan-changes-title', { n: number - 1 })}</Typography>
            <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 260, overflowY: 'auto' }}>
              {changes.map((change, i) => (
                <Typography key={i} component="li" variant="body2">
                  {told(change)}
                </Typography>
              ))}
            </Box>
          </Box>
        )}
        {error ? <ErrorNote error={error} /> : null}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={busy}>
          {t('plan-publish-go')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

/** What can be shown, and what not: it forbids nothing, but nobody publishes without having seen it. */
function Shown({ benchmarks: { shown, lines, week, findings } }: { benchmarks: Schemas['BenchmarkMap'] }) {
  return (
    <Box component="section" aria-label={t('benchmarks-title')} sx={{ mt: 2 }}>
      <Typography variant="h3">{t('benchmarks-head', { shown, of: lines.length, week })}</Typography>
      {findings.length > 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2.5, maxHeight: 200, overflowY: 'auto' }}>
          {findings.map((finding, i) => (
            <Typography key={i} component="li" variant="body2">
              {told(finding.says)}
            </Typography>
          ))}
        </Box>
      )}
    </Box>
  )
}
