// Eyes on: whom to look at in a block, and what was seen. A name opens its points; each point is one tap, and the last
// of them enters the look.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { lookMarks, useRemembered } from '../../../storage/remembered'
import { t } from '../../../texts/t'
import { Marks } from '../../../ui/marks'
import type { Looks } from './looks'

type Look = Schemas['Look']
type Player = Schemas['PlayerView']

interface Props {
  /** What is looked for in the block. */
  looked: Look[]
  looks: Looks
  players: Player[]
  missing: Set<string> | null
}

export function EyesOn({ looked, looks, players, missing }: Props) {
  return looked.map((look) => {
    const names = looks.proposed(look, players, missing)
    // Where there is a squad and nobody is to be looked at here, nothing is asked of the coach.
    if (players.length > 0 && names.length === 0) return null
    return <AtMilestone key={look.milestone} {...{ look, looks, names }} />
  })
}

/** What shows a milestone in this block: whom to look at, or its points where there is no squad yet. */
function AtMilestone({ look, looks, names }: { look: Look; looks: Looks; names: Player[] }) {
  const [open, setOpen] = useState<string | null>(null)
  const player = names.find(({ id }) => id === open)
  return (
    <Box component="section" aria-label={t('today-look')} sx={{ borderTop: 1, pt: 0.75 }}>
      <Typography variant="body2">
        <strong>{t('today-look')}:</strong> “{look.says}”
      </Typography>
      {names.length === 0 && <Asked look={look} />}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, mt: 0.5 }}>
        {names.map(({ id, name }) => (
          <Button
            key={id}
            aria-expanded={open === id}
            variant={open === id ? 'contained' : 'outlined'}
            onClick={() => setOpen(open === id ? null : id)}
            sx={{ minHeight: 44, px: 1.25 }}
          >
            {looks.of(look, id) && '✓ '}
            {name}
          </Button>
        ))}
      </Box>
      {player && looks.open && (
        <Seen key={player.id} {...{ look, looks, player }} onDone={() => setOpen(null)} />
      )}
      {player && !looks.open && <Asked look={look} />}
    </Box>
  )
}

/** The points that the milestone asks for, where nothing can be entered yet. */
function Asked({ look }: { look: Look }) {
  return (
    <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.5 }}>
      {look.points.map((point) => (
        <Typography key={point} component="li" variant="body2">
          {point}
        </Typography>
      ))}
    </Box>
  )
}

interface SeenProps {
  look: Look
  looks: Looks
  player: Player
  onDone: () => void
}

/** The points of one player. What is only half entered stays on the device. */
function Seen({ look, looks, player, onDone }: SeenProps) {
  const before = looks.of(look, player.id)
  const [half, setHalf] = useRemembered(lookMarks, `${looks.day}.${look.test}.${player.id}`)
  const marks = half.length > 0 ? half : (before?.marks ?? [])
  const mark = (point: number, seen: number) => {
    const next = look.test_points.map((_, i) => (i === point ? seen : (marks[i] ?? null)))
    const whole = next.filter((each) => each !== null)
    if (whole.length < next.length) return setHalf(next)
    setHalf([])
    looks.enter(look, player.id, whole)
    if (!before) onDone()
  }
  return (
    <Box sx={{ display: 'grid', gap: 0.5, mt: 0.75 }}>
      {look.test_points.map((point, i) => (
        <Box
          key={point}
          role="group"
          aria-label={`${player.name}: ${point}`}
          sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}
        >
          <Typography
            variant="body2"
            sx={{ flex: 1, lineHeight: 1.15, fontWeight: look.points.includes(point) ? 650 : 400 }}
          >
            {point}
          </Typography>
          <Marks mark={marks[i] ?? undefined} onMark={(seen) => mark(i, seen)} />
        </Box>
      ))}
      {before && (
        <Button
          variant="text"
          size="small"
          onClick={() => {
            setHalf([])
            looks.takeBack(look, player.id)
            onDone()
          }}
          sx={{ justifySelf: 'start', minHeight: 44 }}
        >
          {t('today-look-back', { name: player.name })}
        </Button>
      )}
    </Box>
  )
}
