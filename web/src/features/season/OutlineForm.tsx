// A curriculum that is planned as an outline: its name, its weeks, its main skills.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { type SyntheticEvent, useState } from 'react'
import type { Schemas } from '../../api/client'
import { LONGEST } from '../../api/limits'
import { t } from '../../texts/t'
import { NumberField, SelectCell, TextCell } from '../../ui/fields'
import { ErrorNote } from '../../ui/notes'
import { useSkills } from '../drill/queries'
import { useDropOutline, useKeepOutline } from './queries'

interface Props {
  id: string
  outline: Schemas['Outline']
  /** Whether it is there already. */
  known: boolean
  onDone: () => void
}

export function OutlineForm({ id, outline: before, known, onDone }: Props) {
  const [outline, setOutline] = useState(before)
  const keep = useKeepOutline()
  const drop = useDropOutline()
  const skills = useSkills().data ?? []
  const chosen = outline.skills ?? []
  const set = (next: Partial<Schemas['Outline']>) => setOutline({ ...outline, ...next })
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (!keep.isPending && outline.name.trim()) keep.mutate({ id, outline }, { onSuccess: onDone })
  }
  return (
    <Box component="form" onSubmit={save} sx={{ display: 'grid', gap: 1.5, mt: 1.5 }}>
      <TextCell
        label={t('year-outline-name')}
        longest={LONGEST.Curriculum.name}
        autoFocus
        value={outline.name}
        onChange={(name) => set({ name })}
      />
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextCell
          label={t('plan-wishes-start')}
          type="date"
          value={outline.start}
          onChange={(start) => start && set({ start })}
        />
        <NumberField
          label={t('plan-wishes-weeks')}
          whole
          value={outline.weeks}
          onChange={(weeks) => weeks !== null && set({ weeks })}
          sx={{ width: 96 }}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5, flexWrap: 'wrap' }}>
        {chosen.map((skill) => {
          const name = skills.find((each) => each.id === skill)?.name ?? skill
          return (
            <Button
              key={skill}
              size="small"
              aria-label={t('plan-wishes-take-out', { what: name })}
              onClick={() => set({ skills: chosen.filter((each) => each !== skill) })}
            >
              {name} ×
            </Button>
          )
        })}
      </Box>
      <SelectCell
        label={t('year-outline-skill')}
        none={t('year-outline-choose')}
        value=""
        options={skills
          .filter((skill) => !chosen.includes(skill.id))
          .map((skill) => ({ value: skill.id, says: skill.name }))}
        onChange={(skill) => skill && set({ skills: [...chosen, skill] })}
      />
      {(keep.isError || drop.isError) && <ErrorNote error={keep.error ?? drop.error} />}
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        <Button type="submit" variant="contained" disabled={keep.isPending || !outline.name.trim()}>
          {t('clubs-save')}
        </Button>
        <Button variant="text" onClick={onDone}>
          {t('cancel')}
        </Button>
        {known && (
          <Button variant="text" color="error" onClick={() => drop.mutate(id, { onSuccess: onDone })}>
            {t('year-drop-outline')}
          </Button>
        )}
      </Box>
    </Box>
  )
}
