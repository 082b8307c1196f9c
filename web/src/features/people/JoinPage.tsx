// Somebody who was invited chooses a name and a password, and is in.

import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useForm } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { api, data, type Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { ErrorNote, Loading } from '../../ui/notes'
import { peopleKeys } from './keys'

export function JoinPage() {
  const { token = '' } = useParams()
  const queries = useQueryClient()
  const navigate = useNavigate()
  const params = { path: { token } }
  const welcome = useQuery({
    queryKey: peopleKeys.invitation(token),
    queryFn: () => data(api.GET('/join/{token}', { params })),
    staleTime: Infinity,
  })
  const join = useMutation({
    mutationFn: (body: Schemas['Joining']) => data(api.POST('/join/{token}', { params, body })),
    onSuccess: (session) => {
      queries.clear()
      queries.setQueryData(peopleKeys.session, session)
      void navigate('/', { replace: true })
    },
  })
  const { register, handleSubmit } = useForm<Schemas['Joining']>({
    defaultValues: { login: '', password: '' },
  })
  return (
    <Box component="main" sx={{ maxWidth: 420, mx: 'auto', p: 3, mt: { sm: 6 } }}>
      {welcome.isError && (
        <>
          <Typography variant="h1">{texts.join.gone}</Typography>
          <Typography>{texts.join.askAgain}</Typography>
        </>
      )}
      {welcome.isPending && <Loading />}
      {welcome.data && (
        <>
          <Typography color="text.secondary">{welcome.data.academy}</Typography>
          <Typography variant="h1" sx={{ mb: 1 }}>
            {texts.join.welcome(welcome.data.name)}
          </Typography>
          <Typography sx={{ mb: 3 }}>
            {texts.join.as(
              texts.role[welcome.data.role],
              welcome.data.club ? [welcome.data.club] : welcome.data.teams,
            )}
          </Typography>
          <Box
            component="form"
            noValidate
            onSubmit={(event) => void handleSubmit((said) => join.mutate(said))(event)}
            sx={{ display: 'grid', gap: 2 }}
          >
            <TextField
              label={texts.join.login}
              helperText={texts.join.loginHow}
              autoComplete="username"
              autoCapitalize="none"
              {...register('login')}
            />
            <TextField
              label={texts.signIn.password}
              helperText={texts.join.passwordHow}
              type="password"
              autoComplete="new-password"
              {...register('password')}
            />
            {join.isError && <ErrorNote error={join.error} />}
            <Button type="submit" variant="contained" disabled={join.isPending} sx={{ minHeight: 48 }}>
              {texts.join.go}
            </Button>
          </Box>
        </>
      )}
    </Box>
  )
}
