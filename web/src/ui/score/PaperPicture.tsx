// What a block looks like on paper. Where the feet work on the spot a strip says more than a dot on the ground: in one
// row, with what is counted under it. Each of up to eight beats has a picture as well, where there is room; where
// there is none even for the strip, the words stand alone.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { told } from '../../texts/told'
import { FloorDrawing } from '../FloorDrawing'
import { FeetPicture } from './FeetPicture'
import { Strip } from './Strip'
import { LOOKED_AT } from './usePlayer'

interface Props {
  block: Pick<Schemas['Laid'], 'drawing' | 'on_the_spot'> & {
    title: string
    feet?: Schemas['MovingFeet'] | null
  }
  height: number
}

/** Below this height there is no room for a strip; in pixels. */
const STRIP_FROM = 84
/** The most beats that have a picture each, in one row; up to four are larger. In pixels. */
const MOST_PICTURES = 8
const picturesOf = (beats: number) =>
  beats <= 4 ? { inARow: 4, high: 44 } : { inARow: MOST_PICTURES, high: 26 }
const GAP = 3
/** A column is so much higher than wide. */
const TALLER = 2.6
/** Room for two lines of words. */
const WORDS = 30

export function PaperPicture({ block, height }: Props) {
  const { feet } = block
  if (!feet || !block.on_the_spot)
    return <FloorDrawing svg={block.drawing} title={block.title} height={height} />
  const left = height - picturesOf(feet.counts.length).high - GAP
  const pictures = feet.counts.length <= MOST_PICTURES && left >= STRIP_FROM
  const column = Math.min(38, ((pictures ? left : height) - WORDS) / TALLER)
  return (
    <Box sx={{ maxHeight: height, overflow: 'hidden' }}>
      {height >= STRIP_FROM && (
        <Box
          sx={{
            '& ol': { flexWrap: 'nowrap' },
            '& li': { flex: `0 1 ${column}px`, minWidth: 0 },
            '& li > div': { width: '100%' },
            '& li > div > span[aria-hidden]': { display: 'none' },
          }}
        >
          <Strip feet={feet} />
        </Box>
      )}
      <Typography sx={{ fontSize: 11, lineHeight: 1.25, fontWeight: 600 }}>
        {feet.counts.map((count) => told(count.counted)).join(', ')}
      </Typography>
      {pictures && <Pictures feet={feet} />}
    </Box>
  )
}

/** Each beat from above. What it is stands under the strip. */
function Pictures({ feet }: { feet: Schemas['MovingFeet'] }) {
  const { inARow, high } = picturesOf(feet.counts.length)
  return (
    <Box
      aria-hidden
      sx={{ display: 'grid', gridTemplateColumns: `repeat(${inARow}, 1fr)`, gap: `${GAP}px`, mt: `${GAP}px` }}
    >
      {feet.counts.map((_, i) => (
        <FeetPicture key={i} feet={feet} count={i} p={LOOKED_AT} says="" height={high} close />
      ))}
    </Box>
  )
}
