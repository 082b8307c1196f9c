// When and where a team meets, week by week.

import { useMediaQuery, useTheme } from '@mui/material'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { NumberField, SelectCell, TextCell } from '../../../ui/fields'
import { asWeekday } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useSetSlots, useTeamTimes } from './queries'
import { Refitted } from './Refitted'

type Slot = Schemas['Slot']

const DAYS = [1, 2, 3, 4, 5, 6, 7]

interface Props {
  team: string
  onClose: () => void
}

export function SlotsDialog({ team, onClose }: Props) {
  const narrow = useMediaQuery(useTheme().breakpoints.down('sm'))
  const read = useTeamTimes(team)
  return (
    <Dialog open fullScreen={narrow} onClose={onClose} aria-labelledby="times-title" maxWidth="md">
      <DialogTitle id="times-title">
        {read.data ? t('times-of', { club: read.data.teams[0]?.name ?? '' }) : t('times-title')}
      </DialogTitle>
      {read.isError && <ErrorNote error={read.error} />}
      {!read.data && !read.isError && <Loading />}
      {read.data && <Slots team={team} times={read.data} onClose={onClose} />}
    </Dialog>
  )
}

function Slots({ team, times, onClose }: Props & { times: Schemas['TimesView'] }) {
  const [slots, setSlots] = useState<Slot[]>(times.teams[0]?.slots ?? [])
  const set = useSetSlots(team)
  const put = (at: number, slot: Slot) => setSlots(slots.with(at, slot))
  const free = DAYS.find((day) => slots.every((slot) => slot.weekday !== day))
  const last = slots.at(-1)
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (set.isPending) return
    set.mutate(slots, { onSuccess: (refitted) => refitted.length === 0 && onClose() })
  }
  if (set.data && set.data.length > 0) return <Refitted all={set.data} onClose={onClose} />
  return (
    <Box component="form" onSubmit={save} sx={{ display: 'contents' }}>
      <DialogContent sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
        <Typography sx={{ maxWidth: 560 }}>{t('times-about')}</Typography>
        {slots.map((slot, at) => (
          <SlotRow
            key={slot.weekday}
            slot={slot}
            days={DAYS.filter((day) => day === slot.weekday || slots.every((other) => other.weekday !== day))}
            places={times.places}
            onChange={(changed) => put(at, changed)}
            onTakeOut={() => setSlots(slots.filter((other) => other !== slot))}
          />
        ))}
        {free && (
          <Button
            sx={{ justifySelf: 'start' }}
            onClick={() =>
              setSlots([...slots, { from: '17:30', minutes: 75, place: null, ...last, weekday: free }])
            }
          >
            {t('times-add-day')}
          </Button>
        )}
        {times.sharing.map((said) => (
          <Typography key={JSON.stringify(said)} variant="body2">
            {told(said)}
          </Typography>
        ))}
        {set.isError && <ErrorNote error={set.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={set.isPending}>
          {set.isPending ? t('own-fitting') : t('clubs-save')}
        </Button>
      </DialogActions>
    </Box>
  )
}

interface RowProps {
  slot: Slot
  /** The weekdays that are free for it. */
  days: number[]
  places: Schemas['PlaceView'][]
  onChange: (slot: Slot) => void
  onTakeOut: () => void
}

function SlotRow({ slot, days, places, onChange, onTakeOut }: RowProps) {
  const day = asWeekday(slot.weekday)
  return (
    <Box
      role="group"
      aria-label={day}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', '& > *': { flex: 'none' } }}
    >
      <SelectCell
        label={t('times-day')}
        value={String(slot.weekday)}
        options={days.map((each) => ({ value: String(each), says: asWeekday(each) }))}
        onChange={(weekday) => onChange({ ...slot, weekday: Number(weekday) })}
        fullWidth={false}
        sx={{ width: 104 }}
      />
      <TextCell
        label={t('times-from')}
        type="time"
        value={slot.from}
        onChange={(from) => from && onChange({ ...slot, from: from.slice(0, 5) })}
        fullWidth={false}
        sx={{ width: 132 }}
      />
      <NumberField
        label={t('times-minutes')}
        whole
        value={slot.minutes}
        onChange={(minutes) => minutes !== null && onChange({ ...slot, minutes })}
        sx={{ width: 96 }}
      />
      <SelectCell
        label={t('times-place')}
        value={slot.place ?? ''}
        none={t('times-no-place')}
        options={places.map(({ id, place }) => ({ value: id, says: place.name }))}
        onChange={(place) => onChange({ ...slot, place: place || null })}
        fullWidth={false}
        sx={{ width: 190 }}
      />
      <Button size="small" variant="text" aria-label={`${t('times-take-out')}: ${day}`} onClick={onTakeOut}>
        {t('times-take-out')}
      </Button>
    </Box>
  )
}
