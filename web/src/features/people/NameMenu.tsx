// Behind the name: the look, what is one's own, and signing out. What opens from here comes when it is asked for.
import Button from '@mui/material/Button'
import { lazy, Suspense, useState } from 'react'
import type { Schemas } from '../../api/client'
import type { Look } from '../../ui/theme'

const NameList = lazy(() => import('./NameList').then((m) => ({ default: m.NameList })))
const CalendarDialog = lazy(() => import('./CalendarDialog').then((m) => ({ default: m.CalendarDialog })))
const EmailDialog = lazy(() => import('./EmailDialog').then((m) => ({ default: m.EmailDialog })))
const SignOutDialog = lazy(() => import('./SignOutDialog').then((m) => ({ default: m.SignOutDialog })))
const PaceDialog = lazy(() => import('./PaceDialog').then((m) => ({ default: m.PaceDialog })))

/** What is one's own, and is changed in a dialog. */
export type Own = 'pace' | 'calendar' | 'post' | 'sign-out'

interface Props {
  session: Schemas['Session']
  look: Look
  /** Whether this device could go on without network; nothing where that is not asked. */
  carried?: boolean
}

export function NameMenu({ session, look, carried }: Props) {
  const [at, setAt] = useState<HTMLElement | null>(null)
  const [own, setOwn] = useState<Own | null>(null)
  const close = () => setOwn(null)
  return (
    <>
      <Button
        variant="text"
        size="small"
        aria-haspopup="menu"
        sx={{ px: 1 }}
        onClick={(event) => setAt(event.currentTarget)}
      >
        {session.name}
      </Button>
      <Suspense fallback={null}>
        {at && (
          <NameList
            at={at}
            session={session}
            look={look}
            carried={carried}
            onOwn={(next) => {
              setAt(null)
              setOwn(next)
            }}
            onClose={() => setAt(null)}
          />
        )}
        {own === 'post' && <EmailDialog email={session.email ?? null} onClose={close} />}
        {own === 'calendar' && <CalendarDialog since={session.calendar_since ?? null} onClose={close} />}
        {own === 'sign-out' && <SignOutDialog person={session.id} onClose={close} />}
        {own === 'pace' && <PaceDialog open pace={session.pace_m ?? null} onClose={close} />}
      </Suspense>
    </>
  )
}
