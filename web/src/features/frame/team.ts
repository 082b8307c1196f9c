import { useOutletContext } from 'react-router'
import type { Schemas } from '../../api/client'

type Team = Schemas['TeamView']

/** The team that the coach looks at. */
export const useTeam = () => useOutletContext<Team>()

/** For how many minutes before it begins a team is meant by whoever opens the phone. */
const BEFORE = 45

/**
 * The team that meets now or soon by the clock of the device; of two the one that begins last, since the other's
 * session is nearly over. What a device of an earlier version holds has no times.
 */
export function meetingNow(teams: (Omit<Team, 'meets'> & Partial<Pick<Team, 'meets'>>)[], now: Date) {
  const minute = now.getHours() * 60 + now.getMinutes()
  const weekday = now.getDay() || 7
  const begins = (team: (typeof teams)[number]) => {
    const slot = team.meets?.find((each) => each.weekday === weekday)
    const [from, to] = [slot?.from, slot?.to].map(minutesOf)
    return from != null && to != null && from - BEFORE <= minute && minute < to ? from : undefined
  }
  const meeting = teams.flatMap((team) => {
    const from = begins(team)
    return from === undefined ? [] : [{ team: team as Team, from }]
  })
  return meeting.sort((one, other) => other.from - one.from)[0]?.team
}

const minutesOf = (time: string | undefined) =>
  time === undefined ? undefined : Number(time.slice(0, 2)) * 60 + Number(time.slice(3, 5))
