// A milestone as the head of a column: its short name upright, its stage, its strand.
import Box from '@mui/material/Box'
import type { Stage, Strand } from '../api/client'
import { StageGlyph } from './stages'
import { StrandSwatch } from './strands'

export function MilestoneHead({ short, stage, strand }: { short: string; stage: Stage; strand: Strand }) {
  return (
    <>
      <Box
        sx={{
          writingMode: 'vertical-rl',
          transform: 'rotate(180deg)',
          fontSize: '0.86rem',
          lineHeight: 1.1,
          maxHeight: 132,
          mx: 'auto',
          width: 'fit-content',
          py: 0.5,
        }}
      >
        {short}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'center' }}>
        <StageGlyph stage={stage} strand={strand} />
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'center' }}>
        <StrandSwatch strand={strand} width={36} />
      </Box>
    </>
  )
}
