// Somebody who was invited chooses a name and a password, and is in.

import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { useForm } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { api, data, type Schemas } from '../../api/client'
import { listed } from '../../texts/said'
import { t } from '../../texts/t'
import { ErrorNote, Loading } from '../../ui/notes'
import { peopleKeys } from './keys'
import { SignInFields } from './SignInFields'

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
          <Typography variant="h1">{t('join-gone')}</Typography>
          <Typography>{t('join-ask-again')}</Typography>
        </>
      )}
      {welcome.isPending && <Loading />}
      {welcome.data && (
        <>
          <Typography color="text.secondary">{welcome.data.academy}</Typography>
          <Typography variant="h1" sx={{ mb: 1 }}>
            {t('join-welcome', { name: welcome.data.name })}
          </Typography>
          <Typography sx={{ mb: 3 }}>
            {t('join-as', {
              role: t(`role-${welcome.data.role}`),
              of: listed(welcome.data.club ? [welcome.data.club] : welcome.data.teams) || 'none',
            })}
          </Typography>
          <Box
            component="form"
            noValidate
            onSubmit={(event) => void handleSubmit((said) => join.mutate(said))(event)}
            sx={{ display: 'grid', gap: 2 }}
          >
            <SignInFields login={register('login')} password={register('password')} />
            {join.isError && <ErrorNote error={join.error} />}
            <Button type="submit" variant="contained" disabled={join.isPending} sx={{ minHeight: 48 }}>
              {t('join-go')}
            </Button>
          </Box>
        </>
      )}
    </Box>
  )
}
