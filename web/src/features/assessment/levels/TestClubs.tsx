// One test: clubs with their players by level, and how many are Secure or above.
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent, Figure } from '../../../ui/figures'
import { LevelBand } from '../../../ui/levels'
import { ShareInterval } from './ShareInterval'

/** Below this many players a share says little. */
const FEW = 10

export function TestClubs({ entry }: { entry: Schemas['TestLevels'] }) {
  return (
    <Table size="small" aria-label={entry.test.name} sx={{ alignSelf: 'start' }}>
      <TableHead>
        <TableRow>
          <TableCell colSpan={2} sx={{ pl: 0, borderColor: 'text.primary' }}>
            <Typography variant="h2">{entry.test.name}</Typography>
          </TableCell>
          <TableCell align="right" sx={{ width: 150, borderColor: 'text.primary', color: 'text.secondary' }}>
            {t('levels-secure')}
          </TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {entry.clubs.map((club) => {
          const { tested, share } = club
          return (
            <TableRow key={`${club.club} ${club.foot ?? ''}`}>
              <TableCell component="th" scope="row" sx={{ pl: 0, width: 150 }}>
                {club.club}
                {club.foot && (
                  <Typography component="div" variant="caption" color="text.secondary">
                    {t(`foot-${club.foot}`)}
                  </Typography>
                )}
              </TableCell>
              <TableCell>
                <LevelBand counts={club.counts} />
              </TableCell>
              <TableCell align="right">
                <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>
                  {share == null ? '–' : asPercent(share)}
                </Figure>
                {share != null && club.secure && <ShareInterval share={share} interval={club.secure} />}
                <Typography component="div" variant="caption" color="text.secondary">
                  {t('levels-players', { n: tested })}
                  {club.without > 0 && `, ${t('levels-without', { n: club.without })}`}
                  {tested > 0 && tested < FEW && ` (${t('levels-few')})`}
                </Typography>
              </TableCell>
            </TableRow>
          )
        })}
      </TableBody>
    </Table>
  )
}
