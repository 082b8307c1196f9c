// The halls and pitches of a club.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { newId, type Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { NumberField, TextCell } from '../../../ui/fields'
import { asNumber } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { Sure } from '../../../ui/Sure'
import { WallChoice } from '../../plan/WallChoice'
import { useDropPlace, usePutPlace } from './queries'
import { Refitted } from './Refitted'

type PlaceView = Schemas['PlaceView']

/** A hall as most clubs have one. */
const USUAL: Schemas['Place'] = { name: '', width_m: 30, depth_m: 16, markers: 60, wall: true, teams: 2 }

export function Places({ club, places }: { club: string; places: PlaceView[] }) {
  const [edited, setEdited] = useState<PlaceView | null>(null)
  const [asked, setAsked] = useState<PlaceView | null>(null)
  const drop = useDropPlace(club)
  const known = places.some(({ id }) => id === edited?.id)
  return (
    <>
      <Typography variant="h2">{t('times-places')}</Typography>
      {places.length === 0 && <Typography color="text.secondary">{t('times-places-none')}</Typography>}
      {places.map((view) => (
        <Box
          key={view.id}
          sx={{ display: 'flex', alignItems: 'center', borderBottom: 1, borderColor: 'divider' }}
        >
          <Box sx={{ flex: 1, py: 0.5 }}>
            {view.place.name}
            <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
              {t('times-place-size', {
                width: asNumber(view.place.width_m),
                depth: asNumber(view.place.depth_m),
                teams: view.place.teams,
              })}
            </Typography>
          </Box>
          <Button
            size="small"
            variant="text"
            aria-label={t('clubs-change-named', { club: view.place.name })}
            onClick={() => setEdited(view)}
          >
            {t('clubs-change')}
          </Button>
        </Box>
      ))}
      {!edited && (
        <Button sx={{ mt: 1.5 }} onClick={() => setEdited({ id: newId(), place: USUAL })}>
          {t('times-add-place')}
        </Button>
      )}
      {edited && (
        <PlaceForm
          key={edited.id}
          club={club}
          view={edited}
          onDone={() => setEdited(null)}
          onDrop={known ? () => setAsked(edited) : undefined}
        />
      )}
      {drop.isError && <ErrorNote error={drop.error} />}
      {asked && (
        <Sure
          title={t('times-drop-place')}
          says={t('times-drop-place-says', { place: asked.place.name })}
          go={t('times-drop-place')}
          onGo={() => {
            drop.mutate(asked.id)
            setAsked(null)
            setEdited(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  )
}

interface FormProps {
  club: string
  view: PlaceView
  onDone: () => void
  /** Nothing for a place that is not there yet. */
  onDrop: (() => void) | undefined
}

const NUMBERS = ['width_m', 'depth_m', 'markers', 'teams'] as const

function PlaceForm({ club, view, onDone, onDrop }: FormProps) {
  const [place, setPlace] = useState(view.place)
  const put = usePutPlace(club)
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (put.isPending || place.name.trim() === '') return
    put.mutate({ id: view.id, place }, { onSuccess: (refitted) => refitted.length === 0 && onDone() })
  }
  return (
    <Box component="form" onSubmit={save} sx={{ display: 'grid', gap: 1.5, mt: 2 }}>
      <TextCell
        label={t('clubs-name')}
        longest={LONGEST.NewClub.name}
        value={place.name}
        autoFocus
        onChange={(name) => setPlace({ ...place, name })}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {NUMBERS.map((key) => (
          <NumberField
            key={key}
            label={key === 'teams' ? t('times-teams') : t(`plan-wishes-ground-${key}`)}
            whole={key === 'teams' || key === 'markers'}
            value={place[key]}
            onChange={(n) => n !== null && setPlace({ ...place, [key]: n })}
            sx={{ width: 144 }}
          />
        ))}
      </Box>
      <WallChoice ground={place} onChange={setPlace} />
      {put.isError && <ErrorNote error={put.error} />}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={put.isPending || place.name.trim() === ''}>
          {put.isPending ? t('own-fitting') : t('clubs-save')}
        </Button>
        <Button variant="text" onClick={onDone}>
          {t('cancel')}
        </Button>
        {onDrop && (
          <Button variant="text" color="error" onClick={onDrop}>
            {t('times-drop-place')}
          </Button>
        )}
      </Box>
      {put.data && put.data.length > 0 && (
        <Dialog open onClose={onDone} aria-label={t('times-title')}>
          <Refitted all={put.data} onClose={onDone} />
        </Dialog>
      )}
    </Box>
  )
}
