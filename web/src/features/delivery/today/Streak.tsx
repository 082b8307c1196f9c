// How many clean ones in a row: a tap for each, and from the start after a miss.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { Figure } from '../../../ui/figures'

/** Only where the dose asks for so many in a row; a device may still hold a block without its dose. */
export function Streak({ dose }: { dose?: Schemas['Dose'] }) {
  const [{ now, best }, setCount] = useState({ now: 0, best: 0 })
  if (dose?.kind !== 'streak') return null
  const { target } = dose
  const count = (next: number) => setCount({ now: next, best: Math.max(best, next) })
  return (
    <Box
      role="group"
      aria-label={t('streak')}
      sx={{ display: 'flex', alignItems: 'stretch', gap: 1, '& > button': { minHeight: 56 } }}
    >
      <Button variant="contained" onClick={() => count(now + 1)} sx={{ flex: 2 }}>
        {t('streak-hit')}
      </Button>
      <Button variant="outlined" onClick={() => count(0)} sx={{ flex: 1 }}>
        {t('streak-miss')}
      </Button>
      <Box role="status" sx={{ minWidth: 76, display: 'grid', alignContent: 'center' }}>
        <Figure sx={{ fontSize: '1.8rem', fontWeight: 650, lineHeight: 1 }}>
          {now}/{target}
        </Figure>
        <Typography variant="caption" sx={{ fontWeight: now >= target ? 700 : undefined, lineHeight: 1.2 }}>
          {now >= target ? t('streak-done', { target }) : best > 0 && t('streak-best', { best })}
        </Typography>
      </Box>
    </Box>
  )
}
