// Standards: the tests, and where levels begin in each band, on the results themselves.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { NavLink, useNavigate, useParams, useSearchParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { NumberCell } from '../../../ui/NumberCell'
import { ErrorNote, Loading, NothingYet } from '../../../ui/notes'
import { BandInspector } from './BandInspector'
import { BandScale } from './BandScale'
import {
  type Moved,
  type Thresholds,
  useScale,
  useSetStandards,
  useTests,
  useWeighed,
  useWrittenTest,
} from './queries'
import { TestDialog } from './TestDialog'

export function StandardsPage() {
  const { test: asked } = useParams()
  const tests = useTests()
  const test = asked ?? tests.data?.[0]?.test.id
  const [address, setAddress] = useSearchParams()
  const at = (key: keyof Schemas['Percentiles']) => Number(address.get(key)) || undefined
  const [building, secure, stretching] = [at('building'), at('secure'), at('stretching')]
  const percentiles = building && secure && stretching ? { building, secure, stretching } : null
  const scale = useScale(test, percentiles)
  const [writing, setWriting] = useState<'new' | 'chosen' | null>(null)
  const written = useWrittenTest(writing === 'chosen' ? (test ?? null) : null)
  const navigate = useNavigate()
  if (tests.isError) return <ErrorNote error={tests.error} />
  if (!tests.data) return <Loading />
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: '190px minmax(0, 1fr)' } }}>
      <Box
        component="nav"
        aria-label={t('standards-tests')}
        sx={{ p: 1, borderRight: 1, borderColor: 'divider' }}
      >
        <Button size="small" onClick={() => setWriting('new')} sx={{ mx: 1, mb: 1 }}>
          {t('standards-write')}
        </Button>
        {tests.data.map((entry) => (
          <TestLink key={entry.test.id} entry={entry} chosen={entry.test.id === test} />
        ))}
      </Box>
      {scale.isError && <ErrorNote error={scale.error} />}
      {test === undefined && <NothingYet>{t('standards-none')}</NothingYet>}
      {test !== undefined && !scale.data && !scale.isError && <Loading />}
      {scale.data && (
        <Scale
          key={scale.data.test.id}
          scale={scale.data}
          band={address.get('band')}
          onWrite={() => setWriting('chosen')}
          onBand={(band) =>
            setAddress(
              (old) => {
                old.set('band', band)
                return old
              },
              { replace: true },
            )
          }
          onPercentiles={(next) =>
            setAddress(
              (old) => {
                for (const [key, value] of Object.entries(next)) old.set(key, String(value))
                return old
              },
              { replace: true },
            )
          }
        />
      )}
      {(writing === 'new' || written.data) && writing !== null && (
        <TestDialog
          written={writing === 'new' ? null : (written.data ?? null)}
          onClose={() => setWriting(null)}
          onKept={(id) => {
            setWriting(null)
            void navigate({ pathname: `/standards/${id}`, search: address.toString() })
          }}
          onDropped={() => {
            setWriting(null)
            void navigate('/standards')
          }}
        />
      )}
    </Box>
  )
}

function TestLink({ entry, chosen }: { entry: Schemas['TestEntry']; chosen: boolean }) {
  const { floor } = useTheme()
  return (
    <Box
      component={NavLink}
      to={`/standards/${entry.test.id}`}
      aria-current={chosen ? 'page' : undefined}
      sx={{
        display: 'block',
        px: 1,
        py: 0.6,
        color: 'text.primary',
        textDecoration: 'none',
        borderLeft: `3px solid ${chosen ? floor.ink : 'transparent'}`,
        fontWeight: chosen ? 650 : 400,
        lineHeight: 1.15,
        '&:hover': { bgcolor: 'background.paper' },
      }}
    >
      {entry.test.short}
      <Typography variant="caption" component="div" color="text.secondary" noWrap>
        {entry.bands.length > 2
          ? t('standards-bands', { first: entry.bands[0] ?? '', last: entry.bands.at(-1) ?? '' })
          : entry.bands.join(', ') || t('standards-no-bands')}
      </Typography>
    </Box>
  )
}

interface ScaleProps {
  scale: Schemas['StandardsOfTest']
  band: string | null
  onBand: (band: string) => void
  onWrite: () => void
  onPercentiles: (percentiles: Schemas['Percentiles']) => void
}

const LEVELS = ['building', 'secure', 'stretching'] as const

/** The thresholds that a band's own results suggest. */
const suggested = (band: Schemas['BandOnScale']): Thresholds | null => {
  const { suggestion } = band
  return suggestion
    ? {
        building: suggestion.building.smoothed,
        secure: suggestion.secure.smoothed,
        stretching: suggestion.stretching.smoothed,
      }
    : null
}

function Scale({ scale, band, onBand, onWrite, onPercentiles }: ScaleProps) {
  const [moved, setMoved] = useState<Moved>({})
  const [from, setFrom] = useState(scale.today)
  const weighed = useWeighed(scale.test.id, moved)
  const set = useSetStandards(scale.test.id)
  const used = (each: Schemas['BandOnScale']) => each.standard != null || each.results > 0 || each.id in moved
  const shown = scale.bands.filter(used)
  const chosen = shown.find((each) => each.id === band) ?? shown[0]
  const changed = Object.keys(moved)
  const findings = changed.length > 0 ? (weighed.data?.findings ?? []) : scale.findings
  const move = (id: string, thresholds: Thresholds) => {
    set.reset()
    setMoved((old) => ({ ...old, [id]: thresholds }))
  }
  const takeAll = () => {
    set.reset()
    setMoved(
      Object.fromEntries(
        shown.flatMap((each) => (suggested(each) ? [[each.id, suggested(each)]] : [])),
      ) as Moved,
    )
  }
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1fr) 280px' } }}>
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ px: 1.5, pt: 1.5, pb: 1 }}>
          <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
            <Typography variant="h1" sx={{ flex: 1 }}>
              {scale.test.name}
            </Typography>
            <Button size="small" onClick={onWrite}>
              {t('standards-change-test')}
            </Button>
          </Box>
          <Typography variant="body2" color="text.secondary" sx={{ maxWidth: 760 }}>
            {scale.test.how}
          </Typography>
        </Box>
        {findings.map((finding, i) => (
          <ErrorNote key={i}>
            <Typography>{told(finding)}</Typography>
          </ErrorNote>
        ))}
        {shown.map((each) => (
          <BandScale
            key={each.id}
            scale={scale}
            band={each}
            thresholds={moved[each.id] ?? each.standard?.thresholds ?? null}
            shares={weighed.data?.shares[each.id]}
            moved={each.id in moved}
            chosen={each.id === chosen?.id}
            onChoose={() => onBand(each.id)}
            onMove={(thresholds) => move(each.id, thresholds)}
          />
        ))}
        <UnusedBands
          bands={scale.bands.filter((each) => !used(each))}
          onBegin={(id) => {
            onBand(id)
            move(id, scale.first)
          }}
        />
        {shown.some((each) => each.suggestion) && (
          <PercentileRow of={scale.percentiles} onPercentiles={onPercentiles} onTakeAll={takeAll} />
        )}
        {changed.length > 0 && (
          <SetBar
            today={scale.today}
            from={from}
            done={set.isPending || set.isSuccess}
            onFrom={setFrom}
            onSet={() =>
              set.mutate({ from, bands: moved }, { onSuccess: () => from === scale.today && setMoved({}) })
            }
            onReset={() => setMoved({})}
          />
        )}
        {set.isSuccess && (
          <Typography role="status" sx={{ px: 1.5, pb: 1.5 }}>
            {t('standards-set-done', { bands: Object.keys(set.variables.bands).length })}
          </Typography>
        )}
        {set.isError && <ErrorNote error={set.error} />}
      </Box>
      {chosen && (
        <BandInspector
          scale={scale}
          band={chosen}
          thought={chosen.id in moved ? weighed.data : undefined}
          onTake={() => {
            const thresholds = suggested(chosen)
            if (thresholds) move(chosen.id, thresholds)
          }}
        />
      )}
    </Box>
  )
}

/** Bands that do not use the test yet. */
function UnusedBands({ bands, onBegin }: { bands: Schemas['BandOnScale'][]; onBegin: (id: string) => void }) {
  if (bands.length === 0) return null
  return (
    <Box sx={{ p: 1.5, borderTop: 1, display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      {bands.map((each) => (
        <Button key={each.id} size="small" onClick={() => onBegin(each.id)}>
          {t('standards-begin', { band: each.name })}
        </Button>
      ))}
    </Box>
  )
}

interface PercentileProps {
  of: Schemas['Percentiles']
  onPercentiles: (percentiles: Schemas['Percentiles']) => void
  onTakeAll: () => void
}

/** At which percentiles of the results the lines are suggested. */
function PercentileRow({ of, onPercentiles, onTakeAll }: PercentileProps) {
  return (
    <Box sx={{ p: 1.5, borderTop: 1, display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
      <Typography variant="body2">{t('standards-percentiles')}</Typography>
      {LEVELS.map((level) => (
        <Box key={level} component="label" sx={{ display: 'flex', gap: 0.5, alignItems: 'center' }}>
          <Typography variant="body2" color="text.secondary">
            {t(`level-${level}`)}
          </Typography>
          <NumberCell
            label={`${t(`level-${level}`)} %`}
            value={of[level]}
            least={1}
            most={99}
            saving={false}
            onCommit={(value) => onPercentiles({ ...of, [level]: value })}
          />
        </Box>
      ))}
      <Button size="small" onClick={onTakeAll}>
        {t('standards-take-all')}
      </Button>
    </Box>
  )
}

interface SetBarProps {
  today: string
  from: string
  done: boolean
  onFrom: (day: string) => void
  onSet: () => void
  onReset: () => void
}

/** From which day on the moved lines hold. */
function SetBar({ today, from, done, onFrom, onSet, onReset }: SetBarProps) {
  return (
    <Box
      sx={{
        p: 1.5,
        borderTop: 1,
        bgcolor: 'background.paper',
        display: 'flex',
        flexWrap: 'wrap',
        gap: 1.5,
        alignItems: 'center',
        position: 'sticky',
        bottom: 0,
      }}
    >
      <TextField
        type="date"
        size="small"
        label={t('standards-holds-from')}
        value={from}
        onChange={(event) => onFrom(event.target.value)}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { min: today } }}
      />
      <Button variant="contained" disabled={done} onClick={onSet}>
        {t('standards-set')}
      </Button>
      <Button variant="text" onClick={onReset}>
        {t('standards-reset')}
      </Button>
      <Typography variant="body2" color="text.secondary">
        {t('standards-keys')}
      </Typography>
    </Box>
  )
}
