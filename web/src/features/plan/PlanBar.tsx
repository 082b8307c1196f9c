// The head of the plan: which curriculum, how it stands, what the last edit cost, and what can be done next.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ListSubheader from '@mui/material/ListSubheader'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useNavigate } from 'react-router'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { Choice } from '../../ui/Choice'
import { asDay, asTime, Figure } from '../../ui/figures'
import { useBands } from '../drill/queries'
import { LOOKS, type Look } from './at'
import type { Laying } from './laying'

const STANDS = ['running', 'coming', 'over'] as const

/** The curricula of one heading; a list, since a menu takes no fragments. */
function choices(
  all: Schemas['CurriculumEntry'][],
  stands: (typeof STANDS)[number],
  bandOf: (id: string) => string,
) {
  const some = all.filter((entry) => entry.stands === stands)
  if (some.length === 0) return []
  return [
    <ListSubheader key={stands} sx={{ lineHeight: 2 }}>
      {t(`plan-stands-${stands}`)}
    </ListSubheader>,
    ...some.map((entry) => (
      <MenuItem key={entry.id} value={entry.id}>
        {entry.name}
        <Box component="span" sx={{ flex: 1, textAlign: 'right', pl: 2, color: 'text.secondary' }}>
          {bandOf(entry.band)}
        </Box>
      </MenuItem>
    )),
  ]
}

interface PlanBarProps {
  view: Curriculum
  all: Schemas['CurriculumEntry'][]
  busy: boolean
  solving: boolean
  laying: Laying
  mayPublish: boolean
  /** The number of the edition that would be published. */
  next: number
  look: Look
  onLook: (look: Look) => void
  /** How many goals can be shown, of how many. */
  shown: string | undefined
  onUndo: () => void
  onPublish: () => void
}

export function PlanBar(props: PlanBarProps) {
  const { view, all, busy, solving, laying, mayPublish, next, look, onLook, shown, onUndo, onPublish } = props
  const navigate = useNavigate()
  const bands = useBands().data
  const bandOf = (id: string) => bands?.find(({ band }) => band.id === id)?.band.name ?? id
  const latest = view.editions[0]
  const price = view.came.price
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', columnGap: 1, flexWrap: 'wrap' }}>
      <Box sx={{ flex: '1 1 240px', minWidth: 0 }}>
        <TextField
          select
          size="small"
          variant="standard"
          value={view.id}
          onChange={(event) => void navigate(`/plan/${event.target.value}`)}
          slotProps={{
            htmlInput: { 'aria-label': t('plan-choose') },
            // The closed field shows the name alone: the band is in the line below it.
            select: { renderValue: () => all.find((entry) => entry.id === view.id)?.name },
            input: { disableUnderline: true, sx: { fontSize: '1.25rem', fontWeight: 650, lineHeight: 1.2 } },
          }}
        >
          {STANDS.flatMap((stands) => choices(all, stands, bandOf))}
          <MenuItem value="new">{t('plan-make-new')}</MenuItem>
        </TextField>
        <Typography color="text.secondary" variant="caption" component="div" role="status">
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
            fontWeight: 700,
            lineHeight: 1.2,
            color: price && price.points > 0.05 ? 'error.main' : undefined,
          }}
        >
          {price && told(price.says)}
        </Typography>
      </Box>
      <Box className="no-print" sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
        <Choice
          label={t('plan-looks')}
          options={LOOKS}
          chosen={[look]}
          says={(each) => (
            <>
              {t(`plan-look-${each}`)}
              {each === 'benchmarks' && shown && <Figure sx={{ fontWeight: 650 }}>{shown}</Figure>}
            </>
          )}
          onToggle={onLook}
        />
        <Button
          variant="text"
          disabled={!view.undo || busy}
          onClick={onUndo}
          title={view.undo ? t('plan-undoes', { what: told(view.undo) }) : undefined}
        >
          {t('undo')}
        </Button>
        <Button onClick={laying.layAgain} disabled={solving || busy}>
          {solving ? t('plan-solving') : t('plan-solve')}
        </Button>
        {laying.searching ? (
          <Button variant="text" onClick={laying.stop}>
            {t('plan-stop')}
          </Button>
        ) : (
          <Button variant="text" disabled={solving || busy} onClick={laying.lookLonger}>
            {t('plan-look-longer')}
          </Button>
        )}
        <Button variant="contained" disabled={!mayPublish} onClick={onPublish}>
          {t('plan-publish', { n: next })}
        </Button>
      </Box>
      {laying.offer && <BetterPlan offer={laying.offer} busy={busy} laying={laying} />}
    </Box>
  )
}

/** A better plan that was found meanwhile, with what would move. */
function BetterPlan({ offer, busy, laying }: { offer: Schemas['Offer']; busy: boolean; laying: Laying }) {
  return (
    <Box
      className="no-print"
      role="status"
      aria-label={t('plan-offer')}
      sx={{
        flex: '1 0 100%',
        display: 'flex',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 1,
        mt: 1,
        py: 0.75,
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Typography variant="body2" sx={{ flex: '1 1 320px' }}>
        <strong>{t('plan-offer')}</strong> {told(offer.price.says)}.{' '}
        {t('plan-offer-moves', { moved: offer.moved, blocks: offer.blocks })}
      </Typography>
      <Button size="small" disabled={busy} onClick={laying.take}>
        {t('plan-offer-take')}
      </Button>
      <Button size="small" variant="text" onClick={laying.leave}>
        {t('plan-offer-leave')}
      </Button>
    </Box>
  )
}
