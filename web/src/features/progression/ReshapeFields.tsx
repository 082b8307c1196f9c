// A skill joined with another one, and a skill split into parts.
import Button from '@mui/material/Button'
import { useState } from 'react'
import { nameFor } from '../../api/naming'
import { t } from '../../texts/t'
import { SelectCell, TextCell } from '../../ui/fields'
import type { Change, MapView, Skill } from './queries'

/** This skill and another one become the parts of a new, joined one. */
export function JoinFields({
  view,
  skill,
  onChange,
  onChoose,
}: {
  view: MapView
  skill: Skill
  onChange: (change: Partial<Change>) => void
  onChoose: (skill: string) => void
}) {
  const others = view.skills.filter((each) => each.id !== skill.id)
  return (
    <SelectCell
      label={t('progressions-join')}
      none={t('desk-choose-skill')}
      value=""
      options={others.map((each) => ({ value: each.id, says: each.name }))}
      onChange={(id) => {
        const other = view.skills.find((each) => each.id === id)
        if (!other) return
        const name = `${skill.name}, ${other.name}`.slice(0, 60)
        const joined = {
          ...skill,
          id: `${nameFor(name, 'skill')}-${Date.now().toString(36)}`,
          name,
          needs: [],
          helps: [],
          gate: null,
          parts: [skill.id, other.id],
        }
        onChange({ put: [joined] })
        onChoose(joined.id)
      }}
    />
  )
}

/** New skills that this one is joined of; they take over what it needed. */
export function SplitFields({
  skill,
  onChange,
}: {
  skill: Skill
  onChange: (change: Partial<Change>) => void
}) {
  const [names, setNames] = useState('')
  const parts = names
    .split('\n')
    .map((name) => name.trim())
    .filter(Boolean)
  const split = () => {
    const made = parts.map((name, i) => ({
      ...skill,
      id: `${nameFor(name, 'skill')}-${Date.now().toString(36)}${i}`,
      name,
      parts: [],
      helps: [],
      gate: null,
    }))
    onChange({
      put: [...made, { ...skill, needs: [], parts: [...skill.parts, ...made.map((part) => part.id)] }],
    })
    setNames('')
  }
  return (
    <>
      <TextCell
        multiline
        label={t('progressions-split')}
        placeholder={t('progressions-split-hint')}
        value={names}
        onChange={setNames}
      />
      <Button size="small" disabled={parts.length < 2} onClick={split} sx={{ justifySelf: 'start' }}>
        {t('progressions-split-now', { n: parts.length })}
      </Button>
    </>
  )
}
