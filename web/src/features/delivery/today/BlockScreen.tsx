// The current block: clock, drawing, what to look for, and how it went.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { type ComponentProps, type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import type { RunningBlock, Schemas } from '../../../api/client'
import { chosenRung, useRemembered } from '../../../storage/remembered'
import { doseSaid, layingOutSaid, stationsSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { AsWritten, BesideBlock, BlockFacts, Cautions, Faults, Points } from '../../../ui/block'
import { changes, settingsSaid } from '../../../ui/levers'
import { BlockPicture } from '../../../ui/score/BlockPicture'
import { BlockClock } from './BlockClock'
import { EyesOn } from './EyesOn'
import type { BlockLog, BlockSaid, Outcome } from './log'
import type { Looks } from './looks'
import { isSplit, Stations } from './Stations'
import { Streak } from './Streak'

interface Props {
  block: RunningBlock
  /** Points of milestones that are looked for in it. */
  looked: Schemas['Look'][]
  looks: Looks
  at: number
  of: number
  clockName: string
  splits: Schemas['Splits']
  team: string
  players: Schemas['PlayerView'][]
  missing: Set<string> | null
  said: BlockLog | undefined
  onSay: (said: BlockSaid) => void
  /** Harder or easier than planned, as was decided after an earlier block. */
  stepped: Schemas['NextTime'] | undefined
  /** Who was away whenever a skill of it was shown. */
  notMet: string[]
  /** What is still to be said of the block before it. */
  before: ReactNode
}

const FIRST_POINTS = 3

export function BlockScreen(props: Props) {
  const {
    block: planned,
    looked,
    looks,
    at,
    of,
    clockName,
    splits,
    team,
    players,
    missing,
    said,
    onSay,
    stepped,
    notMet,
    before,
  } = props
  const { floor } = useTheme()
  const [chosen, choose] = useRemembered(chosenRung, clockName)
  const ran = said?.ran ?? chosen
  const block = { ...planned, ...(ran && planned[ran]) }
  const run = (rung: Schemas['Ran'] | null) => {
    choose(rung)
    if (said) onSay({ ...said, ran: rung })
  }
  const say = (outcome: Outcome) =>
    onSay({ outcome, minutes: null, success: said?.success ?? null, ran: outcome === 'skipped' ? null : ran })
  const [more, setMore] = useState(false)
  return (
    <Box
      sx={{
        flex: 1,
        minWidth: 0,
        display: 'flex',
        flexDirection: 'column',
        borderTop: `1px solid ${floor.hair}`,
        bgcolor: 'background.paper',
      }}
    >
      <Box
        sx={{
          flex: 1,
          overflowY: 'auto',
          px: 1.5,
          py: 1,
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          alignContent: 'start',
          gap: 1,
        }}
      >
        {before}
        <Name {...{ block, at, of, stepped }} />
        <NotMet {...{ players, missing, notMet }} planned={planned} />
        <BlockClock block={block} name={clockName} />
        <Streak {...block} />
        <ChallengeTest series={block.series} />
        <BlockPicture block={block} height={240} />
        <Rungs planned={planned} ran={ran} onRun={run} />
        <Points points={block.points} most={more ? undefined : FIRST_POINTS} />
        <EyesOn {...{ looked, looks, players, missing }} />
        <BesideBlock block={block} />
        {players.length > 0 && isSplit(block) && (
          <Split {...{ block, splits, players, missing, notMet, team }} name={clockName} />
        )}
        <Cautions cautions={block.cautions} />
        {more && (
          <>
            <BlockFacts block={block} />
            <Faults faults={block.faults} />
            <Typography variant="body2" color="text.secondary">
              {t('session-in-game')}: {block.in_game}
            </Typography>
          </>
        )}
        <Button
          variant="text"
          aria-expanded={more}
          onClick={() => setMore(!more)}
          sx={{ justifySelf: 'start', ml: -1.5 }}
        >
          {more ? t('today-less') : t('today-more')}
        </Button>
      </Box>
      <Outcomes outcome={said?.outcome} onSay={say} />
    </Box>
  )
}

/** Which block it is, and how it is done. */
function Name({ block, at, of, stepped }: Pick<Props, 'block' | 'at' | 'of' | 'stepped'>) {
  const lay = layingOutSaid(block)
  return (
    <Box>
      <Typography variant="caption" color="text.secondary">
        {t('today-block', { n: at + 1, of })}
        {lay && ` · ${lay}`}
      </Typography>
      <Typography variant="h1" component="h2">
        {block.title}
      </Typography>
      <AsWritten of={block.title} />
      <Typography>
        {[settingsSaid(block.levers, block.foot), doseSaid(block)].filter(Boolean).join(' · ')}
      </Typography>
      {stepped && stepped !== 'same' && (
        <Typography variant="body2" sx={{ fontWeight: 650 }}>
          {t(`next-time-stepped-${stepped}`)}
        </Typography>
      )}
    </Box>
  )
}

/** Where the challenge of a series is a test: the way to enter what it showed. */
function ChallengeTest({ series }: Partial<Pick<RunningBlock, 'series'>>) {
  const challenge = series?.challenge
  if (!challenge?.test) return null
  return (
    <Button component={Link} to={`/test/${challenge.test}`} sx={{ justifySelf: 'start', minHeight: 44 }}>
      {t('series-enter', { challenge: challenge.says })}
    </Button>
  )
}

/** Those who are here and were away whenever this was shown: they start one down. */
function NotMet({
  players,
  missing,
  notMet,
  planned,
}: Pick<Props, 'players' | 'missing' | 'notMet'> & { planned: RunningBlock }) {
  const here = players.filter(({ id }) => notMet.includes(id) && !missing?.has(id))
  if (here.length === 0) return null
  const { one_down: down } = planned
  const names = here.map(({ name }) => name).join(', ')
  return (
    <Typography variant="body2">
      {t('today-not-met', { n: here.length, names })}{' '}
      {down &&
        t('today-not-met-down', { how: changes(planned.levers, down.levers) || t(`stage-${down.stage}`) })}
    </Typography>
  )
}

/** Who stands at which station, behind a button. */
function Split(props: ComponentProps<typeof Stations>) {
  const [splitting, setSplitting] = useState(false)
  return (
    <Box>
      <Button
        aria-expanded={splitting}
        onClick={() => setSplitting(!splitting)}
        sx={{ mb: splitting ? 1 : 0 }}
      >
        {t('stations-title')} · {stationsSaid(props.block.station_sizes)}
      </Button>
      {splitting && <Stations {...props} />}
    </Box>
  )
}

interface OutcomesProps {
  outcome: Outcome | undefined
  onSay: (outcome: Outcome) => void
}

/** Done, cut short or left out: one tap. */
function Outcomes({ outcome, onSay }: OutcomesProps) {
  const { floor } = useTheme()
  return (
    <Box
      role="group"
      aria-label={t('today-how-it-went')}
      sx={{ display: 'flex', gap: 1, p: 1, borderTop: `1px solid ${floor.hair}` }}
    >
      {(['done', 'short', 'skipped'] as const).map((word) => (
        <Button
          key={word}
          variant={outcome === word || (outcome === undefined && word === 'done') ? 'contained' : 'outlined'}
          aria-pressed={outcome === word}
          onClick={() => onSay(word)}
          sx={{ flex: word === 'done' ? 2 : 1, minHeight: 48, px: 1 }}
        >
          {outcome === word && '✓ '}
          {t(`outcome-${word}`)}
        </Button>
      ))}
    </Box>
  )
}

/** One up, one down: the next rungs of the drill on the same floor, where it has them. */
function Rungs({
  planned,
  ran,
  onRun,
}: {
  planned: RunningBlock
  ran: Schemas['Ran'] | null
  onRun: (rung: Schemas['Ran'] | null) => void
}) {
  const rungs = (['one_down', 'one_up'] as const).filter((rung) => planned[rung])
  if (rungs.length === 0) return null
  return (
    <Box role="group" aria-label={t('today-rungs')} sx={{ display: 'flex', gap: 1 }}>
      {rungs.map((rung) => (
        <Button
          key={rung}
          aria-pressed={ran === rung}
          variant={ran === rung ? 'contained' : 'outlined'}
          onClick={() => onRun(ran === rung ? null : rung)}
          sx={{ flex: 1, minHeight: 48, display: 'block', lineHeight: 1.15, textAlign: 'left', py: 0.75 }}
        >
          <Box component="span" sx={{ display: 'block', fontWeight: 700 }}>
            {t(`ran-${rung}`)}
          </Box>
          <Box component="span" sx={{ display: 'block', fontSize: '0.85rem', fontWeight: 400 }}>
            {changes(planned.levers, planned[rung]?.levers ?? {}) ||
              t(`stage-${planned[rung]?.stage ?? planned.stage}`)}
          </Box>
        </Button>
      ))}
    </Box>
  )
}
