// The parts of the score, each a word and a number; choose one to see where it comes from.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { asNumber, Figure } from '../../ui/figures'

interface Props {
  score: Schemas['Score']
  /** Whether anything is wished for every week. */
  weekly: boolean
}

export function ScoreStrip({ score, weekly }: Props) {
  const [chosen, setChosen] = useState<string | null>(null)
  const parts = score.parts.filter((p) => weekly || p.part !== 'S13')
  const part = parts.find((p) => p.part === chosen)
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', columnGap: 1.25, flexWrap: 'wrap' }}>
        <Typography variant="h3">
          {t('plan-score')} <Figure sx={{ fontSize: '1.3rem' }}>{asNumber(score.total)}</Figure>
        </Typography>
        {parts.map(({ part, points }) => (
          <ButtonBase
            key={part}
            aria-pressed={part === chosen}
            onClick={() => setChosen(part === chosen ? null : part)}
            sx={{
              gap: 0.5,
              px: 0.5,
              minHeight: 28,
              borderBottom: 2,
              borderColor: part === chosen ? 'text.primary' : 'transparent',
              color: points < 0.05 ? 'text.secondary' : undefined,
            }}
          >
            <Typography variant="body2">{t(`plan-part-${part}`)}</Typography>
            <Figure sx={{ fontSize: '1.1rem', fontWeight: 600 }}>{asNumber(points)}</Figure>
          </ButtonBase>
        ))}
        <Typography variant="body2" color="text.secondary">
          {t('plan-score-means')}
        </Typography>
      </Box>
      {part && (
        <Box role="status" sx={{ mt: 0.5 }}>
          <Typography variant="body2" color="text.secondary">
            {t(`plan-part-means-${part.part}`, {
              points: part.figures[0] ?? 0,
              than: part.figures[1] ?? 0,
              wished: part.figures[2] ?? 0,
            })}{' '}
            {part.weight !== 1 && t('plan-part-weight', { weight: part.weight })}
          </Typography>
          <Typography variant="body2">
            {part.from.length > 0 ? part.from.map(told).join(' · ') : t('plan-nothing')}
          </Typography>
        </Box>
      )}
    </Box>
  )
}
