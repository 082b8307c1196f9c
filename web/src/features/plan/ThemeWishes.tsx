// What each week is to be about: what the plan leads to, a strand, or up to three skills.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'
import { STRANDS } from '../../ui/strands'
import type { Change } from './queries'
import { themeName } from './themes'

type Theme = Schemas['Theme']

const MOST_SKILLS = 3

interface Props {
  view: Curriculum
  onChange: (change: Change) => void
}

export function ThemeWishes({ view, onChange }: Props) {
  const weeks = [...new Set(view.sessions.map((session) => session.week))]
  const set = (week: number, theme: Theme | undefined) =>
    onChange((wishes) => {
      const others = Object.entries(wishes.themes ?? {}).filter(([other]) => other !== String(week))
      return { ...wishes, themes: Object.fromEntries(theme ? [...others, [week, theme]] : others) }
    })
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        {t('plan-themes-about')}
      </Typography>
      {weeks.map((week) => (
        <WeekTheme
          key={week}
          view={view}
          week={week}
          theme={view.wishes.themes?.[week]}
          onChange={(theme) => set(week, theme)}
        />
      ))}
    </>
  )
}

interface WeekProps {
  view: Curriculum
  week: number
  theme: Theme | undefined
  onChange: (theme: Theme | undefined) => void
}

function WeekTheme({ view, week, theme, onChange }: WeekProps) {
  // A skill that is no goal any more is left out, as the plan does.
  const wished = theme && 'skills' in theme ? theme.skills : []
  const skills = wished.filter((id) => view.skills.some((skill) => skill.id === id))
  const proposed = view.themes.find((each) => each.week === week && !each.wished)
  const known = view.skills.filter((skill) => !skill.other_foot)
  const goals = known.map((skill) => ({ value: `skill:${skill.id}`, says: skill.name }))
  const choose = (chosen: string) => {
    const [kind, id = ''] = chosen.split(':')
    if (kind === 'skill') onChange({ skills: [id] })
    else onChange(STRANDS.filter((strand) => strand === id).map((strand): Theme => ({ strand }))[0])
  }
  const chosen = theme && 'strand' in theme ? `strand:${theme.strand}` : skills[0] ? `skill:${skills[0]}` : ''
  const others = known.filter((skill) => !skills.includes(skill.id))
  return (
    <Box sx={{ display: 'grid', gap: 0.75 }}>
      <SelectCell
        label={t('plan-week', { n: week })}
        none={
          proposed ? t('plan-theme-proposed', { theme: themeName(proposed, view) }) : t('plan-theme-none')
        }
        value={chosen}
        options={[
          ...STRANDS.map((strand) => ({ value: `strand:${strand}`, says: t(`strand-${strand}`) })),
          ...goals,
        ]}
        onChange={choose}
      />
      {skills.slice(1).map((skill, i) => (
        <SelectCell
          key={skill}
          label={t('plan-theme-and')}
          none={t('plan-theme-no-more')}
          value={skill}
          options={known
            .filter(({ id }) => id === skill || !skills.includes(id))
            .map(({ id, name }) => ({ value: id, says: name }))}
          onChange={(next) =>
            onChange({ skills: skills.flatMap((each, at) => (at === i + 1 ? (next ? [next] : []) : [each])) })
          }
        />
      ))}
      {skills.length > 0 && skills.length < MOST_SKILLS && (
        <SelectCell
          label={t('plan-theme-and')}
          none={t('plan-theme-no-more')}
          value=""
          options={others.map(({ id, name }) => ({ value: id, says: name }))}
          onChange={(next) => next && onChange({ skills: [...skills, next] })}
        />
      )}
    </Box>
  )
}
