import { useOutletContext } from 'react-router'
import type { Schemas } from '../../api/client'

/** The team that the coach looks at. */
export const useTeam = () => useOutletContext<Schemas['TeamView']>()
