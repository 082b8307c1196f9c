// The squad board of any team, for those who look at it without coaching it.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useParams, useSearchParams } from 'react-router'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { Handover } from './Handover'
import { LeftPlayers } from './LeftPlayers'
import { ProgressPage } from './ProgressPage'
import { useBoard } from './queries'
import { SquadBoard } from './SquadBoard'

const VIEWS = ['board', 'groups', 'handover'] as const

export function SquadOfTeam() {
  const { team = '' } = useParams()
  const [address, setAddress] = useSearchParams()
  const view = VIEWS.find((each) => each === address.get('view')) ?? 'board'
  const name = useBoard(team).data?.team
  return (
    <Box sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', gap: 2, mb: 1.5 }}>
        <Typography variant="h1">{name ?? t('places-squad')}</Typography>
        <Box className="no-print">
          <Choice
            label={t('board-view')}
            options={VIEWS}
            chosen={[view]}
            says={(each) => t(`board-views-${each}`)}
            onToggle={(each) => setAddress({ view: each }, { replace: true })}
          />
        </Box>
      </Box>
      {view === 'handover' ? (
        <Handover team={team} />
      ) : (
        <SquadBoard
          team={team}
          view={view}
          coaching={false}
          toPlayer={(player) => `/squads/${team}/${player}`}
        />
      )}
      <LeftPlayers team={team} />
    </Box>
  )
}

export function PlayerOfTeam() {
  const { team = '' } = useParams()
  return <ProgressPage team={team} toSquad={`/squads/${team}`} />
}
