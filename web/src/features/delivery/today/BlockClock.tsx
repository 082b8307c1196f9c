// The clock of a block: the core lays its stretches out, the clock walks along them. It goes on over a reload.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import type { RunningBlock, Schemas } from '../../../api/client'
import { clock as remembered, sound, useRemembered } from '../../../storage/remembered'
import { t } from '../../../texts/t'
import { CueCaller } from '../../../ui/CueCaller'
import { asClock, Figure } from '../../../ui/figures'
import { speak, tones } from '../../../ui/sound'

const STOPPED = { since: null, passed: 0 }

function useClock(name: string) {
  const [kept, setKept] = useRemembered(remembered, name)
  const [now, setNow] = useState(() => Date.now())
  useEffect(() => {
    if (kept.since === null) return
    const tick = setInterval(() => setNow(Date.now()), 250)
    return () => clearInterval(tick)
  }, [kept.since])
  const elapsed = kept.passed + (kept.since === null ? 0 : Math.max(0, now - kept.since) / 1000)
  const keep = (next: typeof kept) => {
    setNow(Date.now())
    setKept(next)
  }
  return {
    elapsed,
    running: kept.since !== null,
    start: () => keep({ since: Date.now(), passed: elapsed }),
    pause: () => keep({ since: null, passed: elapsed }),
    reset: () => keep(STOPPED),
  }
}

/** Where the clock stands: the stretch, what is left of it, and which bout it is. */
function standing(phases: Schemas['Phase'][], elapsed: number) {
  let end = 0
  let bout = 0
  for (const [i, phase] of phases.entries()) {
    end += phase.seconds
    if (phase.kind === 'work') bout += 1
    if (elapsed < end)
      return {
        kind: phase.kind,
        left: end - elapsed,
        bout,
        worked: phase.seconds - (end - elapsed),
        foot: phase.foot ?? null,
        move: phase.move ?? null,
        next: phases.slice(i + 1).find(({ kind }) => kind === 'work' || kind === 'challenge'),
      }
  }
  return { kind: 'over' as const, left: 0, bout, worked: 0, foot: null, move: null, next: undefined }
}

/** Where there is no room for it beside the clock, the button stands under it. */
const ON_SMALL_PHONES = {
  '@media (max-width: 359.95px)': { flexWrap: 'wrap', '& > :last-child': { flexBasis: '100%' } },
}

/** All that the clock needs of a block. */
type Timed = Pick<RunningBlock, 'phases' | 'bouts' | 'calls'> & Partial<Pick<RunningBlock, 'series'>>

export function BlockClock({ block, name }: { block: Timed; name: string }) {
  const { floor } = useTheme()
  const clock = useClock(name)
  const { kind, left, bout, worked, foot, move, next } = standing(block.phases, clock.elapsed)
  const all = block.phases.reduce((sum, phase) => sum + phase.seconds, 0)
  const working = kind === 'work' || kind === 'challenge'
  const { series } = block
  const nameOf = (phase: { kind: string; move?: number | null } | undefined) =>
    phase?.kind === 'challenge' ? series?.challenge?.says : series?.moves[phase?.move ?? -1]?.name
  const now = nameOf({ kind, move })
  const coming = nameOf(next)
  const [sounding, setSounding] = useRemembered(sound)
  const aloud = sounding === 'yes'
  useEffect(() => {
    if (!clock.running) return
    if ('vibrate' in navigator) navigator.vibrate(working ? [250] : [120, 80, 120])
    if (aloud) tones(...(working ? [880] : [660, 440]))
    // Where moves follow each other, the next one is called.
    const called = working ? now : coming
    if (aloud && called) speak(called)
    // Whoever switches the sound on or off hears it with the next change.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [clock.running, kind, bout, working])
  useWakeLock(clock.running)
  return (
    <Box
      sx={{
        border: `1px solid ${floor.ink}`,
        bgcolor: working ? floor.ink : 'transparent',
        color: working ? floor.paper : 'text.primary',
        p: 1,
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, ...ON_SMALL_PHONES }}>
        <Figure
          role="timer"
          aria-label={t(`today-phase-${kind}`)}
          sx={{ fontSize: '3.6rem', lineHeight: 0.9, fontWeight: 600, minWidth: 88 }}
        >
          {asClock(left)}
        </Figure>
        <Box sx={{ flex: 1, display: 'grid', gap: 0.5 }}>
          <Button
            variant={working ? 'outlined' : 'contained'}
            onClick={clock.running ? clock.pause : clock.start}
            sx={{ minHeight: 48, ...(working && { color: floor.paper, borderColor: floor.paper }) }}
          >
            {clock.running ? t('today-pause') : clock.elapsed > 0 ? t('today-go-on') : t('today-start')}
          </Button>
          {!clock.running && clock.elapsed > 0 && (
            <Button variant="text" size="small" onClick={clock.reset}>
              {t('today-again')}
            </Button>
          )}
        </Box>
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 1 }}>
        <Typography sx={{ fontWeight: 700, fontSize: '1.15rem', lineHeight: 1.1 }}>
          {[now, foot && t(`today-foot-${foot}`)].filter(Boolean).join(', ') || t(`today-phase-${kind}`)}
        </Typography>
        <Typography variant="body2" sx={{ flex: 1, lineHeight: 1.2 }}>
          {t('today-bout', { n: bout, of: block.bouts })}
        </Typography>
        <Button
          variant="text"
          size="small"
          aria-pressed={aloud}
          onClick={() => setSounding(aloud ? 'no' : 'yes')}
          sx={{ color: 'inherit', px: 0, minWidth: 0 }}
        >
          {aloud ? t('today-sound') : t('today-silent')}
        </Button>
      </Box>
      <MovePoints series={series} move={working ? move : (next?.move ?? null)} />
      {coming && (
        <Typography sx={{ mt: 0.5, lineHeight: 1.2, fontWeight: working ? 400 : 700 }}>
          {t('today-move-next', { move: coming })}
        </Typography>
      )}
      {block.calls.length > 0 && (
        <Box sx={{ mt: 1 }}>
          <CueCaller key={bout} calls={block.calls} elapsed={clock.running && working ? worked : null} />
        </Box>
      )}
      <PhaseStrip
        phases={block.phases}
        at={Math.min(clock.elapsed / all, 1)}
        colour={working ? floor.paper : floor.ink}
      />
    </Box>
  )
}

/** What to look for in the move that is on, or comes next. */
function MovePoints({ series, move }: { series: RunningBlock['series']; move: number | null }) {
  const points = move === null ? undefined : series?.moves[move]?.points
  if (!points?.length) return null
  return (
    <Typography variant="body2" sx={{ mt: 0.5, lineHeight: 1.2 }}>
      {points.slice(0, 3).join(' · ')}
    </Typography>
  )
}

/** All stretches to scale: work is high, rest is low, and where the clock stands. */
function PhaseStrip({ phases, at, colour }: { phases: Schemas['Phase'][]; at: number; colour: string }) {
  const all = phases.reduce((sum, phase) => sum + phase.seconds, 0)
  const begin = (i: number) => (300 * phases.slice(0, i).reduce((sum, phase) => sum + phase.seconds, 0)) / all
  return (
    <svg
      width="100%"
      height={14}
      viewBox="0 0 300 14"
      preserveAspectRatio="none"
      aria-hidden
      style={{ display: 'block', marginTop: 6 }}
    >
      {phases.map((phase, i) => {
        const tall = { explain: 4, work: 12, rest: 1.5, challenge: 12 }[phase.kind]
        return (
          <rect
            key={i}
            x={begin(i) + 0.4}
            y={13 - tall}
            width={Math.max(0.5, (300 * phase.seconds) / all - 0.8)}
            height={tall}
            fill={colour}
            opacity={begin(i) / 300 < at ? 0.35 : 1}
          />
        )
      })}
      <rect x={300 * at - 1} y={0} width={2} height={14} fill={colour} />
    </svg>
  )
}

/** Keeps the screen awake while the clock runs, where the device can. */
function useWakeLock(running: boolean) {
  useEffect(() => {
    if (!running || !('wakeLock' in navigator)) return
    let lock: WakeLockSentinel | undefined
    let over = false
    navigator.wakeLock.request('screen').then(
      (got) => {
        lock = got
        if (over) void got.release()
      },
      () => undefined, // A device that refuses still shows the clock.
    )
    return () => {
      over = true
      void lock?.release()
    }
  }, [running])
}
