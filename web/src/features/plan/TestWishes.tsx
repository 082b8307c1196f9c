// How the curriculum is to be measured, and when each test is taken: laid with the plan, or pinned to a session.
import Box from '@mui/material/Box'
import IconButton from '@mui/material/IconButton'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { LateNumber, SelectCell } from '../../ui/fields'
import { asDay } from '../../ui/figures'
import { useMap } from '../progression/queries'
import type { Change } from './queries'

interface Props {
  view: Curriculum
  onChange: (change: Change) => void
}

type Sitting = Schemas['Sitting']

const PHASES = ['before', 'on_the_way', 'at_the_end'] as const
const MOSTS = ['most_in_session', 'most_in_all'] as const
export function TestWishes({ view, onChange }: Props) {
  const { testing } = view.wishes
  const sittings = view.wishes.tests ?? []
  const minutes = sittings.reduce((all, sitting) => all + sitting.minutes, 0)
  const set = (next: Partial<Schemas['Testing']>) =>
    onChange((wishes) => ({ ...wishes, testing: { ...wishes.testing, ...next } }))
  if (!testing) return null
  return (
    <>
      <Choice
        label={t('plan-testing')}
        options={PHASES}
        chosen={PHASES.filter((phase) => testing[phase])}
        says={(phase) => t(`plan-testing-${phase}`)}
        onToggle={(phase) => set({ [phase]: !testing[phase] })}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 0.5 }}>
        {MOSTS.map((most) => (
          <LateNumber
            key={most}
            label={t(`plan-testing-${most}`)}
            whole
            value={testing[most] ?? 0}
            onCommit={(n) => n > 0 && set({ [most]: n })}
            sx={{ width: '100%' }}
          />
        ))}
      </Box>
      <Typography variant="caption" color="text.secondary">
        {t('plan-testing-means', { n: sittings.length, minutes })}
      </Typography>
      <Sittings view={view} sittings={sittings} onChange={onChange} />
    </>
  )
}

/** Every test with its session: where it stands is changed by hand, and then stays. */
function Sittings({ view, sittings, onChange }: Props & { sittings: Sitting[] }) {
  const tests = useMap().data?.tests ?? []
  const [session, setSession] = useState(String(view.sessions.length))
  const name = (id: string) => tests.find((test) => test.id === id)?.name ?? id
  const sessions = view.sessions.map((s) => ({
    value: String(s.session + 1),
    says: `${s.session + 1} · ${asDay(s.date)}`,
  }))
  const change = (i: number, next: Partial<Sitting>) =>
    onChange((wishes) => ({
      ...wishes,
      tests: (wishes.tests ?? []).map((each, at) => (at === i ? { ...each, ...next } : each)),
    }))
  const takeOut = (i: number) =>
    onChange((wishes) => ({ ...wishes, tests: (wishes.tests ?? []).filter((_, at) => at !== i) }))
  return (
    <>
      {sittings.map((sitting, i) => (
        <Box
          key={`${sitting.session} ${sitting.test}`}
          sx={{ display: 'grid', gridTemplateColumns: '1fr 64px auto', gap: 0.75, alignItems: 'center' }}
        >
          <Typography variant="body2" sx={{ gridColumn: '1 / -1', fontWeight: 650, mt: 0.5 }}>
            {name(sitting.test)}
          </Typography>
          <SelectCell
            label={sitting.pinned === false ? t('plan-test-laid') : t('plan-test-pinned')}
            value={String(sitting.session + 1)}
            options={sessions}
            onChange={(value) => value && change(i, { session: Number(value) - 1, pinned: true })}
          />
          <LateNumber
            label={t('plan-wishes-min')}
            whole
            value={sitting.minutes}
            onCommit={(n) => n > 0 && change(i, { minutes: n, pinned: true })}
            sx={{ width: 64 }}
          />
          <IconButton
            size="small"
            aria-label={t('plan-wishes-take-out', { what: name(sitting.test) })}
            onClick={() => takeOut(i)}
          >
            ×
          </IconButton>
        </Box>
      ))}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 1 }}>
        <SelectCell
          label={t('plan-wishes-test-session')}
          value={session}
          options={sessions}
          onChange={(value) => setSession(value || '1')}
        />
        <SelectCell
          label={t('plan-wishes-add-test')}
          none={t('plan-wishes-choose-test')}
          value=""
          options={tests.map((test) => ({ value: test.id, says: test.name }))}
          onChange={(test) =>
            test &&
            onChange((wishes) => ({
              ...wishes,
              tests: [
                ...(wishes.tests ?? []),
                { session: Number(session) - 1, test, minutes: 5, pinned: true },
              ],
            }))
          }
        />
      </Box>
    </>
  )
}
