// A thing whose sign says less than its name: the name is read aloud, the sign is seen.
import Box from '@mui/material/Box'
import visuallyHidden from '@mui/utils/visuallyHidden'
import type { ReactNode } from 'react'

export function Spoken({ as, children }: { as: string; children: ReactNode }) {
  return (
    <>
      <Box component="span" sx={visuallyHidden}>
        {as}
      </Box>
      <Box component="span" aria-hidden sx={{ display: 'contents' }}>
        {children}
      </Box>
    </>
  )
}
