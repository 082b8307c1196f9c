// What a drill is for: its skills and stages, its strands, and the part of the foot.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { NumberField, SelectCell } from '../../ui/fields'
import { STAGES } from '../../ui/stages'
import { STRANDS } from '../../ui/strands'
import { toggled, without } from './drill'
import { type Drill, useSkills } from './queries'
import { SURFACES } from './words'

interface Props {
  drill: Drill
  onChange: (next: Partial<Drill>) => void
}

export function ServesFields({ drill, onChange }: Props) {
  const skills = useSkills()
  const named = (id: string) => skills.data?.find((skill) => skill.id === id)?.name ?? id
  const free = (skills.data ?? []).filter(
    (skill) => !drill.serves.some((serves) => serves.skill === skill.id),
  )
  return (
    <>
      {drill.serves.map((serves, i) => (
        <Box key={serves.skill}>
          <Box sx={{ display: 'flex', alignItems: 'center' }}>
            <Typography variant="body2" sx={{ flex: 1, fontWeight: 600 }}>
              {named(serves.skill)}
            </Typography>
            <Button
              size="small"
              variant="text"
              onClick={() => onChange({ serves: drill.serves.filter((_, n) => n !== i) })}
            >
              {t('desk-take-out')}
            </Button>
          </Box>
          <Choice
            label={named(serves.skill)}
            options={STAGES}
            chosen={serves.stages}
            says={(stage) => t(`stage-${stage}`)}
            onToggle={(stage) =>
              onChange({
                serves: drill.serves.map((each, n) =>
                  n === i ? { ...each, stages: toggled(each.stages, stage) } : each,
                ),
              })
            }
          />
        </Box>
      ))}
      <SelectCell
        label={t('desk-add-skill')}
        none={t('desk-choose-skill')}
        value=""
        options={free.map((skill) => ({ value: skill.id, says: skill.name }))}
        onChange={(skill) =>
          skill && onChange({ serves: [...drill.serves, { skill, stages: ['form', 'flow'] }] })
        }
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {STRANDS.map((strand) => (
          <NumberField
            key={strand}
            label={t('desk-share', { strand: t(`strand-${strand}`) })}
            value={Math.round((drill.strands[strand] ?? 0) * 100)}
            whole
            onChange={(n) => n !== null && onChange({ strands: withShare(drill.strands, strand, n) })}
            sx={{ width: 128 }}
          />
        ))}
      </Box>
      <Choice
        label={t('drills-surface')}
        options={SURFACES}
        chosen={drill.surfaces}
        says={(surface) => t(`surface-${surface}`)}
        onToggle={(surface) => onChange({ surfaces: toggled(drill.surfaces, surface) })}
      />
    </>
  )
}

function withShare(strands: Drill['strands'], strand: Schemas['Strand'], percent: number): Drill['strands'] {
  return percent > 0 ? { ...strands, [strand]: percent / 100 } : without(strands, strand)
}
