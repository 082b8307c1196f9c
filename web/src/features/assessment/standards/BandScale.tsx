// One band on the scale of a test: its results as a ridge, its thresholds as handles on it. Better is always to the
// right.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { type KeyboardEvent, type PointerEvent, useRef } from 'react'
import type { Level, Schemas } from '../../../api/client'
import { texts } from '../../../texts/en'
import { asMonth, asPercent, asResult, Figure } from '../../../ui/figures'
import { LevelBand } from '../../../ui/levels'
import type { Thresholds } from './queries'

type Handle = keyof Thresholds
const HANDLES: Handle[] = ['building', 'secure', 'stretching']

interface Props {
  scale: Schemas['StandardsOfTest']
  band: Schemas['BandOnScale']
  thresholds: Thresholds | null
  shares: Schemas['Shares'] | undefined
  moved: boolean
  chosen: boolean
  onChoose: () => void
  onMove: (thresholds: Thresholds) => void
}

const [WIDTH, HEIGHT, BASE] = [500, 104, 82]
const secureOf = (counts: number[]) => {
  const all = counts.reduce((sum, n) => sum + n, 0)
  return all > 0 ? asPercent(((counts[2] ?? 0) + (counts[3] ?? 0)) / all) : '–'
}

/** Where figures stand that are wider than the lines above them are apart. */
function apart(places: number[]): number[] {
  const [first = 0, middle = 0, last = 0] = places
  return [Math.min(first, middle - FIGURE), middle, Math.max(last, middle + FIGURE)]
}
/** A figure is so wide. */
const FIGURE = 42

export function BandScale({ scale, band, thresholds, shares, moved, chosen, onChoose, onMove }: Props) {
  const { floor } = useTheme()
  const svg = useRef<SVGSVGElement>(null)
  const { least, most, step, better } = scale
  const right = better === 'higher'
  const x = (value: number) => {
    const part = (value - least) / Math.max(1e-9, most - least)
    return 8 + (right ? part : 1 - part) * (WIDTH - 16)
  }
  const valueAt = (at: number) => {
    const part = (at - 8) / (WIDTH - 16)
    return least + (right ? part : 1 - part) * (most - least)
  }
  const peak = Math.max(...scale.bands.flatMap((each) => each.ridge.map((point) => point.density)), 1e-9)
  const ridge = band.ridge.map(
    (point) => `${x(point.at).toFixed(1)},${(BASE - (point.density / peak) * (BASE - 14)).toFixed(1)}`,
  )
  const [start, end] = [band.ridge[0], band.ridge.at(-1)]
  const error = band.repeatability?.typical_error
  const figures = thresholds ? apart(HANDLES.map((handle) => x(thresholds[handle]))) : []

  /** A threshold keeps its place between its neighbours, and stands where results are read. */
  const move = (handle: Handle, wanted: number) => {
    if (!thresholds) return
    const i = HANDLES.indexOf(handle)
    const towards = right ? step : -step
    const [below, above] = [HANDLES[i - 1], HANDLES[i + 1]]
    const low = below ? thresholds[below] + towards : right ? least : most
    const high = above ? thresholds[above] - towards : right ? most : least
    const snapped = Math.round(wanted / step) * step
    const kept = Math.min(Math.max(snapped, Math.min(low, high)), Math.max(low, high))
    const value = Math.round(kept * 1e6) / 1e6
    if (value !== thresholds[handle]) onMove({ ...thresholds, [handle]: value })
  }
  const onKey = (event: KeyboardEvent, handle: Handle) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
    if (by === undefined || !thresholds) return
    event.preventDefault()
    const coarse = step < 0.1 ? 10 : 1
    move(handle, thresholds[handle] + (right ? by : -by) * step * coarse * (event.shiftKey ? 10 : 1))
  }
  const drag = (event: PointerEvent, handle: Handle) => {
    if (event.buttons !== 1 || !svg.current) return
    const box = svg.current.getBoundingClientRect()
    move(handle, valueAt(((event.clientX - box.left) / box.width) * WIDTH))
  }

  return (
    <Box
      component="section"
      aria-label={band.name}
      onClick={onChoose}
      sx={{
        py: 1,
        px: 1.5,
        borderTop: `1px solid ${floor.hair}`,
        bgcolor: chosen ? 'background.paper' : undefined,
        display: 'grid',
        gridTemplateColumns: '92px minmax(0, 1fr) 190px',
        columnGap: 2,
        alignItems: 'center',
      }}
    >
      <Box>
        <Typography variant="h2">{band.name}</Typography>
        <Typography variant="caption" component="div" color="text.secondary">
          {texts.standards.results(band.results)}
        </Typography>
        {band.standard && (
          <Typography variant="caption" component="div" color="text.secondary">
            {texts.standards.from(asMonth(band.standard.from))}
          </Typography>
        )}
      </Box>
      <svg
        ref={svg}
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        width="100%"
        style={{ touchAction: 'none', overflow: 'visible' }}
      >
        {thresholds &&
          error !== undefined &&
          HANDLES.map((handle) => {
            const [a, b] = [x(thresholds[handle] - error), x(thresholds[handle] + error)]
            return (
              <rect
                key={handle}
                x={Math.min(a, b)}
                y={10}
                width={Math.abs(b - a)}
                height={BASE - 10}
                fill={floor.ink}
                opacity={0.1}
              />
            )
          })}
        {start && end && (
          <polygon
            points={`${x(start.at)},${BASE} ${ridge.join(' ')} ${x(end.at)},${BASE}`}
            fill={floor.plank}
            stroke={floor.ink}
            strokeWidth={1.2}
          />
        )}
        {band.results === 0 && !thresholds && (
          <text x={WIDTH / 2} y={BASE - 20} textAnchor="middle" fontSize={13} fill={floor.quiet}>
            {texts.standards.noResults}
          </text>
        )}
        <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke={floor.ink} />
        {thresholds ? (
          HANDLES.map((handle, i) => {
            const at = x(thresholds[handle])
            const was = band.standard?.thresholds[handle]
            return (
              <g key={handle}>
                {was !== undefined && was !== thresholds[handle] && (
                  <line
                    x1={x(was)}
                    x2={x(was)}
                    y1={30}
                    y2={BASE}
                    stroke={floor.quiet}
                    strokeDasharray="2 3"
                  />
                )}
                <g
                  role="slider"
                  tabIndex={0}
                  aria-label={texts.standards.handle(texts.level[handle as Level], band.name)}
                  aria-valuenow={thresholds[handle]}
                  aria-valuemin={least}
                  aria-valuemax={most}
                  onFocus={onChoose}
                  onKeyDown={(event) => onKey(event, handle)}
                  onPointerDown={(event) => event.currentTarget.setPointerCapture(event.pointerId)}
                  onPointerMove={(event) => drag(event, handle)}
                  style={{ cursor: 'ew-resize' }}
                >
                  <rect x={at - 12} y={0} width={24} height={HEIGHT} fill="transparent" />
                  <line x1={at} x2={at} y1={10} y2={BASE} stroke={floor.ink} strokeWidth={2} />
                  {/* The grip has as many steps as the level that begins here. */}
                  {Array.from({ length: i + 2 }, (_, n) => (
                    <rect
                      key={n}
                      x={at - (i + 2) * 2.5 + n * 5}
                      y={10 - 2 * n}
                      width={4}
                      height={4 + 2 * n}
                      fill={floor.ink}
                    />
                  ))}
                  <text
                    x={figures[i]}
                    y={BASE + 17}
                    textAnchor="middle"
                    fontSize={14}
                    fontWeight={600}
                    fill={floor.ink}
                  >
                    {asResult(thresholds[handle])}
                  </text>
                </g>
              </g>
            )
          })
        ) : (
          <text x={WIDTH / 2} y={BASE + 17} textAnchor="middle" fontSize={13} fill={floor.quiet}>
            {texts.standards.noStandard}
          </text>
        )}
      </svg>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        {band.shares && <Share says={texts.standards.old} counts={band.shares.counts} />}
        {moved && shares && <Share says={texts.standards.thought} counts={shares.counts} />}
      </Box>
    </Box>
  )
}

function Share({ says, counts }: { says: string; counts: number[] }) {
  return (
    <Box sx={{ width: 88 }}>
      <Typography variant="caption" color="text.secondary">
        {says}
      </Typography>
      <LevelBand counts={counts} width={88} />
      <Figure sx={{ fontSize: '1.25rem', fontWeight: 600 }}>{secureOf(counts)}</Figure>
    </Box>
  )
}
