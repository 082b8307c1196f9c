// Makes the page installable and able to open without network, and offers a new version when there is one.

import { registerSW } from 'virtual:pwa-register'
import Button from '@mui/material/Button'
import { useEffect, useState } from 'react'
import { t } from '../../texts/t'

export function NewVersion() {
  const [load, setLoad] = useState<(() => void) | null>(null)
  useEffect(() => {
    const update = registerSW({ onNeedRefresh: () => setLoad(() => () => void update(true)) })
  }, [])
  if (!load) return null
  return (
    <Button
      variant="contained"
      className="no-print"
      onClick={load}
      sx={{ position: 'fixed', zIndex: 'snackbar', top: 4, left: '50%', transform: 'translateX(-50%)' }}
    >
      {t('new-version')}
    </Button>
  )
}
