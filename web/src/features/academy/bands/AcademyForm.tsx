// What holds for the whole academy: the cut-off day, the association's rule of headers, the points of the levers.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { LANGUAGES, type Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { NumberField, SelectCell, TextCell } from '../../../ui/fields'
import { LEVERS, type LeverName, SETTINGS, settingInWords } from '../../../ui/levers'
import { ErrorNote } from '../../../ui/notes'
import { TimeZoneField } from '../TimeZoneField'
import { Keeping } from './Keeping'
import { useNameAcademy } from './queries'

type Academy = Schemas['Academy']
type Language = Schemas['Language']

/** What the academy is called, and where it is. */
function AcademyName({ name, timeZone }: { name: string; timeZone: string }) {
  const [said, setSaid] = useState({ name, time_zone: timeZone })
  const naming = useNameAcademy()
  const changed = said.name !== name || said.time_zone !== timeZone
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
      <TextCell
        label={t('begin-academy')}
        value={said.name}
        onChange={(next) => setSaid({ ...said, name: next })}
        fullWidth={false}
        sx={{ width: 320 }}
      />
      <Box sx={{ width: 320 }}>
        <TimeZoneField value={said.time_zone} onChange={(zone) => setSaid({ ...said, time_zone: zone })} />
      </Box>
      <Button disabled={!changed || naming.isPending} onClick={() => naming.mutate(said)}>
        {t('bands-save-name')}
      </Button>
      {naming.isError && <ErrorNote error={naming.error} />}
    </Box>
  )
}

interface Props {
  view: Schemas['AcademyView']
  busy: boolean
  error: unknown
  onSave: (academy: Academy, version: number) => void
}

export function AcademyForm({ view, busy, error, onSave }: Props) {
  const [academy, setAcademy] = useState<Academy>(view.academy)
  const changed = JSON.stringify(academy) !== JSON.stringify(view.academy)
  const set = (next: Partial<Academy>) => setAcademy({ ...academy, ...next })
  const pointsOf = (lever: LeverName) => academy.lever_points[lever] as Record<string, number>
  return (
    <Box
      component="section"
      aria-label={t('bands-academy')}
      sx={{ maxWidth: 1180, display: 'grid', gap: 1.5 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t('bands-academy')}
        </Typography>
        <Button variant="contained" disabled={!changed || busy} onClick={() => onSave(academy, view.version)}>
          {t('bands-save-academy')}
        </Button>
      </Box>
      {error ? <ErrorNote error={error} /> : null}
      <AcademyName name={view.name} timeZone={view.time_zone} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start' }}>
        <TextCell
          label={t('bands-cut-off')}
          helperText={t('bands-cut-off-note')}
          value={academy.cut_off}
          onChange={(cut_off) => set({ cut_off })}
          fullWidth={false}
          sx={{ width: 220 }}
        />
        <SelectCell<Language>
          label={t('bands-language')}
          helperText={t('bands-language-note')}
          value={academy.language}
          options={LANGUAGES.map((value) => ({ value, says: t(`language-${value}`) }))}
          onChange={(language) => language && set({ language })}
          fullWidth={false}
          sx={{ width: 260 }}
        />
        <Heading heading={academy.heading ?? null} onChange={(heading) => set({ heading })} />
      </Box>
      <Keeping academy={academy} onChange={set} />
      <Typography variant="h3">{t('bands-points')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('bands-points-note')}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))',
          columnGap: 3,
          rowGap: 1.5,
        }}
      >
        {LEVERS.map((lever) => (
          <LeverPoints
            key={lever}
            lever={lever}
            points={pointsOf(lever)}
            onChange={(points) => set({ lever_points: { ...academy.lever_points, [lever]: points } })}
          />
        ))}
      </Box>
    </Box>
  )
}

interface HeadingProps {
  heading: Schemas['HeadingRule'] | null
  onChange: (heading: Schemas['HeadingRule'] | null) => void
}

/** From which age headers are allowed, and how many in a week, once the academy has entered a rule. */
function Heading({ heading, onChange }: HeadingProps) {
  return (
    <Box sx={{ flex: 1, minWidth: 320, display: 'grid', gap: 1 }}>
      <Typography variant="h3">{t('bands-heading')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {heading ? t('bands-heading-on', { age: heading.from_age }) : t('bands-heading-off')}
      </Typography>
      {heading && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          <NumberField
            label={t('bands-from-age')}
            value={heading.from_age}
            whole
            onChange={(n) => n !== null && n >= 0 && onChange({ ...heading, from_age: n })}
            sx={{ width: 120 }}
          />
          <NumberField
            label={t('bands-per-week')}
            value={heading.most_per_week}
            whole
            onChange={(n) => n !== null && n >= 0 && onChange({ ...heading, most_per_week: n })}
            sx={{ width: 150 }}
          />
          <TextCell
            label={t('bands-rule-text')}
            value={heading.text}
            onChange={(text) => onChange({ ...heading, text })}
            fullWidth={false}
            sx={{ flex: 1, minWidth: 260 }}
          />
        </Box>
      )}
      <Button
        size="small"
        sx={{ justifySelf: 'start' }}
        onClick={() => onChange(heading ? null : { from_age: 13, most_per_week: 10, text: '' })}
      >
        {heading ? t('bands-heading-stop') : t('bands-heading-enter')}
      </Button>
    </Box>
  )
}

interface LeverPointsProps {
  lever: LeverName
  points: Record<string, number>
  onChange: (points: Record<string, number>) => void
}

/** How many points each setting of a lever adds to the difficulty. */
function LeverPoints({ lever, points, onChange }: LeverPointsProps) {
  return (
    <Box role="group" aria-label={t(`lever-${lever}`)}>
      <Typography variant="body2" sx={{ fontWeight: 600 }}>
        {t(`lever-${lever}`)}
      </Typography>
      {(SETTINGS[lever] as string[]).map((setting) => (
        <Box key={setting} sx={{ display: 'flex', alignItems: 'center', gap: 1, mt: 0.5 }}>
          <Typography variant="body2" sx={{ flex: 1 }}>
            {settingInWords(lever, setting)}
          </Typography>
          <NumberField
            hiddenLabel
            slotProps={{
              htmlInput: {
                'aria-label': t('bands-points-of', {
                  lever: t(`lever-${lever}`),
                  setting: settingInWords(lever, setting),
                }),
                inputMode: 'decimal',
              },
            }}
            value={points[setting] ?? 0}
            onChange={(n) => n !== null && onChange({ ...points, [setting]: n })}
            sx={{ width: 70 }}
          />
        </Box>
      ))}
    </Box>
  )
}
