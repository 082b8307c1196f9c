// Invitations to cut out and hand on: a name, the teams, an address and the same as a code for a phone's camera.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asDay } from '../../../ui/figures'
import { useSession } from '../../people/session'

export function InvitationSheet({ invited }: { invited: Schemas['CoachInvited'][] }) {
  const academy = useSession().data?.academy ?? ''
  return (
    <Box
      component="ul"
      aria-label={t('clubs-invited')}
      sx={{
        listStyle: 'none',
        p: 0,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
        maxWidth: 1040,
        '@media print': { display: 'block' },
      }}
    >
      {invited.map((each) => (
        <Invitation key={each.path} {...each} academy={academy} />
      ))}
    </Box>
  )
}

function Invitation({
  name,
  teams,
  path,
  code,
  until,
  mailed,
  academy,
}: Schemas['CoachInvited'] & { academy: string }) {
  const { floor } = useTheme()
  return (
    <Box
      component="li"
      sx={{
        display: 'flex',
        gap: 2,
        p: 2,
        m: '-0.5px',
        border: `1px dashed ${floor.ink}`,
        breakInside: 'avoid',
        bgcolor: 'background.paper',
      }}
    >
      <Box
        aria-hidden
        sx={{ flex: 'none', width: 112, '& svg': { width: '100%', height: 'auto' } }}
        // The picture is drawn by the server from an address that it made itself.
        dangerouslySetInnerHTML={{ __html: code }}
      />
      <Box sx={{ minWidth: 0 }}>
        <Typography variant="h2">{name}</Typography>
        <Typography>{t('club-list-card', { academy, teams: teams.join(', ') })}</Typography>
        <Typography variant="body2" sx={{ overflowWrap: 'anywhere', my: 0.5 }}>
          {new URL(path, window.location.href).href}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {t('club-list-until', { day: asDay(until.slice(0, 10)) })}
        </Typography>
        {mailed !== null && (
          <Typography className="no-print" color={mailed ? undefined : 'error'}>
            {mailed ? t('link-mailed') : t('link-not-mailed')}
          </Typography>
        )}
      </Box>
    </Box>
  )
}
