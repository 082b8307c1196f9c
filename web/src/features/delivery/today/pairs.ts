// Wishes about pairs at the stations. Who has come is known in the hall alone, where no server can be asked: so this
// one piece of arithmetic stands here and not in the core.
import type { Schemas } from '../../../api/client'

export type Pair = Schemas['PairWish']

/** Whether a wish does not hold; one of whom somebody is missing asks for nothing. */
export function isBroken({ one, other, together }: Pair, stations: string[][]): boolean {
  const [a, b] = [one, other].map((id) => stations.findIndex((station) => station.includes(id)))
  return a !== -1 && b !== -1 && (a === b) !== together
}

const broken = (pairs: Pair[], stations: string[][]) =>
  pairs.filter((pair) => isBroken(pair, stations)).length

/** Two players, each with their station and place. */
type Exchange = [[station: number, place: number], [station: number, place: number]]

function exchanged(stations: string[][], [[s, p], [t, q]]: Exchange): string[][] {
  const next = stations.map((station) => [...station])
  const [one, other] = [stations[s]?.[p], stations[t]?.[q]]
  if (one !== undefined && other !== undefined) {
    next[s]?.splice(p, 1, other)
    next[t]?.splice(q, 1, one)
  }
  return next
}

/**
 * The stations with the wishes kept, as far as they can be: two players change places as long as that keeps more of
 * them. Of exchanges that keep as many, the one between the nearest stations is made, so that the split stays as it was
 * meant.
 */
export function withWishes(stations: string[][], pairs: Pair[]): string[][] {
  const places = stations.flatMap((station, s) => station.map((_, p): [number, number] => [s, p]))
  const exchanges: Exchange[] = places.flatMap((one) =>
    places.filter(([t]) => t > one[0]).map((other): Exchange => [one, other]),
  )
  exchanges.sort(([[a], [b]], [[c], [d]]) => b - a - (d - c))
  let [now, left] = [stations, broken(pairs, stations)]
  while (left > 0) {
    const all = exchanges.map((exchange) => exchanged(now, exchange))
    const counts = all.map((split) => broken(pairs, split))
    const fewest = Math.min(...counts)
    if (fewest >= left) break
    now = all[counts.indexOf(fewest)] ?? now
    left = fewest
  }
  return now
}
