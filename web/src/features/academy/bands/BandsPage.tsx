// Bands: which ages, ball, minutes and limits, where each number comes from, and what holds for the whole academy.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { NumberField, TextCell } from '../../../ui/fields'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useAcademy, useWrittenBands } from '../../drill/queries'
import { AcademyForm } from './AcademyForm'
import { MeasuredTempos } from './MeasuredTempos'
import { NewBand } from './NewBand'
import { useBandChanges } from './queries'

type Band = Schemas['Band']
type NumberKey =
  | 'ball_size'
  | 'session_min'
  | 'new_skills_per_week'
  | 'longest_bout_s'
  | 'longest_block_min'
  | 'explaining_s'

const ROWS: NumberKey[] = [
  'ball_size',
  'session_min',
  'new_skills_per_week',
  'longest_bout_s',
  'longest_block_min',
  'explaining_s',
]
const SPEEDS = ['dribble', 'run', 'pass', 'serve'] as const
const TEMPOS = ['own_pace', 'in_rhythm', 'fast'] as const

export function BandsPage() {
  const bands = useWrittenBands()
  const academy = useAcademy()
  const { add, change, changeAcademy } = useBandChanges()
  // What is typed waits here until it is saved; a band that nobody touches is shown as it is kept.
  const [typed, setTyped] = useState<Record<string, Band>>({})
  if (bands.isError) return <ErrorNote error={bands.error} />
  if (academy.isError) return <ErrorNote error={academy.error} />
  if (!bands.data || !academy.data) return <Loading />
  const shown = bands.data.map((kept) => typed[kept.band.id] ?? kept.band)
  const edit = (band: Band, next: Partial<Band>) => setTyped({ ...typed, [band.id]: { ...band, ...next } })
  const saveAll = async () => {
    for (const kept of bands.data) {
      const band = typed[kept.band.id]
      if (band) await change.mutateAsync({ band, version: kept.version })
      setTyped((now) => Object.fromEntries(Object.entries(now).filter(([id]) => id !== kept.band.id)))
    }
  }
  return (
    <Box sx={{ p: 2, overflowY: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="h1">{t('bands-title')}</Typography>
        <Typography color="text.secondary" sx={{ flex: 1 }}>
          {t('bands-about')}
        </Typography>
        <Button component={Link} to="/drills" variant="text">
          {t('drills-back-to-all')}
        </Button>
        <Button
          variant="contained"
          disabled={Object.keys(typed).length === 0 || change.isPending}
          onClick={() => void saveAll().catch(() => undefined)}
        >
          {t('bands-save')}
        </Button>
      </Box>
      {change.isError && <ErrorNote error={change.error} />}
      {add.isError && <ErrorNote error={add.error} />}
      <BandTable
        bands={shown}
        usual={Object.fromEntries(bands.data.map((kept) => [kept.band.id, kept.tempos]))}
        onEdit={edit}
      />
      <NewBand busy={add.isPending} onAdd={(ages) => add.mutate(ages)} />
      <AcademyForm
        key={academy.data.version}
        view={academy.data}
        busy={changeAcademy.isPending}
        error={changeAcademy.error}
        onSave={(next, version) => changeAcademy.mutate({ academy: next, version })}
      />
    </Box>
  )
}

interface TableProps {
  bands: Band[]
  /** The tempos that hold, by band. */
  usual: Record<string, Schemas['Tempos']>
  onEdit: (band: Band, next: Partial<Band>) => void
}

function BandTable({ bands, usual, onEdit }: TableProps) {
  const source = (band: Band, name: string, text: string) => {
    const others = Object.fromEntries(Object.entries(band.sources).filter(([other]) => other !== name))
    onEdit(band, { sources: text === '' ? others : { ...others, [name]: text } })
  }
  return (
    <Table
      size="small"
      aria-label={t('bands-title')}
      sx={{ maxWidth: 1180, my: 1, '& td, & th': { verticalAlign: 'top' } }}
    >
      <TableHead>
        <TableRow>
          <TableCell sx={{ width: 210 }} />
          {bands.map((band) => (
            <TableCell key={band.id}>
              <Typography variant="h2">{band.name}</Typography>
            </TableCell>
          ))}
        </TableRow>
      </TableHead>
      <TableBody>
        <Row title={t('bands-ages')} note={t('bands-ages-note')}>
          {bands.map((band) => (
            <TableCell key={band.id}>
              <Ages band={band} onEdit={onEdit} />
              <Source band={band} name="ages" onSource={source} />
            </TableCell>
          ))}
        </Row>
        {ROWS.map((key) => (
          <Row key={key} title={t(`bands-rows-${key}`)} note={t(`bands-units-${key}`)}>
            {bands.map((band) => (
              <TableCell key={band.id}>
                <NumberField
                  hiddenLabel
                  slotProps={{
                    htmlInput: {
                      'aria-label': t('bands-of', { row: t(`bands-rows-${key}`), band: band.name }),
                      inputMode: 'numeric',
                    },
                  }}
                  value={band[key]}
                  whole
                  onChange={(n) => n !== null && n >= 0 && onEdit(band, { [key]: n })}
                  sx={{ width: 92 }}
                />
                <Source band={band} name={key} onSource={source} />
              </TableCell>
            ))}
          </Row>
        ))}
        <Row title={t('bands-tempos')} note={t('bands-tempos-note')}>
          {bands.map((band) => (
            <TableCell key={band.id}>
              <Tempos band={band} usual={usual[band.id]} onEdit={onEdit} />
              <Source band={band} name="tempos_s" onSource={source} />
              <MeasuredTempos band={band} usual={usual[band.id]} onEdit={onEdit} />
            </TableCell>
          ))}
        </Row>
        <Row title={t('bands-speeds')} note={t('bands-speeds-note')}>
          {bands.map((band) => (
            <TableCell key={band.id}>
              <Speeds band={band} onEdit={onEdit} />
            </TableCell>
          ))}
        </Row>
      </TableBody>
    </Table>
  )
}

interface CellProps {
  band: Band
  onEdit: (band: Band, next: Partial<Band>) => void
}

function Ages({ band, onEdit }: CellProps) {
  return (
    <Box sx={{ display: 'flex', gap: 0.5 }}>
      <NumberField
        label={t('bands-youngest')}
        value={band.youngest}
        whole
        onChange={(n) => n !== null && n >= 0 && onEdit(band, { youngest: n })}
        sx={{ width: 78 }}
      />
      <NumberField
        label={t('bands-oldest')}
        value={band.oldest}
        whole
        onChange={(n) => n !== null && n >= 0 && onEdit(band, { oldest: n })}
        sx={{ width: 78 }}
      />
    </Box>
  )
}

function Speeds({ band, onEdit }: CellProps) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, rowGap: 1 }}>
      {SPEEDS.map((kind) => (
        <NumberField
          key={kind}
          label={t(`desk-path-kind-${kind}`)}
          value={band.speeds_m_per_s[kind]}
          onChange={(n) =>
            n !== null && onEdit(band, { speeds_m_per_s: { ...band.speeds_m_per_s, [kind]: n } })
          }
          sx={{ width: 78 }}
        />
      ))}
    </Box>
  )
}

/** Seconds of a beat; what nobody has written is the usual for the age. */
function Tempos({ band, usual, onEdit }: CellProps & { usual: Schemas['Tempos'] | undefined }) {
  const tempos = band.tempos_s ?? usual
  if (!tempos) return null
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, rowGap: 1 }}>
      {TEMPOS.map((tempo) => (
        <NumberField
          key={tempo}
          label={t(`score-tempo-${tempo}`)}
          value={tempos[tempo]}
          onChange={(n) => n !== null && onEdit(band, { tempos_s: { ...tempos, [tempo]: n } })}
          sx={{ width: 92 }}
        />
      ))}
    </Box>
  )
}

function Row({ title, note, children }: { title: string; note: string; children: React.ReactNode }) {
  return (
    <TableRow>
      <TableCell component="th" scope="row">
        <Typography sx={{ fontWeight: 600 }}>{title}</Typography>
        <Typography variant="caption" color="text.secondary">
          {note}
        </Typography>
      </TableCell>
      {children}
    </TableRow>
  )
}

/** Where a number comes from; until somebody says so it is an assumption. */
function Source({
  band,
  name,
  onSource,
}: {
  band: Band
  name: string
  onSource: (band: Band, name: string, text: string) => void
}) {
  const [open, setOpen] = useState(false)
  const source = band.sources[name]
  if (open) {
    return (
      <TextCell
        autoFocus
        label={t('bands-source')}
        value={source ?? ''}
        onChange={(text) => onSource(band, name, text)}
        onBlur={() => setOpen(false)}
        sx={{ mt: 1 }}
      />
    )
  }
  return (
    <Button
      variant="text"
      size="small"
      onClick={() => setOpen(true)}
      aria-label={t('bands-source-of', { said: source ?? t('bands-assumption'), band: band.name, name })}
      sx={{
        px: 0.75,
        minWidth: 0,
        justifyContent: 'flex-start',
        fontWeight: 400,
        fontStyle: source ? 'normal' : 'italic',
        textAlign: 'left',
      }}
    >
      {source ?? t('bands-assumption')}
    </Button>
  )
}
