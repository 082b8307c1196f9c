// A milestone as the head of a column: its short name upright, its stage, its strand.
import Box from '@mui/material/Box'
import type { Stage, Strand } from '../api/client'
import { StageGlyph } from './stages'
import { StrandSwatch } from './strands'

interface Head {
  short: string
  stage: Stage
  /** Undefined if the library has its skill no more. */
  strand: Strand | null | undefined
}

export function MilestoneHead({ short, stage, strand }: Head) {
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
      {strand && (
        <Box sx={{ display: 'grid', justifyItems: 'center' }}>
          <StageGlyph stage={stage} strand={strand} />
          <StrandSwatch strand={strand} width={36} />
        </Box>
      )}
    </>
  )
}
