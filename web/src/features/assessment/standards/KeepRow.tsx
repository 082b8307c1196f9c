// The end of a dialog: keep it, leave it, or take the thing out; and what the server said to that.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { t } from '../../../texts/t'
import { ErrorNote } from '../../../ui/notes'

interface Props {
  keep: string
  disabled: boolean
  onKeep: () => void
  onClose: () => void
  /** For what is there already. */
  drop?: { says: string; disabled: boolean; onDrop: () => void }
  errors: (Error | null)[]
}

export function KeepRow({ keep, disabled, onKeep, onClose, drop, errors }: Props) {
  return (
    <>
      {errors.map((error, i) => error && <ErrorNote key={i} error={error} />)}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button variant="contained" disabled={disabled} onClick={onKeep}>
          {keep}
        </Button>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Box sx={{ flex: 1 }} />
        {drop && (
          <Button color="error" disabled={drop.disabled} onClick={drop.onDrop}>
            {drop.says}
          </Button>
        )}
      </Box>
    </>
  )
}
