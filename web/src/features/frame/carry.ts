// What a coach's phone carries, so that a session needs no network: the next sessions, the squad and all test sheets.

import { hashKey, type QueryClient, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import type { Schemas } from '../../api/client'
import { dayNow } from '../../api/day'
import { keepReadNow } from '../../storage/device'
import { readingBack, type Waiting } from '../../storage/outbox'
import { assessmentKeys } from '../assessment/keys'
import { boardOf, squadOf } from '../assessment/squad/queries'
import { sheetOf } from '../assessment/test/queries'
import { deliveryKeys } from '../delivery/keys'
import { sessionOf, sessionsOf } from '../delivery/today/queries'

/** A question of any kind, where only its asking matters. */
type Asked = ReturnType<typeof sessionOf>
const asked = (query: { queryKey: readonly unknown[] }) => query as unknown as Asked

const AHEAD = 4
const FRESH = { staleTime: 600_000 }

/** Reads everything that is not there yet; whether all of it is there now. */
async function carry(queries: QueryClient, team: string): Promise<boolean> {
  const ahead = (query: { queryKey: readonly unknown[] }) =>
    queries.query({ ...asked(query), ...FRESH }).catch(() => undefined)
  await Promise.all([ahead(sessionsOf(team)), ahead(squadOf(team))])
  const sessions = queries.getQueryState(sessionsOf(team).queryKey)
  const squad = queries.getQueryData(squadOf(team).queryKey)
  if (!sessions?.data || !squad) return false
  const today = dayNow(sessions.data.today, sessions.dataUpdatedAt)
  const next = sessions.data.sessions.filter((session) => session.date >= today).slice(0, AHEAD)
  const wanted = [
    ...next.map(({ edition, session }) => sessionOf(team, edition, session)),
    asked(boardOf(team)),
    ...squad.tests.map((test) => asked(sheetOf(team, test.id))),
  ]
  for (const each of wanted) await ahead(each)
  return wanted.every((each) => queries.getQueryData(each.queryKey) !== undefined)
}

/** Carries what the teams need, and says whether a session could be run without network now. */
export function useCarried(teams: Schemas['TeamView'][]): boolean {
  const queries = useQueryClient()
  const [there, setThere] = useState(false)
  useEffect(() => {
    const all = async () => {
      const carried = await Promise.all(teams.map((team) => carry(queries, team.id)))
      const shell = 'serviceWorker' in navigator && (await navigator.serviceWorker.ready).active !== null
      setThere(shell && carried.every(Boolean))
    }
    const again = () => void all()
    again()
    window.addEventListener('online', again)
    return () => window.removeEventListener('online', again)
  }, [queries, teams])
  return there
}

/** What an entry shows in. */
function shownIn({ kind, team, entry }: Waiting, queries: QueryClient): { queryKey: readonly unknown[] }[] {
  if (kind === 'outcome') return [sessionOf(team, entry.edition, entry.session), sessionsOf(team)]
  if (kind === 'word') return [boardOf(team)]
  const shown = queries.getQueriesData<Schemas['TeamSession']>({
    queryKey: deliveryKeys.sessionsRead(team),
  })
  const reread = ([key]: (typeof shown)[number]) => sessionOf(team, String(key[3]), Number(key[4]))
  if (kind === 'trial' || kind === 'taken_back') {
    const sheets = queries.getQueriesData<Schemas['Sheet']>({
      queryKey: kind === 'trial' ? assessmentKeys.sheetsOf(team, entry.test) : assessmentKeys.sheets(team),
    })
    const read = sheets.flatMap(([key, sheet]) =>
      sheet ? [sheetOf(team, sheet.test.id, typeof key[4] === 'string' ? key[4] : null)] : [],
    )
    // A look changes whom to look at next.
    const looking = shown.filter(([, session]) => session?.running_order.looks.length)
    return [...read, ...looking.map(reread), squadOf(team), boardOf(team), sessionsOf(team)]
  }
  // It shows in the session after which it was decided, and in the one that it changes.
  if (kind === 'next_time') return [...shown.map(reread), sessionsOf(team)]
  if (kind === 'voice') return shown.map(reread)
  const ofDay = shown.filter(([, read]) => read?.running_order.date === entry.day)
  return ofDay.map(reread)
}

/** Reads back what was sent, whether it is on the screen or not. */
export function useReadingBack() {
  const queries = useQueryClient()
  useEffect(() => {
    readingBack(async (sent) => {
      const shown = new Map(
        sent.flatMap((entry) => shownIn(entry, queries)).map((each) => [hashKey(each.queryKey), each]),
      )
      const all = [...shown.values()].map(asked)
      // An answer that is on its way may be from before.
      await Promise.all(all.map(({ queryKey }) => queries.cancelQueries({ queryKey, exact: true })))
      await Promise.all(all.map((each) => queries.query({ ...each, staleTime: 0 })))
      // What was sent is let go only once what was read back is on the disk.
      await keepReadNow()
    })
  }, [queries])
}
