// The wishes behind the plan: how to go about it, when, where, and what is to be reached.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import type { Curriculum, Schemas, Stage } from '../../api/client'
import { texts } from '../../texts/en'
import { Choice } from '../../ui/Choice'
import { LateNumber, LateText, SelectCell } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { STAGES } from '../../ui/stages'
import { useClubs } from '../academy/clubs/queries'
import { useSkills } from '../drill/queries'
import { useMap } from '../progression/queries'
import { type Change, EVERYBODY, presetOf, useBeginnings, useGoalsOfSquads } from './queries'
import { SeasonFields } from './SeasonFields'

interface Props {
  view: Curriculum
  saving: boolean
  onChange: (change: Change) => void
  onSeason: (season: Schemas['Season']) => void
  onLayAnew: () => void
}

const says = texts.plan.wishes

export function WishesPanel({ view, saving, onChange, onSeason, onLayAnew }: Props) {
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 2 }}>
      <Typography variant="body2" color="text.secondary">
        {says.about}
      </Typography>
      <ApproachWish view={view} onChange={onChange} />
      <Goals view={view} onChange={onChange} />
      <Season key={JSON.stringify(seasonOf(view))} view={view} saving={saving} onSeason={onSeason} />
      <Tests view={view} onChange={onChange} />
      <Where view={view} onChange={onChange} />
      <Box>
        <Button size="small" disabled={saving} onClick={onLayAnew}>
          {says.layAnew}
        </Button>
        <Typography variant="body2" color="text.secondary">
          {says.layAnewMeans}
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
    <Part title={says.approach}>
      <Choice
        label={says.approach}
        options={presets.map((preset) => preset.name)}
        chosen={chosen ? [chosen] : []}
        says={(name) => texts.plan.approach[name] ?? name}
        onToggle={(name) => {
          const preset = presets.find((each) => each.name === name)
          if (preset) set(preset.approach)
        }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1, mt: 0.75 }}>
        {STAGES.map((stage, i) => (
          <LateNumber
            key={stage}
            label={says.times(texts.stage[stage])}
            whole
            value={approach.exposures[i] ?? 1}
            onCommit={(n) =>
              n > 0 && set({ exposures: approach.exposures.map((e, at) => (at === i ? n : e)) })
            }
            sx={{ width: '100%' }}
          />
        ))}
      </Box>
      {approach.open_play && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 0.5 }}>
          {(['first', 'last'] as const).map((end) => (
            <LateNumber
              key={end}
              label={says.openPlay[end]}
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
              label={says.success[end]}
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
        {says.assumptions}
      </Typography>
      <SelectCell
        label={says.side}
        none={says.sideOwn}
        value={view.wishes.side ?? ''}
        options={(['equal', 'other_more', 'strong_first', 'not_sided'] as const).map((side) => ({
          value: side,
          says: texts.plan.side[side],
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
  const stages = STAGES.map((stage) => ({ value: stage, says: texts.stage[stage] }))
  const others = (skills.data ?? []).filter((skill) => !goals.some((goal) => goal.skill === skill.id))
  return (
    <Part title={says.goals}>
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
            aria-label={says.takeOut(name(goal.skill))}
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
              label={says.present}
              aria-label={says.present}
              none={says.notMet}
              value={goal.present ?? ''}
              options={stages}
              onChange={(present) => set(goal.skill, { present: present || null })}
            />
            <SelectCell<Stage>
              label={says.goal}
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
        label={says.addGoal}
        none={says.chooseSkill}
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
  const stage = (at: Stage | null | undefined) => (at ? texts.stage[at] : says.notMet)
  return (
    <Box sx={{ display: 'grid', gap: 0.75, borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
      <SelectCell
        label={says.fromSquads}
        none={says.fromNobody}
        value={whose}
        options={[{ value: EVERYBODY, says: says.allSquads }, ...teams]}
        onChange={setWhose}
      />
      {whose !== '' && found.isError && <ErrorNote error={found.error} />}
      {whose !== '' && found.data && (
        <>
          {next.map((goal) => (
            <Typography key={goal.skill} variant="body2">
              {says.stands(name(goal.skill), stage(before.get(goal.skill)), stage(goal.present))}
            </Typography>
          ))}
          {next.length === 0 ? (
            <Typography variant="body2" color="text.secondary">
              {says.standsAlike}
            </Typography>
          ) : (
            <Button size="small" onClick={() => onTake(next)} sx={{ justifySelf: 'start' }}>
              {says.takeStands(next.length)}
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
    <Part title={says.when}>
      <SeasonFields season={season} onChange={setSeason} />
      <Button
        size="small"
        disabled={!changed || saving}
        onClick={() => onSeason(season)}
        sx={{ justifySelf: 'start' }}
      >
        {says.saveSeason}
      </Button>
      {changed && (
        <Typography variant="caption" color="text.secondary">
          {says.seasonMoves}
        </Typography>
      )}
    </Part>
  )
}

function Tests({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const tests = useMap().data?.tests ?? []
  const [session, setSession] = useState(String(view.sessions.length))
  const sittings = view.wishes.tests ?? []
  const name = (id: string) => tests.find((test) => test.id === id)?.name ?? id
  return (
    <Part title={says.tests}>
      {sittings.map((sitting, i) => (
        <Box
          key={`${sitting.session} ${sitting.test}`}
          sx={{ display: 'flex', alignItems: 'center', gap: 1 }}
        >
          <Typography variant="body2" sx={{ flex: 1 }}>
            {texts.plan.inSession(sitting.session + 1)}: {name(sitting.test)}
          </Typography>
          <LateNumber
            label={texts.plan.wishes.min}
            whole
            value={sitting.minutes}
            onCommit={(n) =>
              n > 0 &&
              onChange((wishes) => ({
                ...wishes,
                tests: (wishes.tests ?? []).map((each, at) => (at === i ? { ...each, minutes: n } : each)),
              }))
            }
            sx={{ width: 64 }}
          />
          <IconButton
            size="small"
            aria-label={says.takeOut(name(sitting.test))}
            onClick={() =>
              onChange((wishes) => ({ ...wishes, tests: (wishes.tests ?? []).filter((_, at) => at !== i) }))
            }
          >
            ×
          </IconButton>
        </Box>
      ))}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1.6fr', gap: 1 }}>
        <SelectCell
          label={says.testSession}
          value={session}
          options={view.sessions.map((s) => ({ value: String(s.session + 1), says: `${s.session + 1}` }))}
          onChange={(value) => setSession(value || '1')}
        />
        <SelectCell
          label={says.addTest}
          none={says.chooseTest}
          value=""
          options={tests.map((test) => ({ value: test.id, says: test.name }))}
          onChange={(test) =>
            test &&
            onChange((wishes) => ({
              ...wishes,
              tests: [...(wishes.tests ?? []), { session: Number(session) - 1, test, minutes: 15 }],
            }))
          }
        />
      </Box>
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
    <Part title={says.where}>
      <LateText
        label={says.name}
        value={view.wishes.name}
        onCommit={(name) => onChange((wishes) => ({ ...wishes, name }))}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {fields.map(({ key, whole }) => (
          <LateNumber
            key={key}
            label={says.ground[key]}
            whole={whole}
            value={ground[key]}
            onCommit={(n) => n >= 0 && set({ [key]: n })}
          />
        ))}
      </Box>
    </Part>
  )
}
