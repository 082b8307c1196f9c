// Making a curriculum in four short steps, each with sensible first values.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { type ReactNode, type SyntheticEvent, useState } from 'react'
import { useNavigate } from 'react-router'
import { newId, type Schemas } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { type Translate, useTranslated } from '../../texts/phrases'
import { said, t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, TextCell } from '../../ui/fields'
import { asDay, Figure } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { useClubs } from '../academy/clubs/queries'
import { useAcademy, useBands } from '../drill/queries'
import { useSession } from '../people/session'
import { useSeasons } from '../season/queries'
import { presetOf, useBeginnings, useCreate } from './queries'
import { SeasonFields } from './SeasonFields'

type Beginning = Schemas['Beginning']

export function NewCurriculum() {
  const bands = useBands()
  const beginnings = useBeginnings()
  const academy = useAcademy()
  const today = useSession().data?.today
  const failed = [bands, beginnings, academy].find((each) => each.isError)
  if (failed) return <ErrorNote error={failed.error} />
  if (!bands.data || !beginnings.data || !academy.data || !today) return <Loading />
  return (
    <Steps
      bands={bands.data.map(({ band }) => band)}
      beginnings={beginnings.data}
      grounds={academy.data.academy.grounds}
      today={today}
    />
  )
}

interface Made {
  band: Schemas['Band']
  from: Beginning
  name: string
  season: Schemas['Season']
  session_min: number
  approach: string
  ground: string
  /** Where the squads stand: as written, as the milestones of the band say, or those of one team. */
  present: string
}

/** The next Monday after a week: there is time to look at the plan before it begins. */
function soon(today: string): string {
  const day = new Date(`${today}T00:00Z`)
  day.setUTCDate(day.getUTCDate() + 7 + ((8 - day.getUTCDay()) % 7))
  return day.toISOString().slice(0, 10)
}

/** The approach of what it begins from, where its numbers are none of the presets'. */
const AS_THERE = 'as_there'

/** Where the squads stand, as the server is asked for it. */
const whose = (present: string): Schemas['Present'] =>
  present === 'as_written' || present === 'of_band'
    ? { kind: present }
    : present === 'planned' || present === 'forecast'
      ? { kind: 'as_before', believed: present }
      : { kind: 'of_team', team: present }

interface StepsProps {
  bands: Schemas['Band'][]
  beginnings: Schemas['Beginnings']
  grounds: Record<string, Schemas['Ground']>
  today: string
}

/** What the ground is called that is taken if none is chosen. */
function ownGround(from: Beginning | undefined, grounds: Record<string, Schemas['Ground']>) {
  if (from?.kind !== 'skills') return t('plan-making-own-ground')
  return Object.keys(grounds).length > 0 ? t('plan-making-largest-ground') : t('plan-making-no-ground')
}

function Steps({ bands, beginnings, grounds, today }: StepsProps) {
  const navigate = useNavigate()
  const create = useCreate()
  const [id] = useState(newId)
  const [step, setStep] = useState(0)
  const [made, setMade] = useState<Partial<Made>>({})
  const set = (next: Partial<Made>) => setMade((before) => ({ ...before, ...next }))
  const own = ownGround(made.from, grounds)
  const terms = useTerms(today)

  const chooseBand = (band: Schemas['Band']) => {
    set({ band, from: undefined, session_min: band.session_min })
    setStep(1)
  }
  const chooseFrom = (from: Beginning) => {
    const { kind, wishes } = from
    set({
      from,
      name: made.name ?? '',
      season: {
        start: soon(today),
        weeks: wishes.weeks,
        holidays: [],
        ...terms.find(({ first }) => first > today)?.runs,
        weekdays: wishes.weekdays,
      },
      session_min: kind === 'curriculum' ? wishes.minutes[0] : made.band?.session_min,
      approach: presetOf(wishes.approach, beginnings.approaches) ?? AS_THERE,
      ground: undefined,
    })
    setStep(2)
  }
  const finish = (event: SyntheticEvent) => {
    event.preventDefault()
    const { from, season, name, session_min, approach, ground, present } = made
    if (step === 2) return setStep(3)
    if (!from || !season || !session_min) return
    const preset =
      beginnings.approaches.find((each) => each.name === approach)?.approach ?? from.wishes.approach
    const { wishes: base, ...source } = from
    create.mutate(
      {
        id,
        from: source,
        name: name?.trim() || base.name,
        season,
        session_min,
        approach: preset,
        ground: grounds[ground ?? own] ?? base.ground,
        present: whose(present ?? 'as_written'),
      },
      { onSuccess: (view) => void navigate(`/plan/${view.id}`) },
    )
  }
  const { band, from, season } = made
  const teams = (useClubs().data ?? []).flatMap((club) => club.teams).filter((team) => team.band === band?.id)
  const approaches = beginnings.approaches.map((each) => each.name)
  if (from && !presetOf(from.wishes.approach, beginnings.approaches)) approaches.unshift(AS_THERE)
  const fitting = beginnings.from.filter((each) => each.wishes.band === band?.id)
  return (
    <Box
      component="form"
      onSubmit={finish}
      sx={{ p: 3, maxWidth: 720, display: 'grid', gap: 2, alignContent: 'start' }}
    >
      <Typography variant="h1">{t('plan-making-title')}</Typography>
      <StepList step={step} band={band} from={from} />
      {step === 0 && <Bands bands={bands} onChoose={chooseBand} />}
      {step === 1 && <Sources sources={fitting} onChoose={chooseFrom} />}
      {step === 2 && season && (
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Terms terms={terms} season={season} onChoose={(season) => set({ season })} />
          <SeasonFields first season={season} onChange={(season) => set({ season })} />
          <NumberField
            label={t('plan-making-minutes')}
            whole
            value={made.session_min ?? 40}
            onChange={(n) => n !== null && n >= 1 && n <= 240 && set({ session_min: n })}
            sx={{ width: 180 }}
          />
        </Box>
      )}
      {step === 3 && from && (
        <LastStep
          made={made}
          set={set}
          approaches={approaches}
          grounds={[own, ...Object.keys(grounds)]}
          teams={teams}
        />
      )}
      {create.isError && <ErrorNote error={create.error} />}
      <Onward
        step={step}
        busy={create.isPending}
        ready={season?.weekdays.length !== 0}
        onBack={() => setStep(step - 1)}
      />
    </Box>
  )
}

/** The terms that are not over, the next one first. */
function useTerms(today: string) {
  const all = (useSeasons().data ?? []).flatMap(({ id, season, runs }) =>
    season.terms.map((term, at) => ({
      id: `${id} ${term.name}`,
      says: t('plan-making-term', { term: term.name, season: season.name, first: asDay(term.first) }),
      first: term.first,
      last: term.last,
      runs: runs[at],
    })),
  )
  return all.filter(({ last }) => last >= today).sort((one, other) => one.first.localeCompare(other.first))
}

interface TermsProps {
  terms: ReturnType<typeof useTerms>
  season: Schemas['Season']
  onChoose: (season: Schemas['Season']) => void
}

/** The terms, from which a curriculum takes its weeks and its days off. */
function Terms({ terms, season, onChoose }: TermsProps) {
  if (terms.length === 0) return null
  const isTaken = ({ runs }: (typeof terms)[number]) =>
    runs?.start === season.start && runs.weeks === season.weeks
  return (
    <Choice
      label={t('plan-making-terms')}
      options={terms.map(({ id }) => id)}
      chosen={terms.filter(isTaken).map(({ id }) => id)}
      says={(id) => terms.find((term) => term.id === id)?.says}
      onToggle={(id) => {
        const runs = terms.find((term) => term.id === id)?.runs
        if (runs) onChoose({ ...runs, weekdays: season.weekdays })
      }}
    />
  )
}

interface OnwardProps {
  step: number
  busy: boolean
  ready: boolean
  onBack: () => void
}

/** Back, and on to the next step or to the plan. */
function Onward({ step, busy, ready, onBack }: OnwardProps) {
  const on = step === 2 ? t('plan-making-next') : t('plan-making-create')
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      {step > 0 && (
        <Button variant="text" onClick={onBack}>
          {t('plan-making-back')}
        </Button>
      )}
      {step >= 2 && (
        <Button type="submit" variant="contained" disabled={busy || !ready}>
          {busy ? t('plan-making-laying') : on}
        </Button>
      )}
    </Box>
  )
}

const STEPS = ['whom', 'what', 'when', 'how'] as const

/** The steps, with what was chosen in those that are done. */
function StepList({ step, band, from }: { step: number; band?: Schemas['Band']; from?: Beginning }) {
  const translated = useTranslated()
  return (
    <Box component="ol" sx={{ display: 'flex', gap: 2, listStyle: 'none', p: 0, m: 0, flexWrap: 'wrap' }}>
      {STEPS.map((name, i) => (
        <Typography
          component="li"
          key={name}
          aria-current={i === step ? 'step' : undefined}
          sx={{ fontWeight: i === step ? 700 : 400, color: i > step ? 'text.secondary' : undefined }}
        >
          <Figure>{i + 1}</Figure> {t(`plan-making-steps-${name}`)}
          {i === 0 && band && step > 0 && `: ${band.name}`}
          {i === 1 && from && step > 1 && `: ${translated(from.wishes.name)}`}
        </Typography>
      ))}
    </Box>
  )
}

function Bands({ bands, onChoose }: { bands: Schemas['Band'][]; onChoose: (band: Schemas['Band']) => void }) {
  return (
    <Plates label={t('plan-making-steps-whom')}>
      {bands.map((band, i) => (
        <Plate
          key={band.id}
          first={i === 0}
          title={band.name}
          says={t('plan-making-band', { minutes: band.session_min, n: band.new_skills_per_week })}
          onChoose={() => onChoose(band)}
        />
      ))}
    </Plates>
  )
}

const titled = (from: Beginning, translated: Translate) => {
  const name = translated(from.wishes.name)
  if (from.kind === 'template') return t('plan-making-template', { name })
  return from.kind === 'curriculum'
    ? t('plan-making-again', { name })
    : t('plan-making-skills', { band: name })
}

const keyOf = (from: Beginning) =>
  from.kind === 'curriculum' ? from.curriculum : from.kind === 'template' ? from.template : from.band

/** What a curriculum of the band may begin from. */
function Sources({ sources, onChoose }: { sources: Beginning[]; onChoose: (from: Beginning) => void }) {
  const translated = useTranslated()
  return (
    <Plates label={t('plan-making-steps-what')}>
      {sources.length === 0 && <Typography>{t('plan-making-nothing')}</Typography>}
      {sources.map((each, i) => (
        <Plate
          key={keyOf(each)}
          first={i === 0}
          title={titled(each, translated)}
          says={t('plan-making-contains', {
            weeks: each.wishes.weeks,
            days: each.wishes.weekdays.length,
            goals: each.wishes.goals.length,
            start: each.kind === 'curriculum' ? asDay(each.wishes.start) : 'none',
          })}
          onChoose={() => onChoose(each)}
        />
      ))}
    </Plates>
  )
}

interface LastStepProps {
  made: Partial<Made>
  set: (next: Partial<Made>) => void
  approaches: string[]
  /** The first of them is there already. */
  grounds: string[]
  teams: { id: string; name: string }[]
}

/** How it is called and gone about, where, and from where the squads set out. */
function LastStep({ made, set, approaches, grounds, teams }: LastStepProps) {
  const translated = useTranslated()
  const { band, from } = made
  const asThere = made.approach === AS_THERE
  const whence: Record<string, string> = {
    as_written: from?.kind === 'skills' ? t('plan-making-not-met') : t('plan-making-as-written'),
    planned: t('plan-wishes-before-planned'),
    forecast: t('plan-wishes-before-forecast'),
    of_band: t('plan-making-of-band', { band: band?.name ?? '' }),
    ...Object.fromEntries(teams.map((team) => [team.id, t('plan-making-of-team', { team: team.name })])),
  }
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <TextCell
        label={t('plan-making-name')}
        longest={LONGEST.NewCurriculum.name}
        autoFocus
        value={made.name ?? ''}
        placeholder={from && translated(from.wishes.name)}
        onChange={(name) => set({ name })}
      />
      <Box>
        <Typography variant="caption">{t('plan-wishes-approach')}</Typography>
        <Choice
          label={t('plan-wishes-approach')}
          options={approaches}
          chosen={[made.approach ?? 'balanced']}
          says={(name) =>
            name === AS_THERE ? t('plan-making-approach-there') : (said(`plan-approach-${name}`) ?? name)
          }
          onToggle={(approach) => set({ approach })}
        />
        <Typography variant="body2" color="text.secondary">
          {asThere
            ? t('plan-making-approach-there-means')
            : said(`plan-approach-means-${made.approach ?? 'balanced'}`)}
        </Typography>
      </Box>
      <Box>
        <Typography variant="caption">{t('plan-making-ground')}</Typography>
        <Choice
          label={t('plan-making-ground')}
          options={grounds}
          chosen={[made.ground ?? grounds[0] ?? '']}
          says={(name) => name}
          onToggle={(ground) => set({ ground })}
        />
      </Box>
      <Box>
        <Typography variant="caption">{t('plan-making-present')}</Typography>
        <Choice
          label={t('plan-making-present')}
          options={['as_written', 'planned', 'forecast', 'of_band', ...teams.map((team) => team.id)]}
          chosen={[made.present ?? 'as_written']}
          says={(id) => whence[id] ?? id}
          onToggle={(present) => set({ present })}
        />
        <Typography variant="body2" color="text.secondary">
          {made.present && made.present !== 'as_written'
            ? t(
                made.present === 'planned' || made.present === 'forecast'
                  ? 'plan-making-before-about'
                  : 'plan-making-present-about',
              )
            : ''}
        </Typography>
      </Box>
    </Box>
  )
}

function Plates({ label, children }: { label: string; children: ReactNode }) {
  return (
    <Box
      role="group"
      aria-label={label}
      sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, gap: 1 }}
    >
      {children}
    </Box>
  )
}

function Plate({
  title,
  says,
  first,
  onChoose,
}: {
  title: string
  says: string
  first: boolean
  onChoose: () => void
}) {
  return (
    <ButtonBase
      autoFocus={first}
      onClick={onChoose}
      sx={{
        display: 'block',
        textAlign: 'left',
        p: 1.5,
        border: 1,
        borderColor: 'divider',
        borderRadius: '2px',
        bgcolor: 'background.paper',
        '&:hover': { borderColor: 'text.primary' },
      }}
    >
      <Typography sx={{ fontWeight: 650 }}>{title}</Typography>
      <Typography variant="body2" color="text.secondary">
        {says}
      </Typography>
    </ButtonBase>
  )
}
