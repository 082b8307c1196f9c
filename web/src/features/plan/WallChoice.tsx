// Whether a ground has a wall that gives the ball back; it has, unless somebody says otherwise.
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'

interface Props {
  ground: Schemas['Ground']
  onChange: (ground: Schemas['Ground']) => void
}

export function WallChoice({ ground, onChange }: Props) {
  const wall = ground.wall !== false
  return (
    <Choice
      label={t('plan-wishes-ground-wall')}
      options={['wall'] as const}
      chosen={wall ? ['wall'] : []}
      says={() => t('plan-wishes-ground-wall')}
      onToggle={() => onChange({ ...ground, wall: !wall })}
    />
  )
}
