// The days off of a team, on its coach's phone.

import { useMediaQuery, useTheme } from '@mui/material'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import { t } from '../../texts/t'
import { DaysOff } from './DaysOff'

export function DaysOffDialog({ team, onClose }: { team: string; onClose: () => void }) {
  const narrow = useMediaQuery(useTheme().breakpoints.down('sm'))
  return (
    <Dialog open fullScreen={narrow} onClose={onClose} aria-label={t('off-title')}>
      <DialogContent sx={{ pt: 0, minWidth: { sm: 420 } }}>
        <DaysOff whose={[{ kind: 'team', team }]} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t('close')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
