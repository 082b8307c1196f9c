// Which picture is shown: the ground, or the feet.
import { t } from '../../texts/t'
import { Choice } from '../Choice'

export type Picture = 'ground' | 'feet'
const PICTURES = ['ground', 'feet'] as const

export function GroundOrFeet({ shown, onShow }: { shown: Picture; onShow: (picture: Picture) => void }) {
  return (
    <Choice
      label={t('picture')}
      options={PICTURES}
      chosen={[shown]}
      says={(picture) => t(`picture-${picture}`)}
      onToggle={onShow}
    />
  )
}
