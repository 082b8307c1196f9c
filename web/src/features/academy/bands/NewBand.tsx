// A band that the academy does not have yet, by its ages; its numbers can be changed once it stands with the others.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { NumberField } from '../../../ui/fields'

export function NewBand({ busy, onAdd }: { busy: boolean; onAdd: (ages: Schemas['NewBand']) => void }) {
  const [youngest, setYoungest] = useState<number | null>(null)
  const [oldest, setOldest] = useState<number | null>(null)
  const fields = [
    ['youngest', youngest, setYoungest],
    ['oldest', oldest, setOldest],
  ] as const
  return (
    <Box
      component="section"
      aria-label={t('bands-add')}
      sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', my: 2 }}
    >
      <Typography variant="h2">{t('bands-add')}</Typography>
      {fields.map(([of, value, set]) => (
        <NumberField
          key={of}
          label={t(`bands-${of}`)}
          value={value}
          whole
          onChange={(n) => set(n)}
          sx={{ width: 104 }}
        />
      ))}
      <Button
        disabled={busy || youngest === null || oldest === null}
        onClick={() => youngest !== null && oldest !== null && onAdd({ youngest, oldest })}
      >
        {t('bands-add-go')}
      </Button>
      <Typography variant="body2" color="text.secondary">
        {t('bands-add-about')}
      </Typography>
    </Box>
  )
}
