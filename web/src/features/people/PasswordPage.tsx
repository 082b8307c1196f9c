// Somebody whose password was lost chooses a new one, through a link that works once.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery } from '@tanstack/react-query'
import { type SyntheticEvent, useState } from 'react'
import { Link, useParams } from 'react-router'
import { api, data } from '../../api/client'
import { t } from '../../texts/t'
import { ErrorNote, Loading } from '../../ui/notes'
import { peopleKeys } from './keys'

export function PasswordPage() {
  const { token = '' } = useParams()
  const params = { path: { token } }
  const whose = useQuery({
    queryKey: peopleKeys.passwordLink(token),
    queryFn: () => data(api.GET('/password/{token}', { params })),
    staleTime: Infinity,
  })
  const [typed, setTyped] = useState('')
  const set = useMutation({
    mutationFn: (password: string) => api.POST('/password/{token}', { params, body: { password } }),
  })
  return (
    <Box component="main" sx={{ maxWidth: 420, mx: 'auto', p: 3, mt: { sm: 6 } }}>
      {whose.isError && (
        <>
          <Typography variant="h1">{t('password-gone')}</Typography>
          <Typography>{t('password-gone-how')}</Typography>
        </>
      )}
      {whose.isPending && <Loading />}
      {set.isSuccess && (
        <>
          <Typography role="status" sx={{ mb: 2 }}>
            {t('password-done')}
          </Typography>
          <Button variant="contained" component={Link} to="/">
            {t('password-to-sign-in')}
          </Button>
        </>
      )}
      {whose.data && !set.isSuccess && (
        <Box
          component="form"
          noValidate
          onSubmit={(event: SyntheticEvent) => {
            event.preventDefault()
            set.mutate(typed)
          }}
          sx={{ display: 'grid', gap: 2 }}
        >
          <Box>
            <Typography color="text.secondary">{whose.data.academy}</Typography>
            <Typography variant="h1">{t('password-title')}</Typography>
          </Box>
          <Typography>{t('password-for', { name: whose.data.name, login: whose.data.login })}</Typography>
          <TextField
            label={t('sign-in-password')}
            helperText={t('account-password-how')}
            type="password"
            autoComplete="new-password"
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          {set.isError && <ErrorNote error={set.error} />}
          <Button type="submit" variant="contained" disabled={set.isPending} sx={{ minHeight: 48 }}>
            {t('password-go')}
          </Button>
        </Box>
      )}
    </Box>
  )
}
