// Calls, shown large and spoken: by the browser's voice where there is one, by a tone otherwise.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import { useEffect, useState } from 'react'
import type { Schemas } from '../api/client'
import { locale, t } from '../texts/t'
import { tones } from './sound'

interface Props {
  calls: Schemas['Call'][]
  /** Seconds since the work began; undefined while nobody works. */
  elapsed: number | null
}

const SHOWN_FOR = 2.5

export function CueCaller({ calls, elapsed }: Props) {
  const { floor } = useTheme()
  const [aloud, setAloud] = useState(true)
  const at = elapsed === null ? -1 : calls.findLastIndex((call) => call.at_s <= elapsed)
  const call = at >= 0 ? calls[at] : undefined
  const fresh = call !== undefined && elapsed !== null && elapsed - call.at_s < SHOWN_FOR
  useEffect(() => {
    if (aloud && at >= 0 && fresh) say(call.word, at)
    // Each call is spoken once, when it comes.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [at])
  return (
    <Box
      sx={{
        border: `1px solid ${floor.ink}`,
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        px: 1,
        minHeight: 64,
        bgcolor: fresh ? floor.ink : 'background.paper',
        color: fresh ? floor.paper : 'text.secondary',
      }}
    >
      <Box
        role="status"
        aria-label={t('cues-now')}
        sx={{ flex: 1, fontSize: fresh ? '2.2rem' : '1rem', fontWeight: 700, lineHeight: 1.1 }}
      >
        {fresh ? call.word : elapsed === null ? t('cues-ready', { n: calls.length }) : t('cues-wait')}
      </Box>
      <Button
        size="small"
        variant="text"
        aria-pressed={aloud}
        onClick={() => setAloud(!aloud)}
        sx={{ color: 'inherit' }}
      >
        {aloud ? t('cues-aloud') : t('cues-silent')}
      </Button>
    </Box>
  )
}

function say(word: string, nth: number) {
  const voices = 'speechSynthesis' in window ? speechSynthesis.getVoices() : []
  if (voices.length > 0) {
    speechSynthesis.cancel()
    const spoken = new SpeechSynthesisUtterance(word)
    spoken.lang = locale()
    speechSynthesis.speak(spoken)
  } else {
    // Its height changes from call to call, so that two alike are heard as two.
    tones(nth % 2 === 0 ? 660 : 880)
  }
}
