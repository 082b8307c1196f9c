// What a block looks like on paper. Where the feet work on the spot a strip says more than a dot on the ground: in one
// row, with what is counted under it. Where there is no room for it the words stand alone; where there is much, each
// beat has a picture as well.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { told } from '../../texts/told'
import { FloorDrawing } from '../FloorDrawing'
import { Beats } from './MovingFeet'
import { Strip } from './Strip'

interface Props {
  block: Pick<Schemas['Laid'], 'drawing' | 'from_score'> & {
    title: string
    feet?: Schemas['MovingFeet'] | null
  }
  height: number
}

/** Below this there is no room for a strip, and from this on for pictures beside it; in pixels. */
const STRIP_FROM = 84
const PICTURES_FROM = 200
/** So many beats have a picture, so high. */
const MOST_PICTURES = 6
const PICTURE = 40
/** A column is so much higher than wide. */
const TALLER = 2.6
/** Room for two lines of words. */
const WORDS = 30

export function PaperPicture({ block, height }: Props) {
  const { feet } = block
  if (!feet || !block.from_score)
    return <FloorDrawing svg={block.drawing} title={block.title} height={height} />
  const pictures = height >= PICTURES_FROM && feet.counts.length <= MOST_PICTURES
  const column = Math.min(38, ((pictures ? STRIP_FROM + WORDS : height) - WORDS) / TALLER)
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
      {pictures && <Beats feet={feet} height={PICTURE} />}
    </Box>
  )
}
