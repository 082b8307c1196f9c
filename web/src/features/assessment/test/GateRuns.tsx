// Runs that timing gates saw: a good one is offered for the player whose turn it is, a doubtful one says why it is not.
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asTyped, Figure } from '../../../ui/figures'
import { useKeys } from '../../../ui/keys'
import { LinkField } from '../../../ui/LinkField'
import { sentence } from '../../../ui/notes'
import { useGates, useOpenGates } from './queries'
import { type Steps, ToolFrame } from './ToolFrame'

interface Props extends Steps {
  team: string
  test: string
  /** Seconds for a missed marker. */
  penalty: number
  /** Runs that were entered. */
  taken: number[]
  /** The run that stands in the big digits. */
  offered: number | null
  /** Whether nothing stands in the big digits. */
  empty: boolean
  onValue: (seconds: number, run: number) => void
}

/** How many runs are shown, the latest first. */
const SHOWN = 4

export function GateRuns({ team, test, penalty, taken, offered, empty, onValue, ...steps }: Props) {
  const { floor } = useTheme()
  const open = useOpenGates(team)
  const gates = useGates(team, open.joining?.code, test)
  const runs = gates.data?.runs ?? []
  const next = runs.find((run) => run.outcome.kind === 'good' && !taken.includes(run.first))
  const nextTime = next?.outcome.kind === 'good' ? next.outcome.seconds : null
  useEffect(() => {
    if (next && nextTime !== null && empty) onValue(nextTime, next.first)
  })
  const [missed, setMissed] = useState({ run: -1, n: 0 })
  const n = missed.run === offered ? missed.n : 0
  const of = runs.find((run) => run.first === offered)
  const miss = () => {
    if (offered === null || of?.outcome.kind !== 'good') return
    setMissed({ run: offered, n: n + 1 })
    onValue(of.outcome.seconds + (n + 1) * penalty, offered)
  }
  useKeys({ m: () => (penalty > 0 ? miss() : false) }, { first: true })
  const shown = runs.slice(-SHOWN).reverse()
  return (
    <ToolFrame {...steps}>
      {!open.joining || gates.isError ? (
        <>
          <Typography variant="body2">{t('gates-about')}</Typography>
          {open.error !== null && <Typography color="error">{sentence(open.error)}</Typography>}
          <Button onClick={open.open} sx={{ minHeight: 46 }}>
            {t('gates-open')}
          </Button>
        </>
      ) : (
        <>
          <Typography variant="body2" role="status">
            {gates.data?.connected ? t('gates-there') : t('gates-away')}
          </Typography>
          {!gates.data?.connected && <LinkField path={open.joining.address} />}
          {shown.map((run) => (
            <ButtonBase
              key={run.first}
              disabled={run.outcome.kind !== 'good'}
              onClick={() => run.outcome.kind === 'good' && onValue(run.outcome.seconds, run.first)}
              sx={{
                font: 'inherit',
                minHeight: 38,
                px: 0.75,
                gap: 1,
                justifyContent: 'flex-start',
                textAlign: 'left',
                border: `1px solid ${run.first === offered ? floor.ink : floor.hair}`,
                color: run.outcome.kind === 'doubtful' ? floor.warn : floor.ink,
              }}
            >
              <RunLine run={run} taken={taken.includes(run.first)} />
            </ButtonBase>
          ))}
          {penalty > 0 && offered !== null && (
            <Button onClick={miss} sx={{ minHeight: 44 }}>
              {t('test-missed', { seconds: n * penalty })}
            </Button>
          )}
          {runs.length === 0 && gates.data?.connected && (
            <Typography variant="body2">{t('gates-waiting')}</Typography>
          )}
        </>
      )}
    </ToolFrame>
  )
}

function RunLine({ run, taken }: { run: Schemas['Run']; taken: boolean }) {
  const { outcome } = run
  if (outcome.kind === 'running') return <Typography variant="body2">{t('gates-running')}</Typography>
  if (outcome.kind === 'good') {
    return (
      <>
        <Figure sx={{ fontSize: '1.3rem', fontWeight: 600 }}>{asTyped(outcome.seconds.toFixed(2))} s</Figure>
        <Typography variant="caption">{taken ? t('gates-entered') : ''}</Typography>
      </>
    )
  }
  return (
    <Typography variant="body2" sx={{ lineHeight: 1.15 }}>
      {t('gates-doubtful')}: {outcome.doubts.map((doubt) => t(`gates-doubt-${doubt}`)).join(', ')}
    </Typography>
  )
}
