// How a milestone is shown, in words.
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asResult } from '../../../ui/figures'

type Measured = Schemas['Measured']

function measuredSaid(
  { test, reach, feet = 'both', times, of_last }: Measured,
  name: (test: string) => string,
) {
  const level = typeof reach === 'object' && 'level' in reach ? reach.level : undefined
  const value = typeof reach === 'object' && 'value' in reach ? reach.value : undefined
  return t('book-measured', {
    test: name(test),
    reach: level ? t(`level-${level}`) : asResult(value ?? 0),
    feet: t(`standards-making-foot-${feet}`),
    times,
    of: of_last,
  })
}

export function evidenceSaid(evidence: Schemas['Evidence'], name: (test: string) => string): string {
  const parts = 'both' in evidence ? evidence.both : evidence
  return [
    'measured' in parts && measuredSaid(parts.measured, name),
    'seen' in parts && t('book-seen', { test: name(parts.seen.test), days: parts.seen.days }),
  ]
    .filter(Boolean)
    .join('; ')
}
