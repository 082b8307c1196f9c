// Reading a list of results: choose a file, see every line answer for itself, and only then take it in.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { newId, type Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { FileButton } from '../../../ui/FileButton'
import { Figure } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { useReadIn, useResultsPreview } from './queries'

type Line = Schemas['ResultsPreview']['lines'][number]

/** A line without a fault, as it is sent. */
const said = (line: Line, at: string): Schemas['TrialSaid'][] =>
  line.player && line.test && line.taken_on && line.value != null && line.errors.length === 0
    ? [
        {
          id: newId(),
          player: line.player,
          test: line.test,
          taken_on: line.taken_on,
          side: line.side ?? null,
          value: line.value,
          marks: line.marks,
          origin: 'read_in',
          said_at: at,
        },
      ]
    : []

export function ReadResults({ team, onClose }: { team: string; onClose: () => void }) {
  const { floor } = useTheme()
  const preview = useResultsPreview(team)
  const read = useReadIn(team)
  const [file, setFile] = useState<string | null>(null)
  const lines = preview.data?.lines ?? []
  const trials = () => lines.flatMap((line) => said(line, new Date().toISOString()))
  return (
    <Box sx={{ border: 1, bgcolor: 'background.paper', p: 1.5, my: 1.5 }}>
      <Typography variant="h2">{t('test-read-list')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('test-list-columns')}
      </Typography>
      <Box sx={{ my: 1.5, display: 'flex', gap: 1, alignItems: 'center' }}>
        <FileButton
          label={t('squad-choose')}
          accept=".csv,text/csv,.xlsx"
          onChoose={(chosen) => {
            read.reset()
            setFile(chosen.name)
            preview.mutate(chosen)
          }}
        />
        <Typography sx={{ flex: 1 }}>{file}</Typography>
        <Button variant="text" onClick={onClose}>
          {t('close')}
        </Button>
      </Box>
      {preview.isError && <ErrorNote error={preview.error} />}
      {read.isError && <ErrorNote error={read.error} />}
      {read.isSuccess && (
        <Typography role="status">{t('test-was-read', { n: read.variables.length })}</Typography>
      )}
      {preview.data && !read.isSuccess && (
        <>
          <Typography role="status">
            {t('test-will-read', { n: preview.data.good })}
            {preview.data.faulty > 0 && `, ${t('test-faulty-lines', { n: preview.data.faulty })}`}.{' '}
            {t('squad-nothing-yet')}
          </Typography>
          <Box sx={{ maxHeight: 320, overflowY: 'auto', my: 1 }}>
            {lines.map((line) => (
              <Box
                key={line.line}
                sx={{ display: 'flex', gap: 1, borderTop: `1px solid ${floor.hair}`, py: 0.25 }}
              >
                <Figure sx={{ width: 54, color: 'text.secondary' }}>
                  {t('squad-line', { n: line.line })}
                </Figure>
                <Box sx={{ flex: 1 }}>
                  <Typography variant="body2">{line.written}</Typography>
                  {line.errors.map((error, i) => (
                    <Typography key={i} variant="body2" color="error">
                      {told(error)}
                    </Typography>
                  ))}
                </Box>
              </Box>
            ))}
          </Box>
          <Button
            variant="contained"
            disabled={preview.data.good === 0 || read.isPending}
            onClick={() => read.mutate(trials())}
          >
            {t('test-read-in', { n: preview.data.good })}
          </Button>
        </>
      )}
    </Box>
  )
}
