// A milestone that is proposed from the tests and points that a skill has: to be put in words, changed, and kept.
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogActions from '@mui/material/DialogActions'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum, Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { NumberField, TextCell } from '../../../ui/fields'
import { ErrorNote, Loading } from '../../../ui/notes'
import { MeasuredFields } from '../../assessment/standards/MeasuredFields'
import { useWrittenTest } from '../../assessment/standards/queries'
import { useSkills } from '../../drill/queries'
import { useMap } from '../../progression/queries'
import { type Proposed, useKeepProposed, useMilestones } from './queries'

interface Props {
  view: Curriculum
  proposed: Proposed
  onClose: () => void
}

type Parts = { measured?: Schemas['Measured']; seen?: Schemas['Seen'] }

const partsOf = (evidence: Schemas['Evidence']): Parts => ('both' in evidence ? evidence.both : evidence)
const evidenceOf = ({ measured, seen }: Parts, before: Schemas['Evidence']): Schemas['Evidence'] =>
  measured && seen ? { both: { measured, seen } } : measured ? { measured } : seen ? { seen } : before

export function ProposedMilestone(props: Props) {
  const { milestone: id } = props.proposed
  const milestones = useMilestones()
  const skills = useSkills()
  if (milestones.isError) return <ErrorNote error={milestones.error} />
  if (!milestones.data || !skills.data) return <Loading />
  const name = skills.data.find((each) => each.id === props.proposed.skill)?.name ?? props.proposed.skill
  return <Proposal {...props} name={name} kept={milestones.data.find((each) => each.id === id)} />
}

interface ProposalProps extends Props {
  /** The skill's name. */
  name: string
  /** The milestone that is to rest on more, as it is written. */
  kept: Schemas['Milestone'] | undefined
}

function Proposal({ view, proposed, name, kept, onClose }: ProposalProps) {
  const { skill, stage } = proposed
  const tests = useMap().data?.tests ?? []
  const [says, setSays] = useState(kept?.says ?? t(`benchmarks-propose-${stage}`, { skill: name }))
  const [short, setShort] = useState(kept?.short ?? name.slice(0, LONGEST.Milestone.short))
  const [parts, setParts] = useState(partsOf(proposed.evidence))
  const [points, setPoints] = useState(proposed.points)
  const keep = useKeepProposed()
  const { measured, seen } = parts
  const fresh = proposed.points.length > 0
  const wanted = points.map((point) => point.trim()).filter((point) => point !== '')
  const nameOf = (id: string) => tests.find((test) => test.id === id)?.name ?? id
  const perSide = useWrittenTest(measured?.test ?? null).data?.test.per_side ?? false
  const send = () =>
    keep.mutate(
      {
        milestone: {
          id: proposed.milestone,
          says: says.trim(),
          short: short.trim() || name.slice(0, LONGEST.Milestone.short),
          skill,
          stage,
          band: view.wishes.band,
          evidence: evidenceOf(parts, proposed.evidence),
        },
        test: fresh && seen ? pointsTest(seen.test, skill, name, wanted) : undefined,
      },
      { onSuccess: onClose },
    )
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm" aria-labelledby="proposed-title">
      <DialogTitle id="proposed-title">
        {t('benchmarks-proposed-title', { skill: name, stage: t(`stage-${stage}`) })}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <TextCell
          label={t('standards-making-says')}
          longest={LONGEST.Milestone.says}
          autoFocus
          value={says}
          onChange={setSays}
          sx={{ mt: 1 }}
        />
        <TextCell
          label={t('standards-making-short')}
          longest={LONGEST.Milestone.short}
          value={short}
          onChange={setShort}
        />
        <Typography variant="h3">{t('standards-making-evidence')}</Typography>
        {measured && (
          <>
            <Typography variant="body2">{nameOf(measured.test)}</Typography>
            <MeasuredFields
              measured={measured}
              perSide={perSide}
              onChange={(next) => setParts({ ...parts, measured: next })}
            />
          </>
        )}
        {seen && (
          <SeenFields
            seen={seen}
            test={nameOf(seen.test)}
            points={fresh ? points : null}
            onPoints={setPoints}
            onChange={(next) => setParts({ ...parts, seen: next })}
          />
        )}
        {keep.isError && <ErrorNote error={keep.error} />}
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button
          variant="contained"
          disabled={says.trim() === '' || keep.isPending || (fresh && wanted.length === 0)}
          onClick={send}
        >
          {t('standards-making-keep')}
        </Button>
      </DialogActions>
    </Dialog>
  )
}

interface SeenProps {
  seen: Schemas['Seen']
  /** The name of the test that has the points. */
  test: string
  /** The points of a test that is not there yet; null if it is. */
  points: string[] | null
  onPoints: (points: string[]) => void
  onChange: (seen: Schemas['Seen']) => void
}

/** Which points are looked for, and on how many days. */
function SeenFields({ seen, test, points, onPoints, onChange }: SeenProps) {
  return (
    <>
      <Typography variant="body2">
        {points ? t('benchmarks-new-points') : t('benchmarks-points-of', { test })}
      </Typography>
      {points?.map((point, i) => (
        <TextCell
          key={i}
          label={t('benchmarks-point', { n: i + 1 })}
          longest={80}
          value={point}
          onChange={(text) => onPoints(points.map((each, at) => (at === i ? text : each)))}
        />
      ))}
      <NumberField
        label={t('standards-making-days')}
        whole
        value={seen.days}
        onChange={(days) => days !== null && days >= 1 && days <= 20 && onChange({ ...seen, days })}
        sx={{ width: 160 }}
      />
    </>
  )
}

/** A test in which these points are looked at. */
const pointsTest = (id: string, skill: string, name: string, points: string[]): Schemas['Test'] => ({
  id,
  name: t('benchmarks-test-name', { skill: name }).slice(0, LONGEST.Test.name),
  short: name.slice(0, LONGEST.Test.short),
  how: t('benchmarks-test-how'),
  skill,
  protocol: { kind: 'points', points },
  per_side: false,
  trials: 1,
  summary: 'best',
  // The server sets the range: it follows from the points.
  least: 0,
  most: 0,
})
