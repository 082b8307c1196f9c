// One band on the scale of a test: its results as a ridge, its thresholds as handles on it. Better is always to the
// right.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asMonth, asPercent, Figure } from '../../../ui/figures'
import { LevelBand } from '../../../ui/levels'
import type { Thresholds } from './queries'
import { BASE, HANDLES, HEIGHT, placeOf, WIDTH } from './scale'
import { ThresholdSlider } from './ThresholdSlider'

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

export function BandScale({ scale, band, thresholds, shares, moved, chosen, onChoose, onMove }: Props) {
  const { floor } = useTheme()
  return (
    <Box
      component="section"
      aria-label={band.name}
      onClick={onChoose}
      onFocus={onChoose}
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
          {t('standards-results', { n: band.results })}
        </Typography>
        {band.standard && (
          <Typography variant="caption" component="div" color="text.secondary">
            {t('standards-from', { day: asMonth(band.standard.from) })}
          </Typography>
        )}
      </Box>
      <Box sx={{ position: 'relative', containerType: 'inline-size', aspectRatio: `${WIDTH} / ${HEIGHT}` }}>
        <Ridge scale={scale} band={band} thresholds={thresholds} />
        {thresholds && <ThresholdSlider scale={scale} band={band} thresholds={thresholds} onMove={onMove} />}
      </Box>
      <Box sx={{ display: 'flex', gap: 1.5 }}>
        {band.shares && <Share says={t('standards-old')} shares={band.shares} />}
        {moved && shares && <Share says={t('standards-thought')} shares={shares} />}
      </Box>
    </Box>
  )
}

/** How results lie on the scale, the noise around each threshold, and where thresholds were before they were moved. */
function Ridge({ scale, band, thresholds }: Pick<Props, 'scale' | 'band' | 'thresholds'>) {
  const { floor } = useTheme()
  const x = placeOf(scale)
  const peak = Math.max(...scale.bands.flatMap((each) => each.ridge.map((point) => point.density)), 1e-9)
  const ridge = band.ridge.map(
    (point) => `${x(point.at).toFixed(1)},${(BASE - (point.density / peak) * (BASE - 14)).toFixed(1)}`,
  )
  const [start, end] = [band.ridge[0], band.ridge.at(-1)]
  const error = band.repeatability?.typical_error
  const noise =
    error && thresholds
      ? HANDLES.map((handle) => [x(thresholds[handle] - error), x(thresholds[handle] + error)] as const)
      : []
  const before = HANDLES.flatMap((handle) => {
    const was = band.standard?.thresholds[handle]
    return was === undefined || !thresholds || was === thresholds[handle] ? [] : [x(was)]
  })
  const note = (text: string, y: number) => (
    <text x={WIDTH / 2} y={y} textAnchor="middle" fontSize={13} fill={floor.quiet}>
      {text}
    </text>
  )
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" style={{ display: 'block' }} aria-hidden>
      {noise.map(([a, b]) => (
        <rect
          key={a}
          x={Math.min(a, b)}
          y={10}
          width={Math.abs(b - a)}
          height={BASE - 10}
          fill={floor.ink}
          opacity={0.1}
        />
      ))}
      {start && end && (
        <polygon
          points={`${x(start.at)},${BASE} ${ridge.join(' ')} ${x(end.at)},${BASE}`}
          fill={floor.plank}
          stroke={floor.ink}
          strokeWidth={1.2}
        />
      )}
      {before.map((at) => (
        <line key={at} x1={at} x2={at} y1={30} y2={BASE} stroke={floor.quiet} strokeDasharray="2 3" />
      ))}
      <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke={floor.ink} />
      {band.results === 0 && !thresholds && note(t('standards-no-results'), BASE - 20)}
      {!thresholds && note(t('standards-no-standard'), BASE + 17)}
    </svg>
  )
}

/** How many are at each level, and the share that is secure or better. */
function Share({ says, shares }: { says: string; shares: Schemas['Shares'] }) {
  return (
    <Box sx={{ width: 88 }}>
      <Typography variant="caption" color="text.secondary">
        {says}
      </Typography>
      <LevelBand counts={shares.counts} width={88} />
      <Figure sx={{ fontSize: '1.25rem', fontWeight: 600 }}>
        {shares.secure == null ? '–' : asPercent(shares.secure)}
      </Figure>
    </Box>
  )
}
