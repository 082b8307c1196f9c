// The season change: who goes on in which team, looked at before anything changes.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { newId, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { NumberField, SelectCell } from '../../ui/fields'
import { asDate, asLongDay } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { COLUMN, PANEL } from '../../ui/placing'
import { Sure } from '../../ui/Sure'
import { ChangeClub } from './ChangeClub'
import { useChangePreview, useChangeStart, useMakeChange, useSeasons, useTakeBackChange } from './queries'

type Wish = Schemas['ChangeWish']

export function ChangePage() {
  const { season = '' } = useParams()
  const start = useChangeStart(season)
  const seasons = useSeasons()
  const name = seasons.data?.find(({ id }) => id === season)?.season.name
  if (start.isError) return <ErrorNote error={start.error} />
  if (!start.data || name === undefined) return <Loading />
  return <SeasonChange season={season} name={name} start={start.data} />
}

interface Props {
  season: string
  name: string
  start: Schemas['ChangeStart']
}

function SeasonChange({ season, name, start }: Props) {
  const [wish, setWish] = useState<Wish>(start.usual)
  const read = useChangePreview(season, wish)
  const preview = read.data
  const say = (player: string, team: string | null | undefined) => {
    const others = wish.said.filter((each) => each.player !== player)
    setWish({ ...wish, said: team === undefined ? others : [...others, { player, team }] })
  }
  const all = preview?.clubs ?? []
  const changed = all.filter(({ teams }) => teams.some(({ moves, id }) => moves.length > 0 || !id))
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 340px' } }}>
      <Box sx={{ ...COLUMN, p: 1.5, minWidth: 0 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
          <Typography variant="h1">{t('new-season-title', { name })}</Typography>
          <Button component={Link} to={`/year/${season}`} size="small" variant="text" className="no-print">
            {t('new-season-to-year')}
          </Button>
        </Box>
        <Typography color="text.secondary" sx={{ maxWidth: 720, mb: 1 }}>
          {t('new-season-about')}
        </Typography>
        {read.isError && <ErrorNote error={read.error} />}
        {!preview && !read.isError && <Loading />}
        {preview && changed.length === 0 && <Typography sx={{ mt: 2 }}>{t('new-season-nothing')}</Typography>}
        {changed.map((club, at) => (
          <ChangeClub key={club.name} club={club} open={at === 0} onSay={say} />
        ))}
      </Box>
      <Box component="aside" aria-label={t('new-season-panel')} className="no-print" sx={PANEL}>
        <WishFields wish={wish} days={start.days} onChange={setWish} />
        {preview && <Outcome season={season} wish={wish} preview={preview} fresh={!read.isPlaceholderData} />}
        <Made season={season} made={start.made} />
      </Box>
    </Box>
  )
}

interface WishProps {
  wish: Wish
  days: Schemas['AgesOn'][]
  onChange: (wish: Wish) => void
}

function WishFields({ wish, days, onChange }: WishProps) {
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <SelectCell
        label={t('new-season-ages-on')}
        value={String(wish.year)}
        options={days.map(({ year, day }) => ({ value: String(year), says: asDate(day) }))}
        onChange={(year) => onChange({ ...wish, year: Number(year) })}
      />
      <NumberField
        label={t('new-season-most')}
        whole
        sx={{ width: 260 }}
        value={wish.most}
        onChange={(most) => most !== null && most >= 1 && most <= 60 && onChange({ ...wish, most })}
      />
      {wish.said.length > 0 && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {t('new-season-said', { n: wish.said.length })}
          </Typography>
          <Button size="small" variant="text" onClick={() => onChange({ ...wish, said: [] })}>
            {t('new-season-said-drop')}
          </Button>
        </Box>
      )}
    </Box>
  )
}

interface OutcomeProps {
  season: string
  wish: Wish
  preview: Schemas['ChangeView']
  /** Whether the preview is of this wish, and not of the one before. */
  fresh: boolean
}

/** What the change comes to, what is to know, and the step itself. */
function Outcome({ season, wish, preview, fresh }: OutcomeProps) {
  const make = useMakeChange(season)
  const [asked, setAsked] = useState<string | null>(null)
  const { moved, leaving, findings, stamp } = preview
  const added = preview.clubs.flatMap(({ teams }) => teams.filter(({ id }) => !id)).length
  const stops = findings.some((finding) => finding.stops)
  const says = t('new-season-sum', { moved, leaving, added })
  return (
    <Box component="section" aria-label={t('new-season-outcome')} sx={{ mt: 2.5 }}>
      <Typography role="status" sx={{ fontWeight: 650 }}>
        {says}
      </Typography>
      <Box component="ul" sx={{ pl: 2, my: 1 }}>
        {findings.map((finding) => (
          <Typography
            key={JSON.stringify(finding.says)}
            component="li"
            variant="body2"
            color={finding.stops ? 'error' : undefined}
          >
            {told(finding.says)}
          </Typography>
        ))}
      </Box>
      {stops && <Typography variant="body2">{t('new-season-stops')}</Typography>}
      {make.isError && <ErrorNote error={make.error} />}
      <Button
        variant="contained"
        sx={{ mt: 1 }}
        disabled={!fresh || stops || moved + leaving === 0 || make.isPending}
        onClick={() => setAsked(newId())}
      >
        {t('new-season-go')}
      </Button>
      {asked && (
        <Sure
          title={t('new-season-go')}
          says={t('new-season-sure', { says })}
          go={t('new-season-go')}
          onGo={() => {
            make.mutate({ id: asked, wish, stamp })
            setAsked(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </Box>
  )
}

/** The changes that were made, and the way back. */
function Made({ season, made }: { season: string; made: Schemas['MadeView'][] }) {
  const back = useTakeBackChange(season)
  if (made.length === 0) return null
  return (
    <Box component="section" aria-label={t('new-season-made')} sx={{ mt: 3 }}>
      <Typography variant="h2">{t('new-season-made')}</Typography>
      {made.map((each) => (
        <Box key={each.id} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
          <Typography variant="body2">
            {t('new-season-made-line', {
              day: asLongDay(each.on),
              by: each.by,
              moved: each.moved,
              left: each.left,
            })}
          </Typography>
          {each.is_taken_back && (
            <Typography variant="body2" color="text.secondary">
              {t('new-season-is-back')}
            </Typography>
          )}
          {!each.is_taken_back && !each.may_take_back && (
            <Typography variant="body2" color="text.secondary">
              {t('new-season-stays')}
            </Typography>
          )}
          {each.may_take_back && (
            <Button
              size="small"
              sx={{ mt: 0.5 }}
              disabled={back.isPending}
              onClick={() => back.mutate(each.id)}
            >
              {t('new-season-take-back')}
            </Button>
          )}
        </Box>
      ))}
      {back.isError && <ErrorNote error={back.error} />}
      {back.data && (
        <Typography role="status" variant="body2">
          {t('new-season-back-done', { elsewhere: back.data.elsewhere })}
        </Typography>
      )}
    </Box>
  )
}
