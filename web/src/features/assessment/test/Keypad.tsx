// Digits for a thumb.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { t } from '../../../texts/t'
import { asTyped } from '../../../ui/figures'
import { Spoken } from '../../../ui/Spoken'
import { FIGURE_FACE } from '../../../ui/theme'
import { type Steps, ToolFrame } from './ToolFrame'

export function Keypad({
  decimals,
  onPress,
  ...steps
}: Steps & { decimals: boolean; onPress: (key: string) => void }) {
  const digit = (key: string, label?: string) => (
    <Button
      key={key}
      onClick={() => onPress(key)}
      sx={{ fontFamily: FIGURE_FACE, fontSize: '1.5rem', minHeight: 46, minWidth: 0, p: 0 }}
    >
      {label ? <Spoken as={label}>{key}</Spoken> : asTyped(key)}
    </Button>
  )
  return (
    <ToolFrame {...steps}>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 0.5 }}>
        {['1', '2', '3', '4', '5', '6', '7', '8', '9'].map((d) => digit(d))}
        {decimals ? digit('.') : <Box />}
        {digit('0')}
        {digit('⌫', t('test-delete'))}
      </Box>
    </ToolFrame>
  )
}
