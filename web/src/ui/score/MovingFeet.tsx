// Moving feet: the picture, the strip under it, and the ways to play it: at three tempos, beat by beat, in the mirror,
// with clicks and counted aloud. It needs no network.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useCallback, useMemo, useRef, useState } from 'react'
import { flushSync } from 'react-dom'
import type { Schemas } from '../../api/client'
import { feetSound, useRemembered } from '../../storage/remembered'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { Choice } from '../Choice'
import { click, speak } from '../sound'
import { FeetPicture, type Mover } from './FeetPicture'
import { type Feet, mirrored } from './moving'
import { Strip } from './Strip'
import { LOOKED_AT, usePlayer } from './usePlayer'

type Tempo = Schemas['Tempo']
const TEMPOS = ['own_pace', 'in_rhythm', 'fast'] as const satisfies readonly Tempo[]
const MIRROR = ['mirror'] as const
const SOUNDS = ['off', 'clicks', 'aloud'] as const

interface Props {
  feet: Feet
  title: string
  /** The tempo that is chosen first. */
  tempo?: Tempo
  height?: number
  /** Tempo, foot and sound stand behind a button: on a phone. */
  compact?: boolean
  line?: number | null
  onLine?: (line: number | null) => void
}

export function MovingFeet(props: Props) {
  const { feet: written, title, tempo: first, height = 220, compact = false, line, onLine } = props
  const [tempo, setTempo] = useState<Tempo>(first ?? 'own_pace')
  const [mirror, setMirror] = useState(false)
  const [sounds, setSounds] = useRemembered(feetSound)
  const still = useMediaQuery('(prefers-reduced-motion: reduce)')
  const picture = useRef<Mover>(null)
  const [setting, setSetting] = useState(false)
  // A round that closes in the mirror goes on with the other foot.
  const [turned, setTurned] = useState(false)
  const exchanged = mirror !== turned
  const feet = useMemo(() => (exchanged ? mirrored(written) : written), [exchanged, written])
  const onCount = (count: number, round: number) => {
    // At once, so that the round does not begin with the wrong foot.
    if (count === 0 && written.closing.kind === 'closes_mirrored') flushSync(() => setTurned(round % 2 === 1))
    const now = feet.counts[count]
    if (!now) return
    if (sounds !== 'off') click(now.done.find((each) => each.side)?.side ?? null)
    if (sounds === 'aloud') speak(told(now.counted))
  }
  const player = usePlayer({ feet, beat: written.tempos[tempo], picture, onCount })
  const [n, lookAt] = [feet.counts.length, player.look]
  const look = useCallback(
    (to: number) => {
      setTurned(false)
      lookAt((to + n) % n)
    },
    [lookAt, n],
  )
  if (n === 0) return null
  const count = Math.min(player.count, n - 1)
  const says = t('score-feet-of', { title })
  return (
    <Box component="section" aria-label={says} sx={{ display: 'grid', gap: 1, minWidth: 0 }}>
      {still ? (
        <Beats feet={feet} />
      ) : (
        <Box sx={{ position: 'relative' }}>
          <FeetPicture
            feet={feet}
            count={player.playing ? null : count}
            p={LOOKED_AT}
            says={says}
            height={height}
            mover={picture}
          />
          <Typography aria-hidden sx={WORD}>
            {feet.counts[count] && told(feet.counts[count].counted)}
          </Typography>
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, '& button': { px: 1, minWidth: 44 } }}>
        {!still && (
          <Button
            variant="contained"
            onClick={player.playing ? player.stop : player.play}
            sx={{ flex: '1 1 0' }}
          >
            {player.playing ? t('score-stop') : t('score-play')}
          </Button>
        )}
        <Button aria-label={t('score-back')} onClick={() => look(count - 1)}>
          ‹
        </Button>
        <Button onClick={() => look(count + 1)} sx={{ flex: '1 1 0' }}>
          {t('score-next')}
        </Button>
        {compact && (
          <Button
            aria-label={t('score-settings')}
            aria-expanded={setting}
            onClick={() => setSetting(!setting)}
          >
            …
          </Button>
        )}
      </Box>
      {(!compact || setting) && (
        <Settings
          {...{ tempo, mirror, sounds }}
          onTempo={setTempo}
          onMirror={setMirror}
          onSounds={setSounds}
        />
      )}
      <Strip feet={feet} mirror={exchanged} count={count} line={line} onCount={look} onLine={onLine} />
    </Box>
  )
}

/** The word that is counted, in a corner where no ball comes. */
const WORD = { position: 'absolute', left: 10, bottom: 6, fontSize: '1.5rem', fontWeight: 650, lineHeight: 1 }

/** How high a beat's picture is. */
const BEAT = 96

/** Every beat beside the other, for whoever wants nothing to move. */
function Beats({ feet }: { feet: Feet }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: `repeat(auto-fill, minmax(${1.15 * BEAT}px, 1fr))`,
        gap: 0.5,
      }}
    >
      {feet.counts.map((each, i) => (
        <Box key={i}>
          <FeetPicture
            feet={feet}
            count={i}
            p={LOOKED_AT}
            says={each.said.map((said) => told(said)).join(', ')}
            height={BEAT}
          />
          <Typography variant="caption" component="div" sx={{ textAlign: 'center' }}>
            {i + 1} · {told(each.counted)}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

type Sounds = (typeof SOUNDS)[number]

interface SettingsProps {
  tempo: Tempo
  mirror: boolean
  sounds: Sounds
  onTempo: (tempo: Tempo) => void
  onMirror: (mirror: boolean) => void
  onSounds: (sounds: Sounds) => void
}

function Settings({ tempo, mirror, sounds, onTempo, onMirror, onSounds }: SettingsProps) {
  return (
    <Box sx={{ display: 'flex', columnGap: 2, rowGap: 0.75, flexWrap: 'wrap' }}>
      <Choice
        label={t('lever-tempo')}
        options={TEMPOS}
        chosen={[tempo]}
        says={(each) => t(`score-tempo-${each}`)}
        onToggle={onTempo}
      />
      <Choice
        label={t('score-mirror')}
        options={MIRROR}
        chosen={mirror ? MIRROR : []}
        says={() => t('score-mirror')}
        onToggle={() => onMirror(!mirror)}
      />
      <Choice
        label={t('score-sound')}
        options={SOUNDS}
        chosen={[sounds]}
        says={(each) => t(`score-sound-${each}`)}
        onToggle={onSounds}
      />
    </Box>
  )
}
