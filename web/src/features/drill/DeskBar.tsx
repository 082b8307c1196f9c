// The head of the drill desk: what is written, whether it is saved, and what can be done with it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { texts } from '../../texts/en'
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
    if (saving) return texts.plan.saving
    if (changed) return texts.desk.keptHere
    return view ? texts.desk.state(view.version, asTime(view.history[0]?.at ?? '')) : texts.desk.new
  }
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      <Box sx={{ flex: 1, minWidth: 0 }}>
        <Typography variant="h1">{title || texts.desk.untitled}</Typography>
        <Typography variant="body2" color="text.secondary" role="status">
          {state()}
          {view?.archived_at && ` · ${texts.desk.isAway}`}
        </Typography>
      </Box>
      <Button variant="text" disabled={!undoable} onClick={onUndo}>
        {texts.undo}
      </Button>
      {view && (
        <>
          <Button variant="text" onClick={onCopy} disabled={!mayCopy}>
            {texts.desk.copy}
          </Button>
          <Button variant="text" onClick={onPutAway}>
            {view.archived_at ? texts.desk.bringBack : texts.desk.putAway}
          </Button>
        </>
      )}
      <Button variant="contained" disabled={!maySave} onClick={onSave}>
        {texts.desk.save}
      </Button>
    </Box>
  )
}
