// A milestone that rests on a test: the sentence, how far the skill has come with it, and the evidence that meets it.
import Box from '@mui/material/Box'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas, Stage } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { nameFor } from '../../../api/naming'
import { t } from '../../../texts/t'
import { NumberField, SelectCell, TextCell } from '../../../ui/fields'
import { STAGES } from '../../../ui/stages'
import { KeepRow } from './KeepRow'
import { MeasuredFields } from './MeasuredFields'
import { useDropMilestone, usePutMilestone } from './queries'

type Milestone = Schemas['Milestone']
type Measured = Schemas['Measured']
type Seen = Schemas['Seen']

interface Props {
  scale: Schemas['StandardsOfTest']
  band: Schemas['BandOnScale']
  /** The one that is changed; a new one without it. */
  milestone: Milestone | null
  onClose: () => void
}

const partsOf = (evidence: Schemas['Evidence']): { measured?: Measured; seen?: Seen } =>
  'both' in evidence ? evidence.both : evidence
const together = ({ measured, seen }: { measured?: Measured; seen?: Seen }): Schemas['Evidence'] | null =>
  measured && seen ? { both: { measured, seen } } : measured ? { measured } : seen ? { seen } : null

export function MilestoneDialog({ scale, band, milestone, onClose }: Props) {
  const { test } = scale
  const fresh: Milestone = {
    id: '',
    says: '',
    short: '',
    skill: scale.skill,
    stage: 'flow',
    band: band.id,
    evidence:
      scale.protocol.kind === 'points'
        ? { seen: { test: test.id, days: 1 } }
        : { measured: { test: test.id, reach: { level: 'secure' }, feet: 'both', times: 1, of_last: 2 } },
  }
  const [draft, setDraft] = useState(milestone ?? fresh)
  const put = usePutMilestone(test.id)
  const drop = useDropMilestone(test.id)
  const { measured, seen } = partsOf(draft.evidence)
  const change = (next: Partial<Milestone>) => setDraft({ ...draft, ...next })
  const prove = (next: { measured?: Measured; seen?: Seen }) => {
    const evidence = together({ measured, seen, ...next })
    if (evidence) change({ evidence })
  }
  const says = draft.says.trim()
  // Long sentences may begin alike: the moment tells them apart.
  const newId = () =>
    `${nameFor(says, 'milestone').slice(0, 30).replace(/-$/, '')}-${band.id}-${Date.now().toString(36)}`
  const keep = () =>
    put.mutate(
      { ...draft, says, id: draft.id || newId(), short: (draft.short.trim() || says).slice(0, 24) },
      { onSuccess: onClose },
    )
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{t('standards-making-title', { band: band.name })}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <TextCell
          label={t('standards-making-says')}
          longest={LONGEST.Milestone.says}
          autoFocus
          value={draft.says}
          onChange={(text) => change({ says: text })}
          placeholder={t('standards-making-example')}
          sx={{ mt: 1 }}
        />
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          <TextCell
            label={t('standards-making-short')}
            value={draft.short}
            onChange={(text) => change({ short: text })}
            longest={LONGEST.Milestone.short}
          />
          <SelectCell<Stage>
            label={t('standards-making-stage')}
            value={draft.stage}
            options={STAGES.map((value) => ({ value, says: t(`stage-${value}`) }))}
            onChange={(stage) => stage && change({ stage })}
          />
        </Box>
        <Typography variant="h3">{t('standards-making-evidence')}</Typography>
        {measured && (
          <MeasuredFields
            measured={measured}
            perSide={test.per_side}
            onChange={(next) => prove({ measured: next })}
          />
        )}
        {seen && (
          <NumberField
            label={t('standards-making-days')}
            whole
            value={seen.days}
            onChange={(days) =>
              days !== null && days >= 1 && days <= 20 && prove({ seen: { ...seen, days } })
            }
            sx={{ width: 160 }}
          />
        )}
        <KeepRow
          keep={t('standards-making-keep')}
          disabled={says === '' || put.isPending}
          onKeep={keep}
          onClose={onClose}
          drop={
            milestone
              ? {
                  says: t('standards-drop-milestone'),
                  disabled: drop.isPending,
                  onDrop: () => drop.mutate(milestone.id, { onSuccess: onClose }),
                }
              : undefined
          }
          errors={[put.error, drop.error]}
        />
      </DialogContent>
    </Dialog>
  )
}
