// A whole number that is edited where it stands: Enter or leaving the field takes it, Escape brings the old one back.
import { styled } from '@mui/material/styles'
import { useState } from 'react'
import { FIGURE_FACE } from './theme'

const Field = styled('input')(({ theme }) => ({
  width: 40,
  minHeight: 28,
  font: 'inherit',
  fontFamily: FIGURE_FACE,
  fontSize: '1.15rem',
  fontWeight: 600,
  textAlign: 'center',
  color: theme.palette.text.primary,
  background: theme.palette.background.paper,
  border: `1px solid ${theme.floor.hair}`,
  borderRadius: 2,
  padding: 0,
  '&:hover': { borderColor: theme.floor.ink },
  '&[aria-invalid="true"]': { borderColor: theme.floor.warn, borderWidth: 2 },
}))

interface Props {
  label: string
  /** Undefined while nothing is there. */
  value: number | null
  least: number
  most: number
  wrong?: boolean
  /** Whether what was taken is still on its way; until it has arrived it is shown here. */
  saving: boolean
  onCommit: (value: number) => void
}

export function NumberCell({ label, value, least, most, wrong, saving, onCommit }: Props) {
  const [typed, setTyped] = useState<string | null>(null)
  const [sent, setSent] = useState<number | null>(null)
  const number = typed === null ? (value ?? 0) : Number(typed)
  const fits =
    typed === null ||
    (typed.trim() === '' && value === null) ||
    (/^\d+$/.test(typed.trim()) && number >= least && number <= most)
  const take = () => {
    if (typed !== null && typed.trim() !== '' && fits && number !== value) {
      setSent(number)
      onCommit(number)
    }
    if (fits) setTyped(null)
  }
  return (
    <Field
      aria-label={label}
      aria-invalid={wrong || !fits}
      title={fits ? undefined : `${least} – ${most}`}
      inputMode="numeric"
      value={typed ?? String((saving && sent !== null ? sent : value) ?? '')}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take()
        if (event.key === 'Escape') setTyped(null)
      }}
    />
  )
}
