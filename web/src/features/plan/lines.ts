// The lines of a plan: a skill, or the ladder of the other foot where the strong foot comes first.
import { t } from '../../texts/t'

/** The name of a line. */
export const lineSaid = ({ name, other_foot: otherFoot }: { name: string; other_foot: boolean }) =>
  otherFoot ? t('plan-other-foot', { name }) : name
