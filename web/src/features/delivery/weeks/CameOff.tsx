// What came off of an edition, by what the team's coaches said, and what that means for what is planned anew.
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asNumber, asResult } from '../../../ui/figures'

/** A squad's own that is nearer to none than this changes no rung. */
const NOTHING = 0.1

interface Props {
  knack: Schemas['Knack'] | undefined
  /** Whether the figure that the planner uses is shown as well. */
  exactly?: boolean
}

export function CameOff({ knack, exactly = false }: Props) {
  if (!knack) return null
  const { theta, least, most, came_off: came, expected, logs } = knack
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        {t('weeks-came-off', { came: asNumber(10 * came), expected: asNumber(10 * expected), n: logs })}
        {Math.abs(theta) >= NOTHING && ` ${t(theta > 0 ? 'weeks-came-off-more' : 'weeks-came-off-less')}`}
      </Typography>
      {exactly && (
        <Typography variant="caption" component="p" color="text.secondary">
          {t('weeks-came-off-theta', {
            theta: asResult(theta),
            least: asResult(least),
            most: asResult(most),
          })}
        </Typography>
      )}
    </>
  )
}
