// What a season change does in one club: how large its teams become, and who goes where.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'
import { asNumber } from '../../ui/figures'

type Team = Schemas['TeamChange']

interface Props {
  club: Schemas['ClubChange']
  /** Whether it stands open from the beginning. */
  open: boolean
  /** A team, `null` for whoever leaves, nothing for what is proposed. */
  onSay: (player: string, team: string | null | undefined) => void
}

export function ChangeClub({ club, open, onSay }: Props) {
  const [isOpen, setOpen] = useState(open)
  const n = club.teams.flatMap(({ moves }) => moves).length
  return (
    <Box
      component="details"
      open={isOpen}
      onToggle={(event) => setOpen(event.currentTarget.open)}
      sx={{ borderTop: 1, borderColor: 'divider', py: 1 }}
    >
      <Box component="summary" sx={{ cursor: 'pointer', py: 0.5 }}>
        <Typography variant="h2" component="span">
          {club.name}
        </Typography>{' '}
        <Typography component="span" color="text.secondary">
          {t('new-season-of-club', { n })}
        </Typography>
      </Box>
      {isOpen && (
        <Box sx={{ display: 'grid', gap: 1.5, mt: 0.5 }}>
          {club.teams.map((team) => (
            <TeamBlock key={team.id ?? team.name} team={team} teams={club.teams} onSay={onSay} />
          ))}
        </Box>
      )}
    </Box>
  )
}

interface TeamProps {
  team: Team
  teams: Team[]
  onSay: Props['onSay']
}

interface ChildProps extends TeamProps {
  child: Schemas['ChildMove']
}

function TeamBlock({ team, teams, onSay }: TeamProps) {
  return (
    <Box component="section" aria-label={team.name}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography sx={{ fontWeight: 650 }}>{team.name}</Typography>
        <Typography variant="body2">
          {team.id
            ? t('new-season-size', { before: team.before, after: team.after })
            : t('new-season-size-new', { after: team.after })}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {team.band}
          {team.coaches.length > 0 && `, ${team.coaches.join(', ')}`}
        </Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', lg: '1fr 1fr' },
          columnGap: 3,
          maxWidth: 900,
        }}
      >
        {team.moves.map((child) => (
          <ChildRow key={child.player} child={child} team={team} teams={teams} onSay={onSay} />
        ))}
      </Box>
    </Box>
  )
}

const PROPOSED = ''
const LEAVES = 'leaves'

function ChildRow({ child, team: own, teams, onSay }: ChildProps) {
  const there = teams.filter(
    (team): team is Team & { id: string } => team.id !== null && team.id !== undefined,
  )
  const chosen = !child.said ? PROPOSED : child.goes.kind === 'team' ? child.goes.team : LEAVES
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) 220px',
        gap: 1,
        alignItems: 'center',
        py: 0.25,
      }}
    >
      <Box sx={{ overflowWrap: 'anywhere', fontWeight: child.said ? 650 : undefined }}>
        {child.name}{' '}
        <Typography component="span" variant="body2" color="text.secondary">
          {t('new-season-age', { age: asNumber(child.age) })}
        </Typography>
      </Box>
      <SelectCell
        aria-label={t('new-season-goes', { name: child.name })}
        value={chosen}
        none={child.said ? t('new-season-as-proposed') : (child.to ?? t('new-season-leaves'))}
        options={[
          ...there.map(({ id, name }) => ({
            value: id,
            says: id === own.id ? t('new-season-stays-in', { team: name }) : name,
          })),
          { value: LEAVES, says: t('new-season-leaves') },
        ]}
        onChange={(to) => onSay(child.player, to === PROPOSED ? undefined : to === LEAVES ? null : to)}
      />
    </Box>
  )
}
