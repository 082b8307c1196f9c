// How much is done, for one band.

import Box from '@mui/material/Box'
import type { Schemas } from '../../api/client'
import { sideRuleValues } from '../../api/schema'
import { said, t } from '../../texts/t'
import { NumberField, SelectCell } from '../../ui/fields'

type Dose = Schemas['Dose']
type Kind = Dose['kind']

/** What a band begins with when a kind is chosen. */
const FIRST: { [K in Kind]: Extract<Dose, { kind: K }> } = {
  timed: { kind: 'timed', work_s: 30, rest_s: 30, sets: 5, sides: 'alternate' },
  reps: { kind: 'reps', reps: 6, rest_s: 20, sets: 2, sides: 'each', each_s: 4 },
  laps: { kind: 'laps', laps: 2, reps: 2, directions: 2, rest_s: 20 },
  tries: { kind: 'tries', tries: 5, each_s: 6, sides: 'each' },
  streak: { kind: 'streak', target: 10, cap_s: 90, try_s: 3 },
  until_told: { kind: 'until_told', least_s: 15, most_s: 40, rest_s: 20, sets: 4, sides: 'alternate' },
  series: { kind: 'series', moves: 2, work_s: 30, rest_s: 30, rounds: 1, break_s: 60 },
}
const KINDS = Object.keys(FIRST) as Kind[]
const SIDES = sideRuleValues

/** The numbers of each kind; those with a question mark may stay empty. */
const NUMBERS: Record<Kind, string[]> = {
  timed: ['work_s', 'rest_s', 'sets'],
  reps: ['reps', 'each_s?', 'rest_s', 'sets'],
  laps: ['laps', 'each_s?', 'reps', 'directions', 'rest_s'],
  tries: ['tries', 'each_s'],
  streak: ['target', 'cap_s', 'try_s'],
  until_told: ['least_s', 'most_s', 'rest_s', 'sets'],
  series: ['moves', 'work_s', 'rest_s', 'rounds', 'break_s', 'challenge_s?'],
}

export function DoseFields({
  dose,
  onChange,
}: {
  dose: Dose | undefined
  onChange: (dose: Dose | null) => void
}) {
  const numbers = dose as unknown as Record<string, number | null> | undefined
  const set = (change: object) => dose && onChange({ ...dose, ...change })
  return (
    <Box sx={{ display: 'grid', gap: 1.25 }}>
      <SelectCell
        label={t('desk-dose-kind')}
        none={t('desk-not-done')}
        value={dose?.kind ?? ''}
        options={KINDS.map((kind) => ({ value: kind, says: t(`desk-dose-kinds-${kind}`) }))}
        onChange={(kind) => onChange(kind ? FIRST[kind] : null)}
      />
      {dose && (
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {NUMBERS[dose.kind].map((name) => {
            const key = name.replace('?', '')
            const optional = name.endsWith('?')
            return (
              <NumberField
                key={`${dose.kind} ${key}`}
                label={said(`desk-dose-numbers-${key}`) ?? key}
                placeholder={
                  !optional ? undefined : key === 'challenge_s' ? t('desk-no-challenge') : t('desk-as-path')
                }
                value={numbers?.[key] ?? null}
                optional={optional}
                whole={!key.endsWith('_s')}
                onChange={(n) => (n === null || n >= 0) && set({ [key]: n ?? undefined })}
                sx={{ width: 104 }}
              />
            )
          })}
          {'sides' in dose && (
            <SelectCell
              label={t('desk-sides')}
              value={dose.sides ?? 'each'}
              options={SIDES.map((side) => ({ value: side, says: t(`desk-side-rules-${side}`) }))}
              onChange={(sides) => sides && set({ sides })}
              fullWidth={false}
              sx={{ width: 180 }}
            />
          )}
        </Box>
      )}
    </Box>
  )
}
