// Hits of this many tries, ticked one after the other.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import { useState } from 'react'
import { t } from '../../../texts/t'
import { useKeys } from '../../../ui/keys'
import { type Steps, ToolFrame } from './ToolFrame'

export function Ticks({
  of,
  onValue,
  ...steps
}: Steps & { of: number; onValue: (hits: number | null) => void }) {
  const { floor } = useTheme()
  const [tries, setTries] = useState<boolean[]>([])
  const change = (next: boolean[]) => {
    setTries(next)
    onValue(next.length === of ? next.filter(Boolean).length : null)
  }
  const add = (hit: boolean) => {
    if (tries.length < of) change([...tries, hit])
  }
  const back = () => change(tries.slice(0, -1))
  const hit = () => add(true)
  const acts = {
    Space: hit,
    h: hit,
    x: () => add(false),
    Backspace: () => (tries.length > 0 ? back() : false),
  }
  useKeys(acts, { first: true })
  return (
    <ToolFrame {...steps}>
      <Box
        role="img"
        aria-label={t('test-ticked', { hits: tries.filter(Boolean).length, tries: tries.length, of })}
        sx={{ display: 'grid', gridTemplateColumns: `repeat(${Math.min(of, 10)}, 1fr)`, gap: '3px' }}
      >
        {Array.from({ length: of }, (_, i) => (
          <Box
            key={i}
            sx={{
              height: 22,
              border: `1px solid ${floor.ink}`,
              bgcolor: tries[i] ? floor.ink : floor.paper,
              backgroundImage:
                tries[i] === false
                  ? `linear-gradient(to top right, transparent 46%, ${floor.ink} 47%, ${floor.ink} 53%, transparent 54%)`
                  : 'none',
            }}
          />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5, flex: 1 }}>
        <Button disabled={tries.length === of} onClick={() => add(true)} sx={{ flex: 2, fontSize: '1.1rem' }}>
          {t('test-hit')}
        </Button>
        <Button disabled={tries.length === of} onClick={() => add(false)} sx={{ flex: 1 }}>
          {t('test-miss')}
        </Button>
      </Box>
      <Button variant="text" disabled={tries.length === 0} onClick={back} sx={{ minHeight: 44 }}>
        {t('test-tick-back')}
      </Button>
    </ToolFrame>
  )
}
