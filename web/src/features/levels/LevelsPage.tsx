// Levels: clubs side by side, test by test.
import Box from '@mui/material/Box'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import { useQuery } from '@tanstack/react-query'
import { useSearchParams } from 'react-router'
import { api, data, type Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { Choice } from '../../ui/Choice'
import { asPercent, Figure } from '../../ui/figures'
import { LevelBand, LEVELS, LevelSteps } from '../../ui/levels'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { useBands } from '../drills/queries'

/** Below this many players a share says little. */
const FEW = 10

export function LevelsPage() {
  const [address, setAddress] = useSearchParams()
  const bands = useBands().data ?? []
  const band = address.get('band') ?? 'u8-u9'
  const levels = useQuery({ queryKey: ['levels', band], queryFn: () => data(api.GET('/levels', { params: { query: { band } } })) })
  if (levels.isError) return <ErrorNote error={levels.error} />
  if (!levels.data) return <Loading />
  if (levels.data.every((t) => t.clubs.length === 0)) return <Empty>{texts.levels.none}</Empty>
  return (
    <Box sx={{ p: 2, maxWidth: 1240 }}>
      <Typography variant="h1">{texts.levels.title}</Typography>
      <Typography color="text.secondary" sx={{ mb: 1.5 }}>
        {texts.levels.about}
      </Typography>
      <Box sx={{ mb: 2 }}>
        <Choice
          label={texts.levels.band}
          options={bands.map((each) => each.band.id)}
          chosen={[band]}
          says={(id) => bands.find((each) => each.band.id === id)?.band.name ?? id}
          onToggle={(id) => setAddress({ band: id })}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.5, mb: 2 }}>
        {LEVELS.map((level) => (
          <Box key={level} sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
            <LevelSteps level={level} />
            <Typography variant="body2">{texts.level[level]}</Typography>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(min(560px, 100%), 1fr))', columnGap: 5, rowGap: 3 }}>
        {levels.data.map((entry) => (
          <TestClubs key={entry.test.id} entry={entry} />
        ))}
      </Box>
    </Box>
  )
}

function TestClubs({ entry }: { entry: Schemas['TestLevels'] }) {
  return (
    <Table size="small" aria-label={entry.test.name} sx={{ alignSelf: 'start' }}>
      <TableHead>
        <TableRow>
          <TableCell colSpan={2} sx={{ pl: 0, borderColor: 'text.primary' }}>
            <Typography variant="h2">{entry.test.name}</Typography>
          </TableCell>
          <TableCell align="right" sx={{ width: 150, borderColor: 'text.primary', color: 'text.secondary' }}>
            {texts.levels.secure}
          </TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {entry.clubs.map((club) => {
          const tested = club.counts.reduce((all, n) => all + n, 0)
          const secure = (club.counts[2] ?? 0) + (club.counts[3] ?? 0)
          return (
            <TableRow key={`${club.club} ${club.foot ?? ''}`}>
              <TableCell component="th" scope="row" sx={{ pl: 0, width: 150 }}>
                {club.club}
                {club.foot && (
                  <Typography component="div" variant="caption" color="text.secondary">
                    {texts.foot[club.foot]}
                  </Typography>
                )}
              </TableCell>
              <TableCell>
                <LevelBand counts={club.counts} />
              </TableCell>
              <TableCell align="right">
                <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>{tested > 0 ? asPercent(secure / tested) : '–'}</Figure>
                {club.secure && <ShareInterval share={secure / tested} interval={club.secure} />}
                <Typography component="div" variant="caption" color="text.secondary">
                  {texts.levels.players(tested)}
                  {club.without > 0 && `, ${texts.levels.without(club.without)}`}
                  {tested > 0 && tested < FEW && ` (${texts.levels.few})`}
                </Typography>
              </TableCell>
            </TableRow>
          )
        })}
      </TableBody>
    </Table>
  )
}

/** A share as a dot with its interval on a line from nobody to everybody. */
function ShareInterval({ share, interval }: { share: number; interval: Schemas['Interval'] }) {
  const { ink, hair } = useTheme().floor
  const x = (part: number) => 4 + part * 112
  return (
    <svg width={120} height={12} role="img" aria-label={texts.levels.between(asPercent(interval.low), asPercent(interval.high))} style={{ display: 'block', marginLeft: 'auto' }}>
      <line x1={x(0)} x2={x(1)} y1={6} y2={6} stroke={hair} />
      <line x1={x(interval.low)} x2={x(interval.high)} y1={6} y2={6} stroke={ink} strokeWidth={2} />
      <circle cx={x(share)} cy={6} r={3.5} fill={ink} />
    </svg>
  )
}
