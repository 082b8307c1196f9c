// Laying the plans of a band one after the other.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { useUnderWay } from '../../api/patience'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { asNumber } from '../../ui/figures'
import { ErrorNote } from '../../ui/notes'
import { type BandYear, useLayYear } from './queries'

const BELIEVED: Schemas['Believed'][] = ['planned', 'forecast']

export function LayYear({ season, band }: { season: string; band: BandYear }) {
  const [believed, setBelieved] = useState<Schemas['Believed']>('planned')
  const lay = useLayYear(season)
  const howFar = useUnderWay()
  const drafts = band.strips.filter(({ made, beside }) => made === 'draft' && !beside).length
  if (drafts === 0) return null
  return (
    <Box component="section" aria-label={t('year-lay')}>
      <Typography variant="h3">{t('year-lay')}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 0.75 }}>
        {t('year-lay-about', { drafts })}
      </Typography>
      <Choice
        label={t('year-believed')}
        options={BELIEVED}
        chosen={[believed]}
        says={(each) => t(`year-believed-${each}`)}
        onToggle={setBelieved}
      />
      <Box sx={{ mt: 1 }}>
        <Button
          size="small"
          variant="contained"
          disabled={lay.isPending}
          onClick={() => lay.mutate({ band: band.band, believed })}
        >
          {lay.isPending
            ? t('year-laying', { done: howFar?.done ?? 0, of: howFar?.of ?? drafts })
            : t('year-lay-go')}
        </Button>
      </Box>
      {lay.isError && <ErrorNote error={lay.error} />}
      {lay.data && (
        <Box role="status" sx={{ mt: 1 }}>
          {lay.data.map(({ id, name, moved, points }) => (
            <Typography key={id} variant="body2">
              {points
                ? t('year-laid', {
                    name,
                    moved,
                    before: asNumber(points[0] ?? 0),
                    after: asNumber(points[1] ?? 0),
                  })
                : t('year-not-laid', { name })}
            </Typography>
          ))}
          <Typography variant="body2" color="text.secondary">
            {t('year-laid-undo')}
          </Typography>
        </Box>
      )}
    </Box>
  )
}
