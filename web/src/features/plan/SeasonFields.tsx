// When a curriculum runs: first day, weeks, weekdays, the weeks that are holidays, and single days off.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, TextCell } from '../../ui/fields'
import { asDay, asWeekday } from '../../ui/figures'

type Season = Schemas['Season']

const DAYS = ['1', '2', '3', '4', '5', '6', '7']

interface Props {
  season: Season
  /** Whether the keyboard begins here. */
  first?: boolean
  onChange: (season: Season) => void
}

export function SeasonFields({ season, first, onChange }: Props) {
  const holidays = season.holidays ?? []
  const weeks = Array.from({ length: Math.min(season.weeks, 20) }, (_, i) => String(i + 1))
  const toggled = (all: number[], n: number) =>
    all.includes(n) ? all.filter((each) => each !== n) : [...all, n].sort((a, b) => a - b)
  return (
    <>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextCell
          label={t('plan-wishes-start')}
          type="date"
          autoFocus={first}
          value={season.start}
          onChange={(start) => start && onChange({ ...season, start })}
          fullWidth={false}
        />
        <NumberField
          label={t('plan-wishes-weeks')}
          whole
          value={season.weeks}
          onChange={(n) =>
            n !== null &&
            n >= 1 &&
            n <= 20 &&
            onChange({ ...season, weeks: n, holidays: holidays.filter((week) => week <= n) })
          }
        />
      </Box>
      <Choice
        label={t('plan-wishes-weekdays')}
        options={DAYS}
        chosen={season.weekdays.map(String)}
        says={(day) => asWeekday(Number(day))}
        onToggle={(day) => onChange({ ...season, weekdays: toggled(season.weekdays, Number(day)) })}
      />
      <Box>
        <Typography variant="caption" color="text.secondary">
          {t('plan-wishes-holidays')}
        </Typography>
        <Choice
          label={t('plan-wishes-holidays')}
          options={weeks}
          chosen={holidays.map(String)}
          says={(week) => week}
          onToggle={(week) => onChange({ ...season, holidays: toggled(holidays, Number(week)) })}
        />
      </Box>
      <DaysOffOfSeason season={season} onChange={onChange} />
    </>
  )
}

/** Single days without a session, each of which can be taken out; and one more. */
function DaysOffOfSeason({ season, onChange }: Props) {
  const off = season.days_off ?? []
  const set = (days: string[]) => onChange({ ...season, days_off: [...new Set(days)].sort() })
  const shown = off.filter((day) => season.weekdays.includes(new Date(`${day}T00:00Z`).getUTCDay() || 7))
  return (
    <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap', alignItems: 'center' }}>
      <TextCell
        label={t('plan-wishes-day-off')}
        type="date"
        value=""
        onChange={(day) => day && set([...off, day])}
        fullWidth={false}
      />
      {shown.map((day) => (
        <Button
          key={day}
          size="small"
          aria-label={t('plan-wishes-take-out', { what: asDay(day) })}
          onClick={() => set(off.filter((each) => each !== day))}
        >
          {asDay(day)} ×
        </Button>
      ))}
    </Box>
  )
}
