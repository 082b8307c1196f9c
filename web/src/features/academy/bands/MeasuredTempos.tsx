// How fast the results of a band's tests show that it is: a person takes it over, or leaves it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { useMeasuredTempos } from './queries'

type Band = Schemas['Band']

interface Props {
  band: Band
  /** The tempos that hold. */
  usual: Schemas['Tempos'] | undefined
  onEdit: (band: Band, next: Partial<Band>) => void
}

export function MeasuredTempos({ band, usual, onEdit }: Props) {
  const shown = useMeasuredTempos(band.id).data ?? []
  const tempos = band.tempos_s ?? usual
  if (!tempos) return null
  return shown.map(({ name, measured: { beat_s: seconds, results: n }, taken_over }) => (
    <Box key={name} sx={{ px: 0.75 }}>
      <Typography variant="caption" component="div" color="text.secondary">
        {t('bands-tempos-shown', { test: name, seconds, n })}
      </Typography>
      {tempos.fast !== seconds && (
        <Button
          variant="text"
          size="small"
          sx={{ px: 0, minWidth: 0 }}
          onClick={() =>
            onEdit(band, {
              tempos_s: taken_over,
              sources: { ...band.sources, tempos_s: t('bands-tempos-source', { test: name, n }) },
            })
          }
        >
          {t('bands-tempos-take', { seconds })}
        </Button>
      )}
    </Box>
  ))
}
