// Two plans of one curriculum side by side: what the child meets when, minutes by stage, and the scores.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum, Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { Choice } from '../../ui/Choice'
import { asNumber, Figure } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { STAGES, StageGlyph } from '../../ui/stages'
import { presetOf, useBeginnings, useCompared, useComparedWithEdition } from './queries'

const says = texts.plan.compared

interface Props {
  view: Curriculum
  onTake: (approach: Schemas['Approach']) => void
}

export function ComparePanel({ view, onTake }: Props) {
  const beginnings = useBeginnings()
  const presets = beginnings.data?.approaches ?? []
  const here = presetOf(view.wishes.approach, presets)
  const [chosen, setChosen] = useState<string | undefined>()
  const other = presets.find((preset) => preset.name === chosen)
  const edition = view.editions.find((published) => says.edition(published.number) === chosen)
  const byApproach = useCompared(view.id, view.version, other?.approach)
  const withEdition = useComparedWithEdition(view.id, view.version, edition?.number)
  const compared = edition ? withEdition : byApproach
  const named = (name: string | undefined) => (name ? (texts.plan.approach[name] ?? name) : says.ownNumbers)
  const names: [string, string] = edition
    ? [says.draft, says.edition(edition.number)]
    : [named(here), named(other?.name)]
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 1.5 }}>
      <Typography variant="body2" color="text.secondary">
        {says.about(named(here))}
      </Typography>
      <Choice
        label={says.with}
        options={[
          ...presets.map((p) => p.name).filter((name) => name !== here),
          ...view.editions.map((published) => says.edition(published.number)),
        ]}
        chosen={chosen ? [chosen] : []}
        says={named}
        onToggle={setChosen}
      />
      {compared.isFetching && <Loading />}
      {compared.isError && <ErrorNote error={compared.error} />}
      {compared.data && !compared.isFetching && (
        <>
          {edition && (
            <Typography variant="body2">{says.shared(compared.data.shared, compared.data.blocks)}</Typography>
          )}
          <Minutes compared={compared.data} names={names} />
          <Skills compared={compared.data} />
          {other && (
            <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => onTake(other.approach)}>
              {says.take(named(other.name))}
            </Button>
          )}
        </>
      )}
    </Box>
  )
}

const cell = { p: '3px 6px', textAlign: 'right' as const }

function Minutes({ compared, names }: { compared: Schemas['Compared']; names: [string, string] }) {
  const [a, b] = compared.scores
  return (
    <Box
      component="table"
      sx={{
        borderCollapse: 'collapse',
        width: '100%',
        '& td, & th': cell,
        '& tr': { borderBottom: 1, borderColor: 'divider' },
      }}
    >
      <thead>
        <tr>
          <th />
          {names.map((name) => (
            <th key={name} scope="col">
              <Typography variant="caption">{name}</Typography>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {STAGES.map((stage, i) => (
          <tr key={stage}>
            <Typography component="th" scope="row" variant="body2" sx={{ textAlign: 'left !important' }}>
              {says.minutesAt(texts.stage[stage])}
            </Typography>
            {compared.minutes.map((minutes, at) => (
              <td key={at}>
                <Figure sx={{ fontWeight: 600 }}>{minutes[i]}</Figure>
              </td>
            ))}
          </tr>
        ))}
        {(a?.parts ?? []).map((part, i) => {
          const points = b?.parts[i]?.points ?? 0
          if (part.points < 0.05 && points < 0.05) return null
          return (
            <tr key={part.part}>
              <Typography component="th" scope="row" variant="body2" sx={{ textAlign: 'left !important' }}>
                {texts.plan.part[part.part]}
              </Typography>
              <td>
                <Figure>{asNumber(part.points)}</Figure>
              </td>
              <td>
                <Figure>{asNumber(points)}</Figure>
              </td>
            </tr>
          )
        })}
        <tr>
          <Typography
            component="th"
            scope="row"
            variant="body2"
            sx={{ textAlign: 'left !important', fontWeight: 700 }}
          >
            {texts.plan.score}
          </Typography>
          <td>
            <Figure sx={{ fontWeight: 700 }}>{asNumber(a?.total ?? 0)}</Figure>
          </td>
          <td>
            <Figure sx={{ fontWeight: 700 }}>{asNumber(b?.total ?? 0)}</Figure>
          </td>
        </tr>
      </tbody>
    </Box>
  )
}

/** In which week each stage of a skill begins, the plan as it stands above the other one. */
function Skills({ compared }: { compared: Schemas['Compared'] }) {
  return (
    <Box component="section" aria-label={says.meets}>
      <Typography variant="h3">{says.meets}</Typography>
      <Typography variant="caption" color="text.secondary">
        {says.meetsMeans}
      </Typography>
      {compared.skills.map((skill) => (
        <Box key={skill.skill} sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {skill.name}
          </Typography>
          {skill.courses.map((course, at) => (
            <Box
              key={at}
              sx={{ display: 'flex', gap: 1.25, alignItems: 'center', opacity: at === 0 ? 1 : 0.85 }}
            >
              {STAGES.map((stage, i) =>
                course.begins[i] == null ? null : (
                  <Box
                    key={stage}
                    component="span"
                    title={texts.stage[stage]}
                    sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.4 }}
                  >
                    <StageGlyph stage={stage} strand={skill.strand} />
                    <Figure>{course.begins[i]}</Figure>
                  </Box>
                ),
              )}
              {course.begins.every((week) => week == null) && (
                <Typography variant="caption">{says.never}</Typography>
              )}
              {course.missing > 0 && (
                <Typography variant="caption" color="error">
                  {texts.plan.missing(course.missing)}
                </Typography>
              )}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  )
}
