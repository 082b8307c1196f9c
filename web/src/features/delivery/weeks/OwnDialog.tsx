// What a team has of its own: its days, its hall, its kit, its squad. Its plan is fitted to them.

import { useMediaQuery, useTheme } from '@mui/material'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { type SyntheticEvent, useState } from 'react'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { NumberField } from '../../../ui/fields'
import { ErrorNote, Loading } from '../../../ui/notes'
import { SeasonFields } from '../../plan/SeasonFields'
import { WallChoice } from '../../plan/WallChoice'
import { deliveryKeys } from '../keys'

interface Props {
  team: string
  edition: string
  onClose: () => void
}

export function OwnDialog({ team, edition, onClose }: Props) {
  const narrow = useMediaQuery(useTheme().breakpoints.down('sm'))
  const params = { path: { team, edition } }
  const queries = useQueryClient()
  const own = useQuery({
    queryKey: deliveryKeys.own(team, edition),
    queryFn: () => data(api.GET('/teams/{team}/editions/{edition}/own', { params })),
    gcTime: 0,
    select: useTranslated(),
  })
  const settle = useMutation({
    mutationFn: (body: Schemas['OwnSaid']) =>
      api.PUT('/teams/{team}/editions/{edition}/own', { params, body }),
    onSuccess: () => {
      for (const key of [deliveryKeys.sessions(team), deliveryKeys.sessionsRead(team), deliveryKeys.boards])
        void queries.invalidateQueries({ queryKey: key })
      onClose()
    },
  })
  return (
    <Dialog open fullScreen={narrow} onClose={onClose} aria-labelledby="own-title">
      <DialogTitle id="own-title">{t('own-title')}</DialogTitle>
      {own.isError && <ErrorNote error={own.error} />}
      {!own.data && !own.isError && <Loading />}
      {own.data && (
        <Own
          own={own.data}
          busy={settle.isPending}
          error={settle.error}
          onSave={(season, ground) => settle.mutate({ version: own.data.version, season, ground })}
          onClose={onClose}
        />
      )}
    </Dialog>
  )
}

const FIELDS: { key: Exclude<keyof Schemas['Ground'], 'wall'>; whole?: boolean }[] = [
  { key: 'width_m' },
  { key: 'depth_m' },
  { key: 'squad', whole: true },
  { key: 'markers', whole: true },
  { key: 'adults', whole: true },
]

interface OwnProps {
  own: Schemas['OwnView']
  busy: boolean
  error: unknown
  onSave: (season: Schemas['Season'] | null, ground: Schemas['Ground'] | null) => void
  onClose: () => void
}

const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)

function Own({ own, busy, error, onSave, onClose }: OwnProps) {
  const [season, setSeason] = useState(own.season ?? own.edition_season)
  const [ground, setGround] = useState(own.ground ?? own.edition_ground)
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    // What is as the edition says is nothing of one's own, and follows the next edition.
    if (!busy)
      onSave(
        own.days_fixed ? (own.season ?? null) : same(season, own.edition_season) ? null : season,
        same(ground, own.edition_ground) ? null : ground,
      )
  }
  return (
    <Box component="form" onSubmit={save} sx={{ display: 'contents' }}>
      <DialogContent sx={{ display: 'grid', gap: 2, maxWidth: 520, alignContent: 'start' }}>
        <Typography>{t('own-about')}</Typography>
        {own.days_fixed ? (
          <Typography color="text.secondary">{t('own-days-fixed')}</Typography>
        ) : (
          <SeasonFields season={season} onChange={setSeason} />
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {FIELDS.map(({ key, whole }) => (
            <NumberField
              key={key}
              label={t(`plan-wishes-ground-${key}`)}
              whole={whole}
              value={ground[key]}
              onChange={(n) => n !== null && setGround({ ...ground, [key]: n })}
              sx={{ width: 104 }}
            />
          ))}
        </Box>
        <WallChoice ground={ground} onChange={setGround} />
        {own.breaks.length > 0 && (
          <Typography color="error" title={own.breaks.map(told).join('\n')}>
            {t('upset-breaks', { n: own.breaks.length })}
          </Typography>
        )}
        {error ? <ErrorNote error={error} /> : null}
      </DialogContent>
      <DialogActions>
        <Button
          variant="text"
          onClick={() => {
            if (!own.days_fixed) setSeason(own.edition_season)
            setGround(own.edition_ground)
          }}
        >
          {t('own-as-edition')}
        </Button>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button type="submit" variant="contained" disabled={busy}>
          {busy ? t('own-fitting') : t('clubs-save')}
        </Button>
      </DialogActions>
    </Box>
  )
}
