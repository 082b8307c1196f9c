// A score while it is written: the text, the moving feet and the figures side by side; what is pointed at in one is lit
// in the others.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { NotationEditor } from '../../ui/NotationEditor'
import { ErrorNote } from '../../ui/notes'
import { MovingFeet } from '../../ui/score/MovingFeet'
import { useScore } from './queries'

interface Props {
  title: string
  text: string
  band: string | undefined
  skill?: string
  readOnly?: boolean
  onChange: (text: string) => void
}

export function ScoreDesk({ title, text, band, skill, readOnly = false, onChange }: Props) {
  const [line, setLine] = useState<number | null>(null)
  const looked = useScore(band ? { text, band, skill: skill ?? null } : undefined)
  const view = looked.data
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        gap: 2,
        alignItems: 'start',
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <NotationEditor
          label={t('score-text')}
          reads={t('score-reads')}
          text={text}
          faults={view?.faults ?? []}
          line={line}
          readOnly={readOnly}
          onChange={onChange}
          onLine={setLine}
        />
        {looked.isError && <ErrorNote error={looked.error} />}
        {view?.measures ? (
          <Measured measures={view.measures} />
        ) : (
          <Typography variant="body2" color="text.secondary">
            {t('score-as-far')}
          </Typography>
        )}
      </Box>
      {view && <MovingFeet feet={view.feet} title={title} line={line} onLine={setLine} tempo="in_rhythm" />}
    </Box>
  )
}

/** The figures of a round, in words. */
export function Measured({ measures }: { measures: Schemas['ScoreMeasures'] }) {
  const { touches, hops, closing } = measures
  const sum = (by: Record<string, number>) => Object.values(by).reduce((all, n) => all + n, 0)
  const [right, left, body] = [sum(touches.right), sum(touches.left), sum(touches.body)]
  const facts = [
    t('score-per-round', { n: right + left + body }),
    t('score-feet', { right, left }),
    ...(body > 0 ? [t('score-body', { n: body })] : []),
    ...(hops > 0 ? [t('score-hops', { n: hops })] : []),
    t('score-seconds', { seconds: measures.seconds }),
    t('score-rounds', { n: measures.rounds_in_30_s }),
  ]
  return (
    <Box sx={{ mt: 0.5 }}>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t(`score-closing-${closing.kind}`)}
      </Typography>
    </Box>
  )
}
