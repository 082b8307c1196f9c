// The chosen skill: what it needs and opens, its gate, its drills, and every change that can be made to it.

import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { type ReactNode, useState } from 'react'
import { Link } from 'react-router'
import type { Schemas, Stage } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { sidePolicyValues } from '../../api/schema'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { SelectCell, TextCell } from '../../ui/fields'
import { PANEL } from '../../ui/placing'
import { Strip } from '../../ui/score/Strip'
import { STAGES } from '../../ui/stages'
import { useScore } from '../technique/queries'
import { Measured } from '../technique/ScoreDesk'
import { ScoreDialog } from '../technique/ScoreDialog'
import { GateFields } from './GateFields'
import { type Change, type MapView, type Skill, useWrittenName, wholeSkill } from './queries'
import { JoinFields, SplitFields } from './ReshapeFields'

interface Props {
  view: MapView
  skill: Skill | undefined
  way: Schemas['WayView'] | undefined
  goal: Stage
  bands: Schemas['BandView'][]
  curricula: Schemas['CurriculumEntry'][]
  curriculum: string | undefined
  onGoal: (stage: Stage) => void
  onCurriculum: (id: string) => void
  onChoose: (skill: string) => void
  onChange: (change: Partial<Change>) => void
}

const SIDES = sidePolicyValues
const STAGE_OPTIONS = STAGES.map((stage) => ({ value: stage, says: t(`stage-${stage}`) }))

export function SkillInspector(props: Props) {
  const { floor } = useTheme()
  const { view, skill, onChange } = props
  const mine = skill ? view.findings.filter((finding) => finding.skills.includes(skill.id)) : view.findings
  return (
    <Box
      component="aside"
      className="no-print"
      aria-label={t('progressions-inspector')}
      sx={{ ...PANEL, display: 'grid', gap: 1.25, alignContent: 'start' }}
    >
      {!skill && <Typography color="text.secondary">{t('progressions-choose')}</Typography>}
      {mine.map((finding, i) => (
        <Box
          key={i}
          sx={{ borderLeft: `4px solid ${finding.kind === 'lonely' ? floor.hair : floor.warn}`, pl: 1 }}
        >
          <Typography variant="body2">{told(finding.says)}</Typography>
          {finding.mend && (
            <Button
              size="small"
              variant="text"
              onClick={() => onChange(mended(view, finding.mend as Schemas['Mend']))}
            >
              {t(`progressions-mend-${finding.mend.action}`)}
            </Button>
          )}
        </Box>
      ))}
      {skill && <Chosen {...props} skill={skill} />}
    </Box>
  )
}

/** A finding's mend as a change. */
function mended(view: MapView, mend: Schemas['Mend']): Partial<Change> {
  const found = view.skills.find((each) => each.id === mend.skill)
  if (!found) return {}
  const skill = wholeSkill(found)
  if (mend.action === 'drop_gate') return { put: [{ ...skill, gate: null }] }
  if (mend.action === 'move_band') return { put: [{ ...skill, band: mend.band }] }
  return { put: [without(skill, mend.need)] }
}

const without = (skill: Skill, other: string): Skill => ({
  ...skill,
  needs: skill.needs.filter((need) => need.skill !== other),
  parts: skill.parts.filter((part) => part !== other),
  helps: skill.helps.filter((help) => help !== other),
})

function Chosen(props: Props & { skill: Skill }) {
  const { view, skill, way, goal, bands, curricula, curriculum, onGoal, onCurriculum, onChoose, onChange } =
    props
  const written = useWrittenName(skill.id) ?? skill.name
  const name = (id: string) => view.skills.find((each) => each.id === id)?.name ?? id
  const put = (next: Partial<Skill>) => onChange({ put: [{ ...skill, ...next }] })
  const opened = view.sheet?.lines.filter((line) => line.from === skill.id) ?? []
  const drills = view.drills.filter((drill) => drill.skill === skill.id)
  return (
    <>
      <Rename key={written} name={written} onRename={(next) => put({ name: next })} />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <SelectCell
          label={t('drills-band')}
          value={skill.band}
          options={bands.map(({ band }) => ({ value: band.id, says: band.name }))}
          onChange={(band) => put({ band })}
        />
        <SelectCell
          label={t('progressions-side')}
          value={skill.side}
          options={SIDES.map((side) => ({ value: side, says: t(`progressions-sides-${side}`) }))}
          onChange={(side) => side && put({ side })}
        />
      </Box>
      <Technique {...{ view, skill, written, name, onChoose }} onPut={put} />
      <Needs {...{ view, skill, name, onChoose }} count={way?.rests_on.length ?? 0} onPut={put} />
      <Part title={t('progressions-opens', { n: way?.opens.length ?? 0 })}>
        {opened.map((line) => (
          <Box key={line.to} sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
            <SkillLink name={name(line.to)} onClick={() => onChoose(line.to)} />
            <Typography variant="caption" color="text.secondary">
              {line.stage
                ? t('progressions-at', { stage: t(`stage-${line.stage}`) })
                : t('progressions-helps')}
            </Typography>
          </Box>
        ))}
      </Part>
      <Part title={t('progressions-gate')}>
        <GateFields
          key={skill.gate?.kind ?? 'none'}
          gate={skill.gate ?? null}
          tests={view.tests}
          milestones={view.milestones}
          bandName={(id) => bands.find(({ band }) => band.id === id)?.band.name ?? id}
          onSet={(gate) => put({ gate })}
        />
      </Part>
      <Way {...{ way, goal, curricula, curriculum, name, onGoal, onCurriculum }} />
      <Part title={t('progressions-drills', { n: drills.length })}>
        {drills.map((drill) => (
          <Typography key={drill.drill} variant="body2">
            <Box component={Link} to={`/drills/${drill.drill}`} sx={{ color: 'text.primary' }}>
              {drill.title}
            </Box>{' '}
            <Typography component="span" variant="caption" color="text.secondary">
              {drill.stages.map((stage) => t(`stage-${stage}`)).join(', ')}
            </Typography>
          </Typography>
        ))}
      </Part>
      <Part title={t('progressions-reshape')}>
        <JoinFields view={view} skill={skill} onChange={onChange} onChoose={onChoose} />
        <SplitFields skill={skill} onChange={onChange} />
      </Part>
    </>
  )
}

interface TechniqueProps {
  view: MapView
  skill: Skill
  /** The skill's name as it is written. */
  written: string
  name: (id: string) => string
  onChoose: (skill: string) => void
  onPut: (next: Partial<Skill>) => void
}

/** What the feet do, and which skills' feet do much the same. */
function Technique({ view, skill, written, name, onChoose, onPut }: TechniqueProps) {
  const [writing, setWriting] = useState(false)
  const looked = useScore(skill.score ? { text: skill.score, band: skill.band } : undefined)
  const kin = view.kin.filter((each) => each.skill === skill.id && !each.known).slice(0, 3)
  return (
    <Part title={t('score-title')}>
      {skill.score ? (
        <>
          {looked.data && <Strip feet={looked.data.feet} />}
          {looked.data?.measures && <Measured measures={looked.data.measures} />}
        </>
      ) : (
        <Typography variant="body2" color="text.secondary">
          {t('score-none')}
        </Typography>
      )}
      <Button size="small" onClick={() => setWriting(true)} sx={{ justifySelf: 'start' }}>
        {skill.score ? t('score-change') : t('score-write')}
      </Button>
      {kin.map((each) => (
        <Box key={each.help} sx={{ display: 'flex', alignItems: 'center', gap: 0.5, flexWrap: 'wrap' }}>
          <Typography variant="body2">
            {/* Touches that differ in one thing alone are alike, though none is the same. */}
            {each.shared > 0 ? t('score-kin', { shared: each.shared, of: each.of }) : t('score-kin-alike')}
          </Typography>
          <SkillLink name={name(each.help)} onClick={() => onChoose(each.help)} />
          <Button size="small" variant="text" onClick={() => onPut({ helps: [...skill.helps, each.help] })}>
            {t('score-help')}
          </Button>
        </Box>
      ))}
      {writing && (
        <ScoreDialog
          title={written}
          score={skill.score ?? null}
          band={skill.band}
          skill={skill.id}
          onKeep={(score) => {
            onPut({ score })
            setWriting(false)
          }}
          onClose={() => setWriting(false)}
        />
      )}
    </Part>
  )
}

interface NeedsProps {
  view: MapView
  skill: Skill
  /** How many skills it rests on, near and far. */
  count: number
  name: (id: string) => string
  onChoose: (skill: string) => void
  onPut: (next: Partial<Skill>) => void
}

/** What the skill needs, what it is made of, and what helps it. */
function Needs({ view, skill, count, name, onChoose, onPut }: NeedsProps) {
  const free = view.skills.filter(
    (each) => each.id !== skill.id && !skill.needs.some((need) => need.skill === each.id),
  )
  return (
    <Part title={t('progressions-rests', { n: count })}>
      {skill.needs.map((need) => (
        <Box
          key={need.skill}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 92px auto', gap: 0.5, alignItems: 'center' }}
        >
          <SkillLink name={name(need.skill)} onClick={() => onChoose(need.skill)} />
          <SelectCell
            aria-label={t('progressions-stage-of', { name: name(need.skill) })}
            value={need.stage}
            options={STAGE_OPTIONS}
            onChange={(stage) =>
              stage &&
              onPut({
                needs: skill.needs.map((each) => (each.skill === need.skill ? { ...each, stage } : each)),
              })
            }
          />
          <Drop
            name={name(need.skill)}
            onDrop={() => onPut({ needs: skill.needs.filter((each) => each.skill !== need.skill) })}
          />
        </Box>
      ))}
      {skill.parts.map((part) => (
        <Other
          key={part}
          name={name(part)}
          how={t('progressions-part')}
          onChoose={() => onChoose(part)}
          onDrop={() => onPut({ parts: skill.parts.filter((each) => each !== part) })}
        />
      ))}
      {skill.helps.map((help) => (
        <Other
          key={help}
          name={name(help)}
          how={t('progressions-helps')}
          onChoose={() => onChoose(help)}
          onDrop={() => onPut({ helps: skill.helps.filter((each) => each !== help) })}
        />
      ))}
      <SelectCell
        label={t('progressions-connect')}
        none={t('desk-choose-skill')}
        value=""
        options={free.map((each) => ({ value: each.id, says: each.name }))}
        onChange={(id) => id && onPut({ needs: [...skill.needs, { skill: id, stage: 'form' }] })}
      />
    </Part>
  )
}

interface OtherProps {
  name: string
  how: string
  onChoose: () => void
  onDrop: () => void
}

function Other({ name, how, onChoose, onDrop }: OtherProps) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
      <SkillLink name={name} onClick={onChoose} />
      <Typography variant="caption" color="text.secondary" sx={{ flex: 1 }}>
        {how}
      </Typography>
      <Drop name={name} onDrop={onDrop} />
    </Box>
  )
}

const Drop = ({ name, onDrop }: { name: string; onDrop: () => void }) => (
  <Button
    size="small"
    variant="text"
    aria-label={t('progressions-drop', { name })}
    sx={{ minWidth: 28 }}
    onClick={onDrop}
  >
    ×
  </Button>
)

type WayProps = Pick<Props, 'way' | 'goal' | 'curricula' | 'curriculum' | 'onGoal' | 'onCurriculum'> & {
  name: (id: string) => string
}

/** What it costs a squad to come to a stage of the skill. */
function Way({ way, goal, curricula, curriculum, name, onGoal, onCurriculum }: WayProps) {
  const found = way?.way
  return (
    <Part title={t('progressions-way')}>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 92px', gap: 1 }}>
        <SelectCell
          label={t('progressions-squad')}
          value={curriculum ?? ''}
          options={curricula.map((entry) => ({ value: entry.id, says: entry.name }))}
          onChange={(id) => id && onCurriculum(id)}
        />
        <SelectCell
          label={t('drills-stage')}
          value={goal}
          options={STAGE_OPTIONS}
          onChange={(stage) => stage && onGoal(stage)}
        />
      </Box>
      {found && (
        <Typography role="status">
          {found.steps.length === 0
            ? t('progressions-there')
            : t('progressions-cost', {
                exposures: found.exposures,
                sessions: found.sessions,
                weeks: found.weeks,
              })}
        </Typography>
      )}
      {found && found.steps.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          {found.steps.map((step) => `${name(step.skill)} ${t(`stage-${step.stage}`)}`).join(' → ')}
        </Typography>
      )}
    </Part>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="section"
      aria-label={title}
      sx={{ borderTop: 1, borderColor: 'divider', pt: 0.75, display: 'grid', gap: 0.75 }}
    >
      <Typography variant="h3">{title}</Typography>
      {children}
    </Box>
  )
}

const SkillLink = ({ name, onClick }: { name: string; onClick: () => void }) => (
  <ButtonBase
    onClick={onClick}
    sx={{
      font: 'inherit',
      fontSize: '0.9rem',
      textAlign: 'left',
      justifyContent: 'flex-start',
      textDecoration: 'underline',
      minHeight: 26,
    }}
  >
    {name}
  </ButtonBase>
)

/** A text that is taken when the field is left, or with Enter. */
function Rename({ name, onRename }: { name: string; onRename: (name: string) => void }) {
  const [typed, setTyped] = useState(name)
  const take = () => typed.trim() !== name && typed.trim() !== '' && onRename(typed.trim())
  return (
    <TextCell
      label={t('progressions-name')}
      longest={LONGEST.Skill.name}
      value={typed}
      onChange={setTyped}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && take()}
    />
  )
}
