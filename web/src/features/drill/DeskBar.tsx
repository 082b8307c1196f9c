// The head of the drill desk: what is written, whether it is saved, and what can be done with it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { asTime } from '../../ui/figures'

interface Props {
  title: string
  view: Schemas['DrillView'] | null
  changed: boolean
  saving: boolean
  undoable: boolean
  maySave: boolean
  mayCopy: boolean
  onUndo: () => void
  onCopy: () => void
  onPutAway: () => void
  onSave: () => void
}

export function DeskBar(props: Props) {
  const { title, view, changed, saving, undoable, maySave, mayCopy, onUndo, onCopy, onPutAway, onSave } =
    props
  const state = () => {
    if (saving) return t('plan-saving')
    if (changed) return t('desk-kept-here')
    return view
      ? t('desk-state', { version: view.version, time: asTime(view.history[0]?.at ?? '') })
      : t('desk-new')
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="h1">{title || t('desk-untitled')}</Typography>
        <Typography variant="body2" color="text.secondary" role="status">
          {state()}
          {view?.archived_at && ` · ${t('desk-is-away')}`}
        </Typography>
      </Box>
      <Button variant="text" disabled={!undoable} onClick={onUndo}>
        {t('undo')}
      </Button>
      {view && (
        <>
          <Button variant="text" onClick={onCopy} disabled={!mayCopy}>
            {t('desk-copy')}
          </Button>
          <Button variant="text" onClick={onPutAway}>
            {view.archived_at ? t('desk-bring-back') : t('desk-put-away')}
          </Button>
        </>
      )}
      <Button variant="contained" disabled={!maySave} onClick={onSave}>
        {t('desk-save')}
      </Button>
    </Box>
  )
}
