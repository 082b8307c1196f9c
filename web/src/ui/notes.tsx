// What went wrong, what is loading, what to do where nothing is.
import Box from '@mui/material/Box'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { Link as RouterLink } from 'react-router'
import { ProblemError } from '../api/client'
import { t } from '../texts/t'
import { told } from '../texts/told'

/** The sentence for an error: the problem's own, or that the network is away. */
export function sentence(error: unknown): string {
  if (!(error instanceof ProblemError)) return t('no-network')
  const { problem } = error
  return problem.errors?.length ? problem.errors.map(told).join(' ') : told(problem)
}

export function ErrorNote({ error, children }: { error?: unknown; children?: ReactNode }) {
  return (
    <Box
      role="alert"
      sx={{ borderLeft: 4, borderColor: 'error.main', bgcolor: 'background.paper', px: 1.5, py: 1, my: 1 }}
    >
      {error !== undefined && <Typography color="error">{sentence(error)}</Typography>}
      {children}
    </Box>
  )
}

export function Loading() {
  return (
    <Typography role="status" color="text.secondary" sx={{ p: 3 }}>
      {t('loading')}
    </Typography>
  )
}

export function Empty({ children }: { children: ReactNode }) {
  return <Box sx={{ p: 3, maxWidth: 520 }}>{children}</Box>
}

/** What a surface of a new academy is for, and the way to what it lacks. */
export function NothingYet({ children }: { children: ReactNode }) {
  return (
    <Empty>
      {children}{' '}
      <Link component={RouterLink} to="/begin">
        {t('begin-open')}
      </Link>
    </Empty>
  )
}
