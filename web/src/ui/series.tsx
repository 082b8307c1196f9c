// The moves of a series, in their order, and the challenge at its end.
import Typography from '@mui/material/Typography'
import type { RunningBlock } from '../api/client'
import { t } from '../texts/t'

export function SeriesOnPaper({ series }: Partial<Pick<RunningBlock, 'series'>>) {
  if (!series) return null
  const moves = series.moves.map(({ name, foot }, i) =>
    [`${i + 1} ${name}`, foot && t(`today-foot-${foot}`)].filter(Boolean).join(', '),
  )
  const last = series.challenge ? [`${t('series-challenge')}: ${series.challenge.says}`] : []
  return (
    <Typography variant="caption" component="div" sx={{ lineHeight: 1.2 }}>
      <strong>{t('series-title')}:</strong> {[...moves, ...last].join(' · ')}
    </Typography>
  )
}
