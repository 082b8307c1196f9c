// The fit line: does it stand on this floor, for this squad, with this kit?
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { texts } from '../../texts/en'
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
  const says = texts.desk
  const known =
    Object.entries(grounds).find(
      ([, g]) => g.width_m === ground.width_m && g.depth_m === ground.depth_m,
    )?.[0] ?? ''
  const set = (change: Partial<Ground>) => onGround({ ...ground, ...change })
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <SelectCell
        label={says.ground}
        none={says.ownGround}
        value={known}
        options={Object.keys(grounds).map((name) => ({ value: name, says: name }))}
        onChange={(name) => grounds[name] && onGround(grounds[name])}
        fullWidth={false}
        sx={{ width: 150 }}
      />
      <NumberField
        label={says.wide}
        value={ground.width_m}
        onChange={(n) => n !== null && set({ width_m: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={says.deep}
        value={ground.depth_m}
        onChange={(n) => n !== null && set({ depth_m: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={says.squad}
        value={ground.squad}
        whole
        onChange={(n) => n !== null && set({ squad: n })}
        sx={{ width: 74 }}
      />
      <NumberField
        label={says.bag}
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
              ? says.nearest(floor.fit.nearest.says)
              : says.working(
                  asPercent(floor.fit.working_share),
                  texts.evening.stations(floor.fit.station_sizes),
                )}
          </Typography>
        </Box>
      )}
    </Box>
  )
}

function fitSays(fit: Schemas['Fit'], ground: Ground): string {
  const says = texts.desk
  if (fit.misfit) return says.misfit(fit.misfit)
  const spare = fit.spare_m ?? 0
  return says.fits(
    ground.squad,
    fit.stations_needed,
    fit.markers_needed,
    asNumber(ground.width_m),
    asNumber(ground.depth_m),
    asNumber(spare),
  )
}
