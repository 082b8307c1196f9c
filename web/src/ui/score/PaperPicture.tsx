// What a block looks like on paper. Where the feet work on the spot a strip says more than a dot on the ground; as many
// beats as there is room for are drawn under it.
import Box from '@mui/material/Box'
import type { Schemas } from '../../api/client'
import { FloorDrawing } from '../FloorDrawing'
import { Beats } from './MovingFeet'
import { Strip } from './Strip'

interface Props {
  block: Pick<Schemas['Laid'], 'drawing' | 'from_score'> & {
    title: string
    feet?: Schemas['MovingFeet'] | null
  }
  height: number
  /** How many beats are drawn, one picture each. */
  beats?: number
}

export function PaperPicture({ block, height, beats = 0 }: Props) {
  const { feet } = block
  if (!feet || !block.from_score)
    return <FloorDrawing svg={block.drawing} title={block.title} height={height} />
  return (
    <Box sx={{ maxHeight: height, overflow: 'hidden', '& ol li > div': { width: 28 } }}>
      <Strip feet={feet} />
      {beats > 0 && <Beats feet={feet} most={beats} height={52} />}
    </Box>
  )
}
