// What stands behind a band's standard: how well the test repeats itself, what the results suggest, and who is judged.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asMonth, asPercent, asResult, Figure } from '../../../ui/figures'
import { MilestoneDialog } from './MilestoneDialog'
import { useWrittenMilestone } from './queries'

interface Props {
  scale: Schemas['StandardsOfTest']
  band: Schemas['BandOnScale']
  /** What moved thresholds would mean. */
  thought: Schemas['Weighed'] | undefined
  onTake: () => void
}

const LEVELS = ['building', 'secure', 'stretching'] as const
const signed = (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${asResult(Math.abs(value))}`

export function BandInspector({ scale, band, thought, onTake }: Props) {
  const unit = scale.test.unit ? ` ${scale.test.unit}` : ''
  const written = useWrittenMilestone(scale.test.id)
  const [editing, setEditing] = useState<Schemas['Milestone'] | 'new' | null>(null)
  return (
    <Box
      component="aside"
      sx={{ p: 2, borderLeft: 1, borderColor: 'divider', display: 'flex', flexDirection: 'column', gap: 2 }}
    >
      <Typography variant="h2">{band.name}</Typography>
      <Section title={t('standards-repeat')}>
        <Repeatability band={band} unit={unit} />
      </Section>
      {band.suggestion && (
        <Section title={t('standards-suggestion')}>
          {LEVELS.map((level) => {
            const at = band.suggestion?.[level]
            return (
              at && (
                <Row
                  key={level}
                  says={t(`level-${level}`)}
                  value={`${asResult(at.smoothed)}${unit}`}
                  more={t('standards-raw', {
                    value: asResult(at.raw),
                    low: asResult(at.interval.low),
                    high: asResult(at.interval.high),
                  })}
                />
              )
            )
          })}
          <Button size="small" onClick={onTake} sx={{ mt: 0.5 }}>
            {t('standards-take')}
          </Button>
        </Section>
      )}
      {band.tempo && <Tempo tempo={band.tempo} asked={thought?.asked[band.id] ?? band.tempo.asked} />}
      {band.history.length > 1 && (
        <Section title={t('standards-history')}>
          {band.history.map(({ from, thresholds: { building, secure, stretching } }) => (
            <Typography key={from} variant="body2">
              {t('standards-since', {
                day: asMonth(from),
                thresholds: [building, secure, stretching].map(asResult).join(' · '),
              })}
            </Typography>
          ))}
        </Section>
      )}
      {band.shares && <Quarters now={band.shares} thought={thought?.shares[band.id]} />}
      <Section title={t('standards-milestones')}>
        {band.milestones.map((milestone) => (
          <Button
            key={milestone.id}
            variant="text"
            onClick={() => setEditing(written(milestone.id) ?? milestone)}
            sx={{ display: 'block', textAlign: 'left', fontWeight: 400, px: 0.5, ml: -0.5, lineHeight: 1.2 }}
          >
            “{milestone.says}”
          </Button>
        ))}
        {band.milestones.length === 0 && (
          <Typography variant="body2">{t('standards-no-milestones')}</Typography>
        )}
        <Button size="small" onClick={() => setEditing('new')} sx={{ mt: 0.5 }}>
          {t('standards-add-milestone')}
        </Button>
      </Section>
      {editing && (
        <MilestoneDialog
          scale={scale}
          band={band}
          milestone={editing === 'new' ? null : editing}
          onClose={() => setEditing(null)}
        />
      )}
    </Box>
  )
}

/** How fast the thresholds ask the feet to be, and how fast they are. */
function Tempo({
  tempo,
  asked,
}: {
  tempo: Schemas['TempoOnScale']
  asked: Schemas['TouchTimes'] | null | undefined
}) {
  const { measured, fast_s: fast } = tempo
  return (
    <Section title={t('standards-tempo')}>
      {LEVELS.map((level) => {
        const seconds = asked?.[level]
        return (
          seconds != null && (
            <Row key={level} says={t(`level-${level}`)} value={t('standards-tempo-touch', { seconds })} />
          )
        )
      })}
      <Typography variant="caption" component="p" color="text.secondary" sx={{ lineHeight: 1.3 }}>
        {measured
          ? t('standards-tempo-measured', { seconds: measured.beat_s, n: measured.results, fast })
          : t('standards-tempo-few', { fast })}
      </Typography>
    </Section>
  )
}

/** How well the test repeats itself in this band. */
function Repeatability({ band, unit }: { band: Schemas['BandOnScale']; unit: string }) {
  const known = band.repeatability
  if (!known) return
  return (
    <>
      <Row says={t('standards-typical-error')} value={`${asResult(known.typical_error)}${unit}`} />
      <Row says={t('standards-smallest-real')} value={`${asResult(known.smallest_real)}${unit}`} />
      <Row
        says={t('standards-bias')}
        value={`${signed(known.bias)}${unit}`}
        more={`${signed(known.bias_interval.low)} – ${signed(known.bias_interval.high)}`}
      />
      {known.variation != null && (
        <Row says={t('standards-variation')} value={asPercent(known.variation / 100)} />
      )}
      {known.agreement && (
        <Row
          says={t('standards-agreement')}
          value={asResult(known.agreement.icc)}
          more={`${asResult(known.agreement.interval.low)} – ${asResult(known.agreement.interval.high)}`}
        />
      )}
      <Typography variant="caption" color="text.secondary">
        {t('standards-pairs', { n: known.pairs })}
      </Typography>
    </>
  )
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section">
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  )
}

function Row({ says, value, more }: { says: string; value: string; more?: string }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'baseline', columnGap: 1, flexWrap: 'wrap' }}>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {says}
      </Typography>
      <Figure sx={{ fontSize: '1.15rem', fontWeight: 600 }}>{value}</Figure>
      {more && (
        <Typography variant="caption" color="text.secondary" sx={{ width: '100%' }}>
          {more}
        </Typography>
      )}
    </Box>
  )
}

const QUARTERS = [1, 2, 3, 4] as const

/** Secure or better, by quarter of birth. */
function Quarters({ now, thought }: { now: Schemas['Shares']; thought: Schemas['Shares'] | undefined }) {
  return (
    <Section title={t('standards-quarters')}>
      <Typography variant="caption" color="text.secondary">
        {t('standards-quarter-about')}
      </Typography>
      {QUARTERS.map((quarter, q) => {
        const [old, moved] = [now.secure_by_quarter[q] ?? null, thought?.secure_by_quarter[q] ?? null]
        return (
          <Box key={quarter} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 24 }}>
            <Typography variant="body2" sx={{ width: 74 }}>
              {t(`standards-quarter-${quarter}`)}
            </Typography>
            <Box sx={{ flex: 1, height: 10, border: 1, position: 'relative' }}>
              <Box
                sx={{
                  position: 'absolute',
                  inset: 0,
                  right: 'auto',
                  width: `${100 * (moved ?? old ?? 0)}%`,
                  bgcolor: 'text.primary',
                }}
              />
            </Box>
            <Figure sx={{ width: 84, textAlign: 'right' }}>
              {old === null ? '–' : asPercent(old)}
              {moved !== null && ` → ${asPercent(moved)}`}
            </Figure>
          </Box>
        )
      })}
    </Section>
  )
}
