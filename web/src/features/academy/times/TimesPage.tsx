// When and where the teams of a club meet: its places, its week, and what is shared.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Table from '@mui/material/Table'
import TableBody from '@mui/material/TableBody'
import TableCell from '@mui/material/TableCell'
import TableHead from '@mui/material/TableHead'
import TableRow from '@mui/material/TableRow'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { asWeekday } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { PANEL } from '../../../ui/placing'
import { DaysOff } from '../../season/DaysOff'
import { useClubs } from '../clubs/queries'
import { Places } from './Places'
import { useClubTimes } from './queries'
import { SlotsDialog } from './SlotsDialog'

export function TimesPage() {
  const { club = '' } = useParams()
  const read = useClubTimes(club)
  const name = useClubs().data?.find((each) => each.id === club)?.name ?? ''
  const [changed, setChanged] = useState<string | null>(null)
  if (read.isError) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const { places, teams, sharing } = read.data
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 340px' } }}>
      <Box sx={{ p: 2, minWidth: 0 }}>
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            {t('times-of', { club: name })}
          </Typography>
          <Button component={Link} to="/clubs" variant="text">
            {t('times-to-clubs')}
          </Button>
        </Box>
        <Typography color="text.secondary" sx={{ maxWidth: 720, mb: 2 }}>
          {t('times-about')}
        </Typography>
        <Week teams={teams} places={places} onChange={setChanged} />
        {sharing.length > 0 && (
          <Box component="section" aria-label={t('times-sharing')} sx={{ mt: 2.5 }}>
            <Typography variant="h2">{t('times-sharing')}</Typography>
            {sharing.map((said) => (
              <Typography
                key={JSON.stringify(said)}
                color={said.code === 'place-too-many' ? 'error' : undefined}
              >
                {told(said)}
              </Typography>
            ))}
          </Box>
        )}
      </Box>
      <Box component="aside" aria-label={t('times-places')} sx={PANEL}>
        <Places club={club} places={places} />
        <DaysOff
          whose={[
            { kind: 'club', club },
            ...teams.map(({ id }): Schemas['Whose'] => ({ kind: 'team', team: id })),
          ]}
          names={{ [club]: name, ...namesOf(teams) }}
        />
      </Box>
      {changed && <SlotsDialog team={changed} onClose={() => setChanged(null)} />}
    </Box>
  )
}

const namesOf = (teams: Schemas['TeamTimes'][]): Record<string, string> =>
  Object.fromEntries(teams.map(({ id, name }) => [id, name]))

interface WeekProps {
  teams: Schemas['TeamTimes'][]
  places: Schemas['PlaceView'][]
  onChange: (team: string) => void
}

/** Teams down, the days on which any of them meets across. */
function Week({ teams, places, onChange }: WeekProps) {
  const days = [1, 2, 3, 4, 5, 6, 7].filter((day) =>
    teams.some((team) => team.slots.some((slot) => slot.weekday === day)),
  )
  const placeName = (id: string | null | undefined) => places.find((each) => each.id === id)?.place.name
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Table size="small" aria-label={t('times-week')}>
        <TableHead>
          <TableRow>
            <TableCell>{t('clubs-teams')}</TableCell>
            {days.map((day) => (
              <TableCell key={day}>{asWeekday(day)}</TableCell>
            ))}
            <TableCell />
          </TableRow>
        </TableHead>
        <TableBody>
          {teams.map((team) => (
            <TableRow key={team.id}>
              <TableCell sx={{ fontWeight: 600 }}>{team.name}</TableCell>
              {days.map((day) => {
                const slot = team.slots.find((each) => each.weekday === day)
                return (
                  <TableCell key={day}>
                    {slot && (
                      <>
                        {slot.from}, {t('minutes', { n: slot.minutes })}
                        <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
                          {placeName(slot.place) ?? t('times-no-place')}
                        </Typography>
                      </>
                    )}
                  </TableCell>
                )
              })}
              <TableCell align="right">
                {team.slots.length === 0 && (
                  <Typography component="span" variant="body2" color="text.secondary" sx={{ mr: 1 }}>
                    {t('times-none')}
                  </Typography>
                )}
                <Button
                  size="small"
                  variant="text"
                  aria-label={t('clubs-change-named', { club: team.name })}
                  onClick={() => onChange(team.id)}
                >
                  {t('clubs-change')}
                </Button>
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  )
}
