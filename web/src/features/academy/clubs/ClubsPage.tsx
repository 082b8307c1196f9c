// Clubs and people: who coaches which team, and who is invited.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asDay, Figure } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { PANEL } from '../../../ui/placing'
import { useBands } from '../../drill/queries'
import { useSession } from '../../people/session'
import { InviteDialog } from './InviteDialog'
import { PeopleList } from './PeopleList'
import { useChange, useClubs, useInvitations, usePeople } from './queries'
import { ClubForm, TeamForm } from './TeamForm'

/** What stands beside the clubs while none of them is chosen. */
const BESIDE = ['invited', 'people'] as const

export function ClubsPage({ editable }: { editable: boolean }) {
  const [address, setAddress] = useSearchParams()
  const [inviting, setInviting] = useState(false)
  const clubs = useClubs()
  const people = usePeople(editable).data ?? []
  const bands = useBands().data ?? []
  if (clubs.isError) return <ErrorNote error={clubs.error} />
  if (!clubs.data) return <Loading />
  const all = clubs.data
  const beside = BESIDE.find((each) => each === address.get('beside')) ?? 'invited'
  const chosen = { team: address.get('team'), club: address.get('club') }
  const team = all.flatMap((club) => club.teams).find((each) => each.id === chosen.team)
  const club = all.find((each) => each.id === chosen.club)
  const bandName = (id: string) => bands.find((each) => each.band.id === id)?.band.name ?? id
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: editable ? 'minmax(0, 1fr) 340px' : '1fr' },
      }}
    >
      <Box sx={{ p: 2, minWidth: 0 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 1 }}>
          <Typography variant="h1" sx={{ flex: 1 }}>
            {t('clubs-title')}
          </Typography>
          {editable && (
            <>
              <Button component={Link} to="/clubs/list" variant="text">
                {t('clubs-from-list')}
              </Button>
              <Button onClick={() => setAddress({ club: 'new' })}>{t('clubs-add-club')}</Button>
              <Button variant="contained" onClick={() => setInviting(true)}>
                {t('clubs-invite')}
              </Button>
            </>
          )}
        </Box>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(min(420px, 100%), 1fr))',
            columnGap: 4,
            rowGap: 2.5,
          }}
        >
          {all.map((each) => (
            <ClubTeams
              key={each.id}
              club={each}
              chosen={chosen.team}
              bandName={bandName}
              editable={editable}
              onTeam={(id) => setAddress({ team: id })}
              onClub={() => setAddress({ club: each.id })}
            />
          ))}
        </Box>
      </Box>
      {editable && (
        <Box component="aside" aria-label={t('clubs-beside')} sx={PANEL}>
          {team ? (
            <TeamForm key={team.id} team={team} people={people} onDone={() => setAddress({})} />
          ) : (club ?? (chosen.club === 'new' || undefined)) ? (
            <ClubForm
              key={chosen.club}
              club={club}
              people={people}
              bands={bands.map((each) => each.band)}
              onDone={() => setAddress({})}
            />
          ) : (
            <>
              <Choice
                label={t('clubs-people-or-invited')}
                options={BESIDE}
                chosen={[beside]}
                says={(each) => (each === 'people' ? t('people-title') : t('clubs-invited'))}
                onToggle={(each) => setAddress({ beside: each })}
              />
              {beside === 'people' ? <PeopleList people={people} /> : <Invitations />}
            </>
          )}
        </Box>
      )}
      {inviting && <InviteDialog clubs={all} onClose={() => setInviting(false)} />}
    </Box>
  )
}

/** Where a club leads: when and where its teams train, and its week on paper. */
function Leading({ club, today }: { club: Schemas['ClubView']; today: string | undefined }) {
  return (
    <>
      <Button
        component={Link}
        to={`/clubs/${club.id}/times`}
        size="small"
        variant="text"
        aria-label={t('times-of', { club: club.name })}
      >
        {t('times-title')}
      </Button>
      {today && (
        <Button
          component={Link}
          to={`/print/week/${club.id}/${today}`}
          size="small"
          variant="text"
          aria-label={`${t('print-week-of')}: ${club.name}`}
        >
          {t('print-week-of')}
        </Button>
      )}
    </>
  )
}

interface ClubProps {
  club: Schemas['ClubView']
  chosen: string | null
  bandName: (id: string) => string
  editable: boolean
  onTeam: (id: string) => void
  onClub: () => void
}

function ClubTeams({ club, chosen, bandName, editable, onTeam, onClub }: ClubProps) {
  const today = useSession().data?.today
  const { floor } = useTheme()
  return (
    <Box component="section" aria-label={club.name}>
      <Box
        sx={{
          display: 'flex',
          alignItems: 'baseline',
          gap: 1,
          flexWrap: 'wrap',
          borderBottom: `1px solid ${floor.ink}`,
          pb: 0.25,
        }}
      >
        <Typography variant="h2" sx={{ flex: 1 }}>
          {club.name}
        </Typography>
        <Leading club={club} today={today} />
        {editable && (
          <Button
            size="small"
            variant="text"
            onClick={onClub}
            aria-label={t('clubs-change-named', { club: club.name })}
          >
            {t('clubs-change')}
          </Button>
        )}
        {club.leads.length > 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ width: '100%' }}>
            {t('clubs-led-by', { names: club.leads.map((lead) => lead.name).join(', ') })}
          </Typography>
        )}
      </Box>
      {club.teams.map((team) => (
        <Box
          key={team.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            borderBottom: `1px solid ${floor.hair}`,
            bgcolor: team.id === chosen ? 'background.paper' : undefined,
          }}
        >
          <ButtonBase
            disabled={!editable}
            aria-pressed={team.id === chosen}
            onClick={() => onTeam(team.id)}
            sx={{
              flex: 1,
              font: 'inherit',
              textAlign: 'left',
              justifyContent: 'flex-start',
              gap: 1,
              minHeight: 40,
              px: 0.5,
            }}
          >
            <Box component="span" sx={{ flex: 1.4, whiteSpace: { md: 'nowrap' } }}>
              {team.name}
              <Typography component="span" variant="caption" color="text.secondary" sx={{ display: 'block' }}>
                {bandName(team.band)}
              </Typography>
            </Box>
            <Box component="span" sx={{ flex: 1, color: team.coaches.length > 0 ? undefined : 'error.main' }}>
              {team.coaches.map((coach) => coach.name).join(', ') || t('clubs-no-coach')}
            </Box>
            <Figure sx={{ fontSize: '1.1rem', width: 68, textAlign: 'right' }}>
              {t('clubs-players', { n: team.players })}
            </Figure>
          </ButtonBase>
          <Button
            component={Link}
            to={`/squads/${team.id}`}
            size="small"
            variant="text"
            aria-label={t('board-open-of', { team: team.name })}
            sx={{ minWidth: 0 }}
          >
            {t('places-squad')}
          </Button>
        </Box>
      ))}
      {club.teams.length === 0 && <Typography color="text.secondary">{t('clubs-no-teams')}</Typography>}
    </Box>
  )
}

function Invitations() {
  const open = useInvitations(true)
  const change = useChange()
  if (open.isError) return <ErrorNote error={open.error} />
  if (!open.data) return <Loading />
  return (
    <>
      <Typography variant="h2">{t('clubs-invited')}</Typography>
      {open.data.length === 0 && <Typography color="text.secondary">{t('clubs-nobody-invited')}</Typography>}
      {change.isError && <ErrorNote error={change.error} />}
      {open.data.map((each) => (
        <Box
          key={each.id}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            py: 0.75,
            borderBottom: 1,
            borderColor: 'divider',
          }}
        >
          <Box sx={{ flex: 1 }}>
            <Typography>{each.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {t(`role-${each.role}`)}, {t('clubs-until', { day: asDay(each.until.slice(0, 10)) })}
            </Typography>
          </Box>
          <Button
            size="small"
            variant="text"
            disabled={change.isPending}
            onClick={() => change.mutate({ withdraw: each.id })}
          >
            {t('clubs-withdraw')}
          </Button>
        </Box>
      ))}
    </>
  )
}
