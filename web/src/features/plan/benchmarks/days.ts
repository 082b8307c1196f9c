import type { Curriculum } from '../../../api/client'
import { asDay } from '../../../ui/figures'

/** The days of some sessions. A map that is still shown while the next is read may name sessions that are gone. */
export const daysOf = (view: Curriculum, sessions: readonly number[]) =>
  sessions
    .flatMap((session) => view.sessions[session]?.date ?? [])
    .map(asDay)
    .join(' · ')
