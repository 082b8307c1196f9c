// A player of the coach's own squad.
import { useTeam } from '../../frame/team'
import { PassportPage } from './PassportPage'

export const PlayerPage = () => <PassportPage team={useTeam().id} coaching toSquad="/squad" />
