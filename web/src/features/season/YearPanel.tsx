// What does not go together in a year, and what a child gets: of one band, or of all.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link as RouterLink } from 'react-router'
import { newId, type Schemas } from '../../api/client'
import { said, t } from '../../texts/t'
import { told } from '../../texts/told'
import { asNumber, asPercent } from '../../ui/figures'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { LayYear } from './LayYear'
import { OutlineForm } from './OutlineForm'
import type { BandYear, YearSheet } from './queries'

interface Props {
  season: string
  sheet: YearSheet
  open: BandYear | undefined
  onOpen: (band: string | undefined) => void
}

export function YearPanel({ season, sheet, open, onOpen }: Props) {
  if (!open) {
    return (
      <>
        <AllBands sheet={sheet} onOpen={onOpen} />
        <Typography variant="caption" color="text.secondary" component="p">
          {t('year-key')}
        </Typography>
      </>
    )
  }
  const planned = open.strips.filter(({ made, beside }) => made !== 'outline' && !beside).map(({ id }) => id)
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
          <Typography variant="h2" sx={{ flex: 1 }}>
            {open.name}
          </Typography>
          <Button size="small" variant="text" onClick={() => onOpen(undefined)}>
            {t('year-all-bands')}
          </Button>
        </Box>
        <Figures figures={open.figures} strips={open.strips} />
        {planned.length > 0 && (
          <Link component={RouterLink} to={`/print/book?of=${planned.join(',')}`} variant="body2">
            {t('book-open-band')}
          </Link>
        )}
      </Box>
      <Findings band={open} />
      <LayYear season={season} band={open} />
      <Outlines sheet={sheet} band={open} />
    </Box>
  )
}

/** Each band with its figures in a line. */
function AllBands({ sheet, onOpen }: Pick<Props, 'sheet' | 'onOpen'>) {
  return (
    <Box sx={{ mb: 2 }}>
      <Typography variant="h2">{t('year-bands')}</Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {t('year-about')}
      </Typography>
      {sheet.bands.map((band) => (
        <Box key={band.band} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
          <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
            <Typography sx={{ fontWeight: 650, flex: 1 }}>{band.name}</Typography>
            <Button
              size="small"
              variant="text"
              aria-label={t('year-open-band', { band: band.name })}
              onClick={() => onOpen(band.band)}
            >
              {t('year-look')}
            </Button>
          </Box>
          <Typography variant="body2" color="text.secondary">
            {band.figures.sessions === 0
              ? t('year-nothing-planned')
              : t('year-band-line', {
                  sessions: band.figures.sessions,
                  hours: asNumber(band.figures.working_min / 60),
                  found: band.findings.length,
                })}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}

function Figures({ figures, strips }: { figures: Schemas['Figures']; strips: Schemas['Strip'][] }) {
  if (figures.sessions === 0)
    return <Typography color="text.secondary">{t('year-nothing-planned')}</Typography>
  const touches = figures.strong + figures.other
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="body2">
        {t('year-a-child-gets', {
          sessions: figures.sessions,
          hours: asNumber(figures.working_min / 60),
          touches,
          other: asPercent(touches > 0 ? figures.other / touches : 0),
        })}
      </Typography>
      <Box component="section" aria-label={t('year-shares')}>
        {STRANDS.map((strand, at) => (
          <Box key={strand} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
            <StrandSwatch strand={strand} />
            <Typography variant="body2" sx={{ flex: 1 }}>
              {t(`strand-${strand}`)}
            </Typography>
            <Typography variant="body2">
              {t('year-share-of', {
                share: asPercent(figures.shares[at] ?? 0),
                wished: asPercent(figures.wished[at] ?? 0),
              })}
            </Typography>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {t('year-surfaces', {
          all: figures.surfaces
            .map(({ surface, touches }) =>
              t('year-surface', { surface: said(`surface-${surface}`) ?? surface, touches }),
            )
            .join(', '),
        })}
      </Typography>
      {strips
        .filter((strip) => strip.made !== 'outline' && !strip.beside)
        .map((strip) => (
          <Typography key={strip.id} variant="body2">
            {t('year-curriculum', {
              name: strip.name,
              sessions: strip.sessions,
              shown: strip.can_be_shown,
              of: strip.milestones,
              drills: strip.new_drills_a_week,
            })}
          </Typography>
        ))}
      {strips
        .filter((strip) => strip.beside)
        .map((strip) => (
          <Typography key={strip.id} variant="body2" color="text.secondary">
            {t('year-beside', { name: strip.name })}
          </Typography>
        ))}
    </Box>
  )
}

/** Findings of one kind beyond these are folded. */
const FIRST = 4

function Findings({ band }: { band: BandYear }) {
  const [all, setAll] = useState(false)
  const kinds = [...new Set(band.findings.map(({ says }) => says.code))]
  const shown = all
    ? band.findings
    : kinds.flatMap((code) => band.findings.filter(({ says }) => says.code === code).slice(0, FIRST))
  return (
    <Box component="section" aria-label={t('year-findings')}>
      <Typography variant="h3">{t('year-findings')}</Typography>
      {band.findings.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          {t('year-nothing-found')}
        </Typography>
      )}
      {shown.map((finding) => (
        <Typography
          key={JSON.stringify(finding)}
          variant="body2"
          sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}
        >
          {told(finding.says)}{' '}
          {finding.curriculum ? (
            <Link component={RouterLink} to={`/plan/${finding.curriculum}?panel=wishes`}>
              {t('year-to-plan')}
            </Link>
          ) : (
            finding.skill && (
              <Link component={RouterLink} to={`/progressions?skill=${finding.skill}`}>
                {t('year-to-map')}
              </Link>
            )
          )}
        </Typography>
      ))}
      {shown.length < band.findings.length && (
        <Button size="small" variant="text" onClick={() => setAll(true)}>
          {t('year-more', { n: band.findings.length - shown.length })}
        </Button>
      )}
    </Box>
  )
}

const dayAfter = (day: string) => new Date(Date.parse(day) + 86_400_000).toISOString().slice(0, 10)

/** Curricula of which there is only a name yet. */
function Outlines({ sheet, band }: { sheet: YearSheet; band: BandYear }) {
  const [edited, setEdited] = useState<{ id: string; outline: Schemas['Outline'] } | null>(null)
  const outlines = band.strips.filter(({ made }) => made === 'outline')
  // After what is there already.
  const after = band.strips
    .map(({ last }) => last)
    .sort()
    .at(-1)
  const start = after === undefined ? sheet.season.first : dayAfter(after)
  const empty = { name: '', band: band.band, start, weeks: 10, skills: [] }
  return (
    <Box component="section" aria-label={t('year-outlines')}>
      <Typography variant="h3">{t('year-outlines')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('year-outlines-about')}
      </Typography>
      {outlines.map((strip) => (
        <Box key={strip.id} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {strip.name}
          </Typography>
          <Button
            size="small"
            variant="text"
            aria-label={t('clubs-change-named', { club: strip.name })}
            onClick={() =>
              setEdited({
                id: strip.id,
                outline: {
                  name: strip.name,
                  band: band.band,
                  start: strip.first,
                  weeks: Math.round((Date.parse(strip.last) - Date.parse(strip.first)) / 604_800_000),
                  skills: strip.skills,
                },
              })
            }
          >
            {t('clubs-change')}
          </Button>
        </Box>
      ))}
      {edited ? (
        <OutlineForm
          key={edited.id}
          {...edited}
          known={outlines.some(({ id }) => id === edited.id)}
          onDone={() => setEdited(null)}
        />
      ) : (
        <Button size="small" sx={{ mt: 1 }} onClick={() => setEdited({ id: newId(), outline: empty })}>
          {t('year-add-outline')}
        </Button>
      )}
    </Box>
  )
}
