// Figures stand in a condensed face with digits of one width.
import { styled } from '@mui/material/styles'
import { locale } from '../texts/t'
import { FIGURE_FACE } from './theme'

export const Figure = styled('span')({
  fontFamily: FIGURE_FACE,
  fontVariantNumeric: 'tabular-nums',
  letterSpacing: '0.01em',
})

/** A way of writing, made again when the reader's language is another. */
function written<T>(make: (locale: string) => T): () => T {
  let made: { of: string; how: T } | undefined
  return () => {
    const of = locale()
    if (made?.of !== of) made = { of, how: make(of) }
    return made.how
  }
}
const numbers = (options: Intl.NumberFormatOptions) => written((of) => new Intl.NumberFormat(of, options))
const dates = (options: Intl.DateTimeFormatOptions) => written((of) => new Intl.DateTimeFormat(of, options))

const one = numbers({ maximumFractionDigits: 1 })
const fine = numbers({ maximumFractionDigits: 2 })
const percent = numbers({ style: 'percent', maximumFractionDigits: 0 })

export const asNumber = (value: number) => one().format(value)
/** A result, as finely as it was read. */
export const asResult = (value: number) => fine().format(value)
export const asPercent = (share: number) => percent().format(share)

const decimal = written((of) => {
  const parts = new Intl.NumberFormat(of).formatToParts(0.5)
  return parts.find(({ type }) => type === 'decimal')?.value ?? '.'
})
/** A number as it is typed, with the decimal sign of the reader's language: digits stay as they are. */
export const asTyped = (digits: number | string) => String(digits).replace('.', decimal())

const at = (date: string) => new Date(`${date}T12:00:00`)
const day = dates({ weekday: 'short', day: 'numeric', month: 'short' })
const longDay = dates({ weekday: 'long', day: 'numeric', month: 'long' })
const month = dates({ month: 'short', year: 'numeric' })
const shortDay = dates({ day: 'numeric', month: 'short' })
const shortMonth = dates({ month: 'short' })
const time = dates({ hour: '2-digit', minute: '2-digit' })
const weekday = dates({ weekday: 'short' })
const moment = dates({ dateStyle: 'medium', timeStyle: 'short' })
const dayOfMoment = dates({ dateStyle: 'medium' })

/** A civil date in the reader's form. */
export const asDay = (date: string) => day().format(at(date))
export const asLongDay = (date: string) => longDay().format(at(date))
/** A civil date with its year: for what lies far from today. */
export const asDate = (date: string) => dayOfMoment().format(at(date))
/** The month of a civil date. */
export const asMonth = (date: string) => month().format(at(date))
/** A day and a month without their year, where it is plain which. */
export const asShortDay = (date: string) => shortDay().format(at(date))
export const asShortMonth = (date: string) => shortMonth().format(at(date))
export const asTime = (timestamp: string) => time().format(new Date(timestamp))
/** When something happened, by the reader's clock, with the year. */
export const asMoment = (timestamp: string) => moment().format(new Date(timestamp))
/** On which day something happened, by the reader's clock, with the year. */
export const asDayOf = (timestamp: string) => dayOfMoment().format(new Date(timestamp))
/** A day of the week, from 1 for Monday. */
export const asWeekday = (nth: number) => weekday().format(at(`2029-01-0${nth}`))

export const asClock = (seconds: number) => {
  const whole = Math.max(0, Math.ceil(seconds))
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`
}
