// What a block looks like: its ground, or what the feet do. Where they work on the spot the feet come first; where
// players make chains of their own there are some to begin from.
import Box from '@mui/material/Box'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { FloorDrawing } from '../FloorDrawing'
import { Chains } from './Chain'
import { GroundOrFeet, type Picture } from './GroundOrFeet'
import { MovingFeet } from './MovingFeet'

interface Props {
  block: Pick<Schemas['Laid'], 'drawing' | 'on_the_spot' | 'levers'> & {
    title: string
    /** A device may still hold a block of an earlier version, without feet and chains. */
    feet?: Schemas['MovingFeet'] | null
    chains?: Schemas['ChainToTry'][]
  }
  height: number
  /** The picture that comes first; else the feet where they work on the spot. */
  first?: Picture
}

export function BlockPicture({ block, height, first }: Props) {
  const [shown, setShown] = useState<Picture>(first ?? (block.on_the_spot ? 'feet' : 'ground'))
  const { feet, chains = [] } = block
  const ground = <FloorDrawing svg={block.drawing} title={block.title} height={height} />
  if (!feet && chains.length === 0) return ground
  return (
    <Box sx={{ display: 'grid', gap: 0.75, minWidth: 0 }}>
      <GroundOrFeet shown={shown} onShow={setShown} />
      {shown === 'ground' && ground}
      {shown === 'feet' && chains.length > 0 && <Chains chains={chains} height={Math.min(height, 210)} />}
      {shown === 'feet' && chains.length === 0 && feet && (
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
