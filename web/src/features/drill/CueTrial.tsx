// What is called, and a trial of it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { CueCaller } from '../../ui/CueCaller'
import { NumberField, TextCell } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { callCues } from './queries'

type Cues = Schemas['CueWish']

/** How many calls a trial has. */
const CALLS = 24

export function CueTrial({ cues, onChange }: { cues: Cues | null; onChange: (cues: Cues | null) => void }) {
  const [words, setWords] = useState<string | null>(null)
  const [calls, setCalls] = useState<Schemas['Call'][] | null>(null)
  const [failed, setFailed] = useState<unknown>(null)
  const [elapsed, setElapsed] = useState<number | null>(null)
  const running = elapsed !== null
  useEffect(() => {
    if (!running) return
    const began = Date.now() - elapsed * 1000
    const tick = setInterval(() => setElapsed((Date.now() - began) / 1000), 100)
    return () => clearInterval(tick)
    // The clock runs from its start; it is not started again by its own ticks.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [running])
  const begin = async () => {
    if (!cues) return
    try {
      setCalls(await callCues(cues, CALLS, Date.now() % 1_000_000))
      setFailed(null)
      setElapsed(0)
    } catch (error) {
      setFailed(error)
    }
  }
  if (!cues) {
    return (
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        onClick={() => onChange({ words: ['left', 'right'], gap_s: 5, back_s: 3 })}
      >
        {t('cues-add')}
      </Button>
    )
  }
  return (
    <>
      <TextCell
        label={t('cues-words')}
        value={words ?? cues.words.join(' ')}
        onChange={(text) => {
          setWords(text)
          onChange({ ...cues, words: text.split(/\s+/).filter(Boolean) })
        }}
        onBlur={() => setWords(null)}
      />
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        <NumberField
          label={t('cues-gap')}
          value={cues.gap_s}
          onChange={(n) => n !== null && onChange({ ...cues, gap_s: n })}
          sx={{ width: 130 }}
        />
        <NumberField
          label={t('cues-back')}
          value={cues.back_s}
          onChange={(n) => n !== null && onChange({ ...cues, back_s: n })}
          sx={{ width: 130 }}
        />
      </Box>
      {calls && <CueCaller calls={calls} elapsed={elapsed} />}
      {calls && (
        <Typography variant="caption" color="text.secondary">
          {t('cues-sequence')}: {calls.map((call) => call.word).join(', ')}
        </Typography>
      )}
      {failed !== null && <ErrorNote error={failed} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button size="small" onClick={() => (running ? setElapsed(null) : void begin())}>
          {running ? t('cues-stop') : t('cues-trial')}
        </Button>
        <Button size="small" variant="text" onClick={() => onChange(null)}>
          {t('cues-none')}
        </Button>
      </Box>
    </>
  )
}
