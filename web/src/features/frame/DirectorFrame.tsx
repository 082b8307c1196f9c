// The director's desk: a thin strip along the top with the order of the work, and one working surface below.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { Suspense, useState } from 'react'
import { NavLink, Outlet, useLocation } from 'react-router'
import type { Schemas } from '../../api/client'
import { useUnderWay } from '../../api/patience'
import { t } from '../../texts/t'
import { Fallen } from '../../ui/Fallen'
import { useKeys } from '../../ui/keys'
import { Legend } from '../../ui/Legend'
import { Loading } from '../../ui/notes'
import { Spoken } from '../../ui/Spoken'
import type { Look } from '../../ui/theme'
import { useSteps } from '../academy/beginning/queries'
import { NameMenu } from '../people/NameMenu'

/** The order of the work; a club lead looks back on it. */
const PLACES = {
  director: ['year', 'drills', 'progressions', 'standards', 'plan', 'sessions', 'levels'],
  club_lead: ['drills', 'sessions', 'levels', 'clubs'],
  coach: [],
} as const

export function DirectorFrame({ session, look }: { session: Schemas['Session']; look: Look }) {
  const [legend, setLegend] = useState(false)
  const { floor } = useTheme()
  const { pathname } = useLocation()
  useKeys({ '?': () => setLegend(true) })
  return (
    <Box
      sx={{
        minHeight: '100dvh',
        display: 'flex',
        flexDirection: 'column',
        '@media print': { minHeight: 0, display: 'block' },
      }}
    >
      <Box
        component="header"
        className="no-print"
        sx={{
          display: 'flex',
          flexWrap: { xs: 'wrap', md: 'nowrap' },
          alignItems: 'center',
          columnGap: { xs: 1, md: 3 },
          px: 2,
          minHeight: 44,
          borderBottom: `1px solid ${floor.ink}`,
          bgcolor: 'background.paper',
        }}
      >
        <Typography sx={{ fontWeight: 650, whiteSpace: 'nowrap' }}>{session.academy}</Typography>
        <Box
          component="nav"
          sx={{
            display: 'flex',
            gap: 0.5,
            flex: 1,
            justifyContent: 'center',
            alignSelf: 'stretch',
            minHeight: 40,
            order: { xs: 1, md: 0 },
            minWidth: { xs: '100%', md: 0 },
          }}
        >
          {PLACES[session.role].map((place) => (
            <Box
              key={place}
              component={NavLink}
              to={`/${place}`}
              sx={{
                display: 'flex',
                alignItems: 'center',
                px: 2,
                color: 'text.secondary',
                textDecoration: 'none',
                borderBottom: '3px solid transparent',
                borderTop: '3px solid transparent',
                '&.active': { color: 'text.primary', borderBottomColor: floor.ink, fontWeight: 650 },
                '&:hover': { color: 'text.primary' },
              }}
            >
              {t(`places-${place}`)}
            </Box>
          ))}
        </Box>
        <WorkingOut />
        <StillToDo wanted={session.role === 'director'} />
        <Button
          variant="text"
          size="small"
          sx={{ minWidth: 32, ml: { xs: 'auto', md: 0 } }}
          onClick={() => setLegend(true)}
          title={t('legend-open')}
        >
          <Spoken as={t('legend-open')}>?</Spoken>
        </Button>
        <NameMenu session={session} look={look} />
      </Box>
      <Box component="main" sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: 'column' }}>
        <Suspense fallback={<Loading />}>
          <Fallen place={pathname}>
            <Outlet />
          </Fallen>
        </Suspense>
      </Box>
      <Legend open={legend} onClose={() => setLegend(false)} />
    </Box>
  )
}

/** How far the server has come with what is waited for. */
function WorkingOut() {
  const underWay = useUnderWay()
  return (
    <Typography role="status" variant="caption" color="text.secondary" sx={{ whiteSpace: 'nowrap' }}>
      {underWay && t('working-out', { done: underWay.done, of: underWay.of })}
    </Typography>
  )
}

/** What a new academy still has to do; nothing once its first plan is out. */
function StillToDo({ wanted }: { wanted: boolean }) {
  const left = useSteps(wanted).data?.steps.filter((step) => !step.done).length
  if (!left) return null
  return (
    <Button component={NavLink} to="/begin" variant="outlined" size="small" sx={{ whiteSpace: 'nowrap' }}>
      {t('begin-left', { n: left })}
    </Button>
  )
}
