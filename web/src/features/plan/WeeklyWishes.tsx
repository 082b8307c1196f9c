// What should come up every week, and how often: skills and drills.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Curriculum, Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { LateNumber, SelectCell } from '../../ui/fields'
import { useDrills } from '../drill/queries'
import type { Change } from './queries'

type Weekly = Schemas['Weekly']

const MOST_WISHES = 20

const keyOf = ({ of }: Weekly) => ('skill' in of ? `skill:${of.skill}` : `drill:${of.drill}`)

function wished(key: string): Weekly['of'] {
  const [kind, id = ''] = key.split(':')
  return kind === 'skill' ? { skill: id } : { drill: id }
}

interface Props {
  view: Curriculum
  onChange: (change: Change) => void
}

export function WeeklyWishes({ view, onChange }: Props) {
  const weekly = view.wishes.weekly ?? []
  const set = (next: Weekly[]) => onChange((wishes) => ({ ...wishes, weekly: next }))
  const skills = view.skills.filter((skill) => !skill.other_foot)
  // A drill takes part if all that it serves is a goal.
  const drills = (useDrills({ band: view.wishes.band }).data ?? []).filter((drill) =>
    drill.skills.every((served) => skills.some(({ name }) => name === served)),
  )
  const all = [
    ...skills.map(({ id, name }) => ({ value: `skill:${id}`, says: name })),
    ...drills.map(({ id, title }) => ({ value: `drill:${id}`, says: title })),
  ]
  const free = all.filter(({ value }) => !weekly.some((wish) => keyOf(wish) === value))
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        {t('plan-weekly-about')}
      </Typography>
      {weekly.map((wish, at) => (
        <Wish
          key={keyOf(wish)}
          wish={wish}
          options={all.filter(
            ({ value }) => value === keyOf(wish) || free.some((each) => each.value === value),
          )}
          onChange={(next) => set(weekly.flatMap((each, i) => (i === at ? (next ? [next] : []) : [each])))}
        />
      ))}
      {weekly.length < MOST_WISHES && (
        <SelectCell
          label={t('plan-weekly-what')}
          none={t('plan-weekly-none')}
          value=""
          options={free}
          onChange={(key) => key && set([...weekly, { of: wished(key), least: 1, most: 2 }])}
        />
      )}
    </>
  )
}

interface WishProps {
  wish: Weekly
  options: { value: string; says: string }[]
  onChange: (wish: Weekly | null) => void
}

function Wish({ wish, options, onChange }: WishProps) {
  const times = (n: number) => Math.min(Math.max(n, 0), 7)
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
      <SelectCell
        label={t('plan-weekly-what')}
        none={t('plan-weekly-drop')}
        value={keyOf(wish)}
        options={options}
        onChange={(key) => onChange(key ? { ...wish, of: wished(key) } : null)}
        sx={{ flex: '1 0 100%' }}
      />
      <LateNumber
        label={t('plan-weekly-least')}
        whole
        value={wish.least}
        onCommit={(n) => onChange({ ...wish, least: times(n), most: Math.max(times(n), wish.most, 1) })}
      />
      <LateNumber
        label={t('plan-weekly-most')}
        whole
        value={wish.most}
        onCommit={(n) =>
          onChange({
            ...wish,
            most: Math.max(times(n), 1),
            least: Math.min(wish.least, Math.max(times(n), 1)),
          })
        }
      />
    </Box>
  )
}
