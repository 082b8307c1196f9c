// One's own account: the password, where one is signed in, the second factor, and what one takes part in.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { type ReactNode, type SyntheticEvent, useState } from 'react'
import { useForm } from 'react-hook-form'
import type { Schemas } from '../../api/client'
import { dropOthers, useOutbox } from '../../storage/outbox'
import { t } from '../../texts/t'
import { asDayOf } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { Sure } from '../../ui/Sure'
import { useAccount, useSignIns } from './queries'
import { SecondFactor } from './SecondFactor'

export function AccountPage({ session }: { session: Schemas['Session'] }) {
  return (
    <Box
      sx={{
        p: 2,
        maxWidth: 1080,
        display: 'grid',
        gridTemplateColumns: 'repeat(auto-fit, minmax(min(340px, 100%), 1fr))',
        columnGap: 6,
        rowGap: 3.5,
        alignItems: 'start',
        alignContent: 'start',
      }}
    >
      <Box sx={{ gridColumn: '1 / -1' }}>
        <Typography variant="h1">{t('account-title')}</Typography>
        <Typography color="text.secondary">
          {t('account-about', { name: session.name, login: session.login })}
        </Typography>
        {session.second_factor_first && <ErrorNote>{t('account-factor-first')}</ErrorNote>}
      </Box>
      <Section title={t('account-factor')}>
        <SecondFactor />
      </Section>
      <Section title={t('account-password')}>
        <Password />
      </Section>
      <Section title={t('account-devices')}>
        <Devices />
      </Section>
      {session.role !== 'director' && (
        <Section title={t('account-leave')}>
          <TakesPart session={session} />
        </Section>
      )}
      {session.role === 'director' && <OthersWait person={session.id} />}
    </Box>
  )
}

function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ display: 'grid', gap: 1 }}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  )
}

function Password() {
  const { password } = useAccount()
  const { register, handleSubmit, reset } = useForm<Schemas['PasswordSaid']>({
    defaultValues: { now: '', password: '' },
  })
  const change = handleSubmit((said) => password.mutate(said, { onSuccess: () => reset() }))
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event: SyntheticEvent) => void change(event)}
      sx={{ display: 'grid', gap: 2, maxWidth: 400 }}
    >
      <TextField
        label={t('account-password-now')}
        type="password"
        autoComplete="current-password"
        {...register('now')}
      />
      <TextField
        label={t('account-password-new')}
        helperText={t('account-password-how')}
        type="password"
        autoComplete="new-password"
        {...register('password')}
      />
      {password.isError && <ErrorNote error={password.error} />}
      {password.isSuccess && <Typography role="status">{t('account-password-changed')}</Typography>}
      <Button type="submit" disabled={password.isPending} sx={{ justifySelf: 'start' }}>
        {t('account-password-change')}
      </Button>
    </Box>
  )
}

function Devices() {
  const signIns = useSignIns()
  const { end } = useAccount()
  if (signIns.isError) return <ErrorNote error={signIns.error} />
  if (!signIns.data) return <Loading />
  return (
    <>
      {end.isError && <ErrorNote error={end.error} />}
      {signIns.data.map((each) => (
        <Box
          key={each.id}
          sx={{
            display: 'flex',
            gap: 1,
            alignItems: 'center',
            borderTop: 1,
            borderColor: 'divider',
            minHeight: 48,
          }}
        >
          <Box sx={{ flex: 1 }}>
            <Typography>
              {t(`account-device-${each.device}`)}
              {each.own && ` (${t('account-device-own')})`}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {t('account-device-when', { since: asDayOf(each.since), seen: asDayOf(each.seen_at) })}
            </Typography>
          </Box>
          {!each.own && (
            <Button size="small" variant="text" disabled={end.isPending} onClick={() => end.mutate(each.id)}>
              {t('account-device-end')}
            </Button>
          )}
        </Box>
      ))}
      {signIns.data.length > 1 && (
        <Button disabled={end.isPending} onClick={() => end.mutate(null)} sx={{ justifySelf: 'start' }}>
          {t('account-devices-end')}
        </Button>
      )}
    </>
  )
}

/** The teams that one coaches and the clubs that one leads, each with the way out. */
function TakesPart({ session }: { session: Schemas['Session'] }) {
  const { leave } = useAccount()
  const [asked, setAsked] = useState<{ what: string; of: { team?: string; club?: string } } | null>(null)
  const all: { what: string; says: string; of: { team?: string; club?: string } }[] = [
    ...session.leads.map((club) => ({
      what: club.name,
      of: { club: club.id },
      says: t('account-leave-club'),
    })),
    ...session.teams.map((team) => ({
      what: team.name,
      of: { team: team.id },
      says: t('account-leave-team'),
    })),
  ]
  return (
    <>
      {all.length === 0 && <Typography>{t('account-leave-nothing')}</Typography>}
      {leave.isError && <ErrorNote error={leave.error} />}
      {all.map((each) => (
        <Box
          key={each.of.club ?? each.of.team}
          sx={{ display: 'flex', alignItems: 'center', borderTop: 1, borderColor: 'divider', minHeight: 48 }}
        >
          <Typography sx={{ flex: 1 }}>{each.what}</Typography>
          <Button
            size="small"
            variant="text"
            aria-label={`${each.says}: ${each.what}`}
            onClick={() => setAsked(each)}
          >
            {each.says}
          </Button>
        </Box>
      ))}
      {asked && (
        <Sure
          title={t('account-leave')}
          says={t('account-leave-sure', { what: asked.what })}
          go={t('account-leave-go')}
          onGo={() => {
            leave.mutate(asked.of)
            setAsked(null)
          }}
          onClose={() => setAsked(null)}
        />
      )}
    </>
  )
}

/** What others entered here and was not sent: a director may let it go, where they will not come back. */
function OthersWait({ person }: { person: string }) {
  const n = useOutbox().filter((w) => w.by !== person && !w.sent).length
  const [asked, setAsked] = useState(false)
  if (n === 0) return null
  return (
    <Section title={t('account-waiting')}>
      <Typography>{t('account-waiting-about', { n })}</Typography>
      <Button color="error" sx={{ justifySelf: 'start' }} onClick={() => setAsked(true)}>
        {t('account-waiting-discard')}
      </Button>
      {asked && (
        <Sure
          title={t('account-waiting')}
          says={t('account-waiting-sure')}
          go={t('account-waiting-discard')}
          onGo={() => {
            dropOthers()
            setAsked(false)
          }}
          onClose={() => setAsked(false)}
        />
      )}
    </Section>
  )
}
