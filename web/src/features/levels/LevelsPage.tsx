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
import { LEVELS, LevelSteps } from '../../ui/levels'
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

/** Players by level as one band of steps: wide is many, high is far. */
function LevelBand({ counts }: { counts: number[] }) {
  const { floor } = useTheme()
  const all = Math.max(1, counts.reduce((sum, n) => sum + n, 0))
  const [width, height] = [240, 34]
  const says = LEVELS.map((level, i) => texts.levels.counts(texts.level[level], counts[i] ?? 0)).join(', ')
  return (
    <svg width="100%" viewBox={`0 0 ${width} ${height + 14}`} role="img" aria-label={says} style={{ maxWidth: 320, display: 'block' }}>
      {LEVELS.map((level, i) => {
        const n = counts[i] ?? 0
        const left = (width * counts.slice(0, i).reduce((sum, m) => sum + m, 0)) / all
        const step = (height * (i + 1)) / 4
        const wide = (width * n) / all
        return n > 0 ? (
          <g key={level}>
            <rect x={left + 0.75} y={height - step + 0.75} width={Math.max(1, wide - 1.5)} height={step - 0.75} fill={i >= 2 ? floor.ink : floor.paper} stroke={floor.ink} />
            <text x={left + wide / 2} y={height + 12} fontSize={12} textAnchor="middle" fill={floor.ink}>
              {n}
            </text>
          </g>
        ) : null
      })}
      <line x1={0} x2={width} y1={height} y2={height} stroke={floor.ink} />
    </svg>
  )
}
