// The forecast: how many goals will be reached by which week, what that rests on, and what results so far show.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { LateNumber } from '../../ui/fields'
import { asPercent, asResult, Figure } from '../../ui/figures'
import { Loading } from '../../ui/notes'
import { useBenchmarks } from './benchmarks/queries'
import type { Change } from './queries'

interface Props {
  view: Curriculum
  forecast: Schemas['Foreseen'] | undefined
  soFar: Schemas['SoFar'] | undefined
  onChange: (change: Change) => void
}

export function ForecastPanel({ view, forecast, soFar, onChange }: Props) {
  const benchmarks = useBenchmarks(view.id, view.version).data?.lines
  if (!forecast) return <Loading />
  const { assumed } = forecast
  const set = (next: Partial<Schemas['Assumptions']>) =>
    onChange((wishes) => ({ ...wishes, forecast: { ...assumed, ...next } }))
  const name = (id: string) => view.skills.find((skill) => skill.id === id)?.name ?? id
  const last = forecast.all.at(-1)
  const shown = (skill: string) => soFar?.skills.find((known) => known.skill === skill)
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 1.5 }}>
      {last && (
        <Typography>
          {t('plan-forecast-sum', {
            share: asPercent(last.share),
            low: asPercent(last.low),
            high: asPercent(last.high),
          })}
        </Typography>
      )}
      <Chart reached={forecast.all} soFar={soFar?.all ?? []} />
      <Typography variant="body2" color="text.secondary">
        {t('plan-forecast-about', { players: forecast.players, squad: forecast.squad })}{' '}
        {soFar &&
          (soFar.all.length > 0
            ? t('plan-forecast-dots', {
                squads: soFar.squads,
                goals: soFar.skills.filter((skill) => skill.reached.length > 0).length,
                of: forecast.skills.length,
              })
            : t('plan-forecast-no-dots'))}
      </Typography>
      {forecast.came_off && <CountsWith knack={forecast.came_off} />}
      <BySkill
        {...{ forecast, benchmarks, name, shown }}
        onRate={(skill, rate) => set({ rates: { ...assumed.rates, [skill]: rate } })}
      />
      <Assumed assumed={assumed} soFar={soFar} coming={forecast.coming} onChange={set} />
    </Box>
  )
}

/** What the forecast takes from the squads' logs. */
function CountsWith({ knack }: { knack: Schemas['Knack'] }) {
  return (
    <Typography variant="body2" color="text.secondary">
      {t('plan-forecast-came-off', {
        came: asResult(10 * knack.came_off),
        expected: asResult(10 * knack.expected),
        n: knack.logs,
        theta: asResult(knack.theta),
        least: asResult(knack.least),
        most: asResult(knack.most),
      })}
    </Typography>
  )
}

interface BySkillProps {
  forecast: Schemas['Forecast']
  /** What can be shown, goal by goal; undefined until it is known. */
  benchmarks: Schemas['GoalLine'][] | undefined
  name: (skill: string) => string
  shown: (skill: string) => Schemas['SkillSoFar'] | undefined
  onRate: (skill: string, rate: number) => void
}

function BySkill({ forecast, benchmarks, name, shown, onRate }: BySkillProps) {
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: 'collapse',
        '& td, & th': { p: '3px 4px' },
        '& tr': { borderBottom: 1, borderColor: 'divider' },
      }}
    >
      <thead>
        <tr>
          <Typography component="th" variant="caption" sx={{ textAlign: 'left' }}>
            {t('plan-forecast-skill')}
          </Typography>
          <Typography component="th" variant="caption" sx={{ textAlign: 'right' }}>
            {t('plan-forecast-end')}
          </Typography>
          <Typography component="th" variant="caption" sx={{ textAlign: 'right' }}>
            {t('plan-forecast-rate')}
          </Typography>
        </tr>
      </thead>
      <tbody>
        {forecast.skills.map((skill) => {
          const end = skill.reached.at(-1)
          return (
            <tr key={skill.skill}>
              <td>
                <Typography variant="body2">{name(skill.skill)}</Typography>
                <SoFar known={shown(skill.skill)} />
                <CanBeShown line={benchmarks?.find((line) => line.skill === skill.skill)} />
              </td>
              <td style={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
                <Figure sx={{ fontWeight: 700 }}>{asPercent(end?.share ?? 0)}</Figure>{' '}
                <Figure sx={{ color: 'text.secondary' }}>
                  {asPercent(end?.low ?? 0)}–{asPercent(end?.high ?? 0)}
                </Figure>
              </td>
              <td style={{ textAlign: 'right' }}>
                <LateNumber
                  aria-label={t('plan-forecast-rate-of', { skill: name(skill.skill) })}
                  value={skill.rate}
                  onCommit={(rate) => onRate(skill.skill, rate)}
                  sx={{ width: 58 }}
                />
              </td>
            </tr>
          )
        })}
      </tbody>
    </Box>
  )
}

/** Whether what is foreseen can be shown by the end. */
function CanBeShown({ line }: { line: Schemas['GoalLine'] | undefined }) {
  if (!line) return null
  return (
    <Typography variant="caption" color={line.can_be_shown ? 'text.secondary' : 'error'} component="div">
      {line.can_be_shown ? t('plan-forecast-can-be-shown') : t('plan-forecast-not-shown')}
    </Typography>
  )
}

interface AssumedProps {
  assumed: Schemas['Assumptions']
  soFar: Schemas['SoFar'] | undefined
  /** How much of the squads has come, once somebody has said so. */
  coming: Schemas['Foreseen']['coming']
  onChange: (next: Partial<Schemas['Assumptions']>) => void
}

/** What the forecast rests on, each number to be changed, or taken over from results. */
function Assumed({ assumed, soFar, coming, onChange }: AssumedProps) {
  const seen = (soFar?.skills ?? []).flatMap(({ skill, rate }) => (rate ? [{ skill, ...rate }] : []))
  const takeOver = () =>
    onChange({
      rates: {
        ...assumed.rates,
        ...Object.fromEntries(seen.map(({ skill, rate }) => [skill, rounded(rate)])),
      },
    })
  const taken = seen.every(({ skill, rate }) => assumed.rates?.[skill] === rounded(rate))
  return (
    <Box component="section" aria-label={t('plan-forecast-assumes')} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3">{t('plan-forecast-assumes')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 1.25 }}>
        <LateNumber
          label={t('plan-forecast-rate-all')}
          value={assumed.rate}
          onCommit={(rate) => onChange({ rate })}
          sx={{ width: 130 }}
        />
        <LateNumber
          label={t('plan-forecast-spread')}
          value={assumed.spread}
          onCommit={(spread) => onChange({ spread })}
          sx={{ width: 130 }}
        />
        <LateNumber
          label={t('plan-forecast-present')}
          value={Math.round(100 * assumed.present)}
          onCommit={(percent) => onChange({ present: percent / 100 })}
          sx={{ width: 130 }}
        />
      </Box>
      {coming && (
        <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
          <Typography variant="body2">
            {t('plan-forecast-coming', { share: asPercent(coming.share), n: coming.sessions })}
          </Typography>
          {Math.round(100 * assumed.present) !== Math.round(100 * coming.share) && (
            <Button size="small" onClick={() => onChange({ present: Math.round(100 * coming.share) / 100 })}>
              {t('plan-forecast-take-coming')}
            </Button>
          )}
        </Box>
      )}
      {seen.length > 0 && (
        <Box sx={{ display: 'grid', gap: 0.75, justifyItems: 'start' }}>
          <Typography variant="body2">{t('plan-forecast-seen', { skills: seen.length })}</Typography>
          {taken ? (
            <Typography variant="body2" color="text.secondary">
              {t('plan-forecast-taken')}
            </Typography>
          ) : (
            <Button size="small" onClick={takeOver}>
              {t('plan-forecast-take')}
            </Button>
          )}
        </Box>
      )}
      <Typography variant="body2" color="text.secondary">
        {t('plan-forecast-means')}
      </Typography>
    </Box>
  )
}

/** A rate as it is read and typed. */
const rounded = (rate: number) => Math.round(rate * 100) / 100

/** How many have reached a goal by now, and the rate that follows from how they moved on. */
function SoFar({ known }: { known: Schemas['SkillSoFar'] | undefined }) {
  const now = known?.reached.at(-1)
  const rate = known?.rate
  const lines = [
    now && t('plan-forecast-now', { had: now.had, of: now.of, foreseen: asPercent(now.foreseen) }),
    rate &&
      t('plan-forecast-rate-seen', {
        rate: asResult(rate.rate),
        steps: rate.moved_on,
        exposures: Math.round(rate.exposures),
      }),
  ]
  return (
    <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
      {lines.filter(Boolean).join('; ')}
    </Typography>
  )
}

const [W, H, L, B] = [316, 150, 34, 22]

/**
 * Goals reached of all goals by week, with the band in which eight of ten squads lie; as dots what is reached so far,
 * dotted what was foreseen of the same goals.
 */
function Chart({ reached, soFar }: { reached: Schemas['Reached'][]; soFar: Schemas['ReachedSoFar'][] }) {
  const { floor } = useTheme()
  const x = (i: number) => L + ((W - L - 8) * i) / Math.max(reached.length - 1, 1)
  const y = (share: number) => 8 + (H - B - 8) * (1 - share)
  const line = reached.map((r, i) => `${x(i)},${y(r.share)}`).join(' ')
  const band = [
    ...reached.map((r, i) => `${x(i)},${y(r.high)}`),
    ...reached.map((r, i) => `${x(i)},${y(r.low)}`).toReversed(),
  ].join(' ')
  const every = Math.ceil(reached.length / 8)
  return (
    <svg viewBox={`0 0 ${W} ${H}`} role="img" aria-label={t('plan-forecast-chart')} style={{ width: '100%' }}>
      {[0, 0.5, 1].map((share) => (
        <g key={share}>
          <line x1={L} x2={W - 8} y1={y(share)} y2={y(share)} stroke={floor.hair} />
          <text x={L - 5} y={y(share) + 4} textAnchor="end" fontSize={11} fill={floor.quiet}>
            {asPercent(share)}
          </text>
        </g>
      ))}
      <polygon points={band} fill={floor.hair} opacity={0.75} />
      <polyline points={line} fill="none" stroke={floor.ink} strokeWidth={2} />
      {soFar.length > 1 && (
        <polyline
          points={soFar
            .map(({ week, foreseen }) => `${x(reached.findIndex((r) => r.week === week))},${y(foreseen)}`)
            .join(' ')}
          fill="none"
          stroke={floor.ink}
          strokeWidth={1.2}
          strokeDasharray="2 3"
        />
      )}
      {soFar.map(({ week, had, of, foreseen }) => {
        const at = reached.findIndex((r) => r.week === week)
        return at < 0 ? null : (
          <circle
            key={week}
            cx={x(at)}
            cy={y(had / of)}
            r={3.5}
            fill={floor.ink}
            stroke={floor.paper}
            strokeWidth={1.2}
          >
            <title>
              {t('plan-forecast-dot', { week, share: asPercent(had / of), foreseen: asPercent(foreseen) })}
            </title>
          </circle>
        )
      })}
      {reached.map((r, i) =>
        i % every === 0 ? (
          <text key={r.week} x={x(i)} y={H - 6} textAnchor="middle" fontSize={11} fill={floor.quiet}>
            {r.week}
          </text>
        ) : null,
      )}
    </svg>
  )
}
