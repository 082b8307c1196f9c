// Behind the name: the look, and signing out.
import Button from '@mui/material/Button'
import Divider from '@mui/material/Divider'
import ListSubheader from '@mui/material/ListSubheader'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import type { Schemas } from '../api/client'
import { useSignOut } from '../api/session'
import { texts } from '../texts/en'
import type { Look, Mode } from '../ui/theme'

const MODES: Mode[] = ['light', 'dark', 'pitch']

export function NameMenu({ session, look }: { session: Schemas['Session']; look: Look }) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  const signOut = useSignOut()
  return (
    <>
      <Button variant="text" size="small" aria-haspopup="menu" sx={{ px: 1 }} onClick={(event) => setAt(event.currentTarget)}>
        {session.name}
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        <ListSubheader sx={{ bgcolor: 'transparent', lineHeight: 2 }}>{texts.look.title}</ListSubheader>
        {MODES.map((mode) => (
          <MenuItem key={mode} selected={mode === look.mode} onClick={() => look.setMode(mode)}>
            {texts.look[mode]}
          </MenuItem>
        ))}
        <Divider />
        <MenuItem onClick={() => signOut.mutate()}>{texts.signOut}</MenuItem>
      </Menu>
    </>
  )
}
