// The second factor: set up with an app of one's own, shown to work, and turned off.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { t } from '../../texts/t'
import { Figure } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { NOTATION_FACE } from '../../ui/theme'
import { useFactorChanges, useSecondFactor } from './queries'

export function SecondFactor() {
  const factor = useSecondFactor()
  const { begin, turnOn, turnOff, kept } = useFactorChanges()
  const [asked, setAsked] = useState(false)
  if (factor.isError) return <ErrorNote error={factor.error} />
  if (!factor.data) return <Loading />
  if (turnOn.data)
    return (
      <RecoveryCodes
        codes={turnOn.data.codes}
        onKept={() => {
          turnOn.reset()
          begin.reset()
          setAsked(false)
          void kept()
        }}
      />
    )
  const { on } = factor.data
  if (begin.data)
    return <Scan begun={begin.data} busy={turnOn.isPending} error={turnOn.error} onCode={turnOn.mutate} />
  const change = on ? turnOff : begin
  return (
    <>
      <Typography>{on ? t('account-factor-on') : t('account-factor-off')}</Typography>
      {asked ? (
        <OnePassword
          go={on ? t('account-factor-stop') : t('account-factor-begin')}
          busy={change.isPending}
          error={change.error}
          onPassword={(password) => change.mutate(password, { onSuccess: () => setAsked(false) })}
        />
      ) : (
        <Button sx={{ justifySelf: 'start' }} onClick={() => setAsked(true)}>
          {on ? t('account-factor-stop') : t('account-factor-begin')}
        </Button>
      )}
    </>
  )
}

interface AskProps {
  busy: boolean
  error: unknown
}

function OnePassword({
  go,
  busy,
  error,
  onPassword,
}: AskProps & { go: string; onPassword: (said: string) => void }) {
  const [typed, setTyped] = useState('')
  return (
    <Box
      component="form"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault()
        onPassword(typed)
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
    >
      <TextField
        autoFocus
        size="small"
        type="password"
        autoComplete="current-password"
        label={t('account-factor-password')}
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
      />
      <Button type="submit" disabled={busy || typed === ''}>
        {go}
      </Button>
      {error ? <ErrorNote error={error} /> : null}
    </Box>
  )
}

interface ScanProps extends AskProps {
  begun: { secret: string; code: string }
  onCode: (code: string) => void
}

/** What the app reads, and the first code that it shows. */
function Scan({ begun, busy, error, onCode }: ScanProps) {
  const [typed, setTyped] = useState('')
  return (
    <Box
      component="form"
      onSubmit={(event: SyntheticEvent) => {
        event.preventDefault()
        onCode(typed)
      }}
      sx={{ display: 'grid', gap: 1.5, justifyItems: 'start' }}
    >
      <Typography>{t('account-factor-scan')}</Typography>
      <Box
        component="img"
        alt=""
        src={`data:image/svg+xml,${encodeURIComponent(begun.code)}`}
        sx={{ width: 200, height: 200, bgcolor: '#fff' }}
      />
      <Typography variant="body2" sx={{ overflowWrap: 'anywhere' }}>
        {t('account-factor-secret')}:{' '}
        <Box component="span" sx={{ fontFamily: NOTATION_FACE }}>
          {begun.secret.replace(/(.{4})/g, '$1 ')}
        </Box>
      </Typography>
      <TextField
        size="small"
        label={t('account-factor-code')}
        value={typed}
        autoComplete="one-time-code"
        onChange={(event) => setTyped(event.target.value)}
        slotProps={{ htmlInput: { inputMode: 'numeric' } }}
      />
      {error ? <ErrorNote error={error} /> : null}
      <Button type="submit" variant="contained" disabled={busy || typed === ''}>
        {t('account-factor-turn-on')}
      </Button>
    </Box>
  )
}

function RecoveryCodes({ codes, onKept }: { codes: string[]; onKept: () => void }) {
  return (
    <>
      <Typography role="status">{t('account-factor-recovery')}</Typography>
      <Box
        component="ul"
        aria-label={t('account-factor')}
        sx={{ listStyle: 'none', m: 0, p: 0, columns: { sm: 2 }, fontSize: '1.15rem' }}
      >
        {codes.map((code) => (
          <li key={code}>
            <Figure>{code}</Figure>
          </li>
        ))}
      </Box>
      <Button variant="contained" onClick={onKept} sx={{ justifySelf: 'start' }}>
        {t('account-factor-kept')}
      </Button>
    </>
  )
}
