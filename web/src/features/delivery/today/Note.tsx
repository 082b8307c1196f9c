// A line of note on a session, and whom it is about: a child is pointed at, and never named in the text.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useEffect, useLayoutEffect, useRef, useState } from 'react'
import type { Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'

interface Props {
  note: { says: string; about: string[] }
  players: Schemas['PlayerView'][]
  onSay: (says: string, about: string[]) => void
}

/** How long after the last key a note is kept by itself. */
const KEEP_AFTER_MS = 1_000

export function Note({ note, players, onSay }: Props) {
  const [typed, setTyped] = useState<string | null>(null)
  const keep = useRef(() => {})
  useLayoutEffect(() => {
    keep.current = () => {
      if (typed !== null && typed.trim() !== note.says) onSay(typed.trim(), note.about)
    }
  })
  // Nothing is lost when the field is never left: the phone is put away, or another screen is opened.
  useEffect(() => {
    const soon = setTimeout(() => keep.current(), KEEP_AFTER_MS)
    return () => clearTimeout(soon)
  }, [typed])
  useEffect(() => {
    const leaves = () => keep.current()
    document.addEventListener('visibilitychange', leaves)
    window.addEventListener('pagehide', leaves)
    return () => {
      document.removeEventListener('visibilitychange', leaves)
      window.removeEventListener('pagehide', leaves)
      leaves()
    }
  }, [])
  const toggle = (player: string) => {
    const about = note.about.includes(player)
      ? note.about.filter((each) => each !== player)
      : [...note.about, player]
    onSay((typed ?? note.says).trim(), about)
  }
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TextField
        label={t('log-note')}
        helperText={t('log-note-about')}
        value={typed ?? note.says}
        multiline
        onChange={(event) => setTyped(event.target.value.replace(/\n/g, ' ').slice(0, LONGEST.NoteSaid.says))}
        onBlur={() => {
          keep.current()
          setTyped(null)
        }}
      />
      {/* Without a line there is nothing that could be about anybody. */}
      {players.length > 0 && (typed ?? note.says).trim() !== '' && (
        <Whom players={players} about={note.about} onToggle={toggle} />
      )}
    </Box>
  )
}

/** Closed until somebody is meant: a note of the whole evening needs no list of children below it. */
function Whom({
  players,
  about,
  onToggle,
}: {
  players: Schemas['PlayerView'][]
  about: string[]
  onToggle: (player: string) => void
}) {
  const [open, setOpen] = useState(false)
  const shown = open ? players : players.filter((player) => about.includes(player.id))
  const nameOf = (id: string) => players.find((player) => player.id === id)?.name ?? ''
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Button size="small" variant="text" aria-expanded={open} onClick={() => setOpen(!open)}>
        {about.length > 0 ? t('log-note-whom-chosen') : t('log-note-whom')}
      </Button>
      {shown.length > 0 && (
        <Choice
          label={t('log-note-whom')}
          options={shown.map((player) => player.id)}
          chosen={about}
          says={nameOf}
          onToggle={onToggle}
        />
      )}
    </Box>
  )
}
