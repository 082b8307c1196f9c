// Skills that begin in a session only if the squad is ready for them: how many are, and the coach's word.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { ErrorNote } from '../../../ui/notes'
import { useLetBegin } from './queries'

interface Props {
  team: string
  edition: string
  hinges: Schemas['HingeView'][]
  /** Whether the coach may still decide: nothing was said of the session. */
  open: boolean
}

export function Hinges({ team, edition, hinges, open }: Props) {
  const begin = useLetBegin(team, edition)
  return hinges.map((hinge) => (
    <Box key={hinge.skill} role="status" sx={{ px: 1.5, pb: 1 }}>
      <Typography variant="body2">{said(hinge)}</Typography>
      {hinge.waits && open && (
        <Button
          size="small"
          disabled={begin.isPending}
          onClick={() => begin.mutate(hinge.skill)}
          sx={{ mt: 0.5, minHeight: 44 }}
        >
          {hinge.needed == null ? t('today-hinge-begin-word') : t('today-hinge-begin')}
        </Button>
      )}
      {begin.isError && begin.variables === hinge.skill && <ErrorNote error={begin.error} />}
    </Box>
  ))
}

function said({ name: skill, ready, needed, players, waits }: Schemas['HingeView']): string {
  if (needed == null) return waits ? t('today-hinge-ask', { skill }) : t('today-hinge-begun', { skill })
  const of = { skill, ready, needed, players }
  if (waits) return t('today-hinge-waits', of)
  return ready >= needed ? t('today-hinge-ready', of) : t('today-hinge-begun', { skill })
}
