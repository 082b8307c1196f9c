// Loading a squad list: choose a file, see every row answer for itself, and only then add.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { FileButton } from '../../../ui/FileButton'
import { SelectCell } from '../../../ui/fields'
import { Figure } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { useAddPlayers, useRosterPreview } from './queries'

/** The server refuses larger files; this one is not even sent. */
const LARGEST = 200_000

export function RosterImport({ team, onClose }: { team: string; onClose: (added: number | null) => void }) {
  const preview = useRosterPreview(team)
  const add = useAddPlayers(team)
  const [large, setLarge] = useState(false)
  const [file, setFile] = useState<File | null>(null)
  // What stands in the first line, where it does not say which column is which.
  const [head, setHead] = useState<string[] | null>(null)
  const choose = (file: File) => {
    preview.reset()
    add.reset()
    setFile(file)
    setHead(null)
    setLarge(file.size > LARGEST)
    if (file.size <= LARGEST)
      preview.mutate({ file }, { onSuccess: (read) => !read.columns && setHead(read.head) })
  }
  const players = preview.data?.rows.flatMap((row) => (row.player ? [row.player] : [])) ?? []
  return (
    <Box sx={{ border: 1, borderColor: 'text.primary', bgcolor: 'background.paper', p: 1.5, mb: 2 }}>
      <Typography variant="h2">{t('squad-load')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('squad-columns')} · <Link href="/example-squad.csv">{t('squad-example')}</Link>
      </Typography>
      <Box sx={{ my: 1.5 }}>
        <FileButton label={t('squad-choose')} accept=".csv,text/csv,.xlsx" onChoose={choose} /> {file?.name}
      </Box>
      {large && (
        <ErrorNote>
          <Typography color="error">{t('squad-large')}</Typography>
        </ErrorNote>
      )}
      {preview.isError && <ErrorNote error={preview.error} />}
      {add.isError && <ErrorNote error={add.error} />}
      {file && head && (
        <PointAtColumns
          key={file.name}
          head={head}
          onPoint={(columns) => preview.mutate({ file, columns })}
        />
      )}
      {preview.data?.columns && (
        <>
          <Typography role="status">
            {t('squad-ready', { n: preview.data.good })}
            {preview.data.faulty > 0 && `, ${t('squad-faulty', { n: preview.data.faulty })}`}.{' '}
            {t('squad-nothing-yet')}
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', p: 0, my: 1 }}>
            {preview.data.rows.map((row) => (
              <PreviewRow key={row.line} row={row} />
            ))}
          </Box>
        </>
      )}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {players.length > 0 && (
          <Button
            variant="contained"
            disabled={add.isPending}
            onClick={() => add.mutate(players, { onSuccess: () => onClose(players.length) })}
          >
            {t('squad-add', { n: players.length })}
            {preview.data &&
              preview.data.faulty > 0 &&
              ` ${t('squad-leave-out', { n: preview.data.faulty })}`}
          </Button>
        )}
        <Button variant="text" onClick={() => onClose(null)}>
          {t('cancel')}
        </Button>
      </Box>
    </Box>
  )
}

const COLUMNS = ['name', 'birth_month', 'strong_foot'] as const

interface Pointing {
  head: string[]
  onPoint: (columns: Schemas['Columns']) => void
}

/** Which column of the list holds what; it can still be put right once the rows stand below. */
function PointAtColumns({ head, onPoint }: Pointing) {
  const [chosen, setChosen] = useState<Partial<Schemas['Columns']>>({})
  const options = head.map((name, i) => ({ value: String(i), says: name || t('squad-column', { n: i + 1 }) }))
  const point = (column: (typeof COLUMNS)[number], value: string) => {
    const next = { ...chosen, [column]: Number(value) }
    setChosen(next)
    const { name, birth_month, strong_foot } = next
    if (name !== undefined && birth_month !== undefined && strong_foot !== undefined)
      onPoint({ name, birth_month, strong_foot })
  }
  return (
    <Box role="group" aria-label={t('squad-point')} sx={{ display: 'grid', gap: 1.5, my: 1.5 }}>
      <Typography>{t('squad-point')}</Typography>
      {COLUMNS.map((column) => (
        <SelectCell
          key={column}
          label={t(`squad-column-of-${column}`)}
          none={t('squad-choose-column')}
          value={chosen[column] === undefined ? '' : String(chosen[column])}
          options={options}
          onChange={(value) => value !== '' && point(column, value)}
        />
      ))}
    </Box>
  )
}

function PreviewRow({ row }: { row: Schemas['Row'] }) {
  const { floor } = useTheme()
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 1,
        py: 0.5,
        borderTop: `1px solid ${floor.hair}`,
        borderLeft: `4px solid ${row.player ? 'transparent' : floor.warn}`,
        pl: 1,
      }}
    >
      <Figure sx={{ color: 'text.secondary', whiteSpace: 'nowrap', fontSize: '1.05rem' }}>
        {t('squad-line', { n: row.line })}
      </Figure>
      <Box>
        <Typography variant="body2">{row.written}</Typography>
        {row.note && (
          <Typography variant="body2" sx={{ fontWeight: 650 }}>
            {told(row.note)}
          </Typography>
        )}
        {row.errors.map((error, i) => (
          <Typography key={i} variant="body2" color="error">
            {told(error)}
          </Typography>
        ))}
      </Box>
    </Box>
  )
}
