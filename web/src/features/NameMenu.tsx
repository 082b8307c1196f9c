// Behind the name: the look, one’s own pace, and signing out.
import Button from '@mui/material/Button'
import Divider from '@mui/material/Divider'
import ListSubheader from '@mui/material/ListSubheader'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../api/client'
import { useSignOut } from '../api/session'
import { texts } from '../texts/en'
import { CalendarDialog } from './CalendarDialog'
import { EmailDialog } from './EmailDialog'
import { PaceDialog } from './PaceDialog'
import type { Look, Mode } from '../ui/theme'

const MODES: Mode[] = ['light', 'dark', 'pitch']

interface Props {
  session: Schemas['Session']
  look: Look
  /** Whether this device could go on without network; nothing where that is not asked. */
  carried?: boolean
}

export function NameMenu({ session, look, carried }: Props) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  const [measuring, setMeasuring] = useState(false)
  const [calendar, setCalendar] = useState(false)
  const [post, setPost] = useState(false)
  const coaches = session.teams.length > 0
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
        <MenuItem
          onClick={() => {
            setAt(null)
            setMeasuring(true)
          }}
        >
          {texts.pace.mine(session.pace_m ?? null)}
        </MenuItem>
        {session.role !== 'coach' && (
          <MenuItem component={Link} to="/clubs" onClick={() => setAt(null)}>
            {texts.clubs.title}
          </MenuItem>
        )}
        {session.role === 'club_lead' && coaches && (
          <MenuItem component={Link} to={carried === undefined ? '/tonight' : '/evenings'} onClick={() => setAt(null)}>
            {carried === undefined ? texts.clubs.myTeams : texts.clubs.myClub}
          </MenuItem>
        )}
        {carried !== undefined && (
          <MenuItem component={Link} to="/drills" onClick={() => setAt(null)}>
            {texts.places.drills}
          </MenuItem>
        )}
        {coaches && (
          <MenuItem
            onClick={() => {
              setAt(null)
              setCalendar(true)
            }}
          >
            {texts.calendar.open}
          </MenuItem>
        )}
        {coaches && (
          <MenuItem
            onClick={() => {
              setAt(null)
              setPost(true)
            }}
          >
            {texts.letters.mine}
          </MenuItem>
        )}
        {session.role === 'director' && (
          <MenuItem component={Link} to="/outbox" onClick={() => setAt(null)}>
            {texts.letters.title}
          </MenuItem>
        )}
        {carried !== undefined && (
          <ListSubheader sx={{ bgcolor: 'transparent', lineHeight: 1.5, py: 1, maxWidth: 260 }}>{carried ? texts.carried.yes : texts.carried.notYet}</ListSubheader>
        )}
        <MenuItem onClick={() => signOut.mutate()}>{texts.signOut}</MenuItem>
      </Menu>
      {post && <EmailDialog email={session.email ?? null} onClose={() => setPost(false)} />}
      {calendar && <CalendarDialog since={session.calendar_since ?? null} onClose={() => setCalendar(false)} />}
      {measuring && <PaceDialog open pace={session.pace_m ?? null} onClose={() => setMeasuring(false)} />}
    </>
  )
}
