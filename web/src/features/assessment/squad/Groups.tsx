// Groups for next week, each player with the reason.
import Box from '@mui/material/Box'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { stillMissing } from '../../../texts/said'
import { t } from '../../../texts/t'
import { asDay, asPercent, Figure } from '../../../ui/figures'

const GROUPS: Schemas['Group'][] = ['move_on', 'other_foot', 'consolidate']

function reasonOf(board: Schemas['Board'], reason: Schemas['Reason']): string {
  const short = (id: string) => board.milestones.find((m) => m.id === id)?.short ?? id
  if (reason.kind === 'away') {
    const name = (id: string) => board.milestones.find(({ skill }) => skill === id)?.skill_name ?? id
    return t('board-away', { skills: reason.skills.map(name).join(', ') })
  }
  if (reason.kind === 'nothing_seen') return t('board-nothing-seen')
  if (reason.kind === 'missing') return stillMissing(reason.milestones.map(short))
  if (reason.kind === 'all_met') return t('board-all-met', { n: reason.milestones.length })
  return t('board-behind', {
    test: board.tests.find((t) => t.id === reason.test)?.short ?? reason.test,
    percent: asPercent(reason.deficit),
  })
}

export function Groups({
  board,
  toPlayer,
}: {
  board: Schemas['Board']
  toPlayer: (player: string) => string
}) {
  const { floor } = useTheme()
  return (
    <Box>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {board.next_week
          ? `${board.next_week.curriculum}: ${t('board-next-week', { week: board.next_week.week, from: asDay(board.next_week.from) })}`
          : t('board-no-week')}
      </Typography>
      {GROUPS.map((group) => {
        const players = board.players.filter((player) => player.group === group)
        return (
          <Box key={group} component="section" aria-label={t(`board-group-${group}`)} sx={{ mb: 2 }}>
            <Box
              sx={{ display: 'flex', alignItems: 'baseline', gap: 1, borderBottom: `2px solid ${floor.ink}` }}
            >
              <Typography variant="h2" sx={{ flex: 1 }}>
                {t(`board-group-${group}`)}
              </Typography>
              <Figure sx={{ fontSize: '1.5rem', fontWeight: 600 }}>{players.length}</Figure>
            </Box>
            <Typography variant="body2" color="text.secondary">
              {t(`board-group-means-${group}`)}
            </Typography>
            {players.map((player) => (
              <Box
                key={player.id}
                sx={{
                  display: 'flex',
                  alignItems: 'baseline',
                  gap: 1,
                  borderTop: `1px solid ${floor.hair}`,
                  py: 0.5,
                }}
              >
                <MuiLink
                  component={Link}
                  to={toPlayer(player.id)}
                  color="inherit"
                  sx={{ width: 118, flex: 'none', lineHeight: 1.2 }}
                >
                  {player.name}
                </MuiLink>
                <Typography variant="body2">{reasonOf(board, player.reason)}</Typography>
              </Box>
            ))}
            {players.length === 0 && <Typography variant="body2">{t('board-nobody')}</Typography>}
          </Box>
        )
      })}
    </Box>
  )
}
