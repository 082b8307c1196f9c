// A trial on its way to the server: entered, in place of an earlier one, or taken back.
import { newId, type Schemas } from '../../../api/client'
import { type Outgoing, put } from '../../../storage/outbox'

type Trial = Omit<Schemas['TrialSaid'], 'id' | 'said_at'>

const back = (team: string, trial: string, said_at: string): Outgoing => ({
  kind: 'taken_back',
  team,
  entry: { trial, said_at },
})

/** Enters a trial, instead of the one with this id; answers with its own. */
export function enterTrial(team: string, trial: Trial, instead?: string): string {
  const said_at = new Date().toISOString()
  const entry = { id: newId(), ...trial, said_at }
  put(...(instead ? [back(team, instead, said_at)] : []), { kind: 'trial', team, entry })
  return entry.id
}

export const takeTrialBack = (team: string, trial: string) => put(back(team, trial, new Date().toISOString()))
