// The library: what is there for this session, this band, this floor?
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate, useSearchParams } from 'react-router'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { useKeys } from '../../ui/keys'
import { ErrorNote, Loading, NothingYet } from '../../ui/notes'
import { COLUMN } from '../../ui/placing'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { DrillCard, ScaleBar } from './DrillCard'
import { Filters } from './Filters'
import { useDrills, type Wanted } from './queries'

type Entry = Schemas['DrillEntry']

const NUMBERS = ['players', 'minutes', 'markers', 'width_m', 'depth_m'] as const
const WORDS = ['text', 'band', 'strand', 'skill', 'stage', 'surface', 'without'] as const

/** What the address asks for: a link to it finds the same. */
function wantedIn(address: URLSearchParams): Wanted {
  const wanted: Record<string, unknown> = {}
  for (const key of WORDS) if (address.get(key)) wanted[key] = address.get(key)
  for (const key of NUMBERS) {
    const number = Number(address.get(key))
    if (address.get(key) && Number.isFinite(number) && number >= 0) wanted[key] = number
  }
  if (address.get('home')) wanted.home = true
  if (address.get('plain')) wanted.plain = true
  if (address.get('archived')) wanted.archived = true
  if (address.get('unanswered')) wanted.unanswered = true
  if (address.get('never_run')) wanted.never_run = true
  if (address.get('less')) wanted.less = true
  return wanted
}

export function DrillsPage({ editable }: { editable: boolean }) {
  // The address holds what is looked for, so that a link finds the same; keys may come faster than addresses change.
  const [address, setAddress] = useSearchParams()
  const [asked, setAsked] = useState(address)
  const wanted = wantedIn(asked)
  const found = useDrills(wanted)
  const shelf = useRef<HTMLDivElement>(null)
  const navigate = useNavigate()
  const want = (change: Record<string, string | null>) =>
    setAsked((now) => {
      const next = new URLSearchParams(now)
      for (const [key, value] of Object.entries(change)) {
        if (value) next.set(key, value)
        else next.delete(key)
      }
      return next
    })
  useEffect(() => setAddress(asked, { replace: true }), [asked, setAddress])

  useKeys({
    '/': () => document.getElementById('drill-words')?.focus(),
    n: () => (editable ? void navigate('/drills/new') : false),
  })

  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 0,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '268px minmax(0, 1fr)' },
      }}
    >
      <Filters
        wanted={wanted}
        keeps={editable}
        onWant={want}
        onDone={() => shelf.current?.querySelector('a')?.focus()}
      />
      <Box
        sx={{
          minWidth: 0,
          px: 2,
          py: 1.5,
          ...COLUMN,
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 1 }}>
          <Typography variant="h1" role="status" sx={{ flex: 1 }}>
            {found.data ? t('drills-found', { n: found.data.length }) : t('places-drills')}
          </Typography>
          <ScaleBar />
          {editable && (
            <>
              <Button component={Link} to="/drills/questions" variant="text">
                {t('questions-open')}
              </Button>
              <Button component={Link} to="/drills/bands" variant="text">
                {t('bands-title')}
              </Button>
              <Button component={Link} to="/drills/new">
                {t('drills-write')}
              </Button>
            </>
          )}
        </Box>
        {found.isError && <ErrorNote error={found.error} />}
        {found.isPending && <Loading />}
        {found.data?.length === 0 &&
          (Object.keys(wanted).length > 0 ? (
            <Typography>{t('drills-nothing')}</Typography>
          ) : (
            <NothingYet>{t('drills-none')}</NothingYet>
          ))}
        <Box ref={shelf} onKeyDown={(event) => step(event, shelf.current)}>
          {STRANDS.map((strand) => (
            <Shelf
              key={strand}
              strand={strand}
              drills={(found.data ?? []).filter((drill) => drill.strand === strand)}
            />
          ))}
        </Box>
      </Box>
    </Box>
  )
}

/** Arrows go from drawing to drawing, wherever they stand. */
function step(event: React.KeyboardEvent, shelf: HTMLElement | null) {
  const way = { ArrowRight: [1, 0], ArrowLeft: [-1, 0], ArrowDown: [0, 1], ArrowUp: [0, -1] }[event.key]
  const cards = [...(shelf?.querySelectorAll<HTMLElement>('a') ?? [])]
  const at = cards.findIndex((card) => card === document.activeElement)
  if (!way || at < 0) return
  event.preventDefault()
  const [across = 0, down = 0] = way
  if (across !== 0) return cards[at + across]?.focus()
  // The nearest card of the next row, up or down.
  const middle = (card: HTMLElement) => ({ x: card.offsetLeft + card.offsetWidth / 2, y: card.offsetTop })
  const here = middle(cards[at] as HTMLElement)
  const beyond = cards.filter((card) => (middle(card).y - here.y) * down > 4)
  const row = Math.min(...beyond.map((card) => Math.abs(middle(card).y - here.y)))
  const next = beyond
    .filter((card) => Math.abs(middle(card).y - here.y) <= row + 4)
    .sort((a, b) => Math.abs(middle(a).x - here.x) - Math.abs(middle(b).x - here.x))[0]
  next?.focus()
}

function Shelf({ strand, drills }: { strand: Entry['strand']; drills: Entry[] }) {
  if (drills.length === 0) return null
  return (
    <Box component="section" aria-label={t(`strand-${strand}`)} sx={{ mb: 2.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.75 }}>
        <StrandSwatch strand={strand} />
        <Typography variant="h2">{t(`strand-${strand}`)}</Typography>
        <Typography color="text.secondary">{drills.length}</Typography>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'stretch' }}>
        {drills.map((drill) => (
          <DrillCard key={drill.id} drill={drill} />
        ))}
      </Box>
    </Box>
  )
}
