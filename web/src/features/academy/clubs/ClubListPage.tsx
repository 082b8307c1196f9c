// Clubs, teams and coaches from one list: look at what comes of it, take it, hand out the invitations.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { FileButton } from '../../../ui/FileButton'
import { ErrorNote } from '../../../ui/notes'
import { COLUMN } from '../../../ui/placing'
import { InvitationSheet } from './InvitationSheet'
import { useClubList, useTakeClubList } from './queries'

export function ClubListPage() {
  const preview = useClubList()
  const take = useTakeClubList()
  const teams = (preview.data?.rows ?? []).flatMap((row) => (row.team ? [row.team] : []))
  if (take.data) return <Taken invited={take.data} />
  return (
    <Box sx={{ p: 2, minHeight: 0, ...COLUMN }}>
      <Box sx={{ maxWidth: 1100 }}>
        <Typography variant="h1">{t('club-list-title')}</Typography>
        <Typography color="text.secondary">{t('club-list-about')}</Typography>
        <Sources onRead={(list) => preview.mutate(list)} />
        {preview.isError && <ErrorNote error={preview.error} />}
        {take.isError && <ErrorNote error={take.error} />}
        {preview.data && (
          <>
            <Rows rows={preview.data.rows} />
            <Button
              variant="contained"
              disabled={teams.length === 0 || take.isPending}
              onClick={() => take.mutate(teams)}
            >
              {t('club-list-take', { n: teams.length })}
            </Button>
            <Typography role="status" component="span" color="text.secondary" sx={{ ml: 1.5 }}>
              {t('club-list-ready', { good: preview.data.good, faulty: preview.data.faulty })}
            </Typography>
          </>
        )}
      </Box>
    </Box>
  )
}

/** A file, or cells pasted from a spreadsheet. */
function Sources({ onRead }: { onRead: (list: Blob) => void }) {
  const [pasted, setPasted] = useState('')
  return (
    <Box sx={{ display: 'grid', gap: 1, my: 2, justifyItems: 'start' }}>
      <FileButton label={t('club-list-choose')} accept=".csv,text/csv,.xlsx" onChoose={onRead} />
      <TextField
        multiline
        fullWidth
        minRows={3}
        maxRows={10}
        label={t('club-list-paste')}
        placeholder={t('club-list-example')}
        value={pasted}
        onChange={(event) => setPasted(event.target.value)}
      />
      <Button disabled={pasted.trim() === ''} onClick={() => onRead(new Blob([pasted]))}>
        {t('club-list-look')}
      </Button>
    </Box>
  )
}

function Rows({ rows }: { rows: Schemas['ClubRowView'][] }) {
  return (
    <Table size="small" aria-label={t('club-list-rows-of')} sx={{ mb: 2 }}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ width: 64 }}>{t('club-list-line')}</TableCell>
          <TableCell>{t('club-list-written')}</TableCell>
          <TableCell>{t('club-list-becomes')}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {rows.map((row) => (
          <TableRow key={row.line}>
            <TableCell>{row.line}</TableCell>
            <TableCell>{row.written}</TableCell>
            <TableCell sx={{ color: row.team ? undefined : 'error.main' }}>
              {row.team ? becomes(row) : row.errors.map(told).join(' ')}
            </TableCell>
          </TableRow>
        ))}
      </TableBody>
    </Table>
  )
}

/** What comes of a line, in words. */
function becomes({ new_club, new_team, invited }: Schemas['ClubRowView']): string {
  const said = [
    new_club && t('club-list-new-club'),
    new_team && t('club-list-new-team'),
    invited.length > 0 && t('club-list-invites', { names: invited.join(', ') }),
  ].filter((each) => each !== false)
  return said.length > 0 ? said.join(' · ') : t('club-list-there')
}

function Taken({ invited }: { invited: Schemas['CoachInvited'][] }) {
  return (
    <Box sx={{ p: 2, minHeight: 0, overflowY: 'auto', '@media print': { p: 0 } }}>
      <Box className="no-print" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'baseline' }}>
        <Typography variant="h1">{t('club-list-taken')}</Typography>
        <Typography role="status" color="text.secondary" sx={{ flex: 1 }}>
          {invited.length > 0 ? t('club-list-hand-out') : t('club-list-nobody-new')}
        </Typography>
        {invited.length > 0 && (
          <Button variant="contained" onClick={() => window.print()}>
            {t('print-go')}
          </Button>
        )}
        <Button component={Link} to="/clubs" variant="text">
          {t('club-list-to-clubs')}
        </Button>
      </Box>
      <InvitationSheet invited={invited} />
    </Box>
  )
}
