// A player of the coach's own squad.
import { useTeam } from '../../frame/team'
import { ProgressPage } from './ProgressPage'

export const PlayerPage = () => <ProgressPage team={useTeam().id} toSquad="/squad" />
