// What somebody chooses who is new: the name to sign in with, and a password.
import TextField from '@mui/material/TextField'
import type { UseFormRegisterReturn } from 'react-hook-form'
import { t } from '../../texts/t'

interface Props {
  login: UseFormRegisterReturn
  password: UseFormRegisterReturn
}

export const SignInFields = ({ login, password }: Props) => (
  <>
    <TextField
      label={t('join-login')}
      helperText={t('join-login-how')}
      autoComplete="username"
      slotProps={{ htmlInput: { autoCapitalize: 'none' } }}
      {...login}
    />
    <TextField
      label={t('sign-in-password')}
      helperText={t('join-password-how')}
      type="password"
      autoComplete="new-password"
      {...password}
    />
  </>
)
