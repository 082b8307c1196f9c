// A tapper counts touches: one for each tap or press of the space bar, against the clock where the test has one.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useState } from 'react'
import { t } from '../../../texts/t'
import { asClock, Figure } from '../../../ui/figures'
import { useKeys } from '../../../ui/keys'
import { tones } from '../../../ui/sound'
import { type Steps, ToolFrame } from './ToolFrame'

interface Props extends Steps {
  /** Seconds that the clock runs from the first tap on; nothing without a clock. */
  seconds: number | null
  most: number
  onValue: (count: number) => void
}

export function Tapper({ seconds, most, onValue, ...steps }: Props) {
  const [count, setCount] = useState(0)
  const [until, setUntil] = useState<number | null>(null)
  const [left, setLeft] = useState<number | null>(seconds)
  useEffect(() => {
    if (until === null) return
    const tick = setInterval(() => {
      const rest = Math.max(0, (until - Date.now()) / 1000)
      setLeft(rest)
      if (rest === 0) {
        clearInterval(tick)
        tones(440, 440)
      }
    }, 200)
    return () => clearInterval(tick)
  }, [until])
  const over = left === 0
  const begin = () => {
    if (seconds === null || until !== null) return
    setUntil(Date.now() + seconds * 1000)
    tones(660)
  }
  const change = (by: number) => {
    const next = Math.min(most, Math.max(0, count + by))
    setCount(next)
    onValue(next)
  }
  const tap = () => {
    begin()
    change(1)
  }
  useKeys({ Space: tap, '-': () => change(-1) }, { first: true })
  return (
    <ToolFrame {...steps}>
      <Button onClick={tap} sx={{ flex: 1, flexDirection: 'column', touchAction: 'manipulation' }}>
        <Figure aria-hidden sx={{ fontSize: '3rem', lineHeight: 1 }}>
          {count}
        </Figure>
        {over ? t('test-over') : t('test-tap')}
      </Button>
      <Box sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
        <Button disabled={count === 0} onClick={() => change(-1)} sx={{ minHeight: 46, minWidth: 64 }}>
          {t('test-one-less')}
        </Button>
        {left !== null && (
          <>
            <Button variant="text" disabled={until !== null} onClick={begin} sx={{ flex: 1, minHeight: 46 }}>
              {until === null ? t('test-clock') : ''}
            </Button>
            <Figure role="timer" sx={{ fontSize: '1.6rem', pr: 1 }}>
              {asClock(left)}
            </Figure>
          </>
        )}
      </Box>
    </ToolFrame>
  )
}
