// A thing whose sign says less than its name: the name is read aloud, the sign is seen.
import Box from '@mui/material/Box'
import type { ReactNode } from 'react'

const OUT_OF_SIGHT = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clip: 'rect(0 0 0 0)',
  whiteSpace: 'nowrap',
} as const

export function Spoken({ as, children }: { as: string; children: ReactNode }) {
  return (
    <>
      <Box component="span" sx={OUT_OF_SIGHT}>
        {as}
      </Box>
      <Box component="span" aria-hidden sx={{ display: 'contents' }}>
        {children}
      </Box>
    </>
  )
}
