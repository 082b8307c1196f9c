// Who stands at which station: an order that the core made, cut for those who are here, with the wishes about pairs
// kept; two names change places, are kept apart or stay together by a tap on each.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import IconButton from '@mui/material/IconButton'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { RunningBlock, Schemas } from '../../../api/client'
import { split as remembered, useRemembered } from '../../../storage/remembered'
import { yesNo } from '../../../texts/said'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { ErrorNote } from '../../../ui/notes'
import { isBroken, type Pair, withWishes } from './pairs'
import { usePairs } from './queries'

const MIXES = ['mixed', 'like_with_like'] as const
/** Those who start one down come first, and so stand together. */
const DOWN = 'one_down' as const

interface Props {
  block: RunningBlock
  splits: Schemas['Splits']
  players: Schemas['PlayerView'][]
  /** Who is missing; undefined if nobody has said who is here. */
  missing: Set<string> | null
  /** Who starts one down. */
  notMet: string[]
  /** Where the split is kept. */
  name: string
  team: string
}

/** What two taps on two names do. */
const TAPS = ['swap', 'apart', 'together'] as const

const sameTwo = (pair: Pair, one: string, other: string) =>
  (pair.one === one && pair.other === other) || (pair.one === other && pair.other === one)

/** Two players change places, if both are here. */
function swapped(stations: string[][], [one, other]: [string, string]): string[][] {
  const here = stations.flat()
  if (!here.includes(one) || !here.includes(other)) return stations
  return stations.map((station) => station.map((id) => (id === one ? other : id === other ? one : id)))
}

/** Whether a block has stations that a squad is split into. */
export const isSplit = (block: RunningBlock) =>
  !block.beside && block.station_sizes.length > 1 && block.station_sizes.some((size) => size > 1)

type Split = ReturnType<typeof remembered.read>

/** The orders that a squad may be split by: another for every time it is drawn again. */
const rollsOf = (block: RunningBlock, splits: Schemas['Splits'], mix: Split['mix']) =>
  (mix !== 'like_with_like'
    ? splits.mixed[String(Math.max(...block.station_sizes))]
    : splits.like_with_like) ?? []

/** Those who are here, cut into stations. What the coach swaps by hand comes last, and holds against a wish too. */
function stationsOf(
  block: RunningBlock,
  rolls: string[][],
  split: Split,
  missing: Set<string> | null,
  { pairs, notMet }: { pairs: Pair[]; notMet: string[] },
): string[][] {
  const all = (rolls[split.roll % Math.max(rolls.length, 1)] ?? []).filter((id) => !missing?.has(id))
  const down = split.mix === DOWN ? all.filter((id) => notMet.includes(id)) : []
  const here = [...down, ...all.filter((id) => !down.includes(id))]
  const sizes = block.stations_by_present[here.length - 1] ?? []
  const cut = sizes.map((size, i) => {
    const from = sizes.slice(0, i).reduce((sum, n) => sum + n, 0)
    return here.slice(from, from + size)
  })
  return split.swaps.reduce(swapped, withWishes(cut, pairs))
}

export function Stations({ block, splits, players, missing, notMet, name, team }: Props) {
  const [split, setSplit] = useRemembered(remembered, name)
  const [first, setFirst] = useState<string | null>(null)
  const [taps, setTaps] = useState<(typeof TAPS)[number]>('swap')
  const wish = usePairs(team)
  const pairs = (wish.isError ? undefined : wish.variables) ?? splits.pairs
  const keep = (next: typeof split) => {
    setSplit(next)
    setFirst(null)
  }
  const rolls = rollsOf(block, splits, split.mix)
  const stations = stationsOf(block, rolls, split, missing, { pairs, notMet })
  // Fewer than two need nobody beside them.
  const together = notMet.filter((id) => !missing?.has(id)).length > 1
  const nameOf = (id: string) => players.find((player) => player.id === id)?.name ?? ''
  const tap = (id: string) => {
    if (first === null) setFirst(id)
    else if (first === id) setFirst(null)
    else if (taps === 'swap') keep({ ...split, swaps: [...split.swaps, [first, id]] })
    else {
      const others = pairs.filter((pair) => !sameTwo(pair, first, id))
      wish.mutate([...others, { one: first, other: id, together: taps === 'together' }])
      // A swap by hand that a new wish asks about would stand against it.
      keep({ ...split, swaps: [] })
    }
  }
  return (
    <Box component="section" aria-label={t('stations-title')} sx={{ display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <Choice
          label={t('stations-how')}
          options={together ? [...MIXES, DOWN] : MIXES}
          chosen={[split.mix]}
          says={(each) => t(`stations-${each}`)}
          onToggle={(mix) => keep({ swaps: [], roll: 0, mix })}
        />
        <Button
          size="small"
          variant="text"
          onClick={() => keep({ ...split, roll: (split.roll + 1) % Math.max(rolls.length, 1), swaps: [] })}
        >
          {t('stations-again')}
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(136px, 1fr))', gap: 1 }}>
        {stations.map((station, i) => (
          <Station key={i} number={i + 1} players={station} {...{ first, nameOf, notMet }} onTap={tap} />
        ))}
      </Box>
      <Choice
        label={t('stations-taps')}
        options={TAPS}
        chosen={[taps]}
        says={(each) => t(`stations-tap-${each}`)}
        onToggle={setTaps}
      />
      <Typography variant="body2" color="text.secondary" role="status">
        {first ? t(`stations-second-${taps}`, { name: nameOf(first) }) : t(`stations-first-${taps}`)}
        {!first && !missing && ` ${t('stations-nobody-said')}`}
      </Typography>
      <Wishes
        {...{ pairs, stations, nameOf }}
        onDrop={(pair) => wish.mutate(pairs.filter((each) => each !== pair))}
      />
      {wish.isError && <ErrorNote error={wish.error} />}
    </Box>
  )
}

interface StationProps {
  number: number
  players: string[]
  /** The name that was tapped first. */
  first: string | null
  nameOf: (id: string) => string
  notMet: string[]
  onTap: (id: string) => void
}

function Station({ number, players, first, nameOf, notMet, onTap }: StationProps) {
  const { floor } = useTheme()
  return (
    <Box
      role="group"
      aria-label={t('stations-station', { n: number })}
      sx={{ border: `1px solid ${floor.hair}`, p: 0.5 }}
    >
      <Typography variant="caption" color="text.secondary">
        {t('stations-station', { n: number })}
      </Typography>
      {players.map((id) => (
        <ButtonBase
          key={id}
          aria-pressed={id === first}
          onClick={() => onTap(id)}
          sx={{
            display: 'flex',
            width: '100%',
            minHeight: 40,
            px: 0.75,
            font: 'inherit',
            lineHeight: 1.1,
            justifyContent: 'flex-start',
            textAlign: 'left',
            bgcolor: id === first ? floor.ink : undefined,
            color: id === first ? floor.paper : undefined,
          }}
        >
          {nameOf(id)}
          {notMet.includes(id) && ` · ${t('stations-one-down')}`}
        </ButtonBase>
      ))}
    </Box>
  )
}

interface WishesProps {
  pairs: Pair[]
  stations: string[][]
  nameOf: (id: string) => string
  onDrop: (pair: Pair) => void
}

function Wishes({ pairs, stations, nameOf, onDrop }: WishesProps) {
  return pairs.map((pair) => (
    <Box key={`${pair.one} ${pair.other}`} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {t('stations-wish', {
          one: nameOf(pair.one),
          other: nameOf(pair.other),
          together: yesNo(pair.together),
        })}
        {isBroken(pair, stations) && ` ${t('stations-broken')}`}
      </Typography>
      <IconButton
        aria-label={t('stations-drop', { one: nameOf(pair.one), other: nameOf(pair.other) })}
        onClick={() => onDrop(pair)}
        sx={{ width: 44, height: 44 }}
      >
        ×
      </IconButton>
    </Box>
  ))
}
