// The head of the plan: which curriculum, how it stands, what the last edit cost, and what can be done next.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useNavigate } from 'react-router'
import type { Curriculum, Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { asDay, asNumber, asTime } from '../../ui/figures'
import { type Laying, TRIES } from './laying'

interface PlanBarProps {
  view: Curriculum
  all: Schemas['CurriculumEntry'][]
  busy: boolean
  solving: boolean
  laying: Laying
  mayPublish: boolean
  /** The number of the edition that would be published. */
  next: number
  onUndo: () => void
  onPublish: () => void
}

export function PlanBar(props: PlanBarProps) {
  const { view, all, busy, solving, laying, mayPublish, next, onUndo, onPublish } = props
  const { longer } = laying
  const navigate = useNavigate()
  const latest = view.editions[0]
  const price = view.came.price
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, flexWrap: 'wrap' }}>
      <TextField
        select
        size="small"
        variant="standard"
        value={view.id}
        onChange={(event) => void navigate(`/plan/${event.target.value}`)}
        slotProps={{
          htmlInput: { 'aria-label': texts.plan.choose },
          input: { disableUnderline: true, sx: { fontSize: '1.4rem', fontWeight: 650 } },
        }}
      >
        {all.map((entry) => (
          <MenuItem key={entry.id} value={entry.id}>
            {entry.name}
          </MenuItem>
        ))}
        <MenuItem value="new">{texts.plan.makeNew}</MenuItem>
      </TextField>
      <Box sx={{ flex: 1, minWidth: 180 }}>
        <Typography color="text.secondary" variant="body2" role="status">
          {view.band} ·{' '}
          {latest ? texts.plan.published(latest.number, asDay(latest.at.slice(0, 10))) : texts.plan.draft}
          {view.changed_since_edition ? `, ${texts.plan.changed}` : ''}
          {' · '}
          {busy ? texts.plan.saving : texts.plan.saved(asTime(view.changed_at))}
        </Typography>
        <Typography
          role="status"
          aria-label={texts.plan.price}
          variant="body2"
          sx={{
            minHeight: 20,
            fontWeight: 700,
            color: price && price.points > 0.05 ? 'error.main' : undefined,
          }}
        >
          {price?.says ?? ''}
        </Typography>
      </Box>
      <Box className="no-print" sx={{ display: 'flex', alignItems: 'center', gap: 1.25, flexWrap: 'wrap' }}>
        <Button
          variant="text"
          disabled={!view.undo || busy}
          onClick={onUndo}
          title={view.undo ? texts.plan.undoes(view.undo) : undefined}
        >
          {texts.undo}
        </Button>
        <Button onClick={laying.layAgain} disabled={solving || busy}>
          {solving && longer === null ? texts.plan.solving : texts.plan.solve}
        </Button>
        {longer === null ? (
          <Button variant="text" disabled={solving || busy} onClick={laying.lookLonger}>
            {texts.plan.lookLonger}
          </Button>
        ) : (
          <Button variant="text" onClick={laying.stop}>
            {texts.plan.stop(longer + 1, TRIES, asNumber(view.score.total))}
          </Button>
        )}
        <Button variant="contained" disabled={!mayPublish} onClick={onPublish}>
          {texts.plan.publish(next)}
        </Button>
      </Box>
    </Box>
  )
}
