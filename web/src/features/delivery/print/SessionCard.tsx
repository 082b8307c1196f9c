// A session on one side of paper: what comes when, how it is laid, what to look for, and room to tick.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RunningBlock, Schemas } from '../../../api/client'
import { bringSaid, doseSaid, layingOutSaid, stationsSaid, themeSaid, whenSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { cautionsSaid } from '../../../ui/block'
import { asLongDay, Figure } from '../../../ui/figures'
import { settingsSaid } from '../../../ui/levers'
import { PaperPicture } from '../../../ui/score/PaperPicture'
import { SeriesOnPaper } from '../../../ui/series'
import { StageGlyph } from '../../../ui/stages'
import { useSquad } from '../../assessment/squad/queries'
import type { SessionHeld } from '../today/log'

/** How high a drawing may be, so that this many blocks fit on one side. */
const drawingHeight = (blocks: number) => (blocks <= 4 ? 210 : blocks <= 6 ? 131 : blocks <= 8 ? 64 : 46)
/** How many points fit beside it. */
const POINTS = 3

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

function BlockOnPaper({ block, nth, height }: { block: RunningBlock; nth: number; height: number }) {
  const from = block.starts + block.laying_out
  return (
    <Box component="section" sx={{ borderTop: 1, borderColor: 'divider', pt: 0.5, breakInside: 'avoid' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
        <Figure sx={{ fontSize: '1.1rem', fontWeight: 600 }}>
          {t('print-from', { start: from, end: from + block.minutes })}
        </Figure>
        <StageGlyph stage={block.stage} strand={block.strand} />
        <Typography sx={{ fontWeight: 700, lineHeight: 1.1, flex: 1, fontSize: 13 }}>
          {nth}. {block.title}
        </Typography>
        <Box component="span" aria-hidden sx={{ width: 14, height: 14, border: 1 }} />
      </Box>
      <Typography variant="caption" component="div">
        {[
          layingOutSaid(block),
          t(`stage-${block.stage}`),
          settingsSaid(block.levers, block.foot),
          stationsSaid(block.station_sizes),
          doseSaid(block),
        ]
          .filter(Boolean)
          .join(' · ')}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1.1fr)',
          gap: 1,
          alignItems: 'start',
          mt: 0.25,
        }}
      >
        <PaperPicture block={block} height={height} />
        <Box component="ol" sx={{ m: 0, pl: 2, fontSize: 11, lineHeight: 1.25 }}>
          {block.points.slice(0, POINTS).map((point) => (
            <li key={point}>{point}</li>
          ))}
        </Box>
      </Box>
      <SeriesOnPaper series={block.series} />
      {block.chains.length > 0 && (
        <Typography variant="caption" component="div" sx={{ lineHeight: 1.2 }}>
          <strong>{t('chains-title')}:</strong>{' '}
          {block.chains.map((chain) => chain.links.map((link) => link.name).join(' + ')).join('; ')}
        </Typography>
      )}
      {block.cautions.length > 0 && (
        <Typography variant="caption" component="div" sx={{ lineHeight: 1.2 }}>
          <strong>{t('session-cautions')}:</strong> {cautionsSaid(block.cautions)}
        </Typography>
      )}
      {block.beside && (
        <Typography variant="caption" component="div">
          {t('session-beside')}: {block.beside.title} · {t(`stage-${block.beside.stage}`)}
        </Typography>
      )}
    </Box>
  )
}
