// Whether a ground has a wall that gives the ball back; it has, unless somebody says otherwise.
import { t } from '../../texts/t'
import { Choice } from '../../ui/Choice'

interface Props<Ground> {
  ground: Ground
  onChange: (ground: Ground) => void
}

export function WallChoice<Ground extends { wall?: boolean }>({ ground, onChange }: Props<Ground>) {
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
