// Whose plans were fitted, which sessions are cancelled or held again, and whose days stay.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asDay } from '../../../ui/figures'

export function Refitted({ all, onClose }: { all: Schemas['Refitted'][]; onClose: () => void }) {
  return (
    <>
      <DialogContent sx={{ maxWidth: 560 }}>
        <RefittedList all={all} />
      </DialogContent>
      <DialogActions>
        <Button variant="contained" onClick={onClose}>
          {t('close')}
        </Button>
      </DialogActions>
    </>
  )
}

/** The same where it stands, without a button. */
export function RefittedList({ all }: { all: Schemas['Refitted'][] }) {
  return (
    <>
      <Typography role="status">{t('times-refitted')}</Typography>
      <Box component="ul" sx={{ pl: 2.5, mb: 0 }}>
        {all.map((each) => (
          <Typography key={each.team + each.curriculum} component="li">
            {each.team}, {each.curriculum}: {saidOf(each)}
          </Typography>
        ))}
      </Box>
    </>
  )
}

function saidOf({ days_stay, cancelled, held }: Schemas['Refitted']): string {
  const days = (all: string[]) => ({ n: all.length, days: all.map(asDay).join(', ') })
  const said = [
    cancelled.length > 0 && t('off-cancelled', days(cancelled)),
    held.length > 0 && t('off-held', days(held)),
    days_stay && t('times-days-stay'),
  ].filter((each) => each !== false)
  return said.length > 0 ? said.join('; ') : t('times-fitted')
}
