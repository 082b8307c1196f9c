// How much each part of the score counts in this plan.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Slider from '@mui/material/Slider'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { asNumber, Figure } from '../../ui/figures'

type Part = Schemas['Part']
type Weights = NonNullable<Schemas['Approach']['weights']>

interface Props {
  parts: Part[]
  weights: Weights
  onChange: (weights: Weights) => void
}

/** What is not said counts once. */
const weightOf = (weights: Weights, part: Part) => weights[part] ?? 1

export function WeightWishes({ parts, weights, onChange }: Props) {
  const set = (part: Part, weight: number) => {
    const others = Object.entries(weights).filter(([other]) => other !== part)
    onChange(Object.fromEntries(weight === 1 ? others : [...others, [part, weight]]))
  }
  return (
    <Box component="details">
      <Typography
        component="summary"
        variant="body2"
        sx={{ minHeight: 28, cursor: 'pointer', fontWeight: 600 }}
      >
        {t('plan-weights')}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {t('plan-weights-about')}
      </Typography>
      <Box sx={{ display: 'grid', gap: 0.25 }}>
        {parts.map((part) => (
          <WeightRow
            key={`${part}-${weightOf(weights, part)}`}
            part={part}
            weight={weightOf(weights, part)}
            onChange={(weight) => set(part, weight)}
          />
        ))}
      </Box>
      <Button
        size="small"
        disabled={Object.keys(weights).length === 0}
        onClick={() => onChange({})}
        sx={{ justifySelf: 'start' }}
      >
        {t('plan-weights-plain')}
      </Button>
    </Box>
  )
}

function WeightRow({
  part,
  weight,
  onChange,
}: {
  part: Part
  weight: number
  onChange: (weight: number) => void
}) {
  const { floor } = useTheme()
  const [moved, setMoved] = useState(weight)
  const name = t(`plan-part-${part}`)
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 7.5rem 2.25rem', gap: 1.5, alignItems: 'center' }}>
      <Typography variant="body2" sx={{ fontWeight: moved === 1 ? 400 : 650 }}>
        {name}
      </Typography>
      <Slider
        size="small"
        value={moved}
        min={0}
        max={3}
        step={0.5}
        marks={[{ value: 1 }]}
        aria-label={t('plan-weight-of', { part: name })}
        getAriaValueText={asNumber}
        onChange={(_, next) => setMoved(next)}
        onChangeCommitted={(_, next) => onChange(next)}
        sx={{ color: floor.ink, '& .MuiSlider-rail': { bgcolor: floor.hair } }}
      />
      <Figure sx={{ textAlign: 'end' }}>×{asNumber(moved)}</Figure>
    </Box>
  )
}
