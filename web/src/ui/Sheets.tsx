// Sheets of paper one under the other, with the way to the printer above them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import GlobalStyles from '@mui/material/GlobalStyles'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { useNavigate } from 'react-router'
import { t } from '../texts/t'

export function Sheets({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="main" sx={{ p: { xs: 1, md: 3 }, '@media print': { p: 0 } }}>
      <GlobalStyles styles={{ '@page': { size: 'A4', margin: '10mm' } }} />
      <PaperHead title={title} />
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          justifyContent: { md: 'center' },
          overflowX: 'auto',
          '@media print': { display: 'block', overflow: 'visible' },
        }}
      >
        {children}
      </Box>
    </Box>
  )
}

interface HeadProps {
  title: string
  /** Whether what is to be printed is still on its way. */
  waits?: boolean
}

/** The title of what is printed, with the way to the printer and the way back. */
export function PaperHead({ title, waits = false }: HeadProps) {
  const navigate = useNavigate()
  return (
    <Box className="no-print" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 2 }}>
      <Typography variant="h1" sx={{ flex: 1 }}>
        {title}
      </Typography>
      <Button variant="contained" disabled={waits} onClick={() => window.print()}>
        {t('print-go')}
      </Button>
      <Button variant="text" onClick={() => void navigate(-1)}>
        {t('print-back')}
      </Button>
    </Box>
  )
}
