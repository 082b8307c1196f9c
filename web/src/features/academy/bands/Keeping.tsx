// How long people stay signed in, how long is kept what is known of children who left, and which children these are.
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { NumberField } from '../../../ui/fields'
import { asDate } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { useAllLeft } from './queries'

type Academy = Schemas['Academy']

interface Props {
  academy: Academy
  onChange: (next: Partial<Academy>) => void
}

const LIMITS = ['idle', 'whole'] as const

export function Keeping({ academy, onChange }: Props) {
  const { sign_ins } = academy
  return (
    <Box component="section" aria-label={t('keeping-title')} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3">{t('keeping-title')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', pt: 0.75 }}>
        {LIMITS.map((limit) => (
          <NumberField
            key={limit}
            label={t(`keeping-${limit}`)}
            value={sign_ins[`${limit}_days`]}
            whole
            onChange={(n) => n !== null && onChange({ sign_ins: { ...sign_ins, [`${limit}_days`]: n } })}
            sx={{ width: 260 }}
          />
        ))}
        <NumberField
          label={t('keeping-months')}
          value={academy.keep_left_months}
          whole
          onChange={(n) => n !== null && n >= 0 && onChange({ keep_left_months: n })}
          sx={{ width: 280 }}
        />
        <FormControlLabel
          label={t('keeping-directors')}
          control={
            <Checkbox
              checked={sign_ins.directors_need_code}
              onChange={(_, directors_need_code) =>
                onChange({ sign_ins: { ...sign_ins, directors_need_code } })
              }
            />
          }
        />
      </Box>
      <AllLeft />
    </Box>
  )
}

/** Everybody who has left, before they are erased. */
function AllLeft() {
  const left = useAllLeft()
  if (left.isError) return <ErrorNote error={left.error} />
  if (!left.data) return null
  return (
    <Box>
      <Typography sx={{ fontWeight: 600 }}>{t('keeping-left')}</Typography>
      {left.data.length === 0 && <Typography variant="body2">{t('keeping-left-none')}</Typography>}
      {left.data.map((each) => (
        <Typography key={each.id} variant="body2">
          {t('keeping-left-line', {
            name: each.name,
            left: asDate(each.left_on),
            erased: asDate(each.erased_on),
          })}
        </Typography>
      ))}
    </Box>
  )
}
