// An academy begins: its name, its time zone, and its first director. The address works once.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { Controller, useForm } from 'react-hook-form'
import { useNavigate, useParams } from 'react-router'
import { api, data, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { ErrorNote, Loading } from '../../ui/notes'
import { TimeZoneField, zoneHere } from '../academy/TimeZoneField'
import { peopleKeys } from './keys'
import { SignInFields } from './SignInFields'

type NewAcademy = Schemas['NewAcademy']

export function BeginPage() {
  const { secret = '' } = useParams()
  const params = { path: { secret } }
  const open = useQuery({
    queryKey: peopleKeys.beginning(secret),
    queryFn: () => api.GET('/beginning/{secret}', { params }).then(() => true),
    staleTime: Infinity,
  })
  return (
    <Box component="main" sx={{ maxWidth: 460, mx: 'auto', p: 3, mt: { sm: 4 } }}>
      {open.isPending && <Loading />}
      {open.isError && (
        <>
          <Typography variant="h1">{t('begin-gone')}</Typography>
          <Typography>{t('begin-gone-how')}</Typography>
        </>
      )}
      {open.data && <BeginForm secret={secret} />}
    </Box>
  )
}

function BeginForm({ secret }: { secret: string }) {
  const queries = useQueryClient()
  const navigate = useNavigate()
  const begin = useMutation({
    mutationFn: (body: NewAcademy) =>
      data(api.POST('/beginning/{secret}', { params: { path: { secret } }, body })),
    onSuccess: (session) => {
      queries.clear()
      queries.setQueryData(peopleKeys.session, session)
      void navigate('/begin', { replace: true })
    },
  })
  const { register, handleSubmit, control } = useForm<NewAcademy>({
    defaultValues: { academy: '', time_zone: zoneHere(), name: '', login: '', password: '' },
  })
  return (
    <>
      <Typography variant="h1" sx={{ mb: 1 }}>
        {t('begin-title')}
      </Typography>
      <Typography sx={{ mb: 3 }}>{t('begin-about')}</Typography>
      <Box
        component="form"
        noValidate
        onSubmit={(event) => void handleSubmit((said) => begin.mutate(said))(event)}
        sx={{ display: 'grid', gap: 2 }}
      >
        <TextField label={t('begin-academy')} autoComplete="organization" {...register('academy')} />
        <Controller
          control={control}
          name="time_zone"
          render={({ field }) => <TimeZoneField value={field.value} onChange={field.onChange} />}
        />
        <TextField
          label={t('begin-name')}
          helperText={t('begin-name-note')}
          autoComplete="name"
          {...register('name')}
        />
        <SignInFields login={register('login')} password={register('password')} />
        {begin.isError && <ErrorNote error={begin.error} />}
        <Button type="submit" variant="contained" disabled={begin.isPending} sx={{ minHeight: 48 }}>
          {t('begin-go')}
        </Button>
      </Box>
    </>
  )
}
