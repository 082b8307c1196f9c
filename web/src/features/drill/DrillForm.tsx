// Beside the desk: what the drill is for, how it is dosed, what to look for, what could hurt, and what it was before.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { Schemas } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { useTranslated } from '../../texts/phrases'
import { faultSaid } from '../../texts/said'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, SelectCell, TextCell } from '../../ui/fields'
import { asDay, asTime } from '../../ui/figures'
import { PANEL } from '../../ui/placing'
import { STAGES } from '../../ui/stages'
import { CueTrial } from './CueTrial'
import { DoseFields } from './DoseFields'
import { toggled, without } from './drill'
import { HomeAndKit } from './HomeAndKit'
import { type Drill, earlierDrill, useBands } from './queries'
import { SeriesFields } from './SeriesFields'
import { ServesFields } from './ServesFields'
import { CAUTIONS } from './words'

interface Props {
  drill: Drill
  view: Schemas['DrillView'] | null
  band: string
  errors: Schemas['InputError'][]
  cautions: string[]
  onBand: (band: string) => void
  onChange: (next: Partial<Drill>) => void
  onTakeEarlier: (drill: Schemas['Drill']) => void
}

export function DrillForm({ drill, view, band, errors, cautions, onBand, onChange, onTakeEarlier }: Props) {
  // A drill that nobody has begun yet has no faults to be shown.
  const begun = view !== null || drill.title !== ''
  const wrong = (...places: string[]) =>
    (begun ? errors : []).filter((error) => places.some((place) => error.pointer.startsWith(place)))
  const title = useTranslated()(drill.title)
  const lines = (text: string) => text.split('\n').map((each) => each.trimStart())
  return (
    <Box
      component="aside"
      aria-label={t('desk-about')}
      sx={{ ...PANEL, display: 'grid', gap: 1.5, alignContent: 'start', overflowX: 'hidden' }}
    >
      <Missing errors={errors} />
      <Part title={t('desk-what')} open wrong={wrong('/id', '/title', '/purpose', '/in_game').length}>
        <TextCell
          label={t('desk-title')}
          longest={LONGEST.Drill.title}
          value={drill.title}
          onChange={(title) => onChange({ title })}
        />
        {title !== drill.title && (
          <Typography variant="caption" color="text.secondary">
            {t('desk-translated', { said: title })}
          </Typography>
        )}
        <TextCell
          label={t('desk-purpose')}
          longest={LONGEST.Drill.purpose}
          value={drill.purpose}
          multiline
          onChange={(purpose) => onChange({ purpose })}
        />
        <TextCell
          label={t('desk-in-game')}
          longest={LONGEST.Drill.in_game}
          value={drill.in_game}
          multiline
          onChange={(in_game) => onChange({ in_game })}
        />
      </Part>
      <Part title={t('desk-points')} open wrong={wrong('/points').length}>
        <TextCell
          label={t('desk-points-hint')}
          value={drill.points.join('\n')}
          multiline
          minRows={3}
          onChange={(text) => onChange({ points: text === '' ? [] : lines(text) })}
        />
      </Part>
      <Part title={t('desk-doses')} open wrong={wrong('/doses', '/station').length}>
        <Doses drill={drill} band={band} onBand={onBand} onChange={onChange} />
      </Part>
      {(drill.series || Object.values(drill.doses).some((dose) => dose.kind === 'series')) && (
        <Part title={t('desk-series')} open wrong={wrong('/series').length}>
          <SeriesFields drill={drill} onChange={onChange} />
        </Part>
      )}
      <Part title={t('desk-serves')} wrong={wrong('/serves', '/strands', '/surfaces').length}>
        <ServesFields drill={drill} onChange={onChange} />
      </Part>
      <Part title={t('desk-faults')} wrong={wrong('/faults').length}>
        <Faults drill={drill} onChange={onChange} />
      </Part>
      <Part title={t('desk-hardness')} wrong={wrong('/difficulty', '/rungs', '/touches').length}>
        <Hardness drill={drill} onChange={onChange} />
      </Part>
      <Part title={t('desk-cautions')} wrong={wrong('/cautions').length}>
        <Choice
          label={t('desk-cautions')}
          options={CAUTIONS}
          chosen={drill.cautions}
          says={(tag) => t(`caution-tag-${tag}`)}
          onToggle={(tag) => onChange({ cautions: toggled(drill.cautions, tag) })}
        />
        {cautions.map((text) => (
          <Typography key={text} variant="body2">
            {text}.
          </Typography>
        ))}
        <Typography variant="caption" color="text.secondary">
          {t('session-caution-tail')}
        </Typography>
      </Part>
      <Part title={t('desk-home-and-kit')} wrong={wrong('/home', '/stand_ins').length}>
        <HomeAndKit drill={drill} onChange={onChange} />
      </Part>
      <Part title={t('desk-cues')} wrong={wrong('/cues').length}>
        <CueTrial cues={drill.cues ?? null} onChange={(cues) => onChange({ cues })} />
      </Part>
      {view && (
        <Part title={t('desk-history')}>
          <History view={view} onTakeEarlier={onTakeEarlier} />
        </Part>
      )}
    </Box>
  )
}

/** What must be mended before the drill can be saved; what is wrong with the layout is said in the layout. */
function Missing({ errors }: { errors: Schemas['InputError'][] }) {
  const other = errors.filter((error) => !error.pointer.startsWith('/layout'))
  if (other.length === 0) return null
  return (
    <Box role="status">
      <Typography variant="h3">{t('desk-before-saving', { n: other.length })}</Typography>
      {other.slice(0, 3).map((error, i) => (
        <Typography key={i} variant="body2" color="error">
          {faultSaid(error)}
        </Typography>
      ))}
      {other.length > 3 && (
        <Typography variant="body2">{t('desk-more-faults', { n: other.length - 3 })}</Typography>
      )}
    </Box>
  )
}

interface FieldsProps {
  drill: Drill
  onChange: (next: Partial<Drill>) => void
}

interface DosesProps extends FieldsProps {
  band: string
  onBand: (band: string) => void
}

function Doses({ drill, band, onBand, onChange }: DosesProps) {
  const bands = useBands()
  return (
    <>
      <SelectCell
        label={t('desk-band')}
        value={band}
        options={(bands.data ?? []).map((kept) => ({
          value: kept.band.id,
          says: drill.doses[kept.band.id] ? kept.band.name : t('desk-no-dose-in', { band: kept.band.name }),
        }))}
        onChange={onBand}
      />
      <DoseFields
        dose={drill.doses[band]}
        onChange={(dose) => onChange({ doses: withDose(drill.doses, band, dose) })}
      />
      <Typography variant="body2" color="text.secondary">
        {t('desk-station')}
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        {(['min', 'usual', 'max', 'working'] as const).map((key) => (
          <NumberField
            key={key}
            label={t(`desk-station-of-${key}`)}
            value={drill.station[key]}
            whole
            onChange={(n) => n !== null && n >= 0 && onChange({ station: { ...drill.station, [key]: n } })}
            sx={{ width: 78 }}
          />
        ))}
      </Box>
    </>
  )
}

function withDose(doses: Drill['doses'], band: string, dose: Schemas['Dose'] | null): Drill['doses'] {
  return dose ? { ...doses, [band]: dose } : without(doses, band)
}

function Faults({ drill, onChange }: FieldsProps) {
  const { floor } = useTheme()
  return (
    <>
      {drill.faults.map((fault, i) => (
        <Box key={i} sx={{ display: 'grid', gap: 0.75, borderLeft: `2px solid ${floor.hair}`, pl: 1 }}>
          {(['see', 'why', 'say'] as const).map((key) => (
            <TextCell
              key={key}
              label={t(`desk-fault-${key}`)}
              value={fault[key]}
              onChange={(text) =>
                onChange({
                  faults: drill.faults.map((each, n) => (n === i ? { ...each, [key]: text } : each)),
                })
              }
            />
          ))}
          <Button
            size="small"
            variant="text"
            sx={{ justifySelf: 'start' }}
            onClick={() => onChange({ faults: drill.faults.filter((_, n) => n !== i) })}
          >
            {t('desk-take-out')}
          </Button>
        </Box>
      ))}
      <Button
        size="small"
        onClick={() => onChange({ faults: [...drill.faults, { see: '', why: '', say: '' }] })}
      >
        {t('desk-add-fault')}
      </Button>
    </>
  )
}

function Hardness({ drill, onChange }: FieldsProps) {
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        <NumberField
          label={t('desk-base')}
          value={drill.difficulty}
          onChange={(difficulty) => difficulty !== null && onChange({ difficulty })}
        />
        {STAGES.map((stage) => (
          <NumberField
            key={stage}
            label={t('desk-cadence', { stage: t(`stage-${stage}`) })}
            value={drill.touches_per_s[stage] ?? null}
            optional
            onChange={(n) => onChange({ touches_per_s: withCadence(drill.touches_per_s, stage, n) })}
          />
        ))}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {t('desk-cadence-says')}
      </Typography>
    </>
  )
}

function withCadence(
  all: Drill['touches_per_s'],
  stage: Schemas['Stage'],
  touches: number | null,
): Drill['touches_per_s'] {
  return touches === null ? without(all, stage) : { ...all, [stage]: touches }
}

interface HistoryProps {
  view: Schemas['DrillView']
  onTakeEarlier: (drill: Schemas['Drill']) => void
}

function History({ view, onTakeEarlier }: HistoryProps) {
  return (
    <>
      {view.editions.length > 0 && (
        <Typography variant="body2">{t('desk-in-editions', { names: view.editions.join('; ') })}</Typography>
      )}
      {view.history.map((saved) => (
        <Box key={saved.version} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {t('desk-saved', {
              version: saved.version,
              by: saved.by ?? t('desk-came-with'),
              at: `${asDay(saved.at.slice(0, 10))} ${asTime(saved.at)}`,
            })}
          </Typography>
          {saved.version !== view.version && (
            <Button
              size="small"
              variant="text"
              onClick={() => void earlierDrill(view.drill.id, saved.version).then(onTakeEarlier)}
            >
              {t('desk-take-this')}
            </Button>
          )}
        </Box>
      ))}
    </>
  )
}

function Part({
  title,
  open,
  wrong,
  children,
}: {
  title: string
  open?: boolean
  wrong?: number
  children: ReactNode
}) {
  return (
    <Box
      component="details"
      open={open || (wrong ?? 0) > 0}
      sx={{ borderTop: 1, borderColor: 'divider', pt: 0.75 }}
    >
      <Typography
        component="summary"
        variant="h3"
        color={wrong ? 'error' : undefined}
        sx={{ cursor: 'pointer', minHeight: 26 }}
      >
        {title}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1.25, pt: 1 }}>{children}</Box>
    </Box>
  )
}
