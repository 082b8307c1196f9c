// What shows that a player is ready for a skill: a milestone, or a result of a test.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { NumberField, SelectCell } from '../../ui/fields'

export function GateFields({
  gate,
  tests,
  milestones,
  bandName,
  onSet,
}: {
  gate: Schemas['Gate'] | null
  tests: Schemas['TestName'][]
  milestones: Schemas['MilestoneName'][]
  bandName: (id: string) => string
  onSet: (gate: Schemas['Gate'] | null) => void
}) {
  const [typed, setTyped] = useState(gate)
  const first = {
    milestone: { kind: 'milestone', milestone: milestones[0]?.id ?? '', times: 3, of_last: 4 },
    test: { kind: 'test', test: tests[0]?.id ?? '', value: 10, times: 3, of_last: 4 },
  } as const
  const inWords = ({ says, band }: Schemas['MilestoneName']) => `${says} · ${bandName(band)}`
  const asked = typed?.kind === 'milestone' && milestones.find(({ id }) => id === typed.milestone)
  const changed = JSON.stringify(typed) !== JSON.stringify(gate)
  return (
    <>
      <SelectCell
        label={t('progressions-gate-kind')}
        none={t('progressions-no-gate')}
        value={typed?.kind ?? ''}
        options={[
          { value: 'milestone', says: t('progressions-milestone') },
          { value: 'test', says: t('progressions-test') },
        ]}
        onChange={(kind) => setTyped(kind ? first[kind] : null)}
      />
      {typed?.kind === 'milestone' && (
        <SelectCell
          label={t('progressions-milestone')}
          value={typed.milestone}
          options={milestones.map((each) => ({ value: each.id, says: inWords(each) }))}
          onChange={(milestone) => setTyped({ ...typed, milestone })}
        />
      )}
      {asked && <Typography variant="body2">{inWords(asked)}</Typography>}
      {typed?.kind === 'test' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 92px', gap: 1 }}>
          <SelectCell
            label={t('progressions-test')}
            value={typed.test}
            options={tests.map((test) => ({ value: test.id, says: test.name }))}
            onChange={(test) => setTyped({ ...typed, test })}
          />
          <NumberField
            label={t('progressions-value')}
            value={typed.value}
            onChange={(value) => value !== null && setTyped({ ...typed, value })}
          />
        </Box>
      )}
      {typed && (
        <Box sx={{ display: 'flex', gap: 1 }}>
          <NumberField
            label={t('progressions-times')}
            value={typed.times}
            whole
            onChange={(times) => times !== null && times >= 0 && setTyped({ ...typed, times })}
          />
          <NumberField
            label={t('progressions-of-last')}
            value={typed.of_last}
            whole
            onChange={(of_last) => of_last !== null && of_last >= 0 && setTyped({ ...typed, of_last })}
          />
        </Box>
      )}
      {changed && (
        <Button size="small" onClick={() => onSet(typed)} sx={{ justifySelf: 'start' }}>
          {t('progressions-set-gate')}
        </Button>
      )}
    </>
  )
}
