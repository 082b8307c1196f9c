// A drill on the shelf: its floor, drawn so that a metre is as large as on every other card.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import type { Schemas } from '../../api/client'
import { yesNo } from '../../texts/said'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { Figure } from '../../ui/figures'
import { Spoken } from '../../ui/Spoken'
import { StageGlyph } from '../../ui/stages'

/** As the core draws it: this many units are a metre. */
const METRE = 11
const FIVE = 5 * METRE

export function DrillCard({ drill }: { drill: Schemas['DrillEntry'] }) {
  const { floor } = useTheme()
  const stands = [
    t('drills-players', {
      ...drill.station,
      alike: yesNo(drill.station.min === drill.station.max),
    }),
    t('drills-markers', { n: drill.markers }),
  ]
  const { counts, unanswered } = drill.heard
  const spoken = Object.values(counts).reduce((sum, n) => sum + n, 0)
  const besides = [
    spoken > 0 && t('drills-voices', { n: spoken, unanswered }),
    drill.home && t('drills-home', { w: drill.home.width_m, d: drill.home.depth_m }),
    !drill.blocked && drill.cautions.length > 0 && t('drills-care', { n: drill.cautions.length }),
  ].filter(Boolean)
  return (
    <Box
      component={Link}
      to={`/drills/${drill.id}`}
      sx={{
        display: 'flex',
        position: 'relative',
        flexDirection: 'column',
        minWidth: 168,
        maxWidth: 330,
        flex: '0 1 auto',
        color: 'text.primary',
        textDecoration: 'none',
        bgcolor: 'background.paper',
        border: `1px solid ${floor.hair}`,
        opacity: drill.blocked ? 0.75 : 1,
        '&:hover, &:focus-visible': { borderColor: floor.ink },
      }}
    >
      <Box
        aria-hidden
        sx={{
          flex: 1,
          display: 'flex',
          alignItems: drill.strip ? 'center' : 'flex-end',
          justifyContent: 'center',
          p: 0.5,
          minHeight: 64,
          bgcolor: floor.wood,
          lineHeight: 0,
          // A strip is as high as the smallest drawing; where it is long it is as wide as the card.
          '& svg': { maxWidth: '100%', ...(drill.strip && { height: 92, maxWidth: 300 }) },
        }}
        dangerouslySetInnerHTML={{ __html: drill.strip ?? drill.drawing ?? '' }}
      />
      <Box sx={{ px: 1, py: 0.75, width: 0, minWidth: '100%', borderTop: `1px solid ${floor.hair}` }}>
        <Typography variant="h3" component="span" sx={{ display: 'block' }}>
          {drill.title}
        </Typography>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.25, mt: 0.25 }}>
          <Spoken as={drill.stages.map((stage) => t(`stage-${stage}`)).join(', ')}>
            {drill.stages.map((stage) => (
              <StageGlyph key={stage} stage={stage} strand={drill.strand} />
            ))}
          </Spoken>
          <Figure sx={{ ml: 0.5, fontSize: '1rem', color: 'text.secondary', lineHeight: 1.1 }}>
            {stands.join(' · ')}
          </Figure>
        </Box>
        {drill.blocked && (
          <Typography variant="caption" color="error" sx={{ display: 'block', mt: 0.5 }}>
            {told(drill.blocked)}
          </Typography>
        )}
        {besides.length > 0 && (
          <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
            {besides.join(' · ')}
          </Typography>
        )}
      </Box>
    </Box>
  )
}

/** How long five metres are on every card. */
export function ScaleBar() {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
      <svg width={FIVE + 2} height={10} aria-hidden>
        <path d={`M1 2v7h${FIVE}v-7`} fill="none" stroke="currentColor" />
      </svg>
      <Typography variant="caption" color="text.secondary">
        {t('drills-scale')}
      </Typography>
    </Box>
  )
}
