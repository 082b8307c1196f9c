// A test on paper: the squad with room for every value, how it is taken, and the layout.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useParams } from 'react-router'
import { t } from '../../../texts/t'
import { FloorDrawing } from '../../../ui/FloorDrawing'
import { ErrorNote, Loading } from '../../../ui/notes'
import { Sheets } from '../../../ui/Sheets'
import { useSheet } from './queries'

export function PrintTest() {
  const { team = '', test = '' } = useParams()
  const read = useSheet(team, test, null)
  if (read.isError && !read.data) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const sheet = read.data
  const points = sheet.protocol.kind === 'points' ? sheet.protocol.points : null
  const sides = sheet.test.per_side ? [t('side-left'), t('side-right')] : ['']
  const rounds = Array.from({ length: sheet.test.trials }, (_, round) => round + 1)
  const columns = points
    ? points
    : sides.flatMap((side) =>
        rounds.map((round) => [side, rounds.length > 1 && String(round)].filter(Boolean).join(' ')),
      )
  const line = '1px solid'
  return (
    <Sheets title={t('test-paper')}>
      <Box
        component="article"
        aria-label={sheet.test.name}
        sx={{ bgcolor: 'background.paper', width: '190mm', p: '6mm', '@media print': { p: 0 } }}
      >
        <Box sx={{ display: 'flex', gap: 2, mb: 1.5 }}>
          <Box sx={{ flex: 1 }}>
            <Typography variant="h1">{sheet.test.name}</Typography>
            <Typography variant="body2">{sheet.test.how}</Typography>
            <Typography variant="body2" sx={{ mt: 2 }}>
              {t('test-on')}: ______________________{' '}
              {sheet.rest_s > 0 && t('test-rest', { seconds: sheet.rest_s })}
            </Typography>
          </Box>
          {sheet.drawing && <FloorDrawing svg={sheet.drawing} title={sheet.test.name} height={110} />}
        </Box>
        <Box
          component="table"
          sx={{
            width: '100%',
            borderCollapse: 'collapse',
            '& td, & th': { border: line, height: '8.5mm', px: 1, fontWeight: 400 },
            '& thead th': { fontSize: points ? 10 : 13, lineHeight: 1.1 },
          }}
        >
          <thead>
            <tr>
              <Box component="th" sx={{ textAlign: 'left' }}>
                {t('board-player')}
              </Box>
              {columns.map((column, i) => (
                <th key={i}>
                  {column || t('progress-last')}
                  {points && ' 0 · 1 · 2'}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {sheet.players.map((player) => (
              <tr key={player.id}>
                <Box component="th" sx={{ textAlign: 'left', whiteSpace: 'nowrap' }}>
                  {player.name}
                </Box>
                {columns.map((_, i) => (
                  <td key={i} />
                ))}
              </tr>
            ))}
          </tbody>
        </Box>
      </Box>
    </Sheets>
  )
}
