// The fit line: does it stand on this floor, for this squad, with this kit?
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { stationsSaid } from '../../texts/said'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { NumberField, SelectCell } from '../../ui/fields'
import { asNumber, asPercent } from '../../ui/figures'
import type { Ground } from './queries'

interface Props {
  ground: Ground
  grounds: Record<string, Ground>
  floor: Schemas['Looked']['floor']
  onGround: (ground: Ground) => void
}

export function FitLine({ ground, grounds, floor, onGround }: Props) {
  const known =
    Object.entries(grounds).find(
      ([, g]) => g.width_m === ground.width_m && g.depth_m === ground.depth_m,
    )?.[0] ?? ''
  const set = (change: Partial<Ground>) => onGround({ ...ground, ...change })
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <SelectCell
        label={t('desk-ground')}
        none={t('desk-own-ground')}
        value={known}
        options={Object.keys(grounds).map((name) => ({ value: name, says: name }))}
        onChange={(name) => grounds[name] && onGround(grounds[name])}
        fullWidth={false}
        sx={{ width: 150 }}
      />
      <NumberField
        label={t('desk-wide')}
        value={ground.width_m}
        onChange={(n) => n !== null && set({ width_m: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={t('desk-deep')}
        value={ground.depth_m}
        onChange={(n) => n !== null && set({ depth_m: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={t('desk-squad')}
        value={ground.squad}
        whole
        onChange={(n) => n !== null && set({ squad: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={t('desk-bag')}
        value={ground.markers}
        whole
        onChange={(n) => n !== null && set({ markers: n })}
        sx={{ width: 82 }}
      />
      {floor && (
        <Box role="status" sx={{ flex: 1, minWidth: 300 }}>
          <Typography sx={{ fontWeight: 600 }} color={floor.fit.fits ? 'text.primary' : 'error'}>
            {fitSays(floor.fit, ground)}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {floor.fit.nearest
              ? told(floor.fit.nearest.says)
              : t('desk-working', {
                  share: asPercent(floor.fit.working_share),
                  stations: stationsSaid(floor.fit.station_sizes),
                })}
          </Typography>
        </Box>
      )}
    </Box>
  )
}

function fitSays(fit: Schemas['Fit'], ground: Ground): string {
  if (fit.misfit) return t('desk-misfit', { says: told(fit.misfit) })
  const spare = fit.spare_m ?? 0
  return t('desk-fits', {
    squad: ground.squad,
    stations: fit.stations_needed,
    markers: fit.markers_needed,
    wide: asNumber(ground.width_m),
    deep: asNumber(ground.depth_m),
    spare: asNumber(spare),
  })
}
