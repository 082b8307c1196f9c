// What a week is about, in words.
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'

type Theme = Pick<Schemas['WeekTheme'], 'theme' | 'skills'>

/** Its strand, or its skills. */
export function themeName({ theme }: Theme, { skills }: Pick<Curriculum, 'skills'>): string {
  if ('strand' in theme) return t(`strand-${theme.strand}`)
  return theme.skills.map((id) => skills.find((skill) => skill.id === id)?.name ?? id).join(' · ')
}

/** The same, and of a strand the skills that most of it is for. */
export function themeTitle(theme: Theme, view: Pick<Curriculum, 'skills'>): string {
  const name = themeName(theme, view)
  if ('skills' in theme.theme || theme.skills.length === 0) return name
  return t('plan-theme-title', {
    theme: name,
    skills: themeName({ ...theme, theme: { skills: theme.skills } }, view),
  })
}
