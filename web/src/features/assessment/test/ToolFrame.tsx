// Where a value comes from: a tool for a thumb, with undo and enter beside it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { ReactNode } from 'react'
import { t } from '../../../texts/t'

export interface Steps {
  ready: boolean
  undoable: boolean
  onEnter: () => void
  onUndo: () => void
}

export function ToolFrame({ ready, undoable, onEnter, onUndo, children }: Steps & { children: ReactNode }) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 3fr) minmax(0, 1.3fr)', gap: 0.5, mt: 1 }}>
      <Box sx={{ minHeight: 196, display: 'flex', flexDirection: 'column', gap: 0.5 }}>{children}</Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', gap: 0.5 }}>
        <Button variant="text" disabled={!undoable} onClick={onUndo} sx={{ minHeight: 46 }}>
          {t('undo')}
        </Button>
        <Button variant="contained" disabled={!ready} onClick={onEnter} sx={{ flex: 1, fontSize: '1.1rem' }}>
          {t('test-enter')}
        </Button>
      </Box>
    </Box>
  )
}
