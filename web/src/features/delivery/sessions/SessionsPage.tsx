// Sessions: clubs and teams by weeks, planned against delivered.

import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Link from '@mui/material/Link'
import MenuItem from '@mui/material/MenuItem'
import { useTheme } from '@mui/material/styles'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useQuery } from '@tanstack/react-query'
import { Link as RouterLink, useSearchParams } from 'react-router'
import { api, data, type Schemas } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { driftSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { asPercent, asResult, Figure } from '../../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { Spoken } from '../../../ui/Spoken'
import { useCurricula } from '../../plan/queries'
import { deliveryKeys } from '../keys'
import { WeekInspector } from './WeekInspector'

const total = (minutes: number[]) => minutes.reduce((all, m) => all + m, 0)

export function SessionsPage() {
  const [address, setAddress] = useSearchParams()
  const curricula = useCurricula()
  const published = curricula.data?.filter((c) => c.edition !== null && c.edition !== undefined) ?? []
  const id = address.get('curriculum') ?? published[0]?.id
  const delivery = useQuery({
    queryKey: deliveryKeys.board(id),
    queryFn: () => data(api.GET('/curricula/{id}/delivery', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
    select: useTranslated(),
  })
  if (curricula.isPending) return <Loading />
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!id) return <Empty>{t('sessions-none')}</Empty>
  if (delivery.isError) return <ErrorNote error={delivery.error} />
  if (!delivery.data) return <Loading />
  const { clubs } = delivery.data
  const chosen = { team: address.get('team'), week: Number(address.get('week')) }
  const choose = (team: string, week: number) =>
    setAddress({ curriculum: id, team, week: String(week) }, { replace: true })
  const team = clubs.flatMap((c) => c.teams).find((t) => t.id === chosen.team)
  const week = team?.weeks.find((w) => w.week === chosen.week)
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 300px' } }}>
      <Box sx={{ p: 2, minWidth: 0, overflowX: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h1">{t('sessions-title')}</Typography>
          <TextField
            select
            size="small"
            variant="standard"
            value={id}
            onChange={(event) => setAddress({ curriculum: event.target.value })}
            slotProps={{ htmlInput: { 'aria-label': t('plan-choose') } }}
          >
            {published.map((entry) => (
              <MenuItem key={entry.id} value={entry.id}>
                {entry.name}
              </MenuItem>
            ))}
          </TextField>
          <Typography color="text.secondary">{t('sessions-about')}</Typography>
        </Box>
        <Board clubs={clubs} chosen={chosen} onChoose={choose} />
        <ComesOffLess less={delivery.data.less} />
      </Box>
      <WeekInspector curriculum={delivery.data.curriculum} team={team} week={week} />
    </Box>
  )
}

/** Drills of which less comes off than was expected: a matter of the drill, or of one club. */
function ComesOffLess({ less }: { less: Schemas['LessOfDrill'][] }) {
  if (less.length === 0) return null
  return (
    <Box component="section" aria-label={t('sessions-less')} sx={{ mt: 3 }}>
      <Typography variant="h2">{t('sessions-less')}</Typography>
      {less.map(({ drill, title, club, knack }) => (
        <Typography key={`${drill} ${club}`} sx={{ mt: 0.5 }}>
          <Link component={RouterLink} to={`/drills/${drill}`}>
            {title}
          </Link>{' '}
          · {club ?? t('sessions-less-everywhere')} ·{' '}
          {t('sessions-less-of', {
            came: asResult(10 * knack.came_off),
            expected: asResult(10 * knack.expected),
            n: knack.logs,
          })}
        </Typography>
      ))}
    </Box>
  )
}

interface BoardProps {
  clubs: Schemas['ClubDelivery'][]
  chosen: { team: string | null; week: number }
  onChoose: (team: string, week: number) => void
}

/** One row of weeks for each team, under the name of its club. */
function Board({ clubs, chosen, onChoose }: BoardProps) {
  const { floor } = useTheme()
  const weeks = clubs[0]?.teams[0]?.weeks.map((w) => w.week) ?? []
  const head = {
    position: 'sticky',
    top: 0,
    zIndex: 1,
    bgcolor: 'background.default',
    color: 'text.secondary',
    px: 1,
  } as const
  return (
    <Table size="small" sx={{ tableLayout: 'fixed', minWidth: 620, '& td, & th': { border: 0 } }}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ ...head, width: 190, pl: 0 }}>{t('sessions-week')}</TableCell>
          {weeks.map((week) => (
            <TableCell key={week} sx={head} aria-label={t('plan-week', { n: week })}>
              <Figure sx={{ fontSize: '1.1rem' }}>{week}</Figure>
            </TableCell>
          ))}
          <TableCell sx={{ ...head, width: 74 }}>{t('sessions-share')}</TableCell>
        </TableRow>
      </TableHead>
      {clubs.map((club) => (
        <TableBody key={club.club} aria-label={club.club} sx={{ borderTop: `1px solid ${floor.hair}` }}>
          {club.teams.map((team, i) => (
            <TeamRow
              key={team.id}
              club={i === 0 ? club.club : null}
              team={team}
              chosen={chosen.team === team.id ? chosen.week : null}
              onChoose={(week) => onChoose(team.id, week)}
            />
          ))}
        </TableBody>
      ))}
    </Table>
  )
}

interface TeamProps {
  /** The club's name, at the first of its teams. */
  club: string | null
  team: Schemas['TeamDelivery']
  chosen: number | null
  onChoose: (week: number) => void
}

function TeamRow({ club, team, chosen, onChoose }: TeamProps) {
  const due = total(team.weeks.map((w) => w.due))
  const delivered = total(team.weeks.map((w) => total(w.delivered)))
  const missing = total(team.weeks.map((w) => w.logs_missing))
  const most = Math.max(1, ...team.weeks.map((w) => total(w.planned)))
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ pl: 0, py: 0.5 }}>
        {club && <Typography variant="h3">{club}</Typography>}
        {team.team}
        <Typography variant="caption" component="div" color="text.secondary" sx={{ lineHeight: 1.3 }}>
          {missing > 0 && (
            <Box component="span" sx={{ color: 'error.main', mr: 1 }}>
              {t('sessions-logs-missing', { n: missing })}
            </Box>
          )}
          {driftSaid(team.drift)}
        </Typography>
      </TableCell>
      {team.weeks.map((week) => (
        <TableCell key={week.week} sx={{ p: 0 }}>
          <WeekCell
            team={team.team}
            week={week}
            most={most}
            chosen={week.week === chosen}
            onChoose={() => onChoose(week.week)}
          />
        </TableCell>
      ))}
      <TableCell>
        <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>
          {due > 0 ? asPercent(delivered / due) : '–'}
        </Figure>
      </TableCell>
    </TableRow>
  )
}

interface CellProps {
  team: string
  week: Schemas['WeekTally']
  most: number
  chosen: boolean
  onChoose: () => void
}

/** Planned as an open bar, delivered as a full one inside it: a gap stands out. */
function WeekCell({ team, week, most, chosen, onChoose }: CellProps) {
  const { floor } = useTheme()
  const planned = total(week.planned)
  const delivered = total(week.delivered)
  const tall = 40
  const height = (minutes: number) => (tall * minutes) / most
  return (
    <ButtonBase
      onClick={onChoose}
      aria-pressed={chosen}
      sx={{
        width: '100%',
        py: 0.5,
        px: 1,
        justifyContent: 'flex-start',
        alignItems: 'flex-end',
        gap: 0.5,
        bgcolor: chosen ? 'background.paper' : undefined,
        outline: chosen ? `1px solid ${floor.ink}` : undefined,
      }}
    >
      <Spoken
        as={t('sessions-cell', {
          team,
          week: week.week,
          delivered: Math.round(delivered),
          planned: Math.round(planned),
        })}
      >
        <svg width={22} height={tall + 4} aria-hidden opacity={week.ahead ? 0.5 : 1} style={{ flex: 'none' }}>
          <rect
            x={1}
            y={tall + 2 - height(planned)}
            width={20}
            height={height(planned)}
            fill={floor.paper}
            stroke={floor.ink}
            strokeDasharray={week.ahead ? '3 3' : undefined}
          />
          <rect
            x={4}
            y={tall + 2 - height(delivered)}
            width={14}
            height={height(delivered)}
            fill={floor.ink}
          />
          {week.cancelled > 0 && (
            <path
              d={`M 1 ${tall + 2} L 21 ${tall + 2 - height(planned)}`}
              stroke={floor.ink}
              strokeWidth={1.5}
            />
          )}
        </svg>
        {!week.ahead && <Figure sx={{ fontSize: '1.05rem' }}>{Math.round(delivered)}</Figure>}
      </Spoken>
    </ButtonBase>
  )
}
