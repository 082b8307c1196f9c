// The head of the plan: which curriculum, how it stands, what the last edit cost, and what can be done next.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useNavigate } from 'react-router'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
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
          htmlInput: { 'aria-label': t('plan-choose') },
          input: { disableUnderline: true, sx: { fontSize: '1.4rem', fontWeight: 650 } },
        }}
      >
        {all.map((entry) => (
          <MenuItem key={entry.id} value={entry.id}>
            {entry.name}
          </MenuItem>
        ))}
        <MenuItem value="new">{t('plan-make-new')}</MenuItem>
      </TextField>
      <Box sx={{ flex: 1, minWidth: 180 }}>
        <Typography color="text.secondary" variant="body2" role="status">
          {view.band} ·{' '}
          {latest
            ? t('plan-published', { n: latest.number, day: asDay(latest.at.slice(0, 10)) })
            : t('plan-draft')}
          {view.changed_since_edition ? `, ${t('plan-changed')}` : ''}
          {' · '}
          {busy ? t('plan-saving') : t('plan-saved', { time: asTime(view.changed_at) })}
        </Typography>
        <Typography
          role="status"
          aria-label={t('plan-price')}
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
          title={view.undo ? t('plan-undoes', { what: view.undo }) : undefined}
        >
          {t('undo')}
        </Button>
        <Button onClick={laying.layAgain} disabled={solving || busy}>
          {solving && longer === null ? t('plan-solving') : t('plan-solve')}
        </Button>
        {longer === null ? (
          <Button variant="text" disabled={solving || busy} onClick={laying.lookLonger}>
            {t('plan-look-longer')}
          </Button>
        ) : (
          <Button variant="text" onClick={laying.stop}>
            {t('plan-stop', { n: longer + 1, of: TRIES, best: asNumber(view.score.total) })}
          </Button>
        )}
        <Button variant="contained" disabled={!mayPublish} onClick={onPublish}>
          {t('plan-publish', { n: next })}
        </Button>
      </Box>
    </Box>
  )
}
