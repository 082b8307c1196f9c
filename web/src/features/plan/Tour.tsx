// Three steps that explain the plan to a newcomer, until they are dismissed for good.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { tour } from '../../storage/remembered'
import { t } from '../../texts/t'
import { Figure } from '../../ui/figures'

const STEPS = ['lines', 'change', 'session'] as const

export function Tour() {
  const [step, setStep] = useState(() => (tour.read() ? null : 0))
  if (step === null) return null
  const last = step === STEPS.length - 1
  const onward = () => {
    if (last) tour.write('seen')
    setStep(last ? null : step + 1)
  }
  return (
    <Box
      role="note"
      className="no-print"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        borderTop: 1,
        borderBottom: 1,
        borderColor: 'divider',
        py: 0.75,
      }}
    >
      <Figure sx={{ fontSize: '1.3rem', color: 'text.secondary' }}>
        {step + 1}/{STEPS.length}
      </Figure>
      <Typography sx={{ flex: 1 }}>{t(`plan-tour-${STEPS[step] ?? 'lines'}`)}</Typography>
      <Button size="small" onClick={onward}>
        {last ? t('plan-tour-done') : t('plan-tour-next')}
      </Button>
    </Box>
  )
}
