// A stopwatch: space starts and stops; a lap takes the time for this player and goes on with the next one.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useRef, useState } from 'react'
import { t } from '../../../texts/t'
import { asTyped, Figure } from '../../../ui/figures'
import { useKeys } from '../../../ui/keys'
import { type Steps, ToolFrame } from './ToolFrame'

interface Props extends Steps {
  /** Whose time it is: what was stopped for one is not shown for another. */
  place: string
  penalty: number
  onValue: (seconds: number) => void
  /** Takes a value at once; says whether it was taken. */
  onLap: (seconds: number) => boolean
}

const hundredths = (ms: number, penalties: number) => Math.round(ms / 10) / 100 + penalties

export function Stopwatch({ place, penalty, onValue, onLap, ...steps }: Props) {
  const [since, setSince] = useState<number | null>(null)
  const [last, setLast] = useState({ place, ms: 0 })
  const stopped = last.place === place ? last.ms : 0
  const [missed, setMissed] = useState(0)
  const face = useRef<HTMLSpanElement>(null)
  useEffect(() => {
    if (since === null) return
    let frame = 0
    const draw = () => {
      if (face.current) face.current.textContent = asTyped(((performance.now() - since) / 1000).toFixed(1))
      frame = requestAnimationFrame(draw)
    }
    draw()
    return () => cancelAnimationFrame(frame)
  }, [since])
  const toggle = () => {
    if (since === null) {
      setSince(performance.now())
      setMissed(0)
      return
    }
    const ms = performance.now() - since
    setSince(null)
    setLast({ place, ms })
    onValue(hundredths(ms, missed * penalty))
  }
  const lap = () => {
    if (since === null) return
    const now = performance.now()
    if (!onLap(hundredths(now - since, missed * penalty))) return
    setSince(now)
    setMissed(0)
  }
  const miss = () => {
    setMissed(missed + 1)
    if (since === null && stopped > 0) onValue(hundredths(stopped, (missed + 1) * penalty))
  }
  useKeys({ Space: toggle, l: lap, m: () => (penalty > 0 ? miss() : false) }, { first: true })
  return (
    <ToolFrame {...steps} ready={steps.ready && since === null}>
      <Button
        variant={since === null ? 'outlined' : 'contained'}
        onClick={toggle}
        sx={{ flex: 1, flexDirection: 'column' }}
      >
        <Figure ref={face} aria-hidden sx={{ fontSize: '2.6rem', lineHeight: 1 }}>
          {since === null ? asTyped((stopped / 1000).toFixed(2)) : ''}
        </Figure>
        {since === null ? t('test-start') : t('test-stop')}
      </Button>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        <Button disabled={since === null} onClick={lap} sx={{ flex: 1, minHeight: 46 }}>
          {t('test-lap')}
        </Button>
        {penalty > 0 && (
          <Button
            disabled={since === null && stopped === 0}
            onClick={miss}
            sx={{ flex: 1, minHeight: 46, lineHeight: 1.1 }}
          >
            {t('test-missed', { seconds: missed * penalty })}
          </Button>
        )}
      </Box>
    </ToolFrame>
  )
}
