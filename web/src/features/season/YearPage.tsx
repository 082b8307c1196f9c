// The year: terms, bands and curricula at a glance, and what does not go together.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import GlobalStyles from '@mui/material/GlobalStyles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useNavigate, useParams, useSearchParams } from 'react-router'
import { newId, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { SelectCell } from '../../ui/fields'
import { asLongDay } from '../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { COLUMN, PANEL } from '../../ui/placing'
import { useSession } from '../people/session'
import { DaysOff } from './DaysOff'
import { useSeasons, useYear, type YearSheet } from './queries'
import { SeasonDialog } from './SeasonDialog'
import { YearFloor } from './YearFloor'
import { YearPanel } from './YearPanel'

type YearView = Schemas['YearView']

export function YearPage() {
  const { season } = useParams()
  const seasons = useSeasons()
  const today = useSession().data?.today
  const [edited, setEdited] = useState<YearView | null>(null)
  if (seasons.isError) return <ErrorNote error={seasons.error} />
  if (!seasons.data || !today) return <Loading />
  const shown = seasons.data.find(({ id }) => id === season) ?? current(seasons.data, today)
  const add = () => setEdited({ id: newId(), season: usual(today, seasons.data), runs: [] })
  const dialog = edited && <SeasonDialog view={edited} known={seasons.data} onClose={() => setEdited(null)} />
  if (!shown) {
    return (
      <Empty>
        <Typography variant="h1">{t('places-year')}</Typography>
        <Typography sx={{ my: 1.5 }}>{t('year-empty')}</Typography>
        <Button variant="contained" onClick={add}>
          {t('year-add-season')}
        </Button>
        {dialog}
      </Empty>
    )
  }
  return (
    <>
      <Year key={shown.id} shown={shown} all={seasons.data} onEdit={() => setEdited(shown)} onAdd={add} />
      {dialog}
    </>
  )
}

/** The season of a day; else the next one to come, else the last that was. */
function current(seasons: YearView[], today: string): YearView | undefined {
  const coming = seasons.filter(({ season }) => season.last >= today)
  return coming.at(-1) ?? seasons[0]
}

const MONTH = 7

/** A season as most academies have it, after the last one that there is. */
function usual(today: string, seasons: YearView[]): Schemas['Year'] {
  const after = seasons[0]?.season.last
  const [year = 2030, month = 1] = (after ?? today).split('-').map(Number)
  const begins = month >= MONTH ? year : after ? year : year - 1
  const next = String((begins + 1) % 100).padStart(2, '0')
  return {
    name: `${begins}/${next}`,
    first: `${begins}-08-01`,
    last: `${begins + 1}-07-31`,
    terms: [
      { name: t('year-autumn'), first: `${begins}-09-01`, last: `${begins}-12-14` },
      { name: t('year-winter'), first: `${begins + 1}-01-07`, last: `${begins + 1}-03-24` },
      { name: t('year-spring'), first: `${begins + 1}-04-07`, last: `${begins + 1}-06-30` },
    ],
  }
}

interface YearProps {
  shown: YearView
  all: YearView[]
  onEdit: () => void
  onAdd: () => void
}

function Year({ shown, all, onEdit, onAdd }: YearProps) {
  const read = useYear(shown.id)
  const [at, setAt] = useSearchParams()
  const set = (key: 'term' | 'band', value: string | undefined) =>
    setAt(
      (before) => {
        const next = new URLSearchParams(before)
        if (value === undefined) next.delete(key)
        else next.set(key, value)
        return next
      },
      { replace: true },
    )
  if (read.isError) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const sheet = read.data
  const open = sheet.bands.find(({ band }) => band === at.get('band'))
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 320px' } }}>
      <GlobalStyles styles={{ '@page': { size: 'A3 landscape', margin: '10mm' } }} />
      <Box sx={{ ...COLUMN, p: 1.5, minWidth: 0 }}>
        <Head
          sheet={sheet}
          shown={shown}
          all={all}
          term={at.get('term')}
          onTerm={(term) => set('term', term)}
          {...{ onEdit, onAdd }}
        />
        {sheet.unread.map(({ id, name }) => (
          <ErrorNote key={id}>{t('year-unread', { name })}</ErrorNote>
        ))}
        <YearFloor
          sheet={sheet}
          term={at.get('term')}
          open={open?.band}
          onOpen={(band) => set('band', band)}
        />
      </Box>
      <Box component="aside" aria-label={t('year-panel')} className="no-print" sx={PANEL}>
        <YearPanel season={shown.id} sheet={sheet} open={open} onOpen={(band) => set('band', band)} />
        {!open && <DaysOff whose={[{ kind: 'academy' }]} />}
      </Box>
    </Box>
  )
}

interface HeadProps extends YearProps {
  sheet: YearSheet
  term: string | null
  onTerm: (term: string | undefined) => void
}

const WHOLE = ''
const NEW = 'new'

function Head({ sheet, shown, all, term, onTerm, onEdit, onAdd }: HeadProps) {
  const navigate = useNavigate()
  const { season } = sheet
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 1 }}>
      <Typography variant="h1" title={`${asLongDay(season.first)} – ${asLongDay(season.last)}`}>
        {t('year-title', { name: season.name })}
      </Typography>
      <Box
        className="no-print"
        sx={{ display: 'flex', alignItems: 'center', gap: 0.5, flexWrap: 'wrap', flex: 1 }}
      >
        <Choice
          label={t('year-part')}
          options={[WHOLE, ...season.terms.map(({ name }) => name)]}
          chosen={[term ?? WHOLE]}
          says={(name) => name || t('year-whole')}
          onToggle={(name) => onTerm(name || undefined)}
        />
        <Box sx={{ flex: 1 }} />
        <SelectCell
          aria-label={t('year-season')}
          fullWidth={false}
          value={shown.id}
          options={[
            ...all.map(({ id, season }) => ({ value: id, says: season.name })),
            { value: NEW, says: t('year-add-season') },
          ]}
          onChange={(id) => (id === NEW ? onAdd() : void navigate(`/year/${id}`))}
        />
        <Button size="small" onClick={onEdit}>
          {t('year-terms')}
        </Button>
        <Button component={Link} to={`/year/${shown.id}/change`} size="small" variant="text">
          {t('new-season-open')}
        </Button>
        <Button size="small" variant="text" onClick={() => window.print()}>
          {t('print-go')}
        </Button>
      </Box>
    </Box>
  )
}
