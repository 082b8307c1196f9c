// Whether a drill can be done at home, and what stands in for kit that is missing.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { texts } from '../../texts/en'
import { Choice } from '../../ui/Choice'
import { NumberField, TextCell } from '../../ui/fields'
import type { Drill } from './queries'

interface Props {
  drill: Drill
  onChange: (next: Partial<Drill>) => void
}

export function HomeAndKit({ drill, onChange }: Props) {
  const says = texts.desk
  const home = drill.home ?? null
  return (
    <>
      <Choice
        label={says.home}
        options={['home'] as const}
        chosen={home ? ['home'] : []}
        says={() => says.home}
        onToggle={() => onChange({ home: home ? null : { width_m: 2, depth_m: 2 } })}
      />
      {home && (
        <Box sx={{ display: 'flex', gap: 0.75 }}>
          <NumberField
            label={says.wide}
            value={home.width_m}
            onChange={(n) => n !== null && onChange({ home: { ...home, width_m: n } })}
          />
          <NumberField
            label={says.deep}
            value={home.depth_m}
            onChange={(n) => n !== null && onChange({ home: { ...home, depth_m: n } })}
          />
        </Box>
      )}
      {drill.stand_ins.map((stand, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr auto', gap: 0.75 }}>
          <TextCell
            label={says.missing}
            value={stand.kit}
            onChange={(kit) =>
              onChange({ stand_ins: drill.stand_ins.map((each, n) => (n === i ? { ...each, kit } : each)) })
            }
          />
          <TextCell
            label={says.instead}
            value={stand.instead}
            onChange={(instead) =>
              onChange({
                stand_ins: drill.stand_ins.map((each, n) => (n === i ? { ...each, instead } : each)),
              })
            }
          />
          <Button
            size="small"
            variant="text"
            sx={{ minWidth: 0 }}
            onClick={() => onChange({ stand_ins: drill.stand_ins.filter((_, n) => n !== i) })}
          >
            {says.takeOut}
          </Button>
        </Box>
      ))}
      <Button
        size="small"
        onClick={() => onChange({ stand_ins: [...drill.stand_ins, { kit: '', instead: '' }] })}
      >
        {says.addStandIn}
      </Button>
    </>
  )
}
