// Which parts of the foot a plan trains: bars to both sides, strand by strand, and what stands out.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { said, t } from '../../texts/t'
import { told } from '../../texts/told'
import { ErrorNote, Loading } from '../../ui/notes'
import { StrandSwatch } from '../../ui/strands'
import { useSurfaces } from './queries'

export function FeetPanel({ id, version }: { id: string; version: number }) {
  const { floor } = useTheme()
  const looked = useSurfaces(id, version)
  if (looked.isError) return <ErrorNote error={looked.error} />
  if (!looked.data) return <Loading />
  const { strands, findings } = looked.data
  const most = Math.max(
    1,
    ...strands.flatMap(({ surfaces }) => surfaces.map((row) => Math.max(row.strong, row.other))),
  )
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 1.5 }}>
      <Typography variant="body2" color="text.secondary">
        {t('plan-feet-about')}
      </Typography>
      {findings.map((finding, i) => (
        <Typography key={i} variant="body2" sx={{ borderLeft: `4px solid ${floor.warn}`, pl: 1 }}>
          {told(finding)}
        </Typography>
      ))}
      {strands.map(({ strand, surfaces }) => (
        <Box key={strand} component="section" aria-label={t(`strand-${strand}`)}>
          <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 0.5 }}>
            <StrandSwatch strand={strand} width={28} />
            <Typography variant="h3">{t(`strand-${strand}`)}</Typography>
          </Box>
          {surfaces.map((row) => (
            <Bars key={row.surface} row={row} most={most} />
          ))}
        </Box>
      ))}
    </Box>
  )
}

/** The other foot to the left, the strong one to the right, the surface between them. */
function Bars({ row, most }: { row: Schemas['SurfaceTouches']; most: number }) {
  const { floor } = useTheme()
  const { strong, other } = row
  const surface = said(`surface-${row.surface}`) ?? row.surface
  const wide = (touches: number) => `${(100 * touches) / most}%`
  return (
    <Box
      role="img"
      aria-label={t('plan-feet-of', { surface, strong, other })}
      sx={{
        display: 'grid',
        gridTemplateColumns: '44px minmax(0, 1fr) 92px minmax(0, 1fr) 44px',
        alignItems: 'center',
        columnGap: 0.75,
        py: 0.25,
        fontSize: '0.88rem',
      }}
    >
      <Box sx={{ textAlign: 'right' }}>{other}</Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Box
          sx={{ height: 10, width: wide(other), bgcolor: floor.paper, border: `1px solid ${floor.ink}` }}
        />
      </Box>
      <Box sx={{ textAlign: 'center' }}>{surface}</Box>
      <Box>
        <Box sx={{ height: 10, width: wide(strong), bgcolor: floor.ink }} />
      </Box>
      <Box>{strong}</Box>
    </Box>
  )
}
