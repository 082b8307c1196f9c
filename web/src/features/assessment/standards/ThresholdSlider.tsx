// The thresholds of a band as handles on its scale, moved by pointer, finger or arrow keys.
import Box from '@mui/material/Box'
import Slider, { SliderThumb } from '@mui/material/Slider'
import { useTheme } from '@mui/material/styles'
import type { HTMLAttributes } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asResult, Figure } from '../../../ui/figures'
import type { Thresholds } from './queries'
import { BASE, HANDLES, HEIGHT, placeOf, SIDE, WIDTH } from './scale'

interface Props {
  scale: Schemas['StandardsOfTest']
  band: Schemas['BandOnScale']
  thresholds: Thresholds
  onMove: (thresholds: Thresholds) => void
}

/** A figure is so wide, in units of the drawing. */
const FIGURE = 42

/** Results may be finer than what a threshold is set by. */
const FINEST = 0.1

const part = (of: number, all: number) => `${(100 * of) / all}%`

export function ThresholdSlider({ scale, band, thresholds, onMove }: Props) {
  const { least, most, better } = scale
  const step = Math.max(scale.step, FINEST)
  // Along the slider more is better: where less is better, it runs over the values with their sign turned.
  const turned = (value: number) => (better === 'higher' ? value : -value)
  const along = HANDLES.map((handle) => turned(thresholds[handle]))
  const move = (next: number[], i: number) => {
    const [below, above] = [along[i - 1], along[i + 1]]
    const handle = HANDLES[i]
    // A threshold keeps its place between its neighbours.
    const kept = Math.min(
      Math.max(next[i] ?? 0, below === undefined ? -Infinity : below + step),
      above === undefined ? Infinity : above - step,
    )
    const value = Math.round(turned(kept) * 1e6) / 1e6
    if (handle && value !== thresholds[handle]) onMove({ ...thresholds, [handle]: value })
  }
  const places = HANDLES.map((handle) => placeOf(scale)(thresholds[handle]))
  return (
    <Slider
      value={along}
      min={Math.min(turned(least), turned(most))}
      max={Math.max(turned(least), turned(most))}
      step={step}
      shiftStep={10 * step}
      scale={turned}
      track={false}
      disableSwap
      getAriaLabel={(i) =>
        t('standards-handle', { level: t(`level-${HANDLES[i] ?? 'building'}`), band: band.name })
      }
      getAriaValueText={(value) => asResult(value)}
      onChange={(_, next, i) => move(next, i)}
      slots={{ thumb: Handle }}
      slotProps={{
        thumb: () => ({ shifts: apart(places), values: HANDLES.map((h) => thresholds[h]) }),
      }}
      sx={SLIDER}
    />
  )
}

/** How far figures are set aside that are wider than the handles above them are apart, in units of the drawing. */
function apart(places: number[]): number[] {
  const [first = 0, middle = 0, last = 0] = places
  return [Math.min(0, middle - FIGURE - first), 0, Math.max(0, middle + FIGURE - last)]
}

interface HandleProps extends HTMLAttributes<HTMLSpanElement> {
  'data-index'?: number
  shifts: number[]
  values: number[]
}

/** The grip has as many steps as the level that begins here. */
function Handle({ children, shifts, values, ...thumb }: HandleProps) {
  const { floor } = useTheme()
  const i = thumb['data-index'] ?? 0
  return (
    <SliderThumb {...thumb}>
      {children}
      <svg width={24} height="100%" aria-hidden style={{ position: 'absolute', overflow: 'visible' }}>
        <line
          x1={12}
          x2={12}
          y1={part(10, HEIGHT)}
          y2={part(BASE, HEIGHT)}
          stroke={floor.ink}
          strokeWidth={2}
        />
        {Array.from({ length: i + 2 }, (_, n) => (
          <rect
            key={n}
            x={12 - (i + 2) * 2.5 + n * 5}
            y={10 - 2 * n}
            width={4}
            height={4 + 2 * n}
            fill={floor.ink}
          />
        ))}
      </svg>
      <Box
        sx={{
          position: 'absolute',
          top: part(BASE + 3, HEIGHT),
          transform: `translateX(${(100 * (shifts[i] ?? 0)) / WIDTH}cqw)`,
        }}
      >
        <Figure sx={{ fontSize: '1rem', fontWeight: 600, lineHeight: 1.2 }}>
          {asResult(values[i] ?? 0)}
        </Figure>
      </Box>
    </SliderThumb>
  )
}

const SLIDER = {
  position: 'absolute',
  top: 0,
  left: part(SIDE, WIDTH),
  width: part(WIDTH - 2 * SIDE, WIDTH),
  height: '100%',
  p: '0 !important',
  color: 'text.primary',
  // A press beside the handles chooses the band, and moves nothing.
  pointerEvents: 'none',
  '& .MuiSlider-rail': { display: 'none' },
  '& .MuiSlider-thumb': {
    pointerEvents: 'auto',
    width: 24,
    height: '100%',
    borderRadius: 0,
    bgcolor: 'transparent',
    cursor: 'ew-resize',
    boxShadow: 'none',
    '&::before': { display: 'none' },
    // The figure shows which handle the keys move.
    '&.Mui-focusVisible': { boxShadow: 'none' },
    '&.Mui-focusVisible > div': { outline: '2px solid', outlineOffset: 2 },
    '&.Mui-focusVisible line': { strokeWidth: 4 },
  },
} as const
