// One part of the wishes under its heading.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'

export function WishPart({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3">{title}</Typography>
      {children}
    </Box>
  )
}
