// What a coach tells the director of a drill, in one tap and perhaps a line, and what the director answered.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { VOICES } from '../../../ui/voices'
import type { SessionLog } from './log'

export function Voice({ log, drill, title }: { log: SessionLog; drill: string; title: string }) {
  const said = log.voiceOf(drill)
  const [open, setOpen] = useState(false)
  const [says, setSays] = useState<string | null>(null)
  const line = says ?? said?.says ?? ''
  const keep = () => {
    if (said && says !== null && says.trim() !== said.says) log.tell(drill, said.voice, says.trim())
    setSays(null)
  }
  return (
    <Box>
      <Button
        variant="text"
        size="small"
        aria-expanded={open}
        aria-label={t('voice-of', { drill: title })}
        onClick={() => setOpen(!open)}
        sx={{ ml: -1 }}
      >
        {said ? t('voice-said', { voice: t(`voice-${said.voice}`) }) : t('voice-open')}
      </Button>
      {open && (
        <Box sx={{ display: 'grid', gap: 1 }}>
          <Choice
            label={t('voice-of', { drill: title })}
            options={VOICES}
            chosen={said ? [said.voice] : []}
            says={(voice) => t(`voice-${voice}`)}
            onToggle={(voice) => log.tell(drill, voice, line.trim())}
          />
          {said && (
            <TextField
              label={t('voice-line')}
              value={line}
              onChange={(event) => setSays(event.target.value.slice(0, LONGEST.VoiceSaid.says))}
              onBlur={keep}
            />
          )}
        </Box>
      )}
      {said?.answer && (
        <Typography variant="body2" sx={{ borderLeft: 3, pl: 1 }}>
          {t('voice-answer', { by: said.answer.by, says: said.answer.says })}
        </Typography>
      )}
    </Box>
  )
}
