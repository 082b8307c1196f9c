// Beside the desk: what the drill is for, how it is dosed, what to look for, what could hurt, and what it was before.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { Schemas } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { texts } from '../../texts/en'
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
  const says = texts.desk
  // A drill that nobody has begun yet has no faults to be shown.
  const begun = view !== null || drill.title !== ''
  const wrong = (...places: string[]) =>
    (begun ? errors : []).filter((error) => places.some((place) => error.pointer.startsWith(place)))
  const lines = (text: string) => text.split('\n').map((each) => each.trimStart())
  return (
    <Box
      component="aside"
      aria-label={says.about}
      sx={{ ...PANEL, display: 'grid', gap: 1.5, alignContent: 'start' }}
    >
      <Missing errors={errors} />
      <Part title={says.what} open wrong={wrong('/id', '/title', '/purpose', '/in_game').length}>
        <TextCell
          label={says.title}
          longest={LONGEST.Drill.title}
          value={drill.title}
          onChange={(title) => onChange({ title })}
        />
        <TextCell
          label={says.purpose}
          longest={LONGEST.Drill.purpose}
          value={drill.purpose}
          multiline
          onChange={(purpose) => onChange({ purpose })}
        />
        <TextCell
          label={says.inGame}
          longest={LONGEST.Drill.in_game}
          value={drill.in_game}
          multiline
          onChange={(in_game) => onChange({ in_game })}
        />
      </Part>
      <Part title={says.points} open wrong={wrong('/points').length}>
        <TextCell
          label={says.pointsHint}
          value={drill.points.join('\n')}
          multiline
          minRows={3}
          onChange={(text) => onChange({ points: text === '' ? [] : lines(text) })}
        />
      </Part>
      <Part title={says.doses} open wrong={wrong('/doses', '/station').length}>
        <Doses drill={drill} band={band} onBand={onBand} onChange={onChange} />
      </Part>
      <Part title={says.serves} wrong={wrong('/serves', '/strands', '/surfaces').length}>
        <ServesFields drill={drill} onChange={onChange} />
      </Part>
      <Part title={says.faults} wrong={wrong('/faults').length}>
        <Faults drill={drill} onChange={onChange} />
      </Part>
      <Part title={says.hardness} wrong={wrong('/difficulty', '/rungs', '/touches').length}>
        <Hardness drill={drill} onChange={onChange} />
      </Part>
      <Part title={says.cautions} wrong={wrong('/cautions').length}>
        <Choice
          label={says.cautions}
          options={CAUTIONS}
          chosen={drill.cautions}
          says={(tag) => texts.drills.cautionTags[tag]}
          onToggle={(tag) => onChange({ cautions: toggled(drill.cautions, tag) })}
        />
        {cautions.map((text) => (
          <Typography key={text} variant="body2">
            {text}.
          </Typography>
        ))}
        <Typography variant="caption" color="text.secondary">
          {texts.evening.cautionTail}
        </Typography>
      </Part>
      <Part title={says.homeAndKit} wrong={wrong('/home', '/stand_ins').length}>
        <HomeAndKit drill={drill} onChange={onChange} />
      </Part>
      <Part title={says.cues} wrong={wrong('/cues').length}>
        <CueTrial cues={drill.cues ?? null} onChange={(cues) => onChange({ cues })} />
      </Part>
      {view && (
        <Part title={says.history}>
          <History view={view} onTakeEarlier={onTakeEarlier} />
        </Part>
      )}
    </Box>
  )
}

/** What must be mended before the drill can be saved; what is wrong with the layout is said in the layout. */
function Missing({ errors }: { errors: Schemas['InputError'][] }) {
  const says = texts.desk
  const other = errors.filter((error) => !error.pointer.startsWith('/layout'))
  if (other.length === 0) return null
  return (
    <Box role="status">
      <Typography variant="h3">{says.beforeSaving(other.length)}</Typography>
      {other.slice(0, 3).map((error, i) => (
        <Typography key={i} variant="body2" color="error">
          {says.inWords(error.pointer, error.detail)}
        </Typography>
      ))}
      {other.length > 3 && <Typography variant="body2">{says.moreFaults(other.length - 3)}</Typography>}
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
  const says = texts.desk
  const bands = useBands()
  return (
    <>
      <SelectCell
        label={says.band}
        value={band}
        options={(bands.data ?? []).map((kept) => ({
          value: kept.band.id,
          says: says.bandDoes(kept.band.name, drill.doses[kept.band.id] !== undefined),
        }))}
        onChange={onBand}
      />
      <DoseFields
        dose={drill.doses[band]}
        onChange={(dose) => onChange({ doses: withDose(drill.doses, band, dose) })}
      />
      <Typography variant="body2" color="text.secondary">
        {says.station}
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.75 }}>
        {(['min', 'usual', 'max', 'working'] as const).map((key) => (
          <NumberField
            key={key}
            label={says.stationOf[key]}
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
  const says = texts.desk
  return (
    <>
      {drill.faults.map((fault, i) => (
        <Box key={i} sx={{ display: 'grid', gap: 0.75, borderLeft: `2px solid ${floor.hair}`, pl: 1 }}>
          {(['see', 'why', 'say'] as const).map((key) => (
            <TextCell
              key={key}
              label={says.fault[key]}
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
            {says.takeOut}
          </Button>
        </Box>
      ))}
      <Button
        size="small"
        onClick={() => onChange({ faults: [...drill.faults, { see: '', why: '', say: '' }] })}
      >
        {says.addFault}
      </Button>
    </>
  )
}

function Hardness({ drill, onChange }: FieldsProps) {
  const says = texts.desk
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        <NumberField
          label={says.base}
          value={drill.difficulty}
          onChange={(difficulty) => difficulty !== null && onChange({ difficulty })}
        />
        {STAGES.map((stage) => (
          <NumberField
            key={stage}
            label={says.cadence(texts.stage[stage])}
            value={drill.touches_per_s[stage] ?? null}
            optional
            onChange={(n) => onChange({ touches_per_s: withCadence(drill.touches_per_s, stage, n) })}
          />
        ))}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {says.cadenceSays}
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
  const says = texts.desk
  return (
    <>
      {view.editions.length > 0 && (
        <Typography variant="body2">{says.inEditions(view.editions.join('; '))}</Typography>
      )}
      {view.history.map((saved) => (
        <Box key={saved.version} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {says.saved(
              saved.version,
              saved.by ?? says.cameWith,
              `${asDay(saved.at.slice(0, 10))} ${asTime(saved.at)}`,
            )}
          </Typography>
          {saved.version !== view.version && (
            <Button
              size="small"
              variant="text"
              onClick={() => void earlierDrill(view.drill.id, saved.version).then(onTakeEarlier)}
            >
              {says.takeThis}
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
