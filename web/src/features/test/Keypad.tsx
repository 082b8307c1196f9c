// Digits for a thumb.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { texts } from '../../texts/en'
import { Spoken } from '../../ui/Spoken'
import { FIGURE_FACE } from '../../ui/theme'

interface Props {
  decimals: boolean
  ready: boolean
  undoable: boolean
  onPress: (key: string) => void
  onEnter: () => void
  onUndo: () => void
}

export function Keypad({ decimals, ready, undoable, onPress, onEnter, onUndo }: Props) {
  const digit = (key: string, label?: string) => (
    <Button key={key} onClick={() => onPress(key)} sx={{ fontFamily: FIGURE_FACE, fontSize: '1.5rem', minHeight: 46, minWidth: 0, p: 0 }}>
      {label ? <Spoken as={label}>{key}</Spoken> : key}
    </Button>
  )
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr) 1.3fr', gap: 0.5, mt: 1 }}>
      {['1', '2', '3'].map((d) => digit(d))}
      <Button variant="text" disabled={!undoable} onClick={onUndo} sx={{ minHeight: 46 }}>
        {texts.undo}
      </Button>
      {['4', '5', '6'].map((d) => digit(d))}
      <Button variant="contained" disabled={!ready} onClick={onEnter} sx={{ gridRow: 'span 3', fontSize: '1.1rem' }}>
        {texts.test.enter}
      </Button>
      {['7', '8', '9'].map((d) => digit(d))}
      {decimals ? digit('.') : <Box />}
      {digit('0')}
      {digit('⌫', texts.test.delete)}
    </Box>
  )
}
