// Who has left the squad, until they are erased: they can come back until then.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { t } from '../../../texts/t'
import { asDate } from '../../../ui/figures'
import { ErrorNote } from '../../../ui/notes'
import { useLeft, useReturn } from './queries'

export function LeftPlayers({ team }: { team: string }) {
  const left = useLeft(team).data ?? []
  const back = useReturn(team)
  if (left.length === 0) return null
  return (
    <Box component="section" aria-label={t('left-title')} sx={{ mt: 3 }}>
      <Typography variant="h2">{t('left-title')}</Typography>
      {back.isError && <ErrorNote error={back.error} />}
      {left.map((each) => (
        <Box
          key={each.id}
          sx={{ display: 'flex', alignItems: 'center', borderTop: 1, borderColor: 'divider', minHeight: 44 }}
        >
          <Typography sx={{ flex: 1 }}>
            {t('left-line', { name: each.name, left: asDate(each.left_on), erased: asDate(each.erased_on) })}
          </Typography>
          <Button
            size="small"
            variant="text"
            disabled={back.isPending}
            aria-label={`${t('left-return')}: ${each.name}`}
            onClick={() => back.mutate(each.id)}
          >
            {t('left-return')}
          </Button>
        </Box>
      ))}
    </Box>
  )
}
