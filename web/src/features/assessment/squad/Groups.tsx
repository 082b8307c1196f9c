// Groups for next week, each player with the reason.
import Box from '@mui/material/Box'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { texts } from '../../../texts/en'
import { asDay, asPercent, Figure } from '../../../ui/figures'

const GROUPS: Schemas['Group'][] = ['move_on', 'other_foot', 'consolidate']

function reasonOf(board: Schemas['Board'], reason: Schemas['Reason']): string {
  const short = (id: string) => board.milestones.find((m) => m.id === id)?.short ?? id
  if (reason.kind === 'nothing_seen') return texts.board.nothingSeen
  if (reason.kind === 'missing') return texts.board.missing(reason.milestones.map(short))
  if (reason.kind === 'all_met') return texts.board.allMet(reason.milestones.length)
  return texts.board.behind(
    board.tests.find((t) => t.id === reason.test)?.short ?? reason.test,
    asPercent(reason.deficit),
  )
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
          ? `${board.next_week.curriculum}: ${texts.board.nextWeek(board.next_week.week, asDay(board.next_week.from))}`
          : texts.board.noWeek}
      </Typography>
      {GROUPS.map((group) => {
        const players = board.players.filter((player) => player.group === group)
        return (
          <Box key={group} component="section" aria-label={texts.board.group[group]} sx={{ mb: 2 }}>
            <Box
              sx={{ display: 'flex', alignItems: 'baseline', gap: 1, borderBottom: `2px solid ${floor.ink}` }}
            >
              <Typography variant="h2" sx={{ flex: 1 }}>
                {texts.board.group[group]}
              </Typography>
              <Figure sx={{ fontSize: '1.5rem', fontWeight: 600 }}>{players.length}</Figure>
            </Box>
            <Typography variant="body2" color="text.secondary">
              {texts.board.groupMeans[group]}
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
            {players.length === 0 && <Typography variant="body2">{texts.board.nobody}</Typography>}
          </Box>
        )
      })}
    </Box>
  )
}
