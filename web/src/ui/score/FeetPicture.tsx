// The feet from above: two soles, the ball with its track, and whither the body looks. It can stand still, or be moved
// from outside count by count: what moves has layers of its own, and the browser moves them without drawing or painting
// anything anew, so that it stays smooth on a slow phone.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import { memo, type ReactNode, type Ref, useImperativeHandle, useLayoutEffect, useMemo, useRef } from 'react'
import { type Feet, MET, type Moment, moment, type Placed, type Spot, trackOf } from './moving'

/** Centimetres around ball and feet, and the least that is shown. */
const FAR_OFF = { edge: 34, wide: 120, tall: 96 }
/** The same where a picture is small. */
const CLOSE = { edge: 20, wide: 70, tall: 60 }
/** A sole is drawn 22 units long; it is so many centimetres. */
const SOLE = 23 / 22
const BALL = 10
/** How far apart the planks of the floor are, in centimetres. */
const PLANK = 20
const PLANKS = 60
/** Farther than any picture shows, in centimetres. */
const FAR = 500

/** Whoever holds it moves the picture. */
export interface Mover {
  /** Stands still at a count, so much of which has passed. */
  show: (count: number, p: number) => void
  /** Moves through a count that lasts so long, so much of which has passed; in seconds. */
  play: (count: number, lasts: number, passed: number) => void
}

interface Props {
  feet: Feet
  /** The count that is shown, from 0, and how much of it has passed; nothing while it is moved. */
  count: number | null
  p: number
  says: string
  height: number
  /** Shown from close by: little of the floor around the feet. For small pictures that stand still. */
  close?: boolean
  mover?: Ref<Mover>
}

const cm = ([x, y]: Spot) => [x * 100, -y * 100] as const

/** The floor that is shown, in centimetres: left, top, width and height. */
type FloorBox = readonly [number, number, number, number]

/** In parts of the box, so that the browser alone has to know how large that is. */
function place({ at, heading, size }: Placed, [, , wide, tall]: FloorBox, mirror: boolean, scale: number) {
  const [x, y] = cm(at)
  const large = scale * size
  const [right, down] = [(100 * x) / wide, (100 * y) / tall]
  return `translate(${right.toFixed(3)}%, ${down.toFixed(3)}%) rotate(${heading.toFixed(2)}deg) scale(${(mirror ? -large : large).toFixed(3)}, ${large.toFixed(3)})`
}

const MOVING = ['left', 'right', 'ball', 'body'] as const
type Moving = (typeof MOVING)[number]

/** What is moved in a picture that is there. */
function partsOf(picture: HTMLElement) {
  const part = (name: string) => picture.querySelector<SVGElement>(`[data-part="${name}"]`)
  const [left, right, ball, body] = [part('left'), part('right'), part('ball'), part('body')]
  return {
    left,
    right,
    ball,
    body,
    track: part('track'),
    met: part('met'),
    playing: {} as Partial<Record<Moving, Animation>>,
    surfaces: [...picture.querySelectorAll<SVGPathElement>('[data-side]')],
  }
}

type Parts = ReturnType<typeof partsOf>

const move = (part: SVGElement | null, to: string) => part?.style.setProperty('transform', to)
const showIf = (part: SVGElement | null, on: boolean) =>
  part?.style.setProperty('visibility', on ? 'visible' : 'hidden')

/** Where everything that moves is placed at a moment. */
const places = (now: Moment, box: FloorBox): Record<Moving, string> => ({
  left: place(now.left, box, true, SOLE),
  right: place(now.right, box, false, SOLE),
  ball: place(now.ball, box, false, 1),
  body: place({ ...now.body, size: 1 }, box, false, 1),
})

const trace = (track: SVGElement | null, spots: Spot[]) =>
  track?.setAttribute('points', spots.map((at) => cm(at).join()).join(' '))

function meet({ met, surfaces }: Parts, meets: Moment['meets']) {
  for (const filled of surfaces) {
    const { side, surface } = filled.dataset
    showIf(filled, meets?.side === side && meets?.surface === surface)
  }
  showIf(met, meets !== null && !meets.side)
}

/** Writes a moment into the parts of a picture. */
function write(parts: Parts, box: FloorBox, now: Moment, before: Spot[]) {
  const at = places(now, box)
  for (const name of MOVING) {
    parts.playing[name]?.cancel()
    move(parts[name], at[name])
  }
  parts.ball?.style.setProperty('opacity', now.ballShown.toFixed(2))
  trace(parts.track, [...before, now.ball.at])
  meet(parts, now.meets)
}

/** The number of keyframes in a count; the browser moves between them by itself. */
const STEPS = 20

/** Lets the browser move the parts through a count. */
function animate(parts: Parts, feet: Feet, box: FloorBox, count: number, lasts: number, passed: number) {
  const moments = Array.from({ length: STEPS + 1 }, (_, i) => moment(feet, count, i / STEPS))
  const placed = moments.map((each) => places(each, box))
  for (const name of MOVING) {
    const frames = placed.map((at, i) => ({
      transform: at[name],
      ...(name === 'ball' && { opacity: moments[i]?.ballShown ?? 1 }),
    }))
    const timing = { duration: lasts * 1000, fill: 'both' } as const
    const playing = parts.playing[name]
    // One for each part, again and again: those that are over would still cost time with every frame.
    if (playing?.effect instanceof KeyframeEffect) {
      playing.effect.setKeyframes(frames)
      playing.effect.updateTiming(timing)
      playing.play()
      playing.currentTime = passed * 1000
    } else {
      const begun = parts[name]?.animate(frames, timing)
      if (begun) begun.currentTime = passed * 1000
      parts.playing[name] = begun
    }
  }
  trace(parts.track, trackOf(feet, count))
}

/** Shows which foot meets the ball, from when to when in a count. */
function meetInTime(parts: Parts, feet: Feet, count: number, lasts: number, passed: number): number[] {
  meet(parts, moment(feet, count, passed / lasts).meets)
  const later = [MET.from, MET.to].filter((at) => at * lasts > passed)
  return later.map((at) =>
    window.setTimeout(() => meet(parts, moment(feet, count, at).meets), (at * lasts - passed) * 1000),
  )
}

export const FeetPicture = memo(function FeetPicture(props: Props) {
  const { feet, count, p, says, height, close = false, mover } = props
  const { floor } = useTheme()
  const picture = useRef<HTMLDivElement>(null)
  const parts = useRef<Parts | null>(null)
  const box = useMemo(() => boxOf(feet, close ? CLOSE : FAR_OFF), [feet, close])
  const timers = useRef<number[]>([])
  const moves = useMemo(() => {
    const found = () => {
      for (const timer of timers.current) window.clearTimeout(timer)
      if (picture.current) parts.current ??= partsOf(picture.current)
      return parts.current
    }
    return {
      show: (at: number, passed: number) => {
        const all = found()
        if (all) write(all, box, moment(feet, at, passed), trackOf(feet, at))
      },
      play: (at: number, lasts: number, passed: number) => {
        const all = found()
        if (!all) return
        animate(all, feet, box, at, lasts, passed)
        timers.current = meetInTime(all, feet, at, lasts, passed)
      },
    }
  }, [feet, box])
  useLayoutEffect(() => {
    if (count !== null) moves.show(count, p)
  }, [moves, count, p])
  useImperativeHandle(mover, () => moves, [moves])
  const [, , wide, tall] = box
  return (
    <Box
      ref={picture}
      role="img"
      aria-label={says}
      sx={{
        height,
        overflow: 'hidden',
        display: 'grid',
        placeItems: 'center',
        color: 'text.primary',
        bgcolor: floor.wood,
        // One above the other, each with a layer of its own while it moves.
        '& > div': { position: 'relative', width: `min(100%, ${(height * wide) / tall}px)` },
        '& > div > svg': { position: 'absolute', inset: 0, overflow: 'visible' },
        '& > div > svg[data-layer]': { willChange: count === null ? 'transform' : undefined },
      }}
    >
      <Box sx={{ aspectRatio: `${wide} / ${tall}` }}>
        <Ground box={box} />
        <Layer box={box} part="body">
          <path
            d="M0 -36V-6M-4 -30L0 -36L4 -30"
            fill="none"
            stroke="currentColor"
            strokeWidth={1}
            opacity={0.6}
          />
          <circle data-part="met" r={8} fill="currentColor" />
        </Layer>
        <Layer box={box} part="ball">
          <circle r={BALL} fill={floor.paper} stroke="currentColor" strokeWidth={2} fillOpacity={0.82} />
          <path
            d="M-10 0C-4 -4 4 -4 10 0M0 -10C4 -4 4 4 0 10"
            fill="none"
            stroke="currentColor"
            strokeWidth={0.9}
          />
        </Layer>
        {(['left', 'right'] as const).map((side) => (
          <Layer key={side} box={box} part={side}>
            <path d={feet.sole.outline} fill={floor.paper} stroke="currentColor" strokeWidth={1.1} />
            {Object.entries(feet.sole.parts).map(([surface, d]) => (
              <path key={surface} data-side={side} data-surface={surface} d={d} fill="currentColor" />
            ))}
          </Layer>
        ))}
      </Box>
    </Box>
  )
})

/** The planks, and the track of the ball. */
function Ground({ box: [left, top, wide, tall] }: { box: FloorBox }) {
  const { floor } = useTheme()
  // Wider than what is asked for: the picture may be.
  const planks = Array.from({ length: PLANKS }, (_, i) => (i - PLANKS / 2) * PLANK)
  return (
    <svg aria-hidden viewBox={`${left} ${top} ${wide} ${tall}`}>
      <path
        d={planks.map((x) => `M${x} ${top - FAR}v${tall + 2 * FAR}`).join('')}
        stroke={floor.plank}
        strokeWidth={1}
      />
      <polyline
        data-part="track"
        fill="none"
        stroke="currentColor"
        strokeWidth={1.6}
        strokeDasharray="1 5"
        strokeLinecap="round"
        opacity={0.7}
      />
    </svg>
  )
}

/** Something that moves around the place where the round begins. */
function Layer({ box, part, children }: { box: FloorBox; part: Moving; children: ReactNode }) {
  const [left, top, wide, tall] = box
  return (
    <svg
      aria-hidden
      data-layer
      data-part={part}
      viewBox={`${left} ${top} ${wide} ${tall}`}
      style={{ transformOrigin: `${(-100 * left) / wide}% ${(-100 * top) / tall}%` }}
    >
      {children}
    </svg>
  )
}

function boxOf({ floor }: Feet, from: typeof FAR_OFF): FloorBox {
  const [width, height] = [(floor.right - floor.left) * 100, (floor.ahead - floor.back) * 100]
  const wide = Math.max(from.wide, width + 2 * from.edge)
  const tall = Math.max(from.tall, height + 2 * from.edge)
  const middle = ((floor.left + floor.right) / 2) * 100
  const centre = (-(floor.ahead + floor.back) / 2) * 100
  return [middle - wide / 2, centre - tall / 2, wide, tall]
}
