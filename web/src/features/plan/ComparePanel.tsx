// Two plans of one curriculum side by side: what the child meets when, minutes by stage, and the scores.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum, Schemas } from '../../api/client'
import { said, t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { asNumber, Figure } from '../../ui/figures'
import { ErrorNote, Loading } from '../../ui/notes'
import { STAGES, StageGlyph } from '../../ui/stages'
import { lineSaid } from './lines'
import { presetOf, useBeginnings, useCompared, useComparedWithEdition } from './queries'

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
  const edition = view.editions.find(
    (published) => t('plan-compared-edition', { number: published.number }) === chosen,
  )
  const byApproach = useCompared(view.id, view.version, other?.approach)
  const withEdition = useComparedWithEdition(view.id, view.version, edition?.number)
  const compared = edition ? withEdition : byApproach
  const named = (name: string | undefined) =>
    name ? (said(`plan-approach-${name}`) ?? name) : t('plan-compared-own-numbers')
  const names: [string, string] = edition
    ? [t('plan-compared-draft'), t('plan-compared-edition', { number: edition.number })]
    : [named(here), named(other?.name)]
  return (
    <Box sx={{ mt: 1.5, display: 'grid', gap: 1.5 }}>
      <Typography variant="body2" color="text.secondary">
        {t('plan-compared-about', { name: named(here) })}
      </Typography>
      <Choice
        label={t('plan-compared-with')}
        options={[
          ...presets.map((p) => p.name).filter((name) => name !== here),
          ...view.editions.map((published) => t('plan-compared-edition', { number: published.number })),
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
            <Typography variant="body2">
              {t('plan-compared-shared', { shared: compared.data.shared, blocks: compared.data.blocks })}
            </Typography>
          )}
          <Minutes compared={compared.data} names={names} />
          <Skills compared={compared.data} />
          {other && (
            <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => onTake(other.approach)}>
              {t('plan-compared-take', { name: named(other.name) })}
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
              {t('plan-compared-minutes-at', { stage: t(`stage-${stage}`) })}
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
                {t(`plan-part-${part.part}`)}
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
            {t('plan-score')}
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
    <Box component="section" aria-label={t('plan-compared-meets')}>
      <Typography variant="h3">{t('plan-compared-meets')}</Typography>
      <Typography variant="caption" color="text.secondary">
        {t('plan-compared-meets-means')}
      </Typography>
      {compared.skills.map((skill) => (
        <Box key={skill.skill} sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
          <Typography variant="body2" sx={{ fontWeight: 600 }}>
            {lineSaid(skill)}
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
                    title={t(`stage-${stage}`)}
                    sx={{ display: 'inline-flex', alignItems: 'center', gap: 0.4 }}
                  >
                    <StageGlyph stage={stage} strand={skill.strand} />
                    <Figure>{course.begins[i]}</Figure>
                  </Box>
                ),
              )}
              {course.begins.every((week) => week == null) && (
                <Typography variant="caption">{t('plan-compared-never')}</Typography>
              )}
              {course.missing > 0 && (
                <Typography variant="caption" color="error">
                  {t('plan-missing', { n: course.missing })}
                </Typography>
              )}
            </Box>
          ))}
        </Box>
      ))}
    </Box>
  )
}
