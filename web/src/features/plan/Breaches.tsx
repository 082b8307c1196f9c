// What is wrong with the plan: broken rules with what mends them, and wishes that cannot hold together.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { asChange } from '../../texts/said'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { ErrorNote } from '../../ui/notes'
import type { Edit } from './queries'

interface Props {
  breaches: Schemas['BreachHere'][]
  busy: boolean
  onGo: (session: number, block: number | undefined) => void
  onMend: (edit: Edit) => void
}

/** How many are listed; the others stand on the floor, and move up when these are gone. */
const LISTED = 3

export function Breaches({ breaches, busy, onGo, onMend }: Props) {
  if (breaches.length === 0) return null
  const more = breaches.length - LISTED
  return (
    <ErrorNote>
      <Typography variant="h3">{t('plan-breaches', { n: breaches.length })}</Typography>
      {breaches.slice(0, LISTED).map((breach, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap', py: 0.25 }}>
          <ButtonBase
            onClick={() => onGo(breach.session, breach.block ?? undefined)}
            sx={{ font: 'inherit', fontWeight: 650, minHeight: 24, textDecoration: 'underline' }}
          >
            {t('plan-in-session', { n: breach.session + 1 })}
          </ButtonBase>
          <Typography variant="body2" sx={{ flex: '1 1 260px' }}>
            {told(breach.says)}
          </Typography>
          {breach.mend && (
            <Button size="small" disabled={busy} onClick={() => breach.mend && onMend(breach.mend.edit)}>
              {t('plan-mend', { says: told(breach.mend.says), points: asChange(breach.mend.points) })}
            </Button>
          )}
        </Box>
      ))}
      {more > 0 && (
        <Typography variant="body2" color="text.secondary">
          {t('plan-more-breaches', { n: more })}
        </Typography>
      )}
    </ErrorNote>
  )
}

/** Wishes that cannot hold together, and what would help. */
export function ClashNote({ clash, forbids }: { clash: Schemas['Clash']; forbids: boolean }) {
  return (
    <ErrorNote>
      <Typography variant="h3">{forbids ? t('plan-forbids') : t('plan-clash')}</Typography>
      <Typography>{told(clash.says)}</Typography>
      <Typography color="text.secondary">{t('plan-relax')}</Typography>
      <Box component="ul" sx={{ m: 0, pl: 2.5, color: 'text.secondary' }}>
        {clash.relax.map((relax, i) => (
          <Typography key={i} component="li">
            {told(relax)}
          </Typography>
        ))}
      </Box>
      {!forbids && <Typography color="text.secondary">{t('plan-did-what-it-could')}</Typography>}
    </ErrorNote>
  )
}
