// The current block: clock, drawing, what to look for, and what became of it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import { useState } from 'react'
import type { RunningBlock } from '../../api/client'
import { texts } from '../../texts/en'
import { BesideBlock, BlockFacts, Cautions, Faults, Points } from '../../ui/block'
import { FloorDrawing } from '../../ui/FloorDrawing'
import { BlockClock } from './BlockClock'
import type { Outcome } from './queries'

interface Props {
  block: RunningBlock
  at: number
  of: number
  clockName: string
  outcome: Outcome | undefined
  onSay: (outcome: Outcome) => void
}

const FIRST_POINTS = 3

export function BlockScreen({ block, at, of, clockName, outcome, onSay }: Props) {
  const { floor } = useTheme()
  const [more, setMore] = useState(false)
  return (
    <Box sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', borderTop: `1px solid ${floor.hair}`, bgcolor: 'background.paper' }}>
      <Box sx={{ flex: 1, overflowY: 'auto', px: 1.5, py: 1, display: 'grid', alignContent: 'start', gap: 1 }}>
        <Box>
          <Typography variant="caption" color="text.secondary">
            {texts.tonight.block(at + 1, of)}
            {block.laying_out > 0 && ` · ${texts.tonight.lay(block.laying_out)}`}
          </Typography>
          <Typography variant="h1" component="h2">
            {block.title}
          </Typography>
        </Box>
        <BlockClock block={block} name={clockName} />
        <FloorDrawing svg={block.drawing} title={block.title} height={240} />
        <Points points={block.points} most={more ? undefined : FIRST_POINTS} />
        <BesideBlock block={block} />
        <Cautions cautions={block.cautions} />
        {more && (
          <>
            <BlockFacts block={block} />
            <Faults faults={block.faults} />
            <Typography variant="body2" color="text.secondary">
              {texts.evening.inGame}: {block.in_game}
            </Typography>
          </>
        )}
        <Button variant="text" aria-expanded={more} onClick={() => setMore(!more)} sx={{ justifySelf: 'start', ml: -1.5 }}>
          {more ? texts.tonight.less : texts.tonight.more}
        </Button>
      </Box>
      <Box role="group" aria-label={texts.tonight.whatBecame} sx={{ display: 'flex', gap: 1, p: 1, borderTop: `1px solid ${floor.hair}` }}>
        {(['done', 'short', 'skipped'] as const).map((said) => (
          <Button
            key={said}
            variant={outcome === said || (outcome === undefined && said === 'done') ? 'contained' : 'outlined'}
            aria-pressed={outcome === said}
            onClick={() => onSay(said)}
            sx={{ flex: said === 'done' ? 2 : 1, minHeight: 48, px: 1 }}
          >
            {outcome === said && '✓ '}
            {texts.outcome[said]}
          </Button>
        ))}
      </Box>
    </Box>
  )
}
