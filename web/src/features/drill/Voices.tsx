// What coaches say of a drill after they have run it, and the director's answer to all of them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { LONGEST } from '../../api/limits'
import { listed } from '../../texts/said'
import { t } from '../../texts/t'
import { asResult, asTime } from '../../ui/figures'
import { ErrorNote } from '../../ui/notes'
import { VOICES } from '../../ui/voices'
import { useAnswer, useVoices } from './queries'

export function Voices({ drill }: { drill: string }) {
  const { data: heard, error } = useVoices(drill)
  const answer = useAnswer(drill)
  const [says, setSays] = useState('')
  if (error) return <ErrorNote error={error} />
  if (!heard || (heard.voices.length === 0 && heard.used.runs === 0)) return null
  const counts = VOICES.flatMap((voice) => {
    const n = heard.heard.counts[voice]
    return n ? [`${n} × ${t(`voice-${voice}`)}`] : []
  })
  return (
    <Box component="section" aria-label={t('voices')} sx={{ display: 'grid', gap: 0.75 }}>
      <Typography variant="h3">
        {t('voices')}
        {counts.length > 0 && `: ${listed(counts)}`}
      </Typography>
      {heard.used.runs > 0 && (
        <Typography variant="body2">
          {t('voices-used', { runs: heard.used.runs, teams: heard.used.teams })}{' '}
          {heard.used.came_off != null &&
            t('voices-came-off', { came: asResult(10 * heard.used.came_off), n: heard.used.counted })}
        </Typography>
      )}
      {heard.voices.map(({ club, team, by, voice, says: line, at, answered }) => (
        <Typography key={`${team} ${by}`} variant="body2" color={answered ? 'text.secondary' : undefined}>
          <b>{t(`voice-${voice}`)}</b>
          {line && ` “${line}”`} · {by}, {team} ({club}) · {asTime(at)}
        </Typography>
      ))}
      {heard.answer && (
        <Typography variant="body2" sx={{ borderLeft: 3, pl: 1 }}>
          {t('voice-answer', { by: heard.answer.by, says: heard.answer.says })}
        </Typography>
      )}
      {heard.heard.unanswered > 0 && (
        <Box
          component="form"
          sx={{ display: 'flex', gap: 1, alignItems: 'flex-start' }}
          onSubmit={(event) => {
            event.preventDefault()
            if (says.trim()) answer.mutate(says.trim(), { onSuccess: () => setSays('') })
          }}
        >
          <TextField
            size="small"
            fullWidth
            label={t('voices-answer', { n: heard.heard.unanswered })}
            value={says}
            onChange={(event) => setSays(event.target.value.slice(0, LONGEST.AnswerSaid.says))}
          />
          <Button type="submit" disabled={!says.trim() || answer.isPending}>
            {t('voices-send')}
          </Button>
        </Box>
      )}
      {answer.isError && <ErrorNote error={answer.error} />}
    </Box>
  )
}
