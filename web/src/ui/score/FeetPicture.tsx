// The feet from above: two soles, the ball with its track, and whither the body looks. It can stand still, or be moved
// from outside frame by frame without being drawn anew.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import { type Ref, useImperativeHandle, useRef } from 'react'
import { type Feet, type Moment, moment, type Placed, type Spot, trackOf } from './moving'

/** Centimetres around ball and feet. */
const EDGE = 34
/** The least that is shown, in centimetres. */
const LEAST = { wide: 120, tall: 96 }
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
  show: (count: number, p: number) => void
}

interface Props {
  feet: Feet
  /** The count that is shown, from 0, and how much of it has passed. */
  count: number
  p: number
  says: string
  height: number
  mover?: Ref<Mover>
}

const cm = ([x, y]: Spot) => [x * 100, -y * 100] as const

function place({ at, heading, size }: Placed, mirror: boolean, scale: number) {
  const [x, y] = cm(at)
  const large = scale * size
  return `translate(${x.toFixed(2)} ${y.toFixed(2)}) rotate(${heading.toFixed(2)}) scale(${(mirror ? -large : large).toFixed(3)} ${large.toFixed(3)})`
}

/** Writes a moment into the parts of a picture that is there. */
function write(svg: SVGSVGElement, now: Moment, track: Spot[]) {
  const part = (name: string) => svg.querySelector<SVGGElement>(`[data-part="${name}"]`)
  part('left')?.setAttribute('transform', place(now.left, true, SOLE))
  part('right')?.setAttribute('transform', place(now.right, false, SOLE))
  const ball = part('ball')
  ball?.setAttribute('transform', place(now.ball, false, 1))
  ball?.setAttribute('opacity', now.ballShown.toFixed(2))
  part('body')?.setAttribute(
    'transform',
    place({ at: now.body.at, heading: now.body.heading, size: 1 }, false, 1),
  )
  part('track')?.setAttribute('points', [...track, now.ball.at].map((at) => cm(at).join()).join(' '))
  for (const filled of svg.querySelectorAll<SVGPathElement>('[data-side]')) {
    const { side, surface } = filled.dataset
    const on = now.meets?.side === side && now.meets?.surface === surface
    filled.style.visibility = on ? 'visible' : 'hidden'
  }
  const body = part('met')
  if (body) body.style.visibility = now.meets && !now.meets.side ? 'visible' : 'hidden'
}

export function FeetPicture({ feet, count, p, says, height, mover }: Props) {
  const { floor } = useTheme()
  const svg = useRef<SVGSVGElement>(null)
  const show = (at: number, part: number) => {
    if (svg.current) write(svg.current, moment(feet, at, part), trackOf(feet, at))
  }
  useImperativeHandle(mover, () => ({ show }))
  const [left, top, wide, tall] = boxOf(feet)
  return (
    <Box
      component="svg"
      ref={(drawn: SVGSVGElement | null) => {
        svg.current = drawn
        show(count, p)
      }}
      role="img"
      aria-label={says}
      viewBox={`${left} ${top} ${wide} ${tall}`}
      sx={{ display: 'block', width: '100%', height, color: 'text.primary', bgcolor: floor.wood }}
    >
      {/* Wider than what is asked for: the picture may be. */}
      <path
        d={Array.from(
          { length: PLANKS },
          (_, i) => `M${(i - PLANKS / 2) * PLANK} ${top - FAR}v${tall + 2 * FAR}`,
        ).join('')}
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
      <g data-part="body">
        <path
          d="M0 -36V-6M-4 -30L0 -36L4 -30"
          fill="none"
          stroke="currentColor"
          strokeWidth={1}
          opacity={0.6}
        />
        <circle data-part="met" r={8} fill="currentColor" />
      </g>
      <g data-part="ball">
        <circle r={BALL} fill={floor.paper} stroke="currentColor" strokeWidth={2} fillOpacity={0.82} />
        <path
          d="M-10 0C-4 -4 4 -4 10 0M0 -10C4 -4 4 4 0 10"
          fill="none"
          stroke="currentColor"
          strokeWidth={0.9}
        />
      </g>
      {(['left', 'right'] as const).map((side) => (
        <g key={side} data-part={side}>
          <path d={feet.sole.outline} fill={floor.paper} stroke="currentColor" strokeWidth={1.1} />
          {Object.entries(feet.sole.parts).map(([surface, d]) => (
            <path key={surface} data-side={side} data-surface={surface} d={d} fill="currentColor" />
          ))}
        </g>
      ))}
    </Box>
  )
}

/** The floor that is shown, in centimetres: left, top, width and height. */
function boxOf({ floor }: Feet): [number, number, number, number] {
  const [width, height] = [(floor.right - floor.left) * 100, (floor.ahead - floor.back) * 100]
  const wide = Math.max(LEAST.wide, width + 2 * EDGE)
  const tall = Math.max(LEAST.tall, height + 2 * EDGE)
  const middle = ((floor.left + floor.right) / 2) * 100
  const centre = (-(floor.ahead + floor.back) / 2) * 100
  return [middle - wide / 2, centre - tall / 2, wide, tall]
}
