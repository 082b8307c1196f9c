// What a test has to show for a milestone: how good, with which feet, and how often.
import Box from '@mui/material/Box'
import type { Level, Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { NumberField, SelectCell } from '../../../ui/fields'
import { LEVELS } from '../../../ui/levels'

type Measured = Schemas['Measured']

const FEET: Schemas['Feet'][] = ['both', 'either', 'strong', 'other']

export function MeasuredFields({
  measured,
  perSide,
  onChange,
}: {
  measured: Measured
  perSide: boolean
  onChange: (measured: Measured) => void
}) {
  const { reach, feet = 'both', times, of_last } = measured
  const count = (n: number | null): n is number => n !== null && n >= 1 && n <= 20
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(110px, 1fr))', gap: 2 }}>
      {'level' in reach ? (
        <SelectCell<Level>
          label={t('standards-making-level')}
          value={reach.level}
          options={LEVELS.slice(1).map((value) => ({ value, says: t(`level-${value}`) }))}
          onChange={(level) => level && onChange({ ...measured, reach: { level } })}
        />
      ) : (
        <NumberField
          label={t('standards-making-value')}
          value={reach.value}
          onChange={(value) => value !== null && onChange({ ...measured, reach: { value } })}
        />
      )}
      {perSide && (
        <SelectCell<Schemas['Feet']>
          label={t('standards-making-feet')}
          value={feet}
          options={FEET.map((value) => ({ value, says: t(`standards-making-foot-${value}`) }))}
          onChange={(next) => next && onChange({ ...measured, feet: next })}
        />
      )}
      <NumberField
        label={t('standards-making-times')}
        whole
        value={times}
        onChange={(n) => count(n) && onChange({ ...measured, times: n, of_last: Math.max(n, of_last) })}
      />
      <NumberField
        label={t('standards-making-of-last')}
        whole
        value={of_last}
        onChange={(n) => count(n) && onChange({ ...measured, of_last: n, times: Math.min(n, times) })}
      />
    </Box>
  )
}
