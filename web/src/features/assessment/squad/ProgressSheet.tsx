// A progress: the four lines so far, what a player can do, both feet, and a note for the guardians.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas, Strand } from '../../../api/client'
import { listed, yesNo } from '../../../texts/said'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { FeetBars } from '../../../ui/feet'
import { asDay, asPercent, asResult, Figure } from '../../../ui/figures'
import { LevelSteps } from '../../../ui/levels'
import { Ring } from '../../../ui/rings'
import { StageGlyph } from '../../../ui/stages'
import { STRANDS, StrandLine, StrandSwatch } from '../../../ui/strands'

type ProgressSheet = Schemas['ProgressSheet']

/** On paper the child's side comes first, and the results stand on the back. */
export function ProgressOnPaper({ progress, onPaper }: { progress: ProgressSheet; onPaper?: boolean }) {
  const columns = {
    display: 'grid',
    gridTemplateColumns: onPaper ? '1fr 1fr' : { xs: '1fr', md: '1fr 1fr' },
    columnGap: onPaper ? '8mm' : 5,
    rowGap: 2,
  } as const
  const head = (
    <>
      <Typography variant="h1">{progress.name}</Typography>
      <Typography color="text.secondary" sx={{ mb: 1.5 }}>
        {[
          progress.team,
          progress.band,
          `${t('squad-born')} ${progress.birth_month}`,
          t('squad-strong', { side: progress.strong_foot }),
          asDay(progress.on),
        ].join(' · ')}
      </Typography>
    </>
  )
  if (onPaper) {
    return (
      <>
        {head}
        {/* Two columns that fill up one after the other: how long each part is differs from child to child. */}
        <Box
          sx={{ columnCount: 2, columnGap: columns.columnGap, breakAfter: 'page', '& section': { mb: 1.5 } }}
        >
          <Lines progress={progress} />
          <Note progress={progress} />
          <CanDo progress={progress} />
          <Missed skills={progress.away_for} />
          <Next progress={progress} />
        </Box>
        {head}
        <Results progress={progress} />
        <Feet progress={progress} />
      </>
    )
  }
  return (
    <Box>
      {head}
      <Box sx={columns}>
        <Box>
          <Lines progress={progress} />
          <CanDo progress={progress} />
          <Missed skills={progress.away_for} />
          <Next progress={progress} />
        </Box>
        <Box>
          <Results progress={progress} />
          <Feet progress={progress} />
          <Note progress={progress} />
        </Box>
      </Box>
    </Box>
  )
}

/** Each strand's line rises by a step with every milestone. */
function Lines({ progress }: { progress: ProgressSheet }) {
  const { floor } = useTheme()
  const [width, height, left] = [360, 46, 4]
  const dates = progress.lines[0]?.points.map((point) => Date.parse(point.date)) ?? []
  const [first, last] = [Math.min(...dates), Math.max(...dates)]
  const x = (date: string) =>
    left + (last > first ? (Date.parse(date) - first) / (last - first) : 1) * (width - left - 6)
  const y = (had: number, of: number) => height - 6 - (of > 0 ? (had / of) * (height - 14) : 0)
  return (
    <Box component="section" sx={{ mb: 2, breakInside: 'avoid' }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('progress-lines')}
      </Typography>
      {progress.lines.map(({ strand, of, points }) => {
        const had = points.at(-1)?.had ?? 0
        return (
          <Box key={strand} sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
            <Typography variant="body2" sx={{ width: 92 }}>
              {t(`strand-${strand}`)}
            </Typography>
            <svg
              viewBox={`0 0 ${width} ${height}`}
              style={{ flex: 1, minWidth: 0, maxWidth: width }}
              role="img"
              aria-label={`${t(`strand-${strand}`)}: ${t('progress-had', { n: had, of })}`}
            >
              <line x1={left} x2={width - 4} y1={y(0, 1)} y2={y(0, 1)} stroke={floor.hair} />
              <line
                x1={left}
                x2={width - 4}
                y1={y(1, 1)}
                y2={y(1, 1)}
                stroke={floor.hair}
                strokeDasharray="2 4"
              />
              {points.slice(1).map((point, i) => {
                const before = points[i]
                return (
                  before && (
                    <StrandLine
                      key={point.date}
                      strand={strand}
                      x1={x(before.date)}
                      y1={y(before.had, of)}
                      x2={x(point.date)}
                      y2={y(point.had, of)}
                    />
                  )
                )
              })}
              {points.map((point) => (
                <circle
                  key={point.date}
                  cx={x(point.date)}
                  cy={y(point.had, of)}
                  r={3}
                  fill={floor.strands[strand]}
                />
              ))}
            </svg>
            <Figure sx={{ width: 44, textAlign: 'right', fontSize: '1.1rem' }}>
              {t('progress-had', { n: had, of })}
            </Figure>
          </Box>
        )
      })}
    </Box>
  )
}

function CanDo({ progress }: { progress: ProgressSheet }) {
  const promised = progress.milestones.filter((m) => m.promised)
  // Of what other terms teach there is something to say once it has been seen.
  const others = progress.milestones.filter((m) => !m.promised && m.standing.state !== 'not_seen')
  const later = progress.milestones.filter((m) => !m.promised && m.standing.state === 'not_seen').length
  return (
    <>
      {promised.length > 0 && <Milestones title={t('progress-promised')} milestones={promised} />}
      {others.length > 0 && (
        <Milestones
          title={promised.length > 0 ? t('progress-others') : t('progress-can-do')}
          milestones={others}
        />
      )}
      {later > 0 && (
        <Typography variant="body2" color="text.secondary">
          {t('progress-later', { n: later })}
        </Typography>
      )}
    </>
  )
}

function Milestones({ title, milestones }: { title: string; milestones: ProgressSheet['milestones'] }) {
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {STRANDS.map((strand) => {
        const own = milestones.filter((m) => m.strand === strand)
        if (own.length === 0) return null
        return (
          <Box key={strand} sx={{ mb: 1 }}>
            <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, breakAfter: 'avoid' }}>
              <StrandSwatch strand={strand} />
              <Typography variant="h3">{t(`strand-${strand}`)}</Typography>
            </Box>
            {own.map((m) => (
              <MilestoneLine key={m.standing.milestone} milestone={m} strand={strand} />
            ))}
          </Box>
        )
      })}
    </Box>
  )
}

function MilestoneLine({
  milestone: m,
  strand,
}: {
  milestone: ProgressSheet['milestones'][number]
  strand: Strand
}) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 30, breakInside: 'avoid' }}>
      <Ring state={m.standing.state} overridden={m.standing.overridden != null} />
      <StageGlyph stage={m.stage} strand={strand} />
      <Box sx={{ lineHeight: 1.15 }}>
        <Typography component="span" variant="body2">
          {m.says}{' '}
        </Typography>
        <Typography component="span" variant="caption" color="text.secondary">
          {t(`board-state-${m.standing.state}`)}
          {m.standing.since && ` ${t('board-since', { day: asDay(m.standing.since) })}`}
          {m.standing.overridden && ` · ${m.standing.overridden.by}: “${m.standing.overridden.reason}”`}
        </Typography>
      </Box>
    </Box>
  )
}

/** Skills that were shown only while the player was away. */
function Missed({ skills }: { skills: string[] | undefined }) {
  // A device may still hold a sheet of an earlier version, which did not know who was away.
  if (!skills?.length) return null
  return (
    <Typography variant="body2" sx={{ mt: 2 }}>
      {t('progress-away', { skills: listed(skills) })}
    </Typography>
  )
}

/** How many skills are named. */
const NEXT = 5

/** Skills that could be begun, those that the player is ready for first. */
function Next({ progress }: { progress: ProgressSheet }) {
  if (progress.next.length === 0) return null
  return (
    <Box component="section" sx={{ mt: 2, breakInside: 'avoid' }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('progress-next')}
      </Typography>
      {progress.next.slice(0, NEXT).map((skill) => (
        <Box key={skill.skill} sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 30 }}>
          <StrandSwatch strand={skill.strand} width={22} />
          <Box sx={{ lineHeight: 1.15 }}>
            <Typography component="span" variant="body2">
              {skill.name}{' '}
            </Typography>
            <Typography component="span" variant="caption" color="text.secondary">
              {skill.missing.length === 0
                ? t('progress-ready')
                : t('progress-missing', { what: skill.missing.map(told).join('; ') })}
              {skill.unspoken.length > 0 && ` · ${t('progress-unspoken', { what: listed(skill.unspoken) })}`}
            </Typography>
          </Box>
        </Box>
      ))}
    </Box>
  )
}

/** The last result of each test and foot, with the change to the one before. */
function Results({ progress }: { progress: ProgressSheet }) {
  const { floor } = useTheme()
  const rows = progress.tests.flatMap((test) =>
    ([null, 'left', 'right'] as const).flatMap((side) => {
      const own = progress.results.filter(
        (r) => r.result.test === test.id && (r.result.side ?? null) === side,
      )
      const last = own.at(-1)
      return last ? [{ test, side, last, before: own.at(-2) }] : []
    }),
  )
  if (rows.length === 0) return null
  const unit = (value: string, test: Schemas['TestView']) => `${value}${test.unit && ` ${test.unit}`}`
  return (
    <Box component="section" sx={{ mb: 2 }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('progress-results')}
      </Typography>
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          '& td, & th': { py: 0.4, pr: 1, textAlign: 'left', verticalAlign: 'top', fontWeight: 400 },
          '& tbody tr': { borderTop: `1px solid ${floor.hair}` },
        }}
      >
        <thead>
          <Box component="tr" sx={{ color: 'text.secondary', fontSize: '0.82rem' }}>
            <th scope="col">{t('progress-test')}</th>
            <th scope="col">{t('progress-last')}</th>
            <th scope="col">{t('progress-change')}</th>
          </Box>
        </thead>
        <tbody>
          {rows.map(({ test, side, last }) => (
            <tr key={`${test.id} ${side ?? ''}`}>
              <th scope="row">
                <Typography component="span" variant="body2">
                  {test.short}
                  {side && `, ${t(`side-${side}`)}`}
                </Typography>
              </th>
              <td>
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
                  <LevelSteps level={last.result.level} size={16} />
                  <Figure sx={{ fontSize: '1.15rem' }}>{unit(asResult(last.result.value), test)}</Figure>
                </Box>
                {last.touch_s != null && (
                  <Typography variant="caption" component="div" color="text.secondary">
                    {t('progress-touch', { seconds: last.touch_s })}
                  </Typography>
                )}
                {last.today && last.today !== last.result.level && (
                  <Typography variant="caption" component="div" color="text.secondary">
                    {t('progress-today', { level: t(`level-${last.today}`) })}
                  </Typography>
                )}
                {last.near && (
                  <Typography variant="caption" color="text.secondary">
                    {t('progress-near', {
                      level: t(`level-${last.near.higher}`),
                      percent: asPercent(last.near.probability),
                    })}
                  </Typography>
                )}
              </td>
              <td>
                {last.change != null && (
                  <>
                    <Figure sx={{ fontSize: '1.1rem' }}>
                      {last.change > 0 ? '+' : last.change < 0 ? '−' : ''}
                      {asResult(Math.abs(last.change))}
                    </Figure>{' '}
                    <Typography component="span" variant="caption" color="text.secondary">
                      {last.real == null
                        ? t('progress-unknown')
                        : last.real
                          ? t('progress-real')
                          : t('progress-noise')}
                    </Typography>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  )
}

/** The other foot over the dates. */
function Feet({ progress }: { progress: ProgressSheet }) {
  const tests = progress.tests.filter((test) => progress.feet.some((feet) => feet.test === test.id))
  if (tests.length === 0) return null
  return (
    <Box component="section" sx={{ mb: 2, breakInside: 'avoid' }}>
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('progress-both-feet')}
      </Typography>
      {tests.map((test) => (
        <Box key={test.id} sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5 }}>
          <Typography variant="body2" sx={{ width: 92 }}>
            {test.short}
          </Typography>
          {progress.feet
            .filter((feet) => feet.test === test.id)
            .slice(-3)
            .map((feet) => (
              <Box key={feet.date} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
                <FeetBars
                  feet={feet}
                  label={t('board-feet', {
                    test: test.short,
                    percent: asPercent(feet.deficit),
                    called: yesNo(feet.called),
                  })}
                />
                <Typography variant="caption" color="text.secondary">
                  {asDay(feet.date)}
                </Typography>
              </Box>
            ))}
        </Box>
      ))}
    </Box>
  )
}

function Note({ progress }: { progress: ProgressSheet }) {
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('progress-note')}
      </Typography>
      {progress.note.map((line, i) => (
        <Typography key={i} variant="body2">
          {told(line)}
        </Typography>
      ))}
    </Box>
  )
}
