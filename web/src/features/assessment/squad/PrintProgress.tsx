// Progress sheets on paper: one sheet for each player of a squad, or for one of them.
import Box from '@mui/material/Box'
import { useParams, useSearchParams } from 'react-router'
import { t } from '../../../texts/t'
import { ErrorNote, Loading } from '../../../ui/notes'
import { Sheets } from '../../../ui/Sheets'
import { ProgressOnPaper } from './ProgressSheet'
import { useProgress, useSquad } from './queries'

/** Everything that is known of a player stands on one sheet. */
const SMALL = { zoom: 0.7, width: '271mm', minHeight: 0 } as const

export function PrintProgress() {
  const { team = '' } = useParams()
  const only = useSearchParams()[0].get('player')
  const squad = useSquad(team)
  if (squad.isError && !squad.data) return <ErrorNote error={squad.error} />
  if (!squad.data) return <Loading />
  const players = squad.data.players.filter((player) => only === null || player.id === only)
  return (
    <Sheets title={t('board-progress-sheet')}>
      {players.map((player) => (
        <Box
          key={player.id}
          component="article"
          aria-label={player.name}
          sx={{
            bgcolor: 'background.paper',
            width: '190mm',
            minHeight: '120mm',
            p: '8mm',
            border: 1,
            borderColor: 'divider',
            '@media print': { border: 0, p: 0, breakAfter: 'page', ...SMALL },
          }}
        >
          <OneSheet team={team} player={player.id} />
        </Box>
      ))}
    </Sheets>
  )
}

function OneSheet({ team, player }: { team: string; player: string }) {
  const progress = useProgress(team, player)
  if (progress.isError && !progress.data) return <ErrorNote error={progress.error} />
  return progress.data ? <ProgressOnPaper progress={progress.data} onPaper /> : <Loading />
}
