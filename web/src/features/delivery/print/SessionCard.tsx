// A session on one side of paper: what comes when, how it is laid, what to look for, and room to tick.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { bringSaid, themeSaid, whenSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { BlockOnPaper } from '../../../ui/BlockOnPaper'
import { asLongDay } from '../../../ui/figures'
import { useSquad } from '../../assessment/squad/queries'
import type { SessionHeld } from '../today/log'

/** How high a drawing may be, so that this many blocks fit on one side. */
const drawingHeight = (blocks: number) => (blocks <= 4 ? 210 : blocks <= 6 ? 131 : blocks <= 8 ? 64 : 46)

interface Props {
  team: string
  view: SessionHeld
}

export function SessionCard({ team, view }: Props) {
  const { running_order: order } = view
  const squad = useSquad(team).data?.players ?? []
  const watched = (look: Schemas['Look']) => {
    const watch = view.eyes?.watches.find((w) => w.block === look.block && w.milestone === look.milestone)
    return squad.filter(({ id }) => watch?.players.includes(id)).map(({ name }) => name)
  }
  const theme = themeSaid(order.theme)
  return (
    <Box
      component="article"
      aria-label={`${view.team}, ${asLongDay(order.date)}`}
      sx={{
        bgcolor: 'background.paper',
        color: 'text.primary',
        fontSize: 12,
        width: '190mm',
        height: '275mm',
        p: '6mm',
        overflow: 'hidden',
        display: 'flex',
        flexDirection: 'column',
        gap: 1,
        border: 1,
        borderColor: 'divider',
        '@media print': { border: 0, p: 0, breakAfter: 'page' },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, borderBottom: 2, pb: 0.5 }}>
        <Typography variant="h1" component="h2" sx={{ whiteSpace: 'nowrap' }}>
          {view.team}
        </Typography>
        <Typography sx={{ flex: 1, whiteSpace: 'nowrap', fontSize: 13 }}>
          {asLongDay(order.date)}
          {view.when && `, ${whenSaid(view.when)}`} · {t('plan-week', { n: order.week })} ·{' '}
          {t('minutes', { n: order.minutes })}
        </Typography>
        <Typography variant="caption" sx={{ textAlign: 'right' }}>
          {view.curriculum}, {t('today-edition', { n: view.edition_number })}
        </Typography>
      </Box>
      {view.upset?.left === 0 && <Typography sx={{ fontWeight: 700 }}>{t('upset-cancelled')}</Typography>}
      {theme && (
        <Typography sx={{ fontWeight: 600, fontSize: 13 }}>{t('session-theme', { theme })}</Typography>
      )}
      <Typography variant="body2">
        <strong>{t('session-kit')}:</strong> {bringSaid(order)}
      </Typography>
      {order.tests.length > 0 && (
        <Typography variant="body2">
          <strong>{t('today-tests')}:</strong>{' '}
          {order.tests.map(({ name, minutes }) => t('plan-test-in', { name, minutes })).join(' · ')}
        </Typography>
      )}
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: '1fr 1fr',
          gridAutoRows: 'minmax(0, 1fr)',
          columnGap: '6mm',
          rowGap: 1,
          alignContent: 'stretch',
        }}
      >
        {order.blocks.map((block, i) => (
          <BlockOnPaper key={i} block={block} nth={i + 1} height={drawingHeight(order.blocks.length)} />
        ))}
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: '6mm' }}>
        {order.looks.map((look) => (
          <EyesOnPaper key={look.milestone} look={look} names={watched(look)} />
        ))}
      </Box>
      <Typography variant="caption">{t('session-caution-tail')}</Typography>
      <Box sx={{ borderTop: 1, pt: 0.5, height: order.looks.length > 0 ? '12mm' : '20mm' }}>
        <Typography variant="caption">{t('print-for-next-time')}</Typography>
      </Box>
    </Box>
  )
}

/** Whom to look at in a block, for which points. */
function EyesOnPaper({ look, names }: { look: Schemas['Look']; names: string[] }) {
  if (names.length === 0) return null
  return (
    <Typography variant="caption" component="div" sx={{ lineHeight: 1.15, fontSize: 10 }}>
      <strong>{t('print-look', { n: look.block + 1, names: names.join(', ') })}</strong>{' '}
      {look.points.join(' · ')}
    </Typography>
  )
}
