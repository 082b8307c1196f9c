// Which test tonight?
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import { Link } from 'react-router'
import { texts } from '../../texts/en'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { useTeam } from '../team'
import { useSquad } from '../squad/queries'

export function TestPage() {
  const team = useTeam()
  const squad = useSquad(team.id)
  const { floor } = useTheme()
  if (squad.isError && !squad.data) return <ErrorNote error={squad.error} />
  if (!squad.data) return <Loading />
  if (squad.data.players.length === 0) {
    return (
      <Empty>
        <Typography sx={{ mb: 2 }}>{texts.test.noSquad}</Typography>
        <Button component={Link} to="/squad">
          {texts.test.toSquad}
        </Button>
      </Empty>
    )
  }
  return (
    <Box sx={{ p: 1.5 }}>
      <Typography variant="h2" component="h1" sx={{ mb: 1 }}>
        {texts.test.title}
      </Typography>
      {squad.data.tests.map((test) => (
        <ButtonBase
          key={test.id}
          component={Link}
          to={`/test/${test.id}`}
          sx={{ width: '100%', display: 'block', textAlign: 'left', py: 1.25, borderTop: `1px solid ${floor.hair}` }}
        >
          <Typography sx={{ fontWeight: 650 }}>{test.name}</Typography>
          <Typography variant="body2" color="text.secondary">
            {test.how}
          </Typography>
        </ButtonBase>
      ))}
    </Box>
  )
}
