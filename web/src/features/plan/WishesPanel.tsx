// The wishes behind the plan: how to go about it, when, where, and what is to be reached.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import type { Curriculum, Schemas, Stage } from '../../api/client'
import { said, t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { LateNumber, LateText, SelectCell } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { STAGES } from '../../ui/stages'
import { useClubs } from '../academy/clubs/queries'
import { useSkills } from '../drill/queries'
import { type Change, EVERYBODY, presetOf, useBeginnings, useGoalsOfSquads } from './queries'
import { SeasonFields } from './SeasonFields'
import { TestWishes } from './TestWishes'

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
      <Typography variant="body2" color="text.secondary">
        {t('plan-wishes-about')}
      </Typography>
      <ApproachWish view={view} onChange={onChange} />
      <Goals view={view} onChange={onChange} />
      <Season key={JSON.stringify(seasonOf(view))} view={view} saving={saving} onSeason={onSeason} />
      <Part title={t('plan-wishes-tests')}>
        <TestWishes view={view} onChange={onChange} />
      </Part>
      <Where view={view} onChange={onChange} />
      <Box>
        <Button size="small" disabled={saving} onClick={onReplan}>
          {t('plan-wishes-replan')}
        </Button>
        <Typography variant="body2" color="text.secondary">
          {t('plan-wishes-replan-means')}
        </Typography>
      </Box>
    </Box>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h3">{title}</Typography>
      {children}
    </Box>
  )
}

const percent = (share: number) => Math.round(share * 100)

function ApproachWish({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const beginnings = useBeginnings()
  const presets = beginnings.data?.approaches ?? []
  const { approach } = view.wishes
  const set = (next: Partial<Schemas['Approach']>) =>
    onChange((wishes) => ({ ...wishes, approach: { ...wishes.approach, ...next } }))
  const chosen = presetOf(approach, presets)
  return (
    <Part title={t('plan-wishes-approach')}>
      <Choice
        label={t('plan-wishes-approach')}
        options={presets.map((preset) => preset.name)}
        chosen={chosen ? [chosen] : []}
        says={(name) => said(`plan-approach-${name}`) ?? name}
        onToggle={(name) => {
          const preset = presets.find((each) => each.name === name)
          if (preset) set(preset.approach)
        }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1, mt: 0.75 }}>
        {STAGES.map((stage, i) => (
          <LateNumber
            key={stage}
            label={t('plan-wishes-times', { stage: t(`stage-${stage}`) })}
            whole
            value={approach.exposures[i] ?? 1}
            onCommit={(n) =>
              n > 0 && set({ exposures: approach.exposures.map((e, at) => (at === i ? n : e)) })
            }
            sx={{ width: '100%' }}
          />
        ))}
      </Box>
      <SelectCell
        label={t('plan-wishes-ladder')}
        value={approach.ladder ?? 'strict'}
        options={(['strict', 'overlapping', 'open'] as const).map((ladder) => ({
          value: ladder,
          says: t(`plan-ladder-${ladder}`),
        }))}
        onChange={(ladder) => ladder && set({ ladder })}
      />
      {approach.open_play && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 0.5 }}>
          {(['first', 'last'] as const).map((end) => (
            <LateNumber
              key={end}
              label={t(`plan-wishes-open-play-${end}`)}
              whole
              value={percent(approach.open_play?.[end] ?? 0)}
              onCommit={(n) =>
                n >= 0 &&
                n <= 100 &&
                approach.open_play &&
                set({ open_play: { ...approach.open_play, [end]: n / 100 } })
              }
              sx={{ width: '100%' }}
            />
          ))}
        </Box>
      )}
      {approach.success_window && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 0.5 }}>
          {(['least', 'most'] as const).map((end) => (
            <LateNumber
              key={end}
              label={t(`plan-wishes-success-${end}`)}
              whole
              value={percent(approach.success_window?.[end] ?? 0)}
              onCommit={(n) =>
                n >= 0 &&
                n <= 100 &&
                approach.success_window &&
                set({ success_window: { ...approach.success_window, [end]: n / 100 } })
              }
              sx={{ width: '100%' }}
            />
          ))}
        </Box>
      )}
      <Typography variant="caption" color="text.secondary">
        {t('plan-wishes-assumptions')}
      </Typography>
      <SelectCell
        label={t('plan-wishes-side')}
        none={t('plan-wishes-side-own')}
        value={view.wishes.side ?? ''}
        options={(['equal', 'other_more', 'strong_first', 'not_sided'] as const).map((side) => ({
          value: side,
          says: t(`plan-side-${side}`),
        }))}
        onChange={(side) => onChange((wishes) => ({ ...wishes, side: side || null }))}
      />
    </Part>
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
  const stages = STAGES.map((stage) => ({ value: stage, says: t(`stage-${stage}`) }))
  const others = (skills.data ?? []).filter((skill) => !goals.some((goal) => goal.skill === skill.id))
  return (
    <Part title={t('plan-wishes-goals')}>
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
          <Box sx={{ gridColumn: '1 / -1', display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
            <SelectCell<Stage>
              label={t('plan-wishes-present')}
              aria-label={t('plan-wishes-present')}
              none={t('plan-wishes-not-met')}
              value={goal.present ?? ''}
              options={stages}
              onChange={(present) => set(goal.skill, { present: present || null })}
            />
            <SelectCell<Stage>
              label={t('plan-wishes-goal')}
              value={goal.goal}
              options={stages}
              onChange={(stage) => stage && set(goal.skill, { goal: stage })}
            />
          </Box>
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
    </Part>
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
  const before = new Map(view.wishes.goals.map((goal) => [goal.skill, goal.present ?? null]))
  const next = (found.data ?? []).filter(
    (goal) => before.has(goal.skill) && before.get(goal.skill) !== (goal.present ?? null),
  )
  const stage = (at: Stage | null | undefined) => (at ? t(`stage-${at}`) : t('plan-wishes-not-met'))
  return (
    <Box sx={{ display: 'grid', gap: 0.75, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      <SelectCell
        label={t('plan-wishes-from-squads')}
        none={t('plan-wishes-from-nobody')}
        value={whose}
        options={[{ value: EVERYBODY, says: t('plan-wishes-all-squads') }, ...teams]}
        onChange={setWhose}
      />
      {whose !== '' && found.isError && <ErrorNote error={found.error} />}
      {whose !== '' && found.data && (
        <>
          {next.map((goal) => (
            <Typography key={goal.skill} variant="body2">
              {t('plan-wishes-stands', {
                skill: name(goal.skill),
                before: stage(before.get(goal.skill)),
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

const seasonOf = ({ wishes: { start, weeks, weekdays, holidays } }: Curriculum): Schemas['Season'] => ({
  start,
  weeks,
  weekdays,
  holidays: holidays ?? [],
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
    <Part title={t('plan-wishes-when')}>
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
    </Part>
  )
}

function Where({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const { ground } = view.wishes
  const set = (next: Partial<Schemas['Ground']>) =>
    onChange((wishes) => ({ ...wishes, ground: { ...wishes.ground, ...next } }))
  const fields: { key: keyof Schemas['Ground']; whole?: boolean }[] = [
    { key: 'width_m' },
    { key: 'depth_m' },
    { key: 'squad', whole: true },
    { key: 'markers', whole: true },
    { key: 'adults', whole: true },
  ]
  return (
    <Part title={t('plan-wishes-where')}>
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
    </Part>
  )
}
