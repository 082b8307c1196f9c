// The wishes behind the plan: how to go about it, when, where, and what is to be reached.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link as RouterLink } from 'react-router'
import type { Curriculum, Schemas, Stage } from '../../api/client'
import { t } from '../../texts/t'
import { LateNumber, LateText, SelectCell } from '../../ui/fields'
import { asDay } from '../../ui/figures'
import { ErrorNote } from '../../ui/notes'
import { STAGES } from '../../ui/stages'
import { useClubs } from '../academy/clubs/queries'
import { useSkills } from '../drill/queries'
import { ApproachWishes } from './ApproachWishes'
import { MasteryChoice } from './MasteryChoice'
import { BELIEVED, type Change, EVERYBODY, useGoalsOfSquads } from './queries'
import { SeasonFields } from './SeasonFields'
import { TestWishes } from './TestWishes'
import { ThemeWishes } from './ThemeWishes'
import { WallChoice } from './WallChoice'
import { WeeklyWishes } from './WeeklyWishes'
import { WishPart } from './WishPart'

interface Props {
  view: Curriculum
  saving: boolean
  onChange: (change: Change) => void
  onSeason: (season: Schemas['Season']) => void
  onReplan: () => void
}

export function WishesPanel({ view, saving, onChange, onSeason, onReplan }: Props) {
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="body2" color="text.secondary">
          {t('plan-wishes-about')}
        </Typography>
        <Link component={RouterLink} to={`/print/book?of=${view.id}`} variant="body2">
          {t('book-open')}
        </Link>
      </Box>
      <ApproachWishes view={view} onChange={onChange} />
      <Goals view={view} onChange={onChange} />
      <Season key={JSON.stringify(seasonOf(view))} view={view} saving={saving} onSeason={onSeason} />
      <WishPart title={t('plan-themes')}>
        <ThemeWishes view={view} onChange={onChange} />
      </WishPart>
      <WishPart title={t('plan-weekly')}>
        <WeeklyWishes view={view} onChange={onChange} />
      </WishPart>
      <WishPart title={t('plan-wishes-tests')}>
        <TestWishes view={view} onChange={onChange} />
      </WishPart>
      <Where view={view} onChange={onChange} />
      <Box>
        <Button size="small" disabled={saving} onClick={onReplan}>
          {t('plan-wishes-replan')}
        </Button>
        <Typography variant="body2" color="text.secondary">
          {t('plan-wishes-replan-means')}
        </Typography>
      </Box>
      <WishPart title={t('plan-wishes-files')}>
        {(['problem', 'plan'] as const).map((file) => (
          <Link key={file} href={`/api/v1/curricula/${view.id}/${file}`} download={`${file}.json`}>
            {t(`plan-wishes-file-${file}`)}
          </Link>
        ))}
      </WishPart>
    </Box>
  )
}

function Goals({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const skills = useSkills()
  const goals = view.wishes.goals
  const name = (id: string) => skills.data?.find((skill) => skill.id === id)?.name ?? id
  const set = (skill: string, next: Partial<Schemas['Goal']>) =>
    onChange((wishes) => ({
      ...wishes,
      goals: wishes.goals.map((goal) => (goal.skill === skill ? { ...goal, ...next } : goal)),
    }))
  const others = (skills.data ?? []).filter((skill) => !goals.some((goal) => goal.skill === skill.id))
  return (
    <WishPart title={t('plan-wishes-goals')}>
      {goals.map((goal) => (
        <Box
          key={goal.skill}
          sx={{
            display: 'grid',
            gridTemplateColumns: '1fr auto',
            columnGap: 0.5,
            rowGap: 0.5,
            alignItems: 'center',
            borderTop: 1,
            borderColor: 'divider',
            pt: 0.75,
          }}
        >
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {name(goal.skill)}
          </Typography>
          <IconButton
            size="small"
            aria-label={t('plan-wishes-take-out', { what: name(goal.skill) })}
            onClick={() =>
              onChange((wishes) => ({
                ...wishes,
                goals: wishes.goals.filter((each) => each.skill !== goal.skill),
              }))
            }
          >
            ×
          </IconButton>
          <GoalFields
            view={view}
            goal={goal}
            skill={skills.data?.find((skill) => skill.id === goal.skill)}
            onSet={(next) => set(goal.skill, next)}
            onChange={onChange}
          />
        </Box>
      ))}
      <FromSquads
        view={view}
        name={name}
        onTake={(next) =>
          onChange((wishes) => ({
            ...wishes,
            goals: wishes.goals.map((goal) => next.find((each) => each.skill === goal.skill) ?? goal),
          }))
        }
      />
      <SelectCell
        label={t('plan-wishes-add-goal')}
        none={t('plan-wishes-choose-skill')}
        value=""
        options={others.map((skill) => ({ value: skill.id, says: skill.name }))}
        onChange={(skill) =>
          skill &&
          onChange((wishes) => ({
            ...wishes,
            goals: [...wishes.goals, { skill, present: null, goal: 'flow' }],
          }))
        }
      />
    </WishPart>
  )
}

interface GoalFieldsProps {
  view: Curriculum
  goal: Schemas['Goal']
  skill: Schemas['Skill'] | undefined
  onSet: (next: Partial<Schemas['Goal']>) => void
  onChange: (change: Change) => void
}

/** From where to where a goal leads, and what its beginning waits for. */
function GoalFields({ view, goal, skill, onSet, onChange }: GoalFieldsProps) {
  const stages = STAGES.map((stage) => ({ value: stage, says: t(`stage-${stage}`) }))
  const own = skill?.side ?? 'equal'
  const strongFirst = own !== 'not_sided' && (view.wishes.side ?? own) === 'strong_first'
  const notParted = view.skills.find((line) => line.id === goal.skill)?.not_parted
  return (
    <Box sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
      <SelectCell<Stage>
        label={t('plan-wishes-present')}
        aria-label={t('plan-wishes-present')}
        none={t('plan-wishes-not-met')}
        value={goal.present ?? ''}
        options={stages}
        onChange={(present) => onSet({ present: present || null })}
      />
      <SelectCell<Stage>
        label={t('plan-wishes-goal')}
        value={goal.goal}
        options={stages}
        onChange={(stage) => stage && onSet({ goal: stage })}
      />
      {!goal.present && (
        <MasteryChoice
          view={view}
          skill={goal.skill}
          name={skill?.name ?? goal.skill}
          gated={skill?.gate != null}
          onChange={onChange}
        />
      )}
      {strongFirst && (
        <SelectCell<Stage>
          label={t('plan-wishes-other-foot')}
          none={t('plan-wishes-other-foot-waits')}
          value={goal.other_foot ?? ''}
          options={stages}
          onChange={(stage) => onSet({ other_foot: stage || null })}
          sx={{ gridColumn: '1 / -1' }}
        />
      )}
      {notParted && (
        <Typography variant="caption" color="text.secondary" sx={{ gridColumn: '1 / -1' }}>
          {t('plan-wishes-not-parted')}
        </Typography>
      )}
    </Box>
  )
}

/** What the milestones of the squads say of the goals, taken over only when it is wanted. */
function FromSquads({
  view,
  name,
  onTake,
}: {
  view: Curriculum
  name: (skill: string) => string
  onTake: (goals: Schemas['Goal'][]) => void
}) {
  const [whose, setWhose] = useState('')
  const clubs = useClubs().data ?? []
  const teams = clubs.flatMap((club) =>
    club.teams
      .filter((team) => team.band === view.wishes.band)
      .map((team) => ({ value: team.id, says: `${club.name} ${team.name}` })),
  )
  const found = useGoalsOfSquads(view.id, whose)
  const before = new Map(view.wishes.goals.map((goal) => [goal.skill, goal]))
  const next = (found.data ?? []).filter((goal) => differs(goal, before.get(goal.skill)))
  const stage = (at: Stage | null | undefined) => (at ? t(`stage-${at}`) : t('plan-wishes-not-met'))
  return (
    <Box sx={{ display: 'grid', gap: 0.75, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      <SelectCell
        label={t('plan-wishes-from-squads')}
        none={t('plan-wishes-from-nobody')}
        value={whose}
        options={[
          { value: EVERYBODY, says: t('plan-wishes-all-squads') },
          ...BELIEVED.map((value) => ({ value, says: t(`plan-wishes-before-${value}`) })),
          ...teams,
        ]}
        onChange={setWhose}
      />
      {whose !== '' && found.isError && <ErrorNote error={found.error} />}
      {whose !== '' && found.data && (
        <>
          {next.map((goal) => (
            <Typography key={goal.skill} variant="body2">
              {goal.last_shown && `${t('plan-wishes-last-shown', { day: asDay(goal.last_shown) })} `}
              {t('plan-wishes-stands', {
                skill: name(goal.skill),
                before: stage(before.get(goal.skill)?.present),
                now: stage(goal.present),
              })}
            </Typography>
          ))}
          {next.length === 0 ? (
            <Typography variant="body2" color="text.secondary">
              {t('plan-wishes-stands-alike')}
            </Typography>
          ) : (
            <Button size="small" onClick={() => onTake(next)} sx={{ justifySelf: 'start' }}>
              {t('plan-wishes-take-stands', { n: next.length })}
            </Button>
          )}
        </>
      )}
    </Box>
  )
}

const differs = (goal: Schemas['Goal'], before: Schemas['Goal'] | undefined) =>
  before !== undefined &&
  ((before.present ?? null) !== (goal.present ?? null) ||
    (before.last_shown ?? null) !== (goal.last_shown ?? null))

const seasonOf = ({ wishes }: Curriculum): Schemas['Season'] => ({
  start: wishes.start,
  weeks: wishes.weeks,
  weekdays: wishes.weekdays,
  holidays: wishes.holidays ?? [],
  days_off: wishes.days_off ?? [],
})

function Season({
  view,
  saving,
  onSeason,
}: {
  view: Curriculum
  saving: boolean
  onSeason: (season: Schemas['Season']) => void
}) {
  const [season, setSeason] = useState(() => seasonOf(view))
  const changed = JSON.stringify(season) !== JSON.stringify(seasonOf(view))
  return (
    <WishPart title={t('plan-wishes-when')}>
      <SeasonFields season={season} onChange={setSeason} />
      <Button
        size="small"
        disabled={!changed || saving}
        onClick={() => onSeason(season)}
        sx={{ justifySelf: 'start' }}
      >
        {t('plan-wishes-save-season')}
      </Button>
      {changed && (
        <Typography variant="caption" color="text.secondary">
          {t('plan-wishes-season-moves')}
        </Typography>
      )}
    </WishPart>
  )
}

function Where({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const { ground } = view.wishes
  const set = (next: Partial<Schemas['Ground']>) =>
    onChange((wishes) => ({ ...wishes, ground: { ...wishes.ground, ...next } }))
  const fields: { key: Exclude<keyof Schemas['Ground'], 'wall'>; whole?: boolean }[] = [
    { key: 'width_m' },
    { key: 'depth_m' },
    { key: 'squad', whole: true },
    { key: 'markers', whole: true },
    { key: 'adults', whole: true },
  ]
  return (
    <WishPart title={t('plan-wishes-where')}>
      <LateText
        label={t('plan-wishes-name')}
        value={view.wishes.name}
        onCommit={(name) => onChange((wishes) => ({ ...wishes, name }))}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {fields.map(({ key, whole }) => (
          <LateNumber
            key={key}
            label={t(`plan-wishes-ground-${key}`)}
            whole={whole}
            value={ground[key]}
            onCommit={(n) => n >= 0 && set({ [key]: n })}
          />
        ))}
      </Box>
      <WallChoice ground={ground} onChange={set} />
    </WishPart>
  )
}
