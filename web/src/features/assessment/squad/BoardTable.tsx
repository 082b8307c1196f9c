// Players and milestones: a ring for each, what comes next week first.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { yesNo } from '../../../texts/said'
import { t } from '../../../texts/t'
import { FeetBars } from '../../../ui/feet'
import { asDay, asPercent } from '../../../ui/figures'
import { MilestoneHead } from '../../../ui/milestones'
import { ROW_NAME } from '../../../ui/placing'
import { Ring } from '../../../ui/rings'
import { Spoken } from '../../../ui/Spoken'

export interface Chosen {
  player: Schemas['BoardPlayer']
  milestone: Schemas['MilestoneView']
}

interface Props {
  board: Schemas['Board']
  players: Schemas['BoardPlayer'][]
  onChoose?: (chosen: Chosen) => void
  /** Where a player's name leads. */
  toPlayer: (player: string) => string
}

/** Milestones in the order of their columns: those of next week, what else this term promises, then the others. */
const columnsOf = (board: Schemas['Board']) => [
  ...board.milestones.filter((m) => m.next),
  ...board.milestones.filter((m) => !m.next && m.promised),
  ...board.milestones.filter((m) => !m.next && !m.promised),
]

export function BoardTable({ board, players, onChoose, toPlayer }: Props) {
  const { floor } = useTheme()
  const columns = columnsOf(board)
  const later = columns.findIndex((m) => !m.next)
  const edge = (i: number) => (i === later && later > 0 ? `2px solid ${floor.ink}` : undefined)
  return (
    <Box role="region" tabIndex={0} aria-label={t('board-scrolls')} sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        aria-label={t('board-milestones')}
        sx={{
          borderCollapse: 'collapse',
          '& td, & th': { p: 0 },
          '& tbody tr': { borderTop: `1px solid ${floor.hair}` },
        }}
      >
        <thead>
          <tr>
            <Box
              component="th"
              scope="col"
              sx={{ ...ROW_NAME, pr: 1, verticalAlign: 'bottom', minWidth: { xs: 118, md: 150 } }}
            >
              <Typography variant="caption" color="text.secondary">
                {board.next_week
                  ? t('board-next-week', { week: board.next_week.week, from: asDay(board.next_week.from) })
                  : t('board-player')}
              </Typography>
            </Box>
            {columns.map((m, i) => (
              <Box
                key={m.id}
                component="th"
                scope="col"
                title={m.says}
                sx={{
                  verticalAlign: 'bottom',
                  fontWeight: m.next ? 650 : 400,
                  borderLeft: edge(i),
                  minWidth: 38,
                }}
              >
                <MilestoneHead short={m.short} stage={m.stage} strand={m.strand} />
              </Box>
            ))}
            <Box
              component="th"
              scope="col"
              sx={{
                verticalAlign: 'bottom',
                fontWeight: 400,
                fontSize: '0.86rem',
                pl: 1,
                whiteSpace: 'nowrap',
              }}
            >
              {t('board-other-foot')}
            </Box>
          </tr>
        </thead>
        <tbody>
          {players.map((player) => (
            <PlayerRow
              key={player.id}
              {...{ board, columns, player, edge, onChoose }}
              to={toPlayer(player.id)}
            />
          ))}
        </tbody>
      </Box>
    </Box>
  )
}

interface RowProps extends Pick<Props, 'board' | 'onChoose'> {
  columns: Schemas['MilestoneView'][]
  player: Schemas['BoardPlayer']
  /** The line before a column. */
  edge: (column: number) => string | undefined
  to: string
}

function PlayerRow({ board, columns, player, edge, to, onChoose }: RowProps) {
  return (
    <tr>
      <Box component="th" scope="row" sx={{ ...ROW_NAME, pr: 1, py: 0.25 }}>
        <MuiLink
          component={Link}
          to={to}
          color="inherit"
          sx={{
            display: 'flex',
            flexDirection: 'column',
            justifyContent: 'center',
            minHeight: 44,
            lineHeight: 1.15,
          }}
        >
          {player.name}
        </MuiLink>
      </Box>
      {columns.map((m, i) => (
        <Box key={m.id} component="td" sx={{ textAlign: 'center', borderLeft: edge(i) }}>
          <Cell player={player} milestone={m} onChoose={onChoose} />
        </Box>
      ))}
      <Box component="td" sx={{ pl: 1 }}>
        <Feet board={board} player={player} />
      </Box>
    </tr>
  )
}

function Cell({ player, milestone, onChoose }: Chosen & Pick<Props, 'onChoose'>) {
  const standing = player.standings.find((s) => s.milestone === milestone.id)
  const state = standing?.state ?? 'not_seen'
  const says = t('board-cell', {
    player: player.name,
    milestone: milestone.short,
    state: t(`board-state-${state}`),
  })
  const ring = <Ring state={state} overridden={standing?.overridden != null} label={says} />
  if (!onChoose) return ring
  return (
    <ButtonBase onClick={() => onChoose({ player, milestone })} sx={{ width: 38, minHeight: 44 }}>
      <Spoken as={says}>{ring}</Spoken>
    </ButtonBase>
  )
}

function Feet({ board, player }: { board: Schemas['Board']; player: Schemas['BoardPlayer'] }) {
  const { foot } = player
  if (!foot) return null
  const test = board.tests.find((t) => t.id === foot.test)?.short ?? foot.test
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
      <FeetBars
        feet={foot}
        label={t('board-feet', { test, percent: asPercent(foot.deficit), called: yesNo(foot.called) })}
      />
      <Typography variant="caption" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
        {test}
      </Typography>
    </Box>
  )
}
