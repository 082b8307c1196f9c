// A block on paper: what is done, how it is laid, and what to look for.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RunningBlock } from '../api/client'
import { doseSaid, layingOutSaid, stationsSaid } from '../texts/said'
import { t } from '../texts/t'
import { cautionsSaid } from './block'
import { Figure } from './figures'
import { settingsSaid } from './levers'
import { PaperPicture } from './score/PaperPicture'
import { SeriesOnPaper } from './series'
import { StageGlyph } from './stages'

/** How many points fit beside the drawing. */
const POINTS = 3

interface Props {
  block: RunningBlock
  nth: number
  /** Of its drawing, in px. */
  height: number
}

export function BlockOnPaper({ block, nth, height }: Props) {
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
