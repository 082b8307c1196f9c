// One player and one milestone: what the evidence says, and the coach's own word with a reason.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { newId, type Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { put } from '../../../storage/outbox'
import { t } from '../../../texts/t'
import { asDay } from '../../../ui/figures'
import { Ring } from '../../../ui/rings'
import type { Chosen } from './BoardTable'

interface Props extends Chosen {
  team: string
  day: string
  onClose: () => void
}

export function WordDialog({ team, day, player, milestone, onClose }: Props) {
  const standing = player.standings.find((s) => s.milestone === milestone.id)
  const [reason, setReason] = useState('')
  const [wrong, setWrong] = useState(false)
  const state = standing?.state ?? 'not_seen'
  const word = standing?.overridden
  const say = (verdict: Schemas['Verdict']) => {
    if (reason.trim() === '') {
      setWrong(true)
      return
    }
    put({
      kind: 'word',
      team,
      entry: {
        id: newId(),
        player: player.id,
        milestone: milestone.id,
        verdict,
        reason: reason.trim(),
        day,
        said_at: new Date().toISOString(),
      },
    })
    onClose()
  }
  const verdicts: Schemas['Verdict'][] = word
    ? ['as_evidence', word.verdict === 'met' ? 'not_yet' : 'met']
    : state === 'met' || state === 'kept'
      ? ['not_yet']
      : ['met']
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="xs">
      <DialogTitle>{player.name}</DialogTitle>
      <DialogContent>
        <Typography sx={{ fontStyle: 'italic', mb: 1 }}>“{milestone.says}”</Typography>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Ring state={state} overridden={word != null} size={30} />
          <Typography>
            {t(`board-state-${state}`)}
            {standing?.since && `, ${t('board-since', { day: asDay(standing.since) })}`}
          </Typography>
        </Box>
        {word && (
          <Typography variant="body2" sx={{ mt: 1 }}>
            {t('board-overridden', { by: word.by, day: asDay(word.on) })} “{word.reason}”{' '}
            {t('board-evidence', { state: t(`board-state-${standing.by_evidence}`) })}
          </Typography>
        )}
        <Typography variant="h3" sx={{ mt: 2, mb: 1 }}>
          {t('board-say-otherwise')}
        </Typography>
        <TextField
          fullWidth
          size="small"
          label={t('board-reason')}
          value={reason}
          onChange={(event) => {
            setReason(event.target.value)
            setWrong(false)
          }}
          error={wrong}
          helperText={wrong ? t('board-reason-missing') : undefined}
          slotProps={{ htmlInput: { maxLength: LONGEST.WordSaid.reason } }}
        />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5 }}>
          {verdicts.map((verdict) => (
            <Button key={verdict} onClick={() => say(verdict)}>
              {t(`board-verdict-${verdict}`)}
            </Button>
          ))}
          <Box sx={{ flex: 1 }} />
          <Button variant="text" onClick={onClose}>
            {t('close')}
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  )
}
