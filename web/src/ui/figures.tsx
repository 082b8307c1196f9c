// Figures stand in a condensed face with digits of one width.
import { styled } from '@mui/material/styles'
import { FIGURE_FACE } from './theme'

export const Figure = styled('span')({
  fontFamily: FIGURE_FACE,
  fontVariantNumeric: 'tabular-nums',
  letterSpacing: '0.01em',
})

const one = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 })
const fine = new Intl.NumberFormat(undefined, { maximumFractionDigits: 2 })
const percent = new Intl.NumberFormat(undefined, { style: 'percent', maximumFractionDigits: 0 })

export const asNumber = (value: number) => one.format(value)
/** A result, as finely as it was read. */
export const asResult = (value: number) => fine.format(value)
export const asPercent = (share: number) => percent.format(share)

const at = (date: string) => new Date(`${date}T12:00:00`)
const dayFormat = new Intl.DateTimeFormat(undefined, { weekday: 'short', day: 'numeric', month: 'short' })
const longFormat = new Intl.DateTimeFormat(undefined, { weekday: 'long', day: 'numeric', month: 'long' })
const monthFormat = new Intl.DateTimeFormat(undefined, { month: 'short', year: 'numeric' })
const timeFormat = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' })

/** A civil date in the reader's form. */
export const asDay = (date: string) => dayFormat.format(at(date))
export const asLongDay = (date: string) => longFormat.format(at(date))
/** The month of a civil date. */
export const asMonth = (date: string) => monthFormat.format(at(date))
export const asTime = (timestamp: string) => timeFormat.format(new Date(timestamp))

export const asClock = (seconds: number) => {
  const whole = Math.max(0, Math.ceil(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
