// An address to hand on: shown whole, copied with one tap.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { t } from '../texts/t'

export function LinkField({ path }: { path: string }) {
  const address = new URL(path, window.location.href).href
  const [copied, setCopied] = useState(false)
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      <TextField
        size="small"
        fullWidth
        value={address}
        onFocus={(event) => event.target.select()}
        slotProps={{ htmlInput: { readOnly: true, 'aria-label': t('link-address') } }}
      />
      <Button
        onClick={() =>
          void navigator.clipboard.writeText(address).then(
            () => setCopied(true),
            () => setCopied(false), // Without leave to copy, the address is there to be marked.
          )
        }
        sx={{ whiteSpace: 'nowrap' }}
      >
        {copied ? t('link-copied') : t('link-copy')}
      </Button>
    </Box>
  )
}
