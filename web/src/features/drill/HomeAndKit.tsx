// Whether a drill can be done at home, and what stands in for kit that is missing.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, TextCell } from '../../ui/fields'
import type { Drill } from './queries'

interface Props {
  drill: Drill
  onChange: (next: Partial<Drill>) => void
}

export function HomeAndKit({ drill, onChange }: Props) {
  const home = drill.home ?? null
  return (
    <>
      <Choice
        label={t('desk-home')}
        options={home ? (['home', 'home-only'] as const) : (['home'] as const)}
        chosen={home ? ['home', ...(home.only ? (['home-only'] as const) : [])] : []}
        says={(which) => t(`desk-${which}`)}
        onToggle={(which) => {
          if (which === 'home-only') onChange({ home: home && { ...home, only: !home.only } })
          else onChange({ home: home ? null : { width_m: 2, depth_m: 2 } })
        }}
      />
      {home && (
        <Box sx={{ display: 'flex', gap: 0.75 }}>
          <NumberField
            label={t('desk-wide')}
            value={home.width_m}
            onChange={(n) => n !== null && onChange({ home: { ...home, width_m: n } })}
          />
          <NumberField
            label={t('desk-deep')}
            value={home.depth_m}
            onChange={(n) => n !== null && onChange({ home: { ...home, depth_m: n } })}
          />
        </Box>
      )}
      {drill.stand_ins.map((stand, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '1fr 1.4fr auto', gap: 0.75 }}>
          <TextCell
            label={t('desk-missing')}
            value={stand.kit}
            onChange={(kit) =>
              onChange({ stand_ins: drill.stand_ins.map((each, n) => (n === i ? { ...each, kit } : each)) })
            }
          />
          <TextCell
            label={t('desk-instead')}
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
            {t('desk-take-out')}
          </Button>
        </Box>
      ))}
      <Button
        size="small"
        onClick={() => onChange({ stand_ins: [...drill.stand_ins, { kit: '', instead: '' }] })}
      >
        {t('desk-add-stand-in')}
      </Button>
    </>
  )
}
