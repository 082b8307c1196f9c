// How to go about it: the approach with its numbers, what counts how much, and which foot.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Curriculum, Schemas } from '../../api/client'
import { said, t } from '../../texts/t'
import { Choice } from '../../ui/Choice'
import { LateNumber, SelectCell } from '../../ui/fields'
import { STAGES } from '../../ui/stages'
import { type Change, presetOf, useBeginnings } from './queries'
import { WeightWishes } from './WeightWishes'
import { WishPart } from './WishPart'

const percent = (share: number) => Math.round(share * 100)

export function ApproachWishes({ view, onChange }: { view: Curriculum; onChange: (change: Change) => void }) {
  const beginnings = useBeginnings()
  const presets = beginnings.data?.approaches ?? []
  const { approach } = view.wishes
  const set = (next: Partial<Schemas['Approach']>) =>
    onChange((wishes) => ({ ...wishes, approach: { ...wishes.approach, ...next } }))
  const chosen = presetOf(approach, presets)
  return (
    <WishPart title={t('plan-wishes-approach')}>
      <Choice
        label={t('plan-wishes-approach')}
        options={presets.map((preset) => preset.name)}
        chosen={chosen ? [chosen] : []}
        says={(name) => said(`plan-approach-${name}`) ?? name}
        onToggle={(name) => {
          const preset = presets.find((each) => each.name === name)
          if (preset) set(preset.approach)
        }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(4, 1fr)', gap: 1, mt: 0.75 }}>
        {STAGES.map((stage, i) => (
          <LateNumber
            key={stage}
            label={t('plan-wishes-times', { stage: t(`stage-${stage}`) })}
            whole
            value={approach.exposures[i] ?? 1}
            onCommit={(n) =>
              n > 0 && set({ exposures: approach.exposures.map((e, at) => (at === i ? n : e)) })
            }
            sx={{ width: '100%' }}
          />
        ))}
      </Box>
      <SelectCell
        label={t('plan-wishes-ladder')}
        value={approach.ladder ?? 'strict'}
        options={(['strict', 'overlapping', 'open'] as const).map((ladder) => ({
          value: ladder,
          says: t(`plan-ladder-${ladder}`),
        }))}
        onChange={(ladder) => ladder && set({ ladder })}
      />
      {approach.open_play && (
        <Ends
          ends={['first', 'last']}
          says={(end) => t(`plan-wishes-open-play-${end}`)}
          shares={approach.open_play}
          onChange={(open_play) => set({ open_play })}
        />
      )}
      {approach.success_window && (
        <Ends
          ends={['least', 'most']}
          says={(end) => t(`plan-wishes-success-${end}`)}
          shares={approach.success_window}
          onChange={(success_window) => set({ success_window })}
        />
      )}
      <WeightWishes
        parts={view.score.parts.map(({ part }) => part)}
        weights={approach.weights ?? {}}
        onChange={(weights) => set({ weights })}
      />
      <Typography variant="caption" color="text.secondary">
        {t('plan-wishes-assumptions')}
      </Typography>
      <SelectCell
        label={t('plan-wishes-side')}
        none={t('plan-wishes-side-own')}
        value={view.wishes.side ?? ''}
        options={(['equal', 'other_more', 'strong_first', 'not_sided'] as const).map((side) => ({
          value: side,
          says: t(`plan-side-${side}`),
        }))}
        onChange={(side) => onChange((wishes) => ({ ...wishes, side: side || null }))}
      />
    </WishPart>
  )
}

/** Two shares that belong together, in percent. */
function Ends<End extends string>({
  ends,
  says,
  shares,
  onChange,
}: {
  ends: readonly End[]
  says: (end: End) => string
  shares: Record<End, number>
  onChange: (shares: Record<End, number>) => void
}) {
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1, mt: 0.5 }}>
      {ends.map((end) => (
        <LateNumber
          key={end}
          label={says(end)}
          whole
          value={percent(shares[end])}
          onCommit={(n) => n >= 0 && n <= 100 && onChange({ ...shares, [end]: n / 100 })}
          sx={{ width: '100%' }}
        />
      ))}
    </Box>
  )
}
