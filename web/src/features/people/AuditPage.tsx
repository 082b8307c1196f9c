// What was done by whom, for directors.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useSearchParams } from 'react-router'
import { deedValues } from '../../api/schema'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'
import { asMoment } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { usePeople } from '../academy/clubs/queries'
import { useAudit } from './queries'

/** How much of the table each column has. */
const WIDTHS = { at: 190, who: 200, what: 280, to: undefined }

export function AuditPage() {
  const [address, setAddress] = useSearchParams()
  const people = usePeople(true).data ?? []
  const person = address.get('person') ?? undefined
  const what = deedValues.find((deed) => deed === address.get('what'))
  const audit = useAudit({ person, what })
  const set = (next: Record<string, string>) =>
    setAddress(
      Object.fromEntries(
        Object.entries({ person: person ?? '', what: what ?? '', ...next }).filter(([, value]) => value),
      ),
      { replace: true },
    )
  const lines = audit.data?.pages.flatMap((page) => page.items)
  const deeds = [...deedValues].map((deed) => ({ value: deed, says: t(`deed-${deed}`) }))
  return (
    <Box sx={{ p: 2, maxWidth: 1080, overflowY: 'auto' }}>
      <Typography variant="h1">{t('audit-title')}</Typography>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        {t('audit-about')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1 }}>
        <SelectCell
          label={t('audit-who')}
          value={person ?? ''}
          none={t('audit-everybody')}
          options={people.map((each) => ({ value: each.id, says: each.name }))}
          onChange={(next) => set({ person: next })}
          fullWidth={false}
          sx={{ width: 260 }}
        />
        <SelectCell
          label={t('audit-what')}
          value={what ?? ''}
          none={t('audit-everything')}
          options={deeds.sort((one, other) => one.says.localeCompare(other.says))}
          onChange={(next) => set({ what: next })}
          fullWidth={false}
          sx={{ width: 320 }}
        />
        <Button component="a" href={`/api/v1/audit/export?${address.toString()}`}>
          {t('audit-export')}
        </Button>
      </Box>
      {audit.isError && <ErrorNote error={audit.error} />}
      {!lines && !audit.isError && <Loading />}
      {lines?.length === 0 && <Typography>{t('audit-nothing')}</Typography>}
      {lines && lines.length > 0 && (
        <Table size="small" aria-label={t('audit-title')}>
          <TableHead>
            <TableRow>
              {(['at', 'who', 'what', 'to'] as const).map((head) => (
                <TableCell key={head} sx={{ width: WIDTHS[head] }}>
                  {t(`audit-${head}`)}
                </TableCell>
              ))}
            </TableRow>
          </TableHead>
          <TableBody>
            {lines.map((line) => (
              <TableRow key={line.id}>
                <TableCell sx={{ whiteSpace: 'nowrap' }}>{asMoment(line.at)}</TableCell>
                <TableCell>{line.by ?? t('audit-by-itself')}</TableCell>
                <TableCell>{t(`deed-${line.what}`)}</TableCell>
                <TableCell>{line.about}</TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
      {audit.hasNextPage && (
        <Button sx={{ mt: 1 }} disabled={audit.isFetching} onClick={() => void audit.fetchNextPage()}>
          {t('audit-more')}
        </Button>
      )}
    </Box>
  )
}
