import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { ProblemError, type Schemas } from '../../api/client'
import { useOutbox } from '../../storage/outbox'
import { listed } from '../../texts/said'
import { t } from '../../texts/t'
import { ErrorNote } from '../../ui/notes'
import { STRANDS, StrandLine } from '../../ui/strands'
import { useSamples, useSignIn } from './session'

/** Whether the server asks for a code besides the password. */
const asksForCode = (error: unknown) =>
  error instanceof ProblemError &&
  ['/problems/code-needed', '/problems/wrong-code'].includes(error.problem.type)

export function SignIn() {
  const signIn = useSignIn()
  const samples = useSamples().data ?? []
  const waiting = useOutbox().filter((w) => !w.sent).length
  const { register, handleSubmit } = useForm<Schemas['Credentials']>({
    defaultValues: { login: '', password: '', code: '' },
  })
  const [withCode, setWithCode] = useState(false)
  const go = handleSubmit((said) =>
    signIn.mutate(
      { ...said, code: withCode ? said.code : null },
      { onError: (error) => setWithCode((before) => before || asksForCode(error)) },
    ),
  )
  return (
    <Box
      component="main"
      sx={{ minHeight: '100dvh', display: 'flex', flexWrap: 'wrap', alignItems: 'stretch' }}
    >
      <CourtLines />
      <Box sx={{ flex: '1 1 340px', maxWidth: 560, px: { xs: 3, sm: 6 }, py: 3, alignSelf: 'center' }}>
        <Typography variant="h1" sx={{ fontSize: '2.6rem', letterSpacing: '-0.01em' }}>
          {t('sign-in-title')}
        </Typography>
        <Typography color="text.secondary" sx={{ mb: 3, maxWidth: 400 }}>
          {t('sign-in-about')}
        </Typography>
        <Box
          component="form"
          noValidate
          onSubmit={(event) => void go(event)}
          sx={{ display: 'grid', gap: 2, maxWidth: 340 }}
        >
          <TextField
            label={t('sign-in-login')}
            autoComplete="username"
            autoCapitalize="none"
            {...register('login')}
          />
          <TextField
            label={t('sign-in-password')}
            type="password"
            autoComplete="current-password"
            {...register('password')}
          />
          {withCode && (
            <TextField
              autoFocus
              label={t('sign-in-code')}
              helperText={t('sign-in-code-note')}
              autoComplete="one-time-code"
              {...register('code')}
            />
          )}
          {waiting > 0 && <Typography role="status">{t('outbox-sign-in', { n: waiting })}</Typography>}
          {signIn.isError && <ErrorNote error={signIn.error} />}
          <Button type="submit" variant="contained" disabled={signIn.isPending} sx={{ justifySelf: 'start' }}>
            {t('sign-in-go')}
          </Button>
        </Box>
        {samples.length > 0 && <Samples samples={samples} busy={signIn.isPending} onChoose={signIn.mutate} />}
      </Box>
    </Box>
  )
}

interface SamplesProps {
  samples: Schemas['Sample'][]
  busy: boolean
  onChoose: (shown: Schemas['Credentials']) => void
}

/** The people of the demo, each a tap away. */
function Samples({ samples, busy, onChoose }: SamplesProps) {
  return (
    <Box sx={{ mt: 3.5 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t('sign-in-samples')}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, borderTop: 1, borderColor: 'divider' }}>
        {samples.map((person) => (
          <Box component="li" key={person.login} sx={{ borderBottom: 1, borderColor: 'divider' }}>
            <Button
              variant="text"
              fullWidth
              disabled={busy}
              onClick={() => onChoose({ login: person.login, password: person.password })}
              sx={{
                justifyContent: 'flex-start',
                textAlign: 'left',
                px: 0.5,
                py: 0.6,
                display: 'block',
                lineHeight: 1.4,
              }}
            >
              {person.name}
              <Typography component="span" color="text.secondary" sx={{ display: 'block' }} variant="body2">
                {person.role === 'coach'
                  ? t('sign-in-coach', { teams: listed(person.teams) })
                  : t(`sign-in-${person.role}`)}
              </Typography>
            </Button>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** The four strands as court lines that cross the floor. */
function CourtLines() {
  const { floor } = useTheme()
  return (
    <Box
      sx={{
        flex: '1 1 300px',
        minHeight: { xs: 110, sm: 340 },
        maxHeight: { xs: 130, sm: 'none' },
        borderRight: { sm: `1px solid ${floor.hair}` },
        overflow: 'hidden',
      }}
    >
      <svg width="100%" height="100%" viewBox="0 0 600 800" preserveAspectRatio="xMidYMid slice" aria-hidden>
        {Array.from({ length: 15 }, (_, i) => (
          <line
            key={i}
            x1={0}
            x2={600}
            y1={i * 56 + 8}
            y2={i * 56 + 8}
            stroke={floor.plank}
            strokeWidth={2}
          />
        ))}
        {STRANDS.map((strand, i) => (
          <StrandLine key={strand} strand={strand} x1={0} x2={600} y1={250 + i * 92} y2={250 + i * 92} />
        ))}
        <circle cx={300} cy={388} r={150} fill="none" stroke={floor.ink} strokeWidth={1.4} />
        <line x1={300} x2={300} y1={0} y2={800} stroke={floor.ink} strokeWidth={1.4} />
      </svg>
    </Box>
  )
}
