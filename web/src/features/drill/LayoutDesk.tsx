// The layout's text and its drawing side by side; the line that is pointed at in one is lit in the other.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { kitSaid, rolesSaid } from '../../texts/said'
import { said, t } from '../../texts/t'
import { FloorDrawing } from '../../ui/FloorDrawing'
import { NotationEditor } from '../../ui/NotationEditor'
import type { Drill } from './queries'

interface Props {
  drill: Drill
  desk: Schemas['Looked'] | undefined
  onChange: (layout: string) => void
}

export function LayoutDesk({ drill, desk, onChange }: Props) {
  const { floor } = useTheme()
  const [line, setLine] = useState<number | null>(null)
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1.15fr) minmax(0, 1fr)' },
        gap: 2,
      }}
    >
      <NotationEditor
        label={t('desk-layout')}
        reads={t('desk-reads')}
        text={drill.layout}
        faults={desk?.faults ?? []}
        line={line}
        readOnly={false}
        onChange={onChange}
        onLine={setLine}
      />
      <Box
        onMouseOver={(event) => {
          const at = (event.target as Element).closest('[data-line]')?.getAttribute('data-line')
          setLine(at ? Number(at) : null)
        }}
        onMouseLeave={() => setLine(null)}
        sx={{
          minWidth: 0,
          minHeight: 288,
          ...(line !== null && {
            '& [data-line]': { opacity: 0.28 },
            [`& [data-line="${line}"]`]: { opacity: 1, color: floor.strands.ball_mastery },
          }),
        }}
      >
        {desk && <FloorDrawing svg={desk.drawing} title={drill.title} height={272} />}
        {desk?.floor && <Measured measures={desk.floor.measures} paces={desk.floor.in_paces} />}
        {desk && !desk.floor && (
          <Typography variant="body2" color="text.secondary" sx={{ textAlign: 'center' }}>
            {t('desk-as-far')}
          </Typography>
        )}
      </Box>
    </Box>
  )
}

/** What the core has measured of one station. */
function Measured({ measures, paces }: { measures: Schemas['Measures']; paces: Schemas['InPaces'] }) {
  const colours = Object.entries(measures.markers.by_colour).map(([colour, n]) =>
    t('session-markers', { n, colour, name: said(`colour-${colour}`) ?? colour }),
  )
  const facts = [
    t('desk-footprint', {
      w: measures.footprint.width_m,
      d: measures.footprint.depth_m,
      width: paces.width,
      depth: paces.depth,
    }),
    ...colours,
    ...kitSaid(measures.kit),
    ...rolesSaid(measures.roles),
  ]
  return (
    <Box sx={{ textAlign: 'center' }}>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      <Typography variant="caption" color="text.secondary">
        {measures.paths
          .map((path) =>
            t('desk-path', {
              kind: t(`desk-path-kind-${path.kind}`),
              length: path.length_m,
              changes: path.direction_changes,
              turning: Math.round(path.turning_deg),
            }),
          )
          .join(' · ')}
      </Typography>
    </Box>
  )
}
