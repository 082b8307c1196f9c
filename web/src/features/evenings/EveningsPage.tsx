// Evenings: clubs and teams by weeks, planned against delivered.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import MenuItem from '@mui/material/MenuItem'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import { useQuery } from '@tanstack/react-query'
import { useSearchParams } from 'react-router'
import { api, data, type Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { asNumber, asPercent, Figure } from '../../ui/figures'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { Spoken } from '../../ui/Spoken'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { useCurricula } from '../plan/queries'

const total = (minutes: number[]) => minutes.reduce((all, m) => all + m, 0)

export function EveningsPage() {
  const [address, setAddress] = useSearchParams()
  const curricula = useCurricula()
  const published = curricula.data?.items.filter((c) => c.edition !== null && c.edition !== undefined) ?? []
  const id = address.get('curriculum') ?? published[0]?.id
  const delivery = useQuery({
    queryKey: ['delivery', id],
    queryFn: () => data(api.GET('/curricula/{id}/delivery', { params: { path: { id: id ?? '' } } })),
    enabled: id !== undefined,
  })
  if (curricula.isPending) return <Loading />
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!id) return <Empty>{texts.evenings.none}</Empty>
  if (delivery.isError) return <ErrorNote error={delivery.error} />
  if (!delivery.data) return <Loading />
  const { clubs } = delivery.data
  const chosen = { team: address.get('team'), week: Number(address.get('week')) }
  const choose = (team: string, week: number) => setAddress({ curriculum: id, team, week: String(week) }, { replace: true })
  const team = clubs.flatMap((c) => c.teams).find((t) => t.id === chosen.team)
  const week = team?.weeks.find((w) => w.week === chosen.week)
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 300px' } }}>
      <Box sx={{ p: 2, minWidth: 0, overflowX: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, mb: 1, flexWrap: 'wrap' }}>
          <Typography variant="h1">{texts.evenings.title}</Typography>
          <TextField
            select
            size="small"
            variant="standard"
            value={id}
            onChange={(event) => setAddress({ curriculum: event.target.value })}
            slotProps={{ htmlInput: { 'aria-label': texts.plan.choose } }}
          >
            {published.map((entry) => (
              <MenuItem key={entry.id} value={entry.id}>
                {entry.name}
              </MenuItem>
            ))}
          </TextField>
          <Typography color="text.secondary">{texts.evenings.about}</Typography>
        </Box>
        {clubs.map((club) => (
          <ClubWeeks key={club.club} club={club} chosen={chosen} onChoose={choose} />
        ))}
      </Box>
      <WeekInspector team={team} week={week} />
    </Box>
  )
}

interface ClubProps {
  club: Schemas['ClubDelivery']
  chosen: { team: string | null; week: number }
  onChoose: (team: string, week: number) => void
}

function ClubWeeks({ club, chosen, onChoose }: ClubProps) {
  const weeks = club.teams[0]?.weeks.map((w) => w.week) ?? []
  return (
    <Table size="small" sx={{ mb: 3, tableLayout: 'fixed', minWidth: 620 }} aria-label={club.club}>
      <TableHead>
        <TableRow>
          <TableCell sx={{ width: 200, pl: 0 }}>
            <Typography variant="h2">{club.club}</Typography>
          </TableCell>
          {weeks.map((week) => (
            <TableCell key={week} sx={{ color: 'text.secondary' }}>
              {texts.plan.week(week)}
            </TableCell>
          ))}
          <TableCell sx={{ width: 84, color: 'text.secondary' }}>{texts.evenings.share}</TableCell>
        </TableRow>
      </TableHead>
      <TableBody>
        {club.teams.map((team) => (
          <TeamRow key={team.id} team={team} chosen={chosen.team === team.id ? chosen.week : null} onChoose={(week) => onChoose(team.id, week)} />
        ))}
      </TableBody>
    </Table>
  )
}

function TeamRow({ team, chosen, onChoose }: { team: Schemas['TeamDelivery']; chosen: number | null; onChoose: (week: number) => void }) {
  const begun = team.weeks.filter((w) => !w.ahead)
  const planned = total(begun.map((w) => total(w.planned)))
  const delivered = total(begun.map((w) => total(w.delivered)))
  const missing = total(team.weeks.map((w) => w.logs_missing))
  const most = Math.max(1, ...team.weeks.map((w) => total(w.planned)))
  return (
    <TableRow>
      <TableCell component="th" scope="row" sx={{ pl: 0 }}>
        {team.team}
        <Typography variant="caption" component="div" color={missing > 0 ? 'error' : 'text.secondary'}>
          {missing > 0 ? texts.evenings.logsMissing(missing) : ' '}
        </Typography>
        <Typography variant="caption" component="div" color="text.secondary">
          {texts.evenings.drift(team.drift.moved, team.drift.short.length)}
        </Typography>
      </TableCell>
      {team.weeks.map((week) => (
        <TableCell key={week.week} sx={{ p: 0 }}>
          <WeekCell team={team.team} week={week} most={most} chosen={week.week === chosen} onChoose={() => onChoose(week.week)} />
        </TableCell>
      ))}
      <TableCell>
        <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>{planned > 0 ? asPercent(delivered / planned) : '–'}</Figure>
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
  const tall = 46
  const height = (minutes: number) => (tall * minutes) / most
  return (
    <ButtonBase
      onClick={onChoose}
      aria-pressed={chosen}
      sx={{ width: '100%', py: 0.75, px: 1, justifyContent: 'flex-start', alignItems: 'flex-end', gap: 1, bgcolor: chosen ? 'background.paper' : undefined, outline: chosen ? `1px solid ${floor.ink}` : undefined }}
    >
      <Spoken as={texts.evenings.cell(team, week.week, Math.round(delivered), Math.round(planned))}>
      <svg width={26} height={tall + 4} aria-hidden opacity={week.ahead ? 0.5 : 1}>
        <rect x={1} y={tall + 2 - height(planned)} width={24} height={height(planned)} fill={floor.paper} stroke={floor.ink} strokeDasharray={week.ahead ? '3 3' : undefined} />
        <rect x={5} y={tall + 2 - height(delivered)} width={16} height={height(delivered)} fill={floor.ink} />
        {week.cancelled > 0 && <path d={`M 1 ${tall + 2} L 25 ${tall + 2 - height(planned)}`} stroke={floor.ink} strokeWidth={1.5} />}
      </svg>
      <Figure sx={{ fontSize: '1.05rem', color: week.ahead ? 'text.secondary' : 'text.primary' }}>{week.ahead ? texts.evenings.ahead : Math.round(delivered)}</Figure>
      </Spoken>
    </ButtonBase>
  )
}

function WeekInspector({ team, week }: { team: Schemas['TeamDelivery'] | undefined; week: Schemas['WeekTally'] | undefined }) {
  const { floor } = useTheme()
  return (
    <Box component="aside" sx={{ bgcolor: 'background.paper', borderLeft: { md: `1px solid ${floor.hair}` }, p: 2 }}>
      {!team || !week ? (
        <Typography color="text.secondary">{texts.evenings.choose}</Typography>
      ) : (
        <>
          <Typography variant="h2">{team.team}</Typography>
          <Typography color="text.secondary">
            {texts.plan.week(week.week)} · {texts.tonight.edition(team.edition_number)}
          </Typography>
          {week.logs_missing > 0 && <Typography color="error">{texts.evenings.logsMissing(week.logs_missing)}</Typography>}
          {week.cancelled > 0 && <Typography>{texts.evenings.cancelled(week.cancelled)}</Typography>}
          <Table size="small" sx={{ mt: 1 }}>
            <TableHead>
              <TableRow>
                <TableCell sx={{ pl: 0 }} />
                <TableCell align="right">{texts.evenings.planned}</TableCell>
                <TableCell align="right">{texts.evenings.delivered}</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {STRANDS.map((strand, i) => (
                <TableRow key={strand}>
                  <TableCell sx={{ pl: 0 }}>
                    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                      <StrandSwatch strand={strand} width={24} />
                      {texts.strand[strand]}
                    </Box>
                  </TableCell>
                  <TableCell align="right">
                    <Figure sx={{ fontSize: '1.1rem' }}>{texts.minutes(asNumber(week.planned[i] ?? 0))}</Figure>
                  </TableCell>
                  <TableCell align="right">
                    <Figure sx={{ fontSize: '1.1rem' }}>{texts.minutes(asNumber(week.delivered[i] ?? 0))}</Figure>
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
          {team.drift.short.length > 0 && (
            <>
              <Typography variant="h2" sx={{ mt: 2 }}>
                {texts.evenings.short}
              </Typography>
              {team.drift.short.map((short) => (
                <Typography key={short}>{short}</Typography>
              ))}
            </>
          )}
        </>
      )}
    </Box>
  )
}
