// Small fields for forms that are full of them.
import TextField, { type TextFieldProps } from '@mui/material/TextField'
import { useState } from 'react'
import { asTyped } from './figures'

type Plain = Omit<TextFieldProps, 'onChange' | 'value' | 'size'>

export function TextCell({
  value,
  longest,
  onChange,
  slotProps,
  ...rest
}: Plain & {
  value: string
  /** How many characters are taken. */
  longest?: number
  onChange: (value: string) => void
}) {
  return (
    <TextField
      size="small"
      fullWidth
      value={value}
      onChange={(event) => onChange(event.target.value)}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: longest }, ...slotProps }}
      {...rest}
    />
  )
}

interface Choosing<T extends string> extends Plain {
  value: T | ''
  options: readonly { value: T; says: string }[]
  /** What stands for no choice; without it something must be chosen. */
  none?: string
  onChange: (value: T | '') => void
}

export function SelectCell<T extends string>({
  value,
  options,
  none,
  onChange,
  'aria-label': name,
  ...rest
}: Choosing<T>) {
  return (
    <TextField
      select
      size="small"
      fullWidth
      value={value}
      onChange={(event) => onChange(event.target.value as T | '')}
      slotProps={{
        select: { native: true },
        inputLabel: { shrink: true },
        htmlInput: { 'aria-label': name },
      }}
      {...rest}
    >
      {none !== undefined && <option value="">{none}</option>}
      {options.map((option) => (
        <option key={option.value} value={option.value}>
          {option.says}
        </option>
      ))}
    </TextField>
  )
}

interface Counting extends Plain {
  value: number | null
  /** Nothing may are there. */
  optional?: boolean
  whole?: boolean
  onChange: (value: number | null) => void
}

/** A number that is taken as soon as it reads as one. */
export function NumberField({
  value,
  optional,
  whole,
  onChange,
  onBlur,
  'aria-label': name,
  ...rest
}: Counting) {
  const [typed, setTyped] = useState<string | null>(null)
  const shown = typed ?? (value === null ? '' : asTyped(value))
  const read = (text: string): number | null | undefined => {
    const plain = text.trim().replace(',', '.')
    if (plain === '') return optional ? null : undefined
    const number = Number(plain)
    return Number.isFinite(number) && (!whole || Number.isInteger(number)) ? number : undefined
  }
  return (
    <TextField
      size="small"
      value={shown}
      error={typed !== null && read(typed) === undefined}
      onChange={(event) => {
        setTyped(event.target.value)
        const number = read(event.target.value)
        if (number !== undefined) onChange(number)
      }}
      onBlur={(event) => {
        setTyped(null)
        onBlur?.(event)
      }}
      slotProps={{
        inputLabel: { shrink: true },
        htmlInput: { inputMode: whole ? 'numeric' : 'decimal', 'aria-label': name },
      }}
      sx={{ width: 92 }}
      {...rest}
    />
  )
}

/** The same, taken only with Enter or on leaving the field: where every change is kept at once. */
export function LateNumber({
  value,
  onCommit,
  ...rest
}: Omit<Counting, 'onChange' | 'optional'> & { onCommit: (value: number) => void }) {
  const [draft, setDraft] = useState<number | null>(null)
  const take = () => {
    if (draft !== null && draft !== value) onCommit(draft)
    setDraft(null)
  }
  return (
    <NumberField
      {...rest}
      value={draft ?? value}
      onChange={setDraft}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && take()}
    />
  )
}

/** A text that is taken with Enter or on leaving the field, unless it is empty. */
export function LateText({
  value,
  onCommit,
  ...rest
}: Plain & { value: string; onCommit: (value: string) => void }) {
  const [draft, setDraft] = useState<string | null>(null)
  const take = () => {
    if (draft !== null && draft.trim() !== '' && draft !== value) onCommit(draft.trim())
    setDraft(null)
  }
  return (
    <TextCell
      {...rest}
      value={draft ?? value}
      onChange={setDraft}
      onBlur={take}
      onKeyDown={(event) => event.key === 'Enter' && take()}
    />
  )
}
