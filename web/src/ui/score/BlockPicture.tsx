// What a block looks like: its ground, or what the feet do. Where they work on the spot the feet come first.
import Box from '@mui/material/Box'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { FloorDrawing } from '../FloorDrawing'
import { GroundOrFeet, type Picture } from './GroundOrFeet'
import { MovingFeet } from './MovingFeet'

interface Props {
  block: Pick<Schemas['Laid'], 'drawing' | 'from_score' | 'levers'> & {
    title: string
    /** A device may still hold a block of an earlier version, without feet. */
    feet?: Schemas['MovingFeet'] | null
  }
  height: number
  /** The picture that comes first; else the feet where they work on the spot. */
  first?: Picture
}

export function BlockPicture({ block, height, first }: Props) {
  const [shown, setShown] = useState<Picture>(first ?? (block.from_score ? 'feet' : 'ground'))
  const { feet } = block
  const ground = <FloorDrawing svg={block.drawing} title={block.title} height={height} />
  if (!feet) return ground
  return (
    <Box sx={{ display: 'grid', gap: 0.75, minWidth: 0 }}>
      <GroundOrFeet shown={shown} onShow={setShown} />
      {shown === 'ground' ? (
        ground
      ) : (
        <MovingFeet
          feet={feet}
          title={block.title}
          tempo={block.levers.tempo}
          height={Math.min(height, 210)}
          compact
        />
      )}
    </Box>
  )
}
