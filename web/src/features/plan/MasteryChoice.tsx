// When a squad begins with a skill: as planned, once enough of it pass the gate, or when its coach says so.
import type { Curriculum } from '../../api/client'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'
import { asPercent } from '../../ui/figures'
import type { Change } from './queries'

const SHARES = [0.5, 0.6, 0.8, 1]
const BY_WORD = 'word'

interface Props {
  view: Curriculum
  skill: string
  name: string
  /** Whether it has a gate that a share of the squad can pass. */
  gated: boolean
  onChange: (change: Change) => void
}

export function MasteryChoice({ view, skill, name, gated, onChange }: Props) {
  const wished = view.wishes.mastery?.find((each) => each.skill === skill)
  const shares = [...new Set([...SHARES, ...(wished?.share ? [wished.share] : [])])].sort()
  const options = [
    ...(gated || wished?.share ? shares : []).map((share) => ({
      value: String(share),
      says: t('plan-mastery-share', { share: asPercent(share) }),
    })),
    { value: BY_WORD, says: t('plan-mastery-word') },
  ]
  const choose = (chosen: string) =>
    onChange((wishes) => {
      const others = (wishes.mastery ?? []).filter((each) => each.skill !== skill)
      if (!chosen) return { ...wishes, mastery: others }
      return { ...wishes, mastery: [...others, { skill, share: chosen === BY_WORD ? null : Number(chosen) }] }
    })
  return (
    <SelectCell
      label={t('plan-mastery')}
      aria-label={t('plan-mastery-of', { skill: name })}
      none={t('plan-mastery-none')}
      value={wished ? (wished.share ? String(wished.share) : BY_WORD) : ''}
      options={options}
      onChange={choose}
      sx={{ gridColumn: '1 / -1' }}
    />
  )
}
