// Which test today? And results that come from paper or from a list.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import { t } from '../../../texts/t'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { useSquad } from '../squad/queries'
import { ReadResults } from './ReadResults'

export function TestPage() {
  const team = useTeam()
  const squad = useSquad(team.id)
  const { floor } = useTheme()
  const [day, setDay] = useState('')
  const [reading, setReading] = useState(false)
  if (squad.isError && !squad.data) return <ErrorNote error={squad.error} />
  if (!squad.data) return <Loading />
  if (squad.data.players.length === 0) {
    return (
      <Empty>
        <Typography sx={{ mb: 2 }}>{t('test-no-squad')}</Typography>
        <Button component={Link} to="/squad">
          {t('test-to-squad')}
        </Button>
      </Empty>
    )
  }
  return (
    <Box sx={{ p: 1.5 }}>
      <Typography variant="h2" component="h1" sx={{ mb: 1 }}>
        {t('test-title')}
      </Typography>
      {squad.data.tests.map((test) => (
        <Box
          key={test.id}
          sx={{ display: 'flex', alignItems: 'center', gap: 1, borderTop: `1px solid ${floor.hair}` }}
        >
          <ButtonBase
            component={Link}
            to={`/test/${test.id}${day && `?day=${day}`}`}
            sx={{ flex: 1, display: 'block', textAlign: 'left', py: 1.25 }}
          >
            <Typography sx={{ fontWeight: 650 }}>{test.name}</Typography>
            <Typography variant="body2" color="text.secondary">
              {test.how}
            </Typography>
          </ButtonBase>
          <Button
            variant="text"
            size="small"
            component={Link}
            to={`/print/test/${team.id}/${test.id}`}
            sx={{ flex: 'none' }}
          >
            {t('test-paper')}
          </Button>
        </Box>
      ))}
      <Box
        sx={{
          borderTop: `1px solid ${floor.ink}`,
          mt: 1,
          pt: 1.5,
          display: 'flex',
          flexWrap: 'wrap',
          gap: 2,
          alignItems: 'center',
        }}
      >
        <TextField
          type="date"
          size="small"
          label={`${t('test-on')}, ${t('test-on-paper')}`}
          value={day}
          onChange={(event) => setDay(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
          sx={{ minWidth: 230 }}
        />
        <Typography variant="body2">
          {t('test-lists')}: <MuiLink href={`/api/v1/teams/${team.id}/results?form=csv`}>{'CSV'}</MuiLink> ·{' '}
          <MuiLink href={`/api/v1/teams/${team.id}/results?form=xlsx`}>{'XLSX'}</MuiLink>
        </Typography>
        {!reading && <Button onClick={() => setReading(true)}>{t('test-read-list')}</Button>}
      </Box>
      {reading && <ReadResults team={team.id} onClose={() => setReading(false)} />}
    </Box>
  )
}
