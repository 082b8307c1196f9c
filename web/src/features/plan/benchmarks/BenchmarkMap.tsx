// The benchmark map: for every goal what shows it, when that is taken or looked for, and whether it can be shown by the
// end.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Curriculum, Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent, Figure } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { Spoken } from '../../../ui/Spoken'
import { StageGlyph } from '../../../ui/stages'
import { useMap } from '../../progression/queries'
import { daysOf } from './days'
import { Findings } from './Findings'
import { useBenchmarks } from './queries'

type Skill = Schemas['SkillLine']
type Line = Schemas['GoalLine']

interface Props {
  view: Curriculum
  /** What is foreseen, and what squads have reached so far; undefined while nobody asks for it. */
  forecast: Schemas['Forecast'] | undefined
  soFar: Schemas['SoFar'] | undefined
}

export function BenchmarkMap({ view, forecast, soFar }: Props) {
  const map = useBenchmarks(view.id, view.version)
  if (map.isError) return <ErrorNote error={map.error} />
  if (!map.data) return <Loading />
  const { lines, findings, looks } = map.data
  return (
    <Box
      component="section"
      aria-label={t('benchmarks-title')}
      sx={{ pb: 2, '@media print': { zoom: 0.7, p: 0 } }}
    >
      <Head map={map.data} />
      <Findings view={view} findings={findings} />
      <LooksInAll looks={looks} squad={view.wishes.ground.squad} />
      <Box
        component="table"
        sx={{
          width: '100%',
          borderCollapse: 'collapse',
          '& th': { textAlign: 'left', fontWeight: 400, color: 'text.secondary', fontSize: '0.8rem', p: 0.5 },
          '& td': { verticalAlign: 'top', borderTop: 1, borderColor: 'divider', p: 0.5 },
          '& tr': { breakInside: 'avoid' },
        }}
      >
        <thead>
          <tr>
            <th>{t('benchmarks-goal')}</th>
            <th>{t('benchmarks-shown-by')}</th>
            <Box component="th" sx={{ width: 92 }}>
              {t('benchmarks-practised')}
            </Box>
            <Box component="th" sx={{ width: 64 }}>
              {t('benchmarks-so-far')}
            </Box>
            <Box component="th" sx={{ width: 76 }}>
              {t('benchmarks-foreseen')}
            </Box>
            <Box component="th" sx={{ width: 84 }}>
              {t('benchmarks-can')}
            </Box>
          </tr>
        </thead>
        <tbody>
          {lines.map((line) => {
            const skill = view.skills.find((each) => each.id === line.skill)
            const had = soFar?.skills.find((each) => each.skill === line.skill)?.reached.at(-1)
            const end = forecast?.skills.find((each) => each.skill === line.skill)?.reached.at(-1)
            return (
              skill && (
                <GoalRow key={line.skill} {...{ line, skill, view, looks }} had={had} foreseen={end?.share} />
              )
            )
          })}
        </tbody>
      </Box>
    </Box>
  )
}

/** The head figure: how many of the goals can be shown, and by when. */
function Head({ map }: { map: Schemas['Benchmarks'] }) {
  return (
    <Box role="status" sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 0.5 }}>
      <Spoken as={t('benchmarks-head', { shown: map.shown, of: map.lines.length, week: map.week })}>
        <Figure sx={{ fontSize: '2.4rem', fontWeight: 650, lineHeight: 1 }}>
          {map.shown}/{map.lines.length}
        </Figure>
        <Typography variant="h2" component="span">
          {t('benchmarks-can-be-shown', { week: map.week })}
        </Typography>
      </Spoken>
    </Box>
  )
}

/** How many of the looks that the milestones ask for find room in the sessions. */
function LooksInAll({ looks: { asked, laid }, squad }: { looks: Schemas['LookReach']; squad: number }) {
  if (asked === 0) return null
  return (
    <Typography variant="body2" sx={{ mb: 1 }}>
      {t('benchmarks-looks', { asked, n: squad })}{' '}
      {asked > laid ? t('benchmarks-looks-missing', { missing: asked - laid }) : t('benchmarks-looks-all')}
    </Typography>
  )
}

interface RowProps {
  line: Line
  skill: Skill
  view: Curriculum
  looks: Schemas['LookReach']
  /** How many players have reached the goal so far; undefined while nobody shows anything of it. */
  had: { had: number; of: number } | undefined
  /** The share that is foreseen at the goal by the end. */
  foreseen: number | undefined
}

function GoalRow({ line, skill, view, looks, had, foreseen }: RowProps) {
  const counted = line.milestones.filter((milestone) => milestone.stage === line.goal)
  const before = Math.max(...counted.map((milestone) => milestone.exposures_before), 0)
  return (
    <tr>
      <Box component="td" sx={{ width: '24%' }}>
        <Typography variant="body2" sx={{ fontWeight: 650 }}>
          {skill.name}
        </Typography>
        <Typography variant="caption" color="text.secondary" sx={{ display: 'flex', gap: 0.5 }}>
          {line.present ? t(`stage-${line.present}`) : t('plan-wishes-not-met')} →{' '}
          <StageGlyph stage={line.goal} strand={skill.strand} /> {t(`stage-${line.goal}`)}
        </Typography>
      </Box>
      <td>
        {line.milestones.map((milestone) => (
          <MilestoneRow
            key={milestone.milestone}
            {...{ milestone, skill, view }}
            missing={looks.missing[milestone.milestone] ?? 0}
          />
        ))}
        {counted.length === 0 && (
          <Typography variant="body2" color="error">
            {t('benchmarks-none', { stage: t(`stage-${line.goal}`) })}
          </Typography>
        )}
      </td>
      <td>
        <Figure sx={{ fontSize: '1.1rem' }}>{counted.length > 0 ? before : line.exposures}</Figure>
      </td>
      <td>
        <Figure sx={{ fontSize: '1.1rem' }}>{had ? `${had.had}/${had.of}` : '–'}</Figure>
      </td>
      <td>
        <Figure sx={{ fontSize: '1.1rem' }}>{foreseen === undefined ? '–' : asPercent(foreseen)}</Figure>
      </td>
      <td>
        <Typography
          variant="body2"
          sx={{ fontWeight: 650, color: line.can_be_shown ? undefined : 'error.main', whiteSpace: 'nowrap' }}
        >
          {line.can_be_shown ? `✓ ${t('benchmarks-yes')}` : `– ${t('benchmarks-not-yet')}`}
        </Typography>
      </td>
    </tr>
  )
}

interface MilestoneProps {
  milestone: Schemas['MilestoneLine']
  skill: Skill
  view: Curriculum
  /** So many of the looks at its points find no room. */
  missing: number
}

function MilestoneRow({ milestone, skill, view, missing }: MilestoneProps) {
  const tests = useMap().data?.tests ?? []
  const name = (id: string) => tests.find((test) => test.id === id)?.name ?? id
  const { measured, seen, taken, looked_for: looks, standard, behind, can_be_shown: can } = milestone
  const says: string[] = []
  if (behind) says.push(t('benchmarks-behind'))
  if (measured && !behind) {
    const when = daysOf(view, taken)
    const test = name(measured)
    says.push(when ? t('benchmarks-taken', { test, when }) : t('benchmarks-not-taken', { test }))
  }
  if (seen && !behind) {
    const [first] = looks
    says.push(
      first === undefined
        ? t('benchmarks-not-seen')
        : t('benchmarks-looked-for', { n: looks.length, day: daysOf(view, [first]) }),
    )
    if (first !== undefined && missing > 0) says.push(t('benchmarks-looks-short', { missing }))
  }
  return (
    <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'flex-start', py: 0.25 }}>
      <StageGlyph stage={milestone.stage} strand={skill.strand} />
      <Box sx={{ flex: 1, minWidth: 0, color: behind ? 'text.secondary' : undefined }}>
        <Typography variant="body2" sx={{ lineHeight: 1.25 }}>
          {milestone.says}
        </Typography>
        <Typography variant="caption" color={can || behind ? 'text.secondary' : 'error'} component="div">
          {says.join(' · ')}
          {standard === false && ` · ${t('benchmarks-no-standard-here')}`}
        </Typography>
      </Box>
    </Box>
  )
}
