// The score of a skill, written in a dialog: kept as a whole, or not at all.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import { useState } from 'react'
import { t } from '../../texts/t'
import { useScore } from './queries'
import { ScoreDesk } from './ScoreDesk'

interface Props {
  title: string
  /** The score as it is kept; nothing while there is none. */
  score: string | null
  band: string
  skill: string
  onKeep: (score: string | null) => void
  onClose: () => void
}

export function ScoreDialog({ title, score, band, skill, onKeep, onClose }: Props) {
  const [text, setText] = useState(score ?? '')
  // The same question as the desk's: it is asked once.
  const view = useScore({ text, band, skill }).data
  const proposed = view?.proposed
  return (
    <Dialog open fullWidth maxWidth="lg" onClose={onClose} aria-labelledby="score-dialog">
      <DialogTitle id="score-dialog">
        {title}: {t('score-title')}
      </DialogTitle>
      <DialogContent>
        <ScoreDesk title={title} text={text} band={band} skill={skill} onChange={setText} />
      </DialogContent>
      <DialogActions sx={{ flexWrap: 'wrap', rowGap: 1 }}>
        {proposed && proposed !== text && (
          <Button onClick={() => setText(proposed)} sx={{ mr: 'auto' }}>
            {t('score-propose')}
          </Button>
        )}
        {score !== null && <Button onClick={() => onKeep(null)}>{t('score-remove')}</Button>}
        <Button onClick={onClose}>{t('cancel')}</Button>
        <Button
          variant="contained"
          disabled={!view || view.faults.length > 0 || text === score}
          onClick={() => onKeep(text)}
        >
          {t('score-keep')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}
