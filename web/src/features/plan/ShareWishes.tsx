// How the plan shares the time among the strands, and behind a button how it is to be shared.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum, Strand } from '../../api/client'
import { t } from '../../texts/t'
import { asPercent, Figure } from '../../ui/figures'
import { NumberCell } from '../../ui/NumberCell'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import type { Change } from './queries'

interface Props {
  view: Curriculum
  saving: boolean
  onChange: (change: Change) => void
}

type Percents = Record<Strand, number>

const percents = (shares: Curriculum['wishes']['shares']): Percents =>
  Object.fromEntries(STRANDS.map((s) => [s, Math.round((shares[s] ?? 0) * 100)])) as Percents

export function ShareWishes({ view, saving, onChange }: Props) {
  const [unfolded, setUnfolded] = useState(false)
  const saved = percents(view.wishes.shares)
  // While the numbers do not make 100 they are kept here, and nothing is saved.
  const [open, setOpen] = useState<Percents | null>(null)
  const shown = open ?? saved
  const sum = STRANDS.reduce((all, s) => all + shown[s], 0)
  const laid = view.minutes_by_strand.reduce((all, m) => all + m, 0)
  const laidOf = (i: number) => (laid > 0 ? (view.minutes_by_strand[i] ?? 0) / laid : 0)
  const set = (strand: Strand, percent: number) => {
    const next = { ...shown, [strand]: percent }
    if (STRANDS.reduce((all, s) => all + next[s], 0) !== 100) {
      setOpen(next)
      return
    }
    setOpen(null)
    const shares = Object.fromEntries(STRANDS.map((s) => [s, next[s] / 100]))
    onChange((wishes) => ({ ...wishes, shares }))
  }
  return (
    <Box
      role="group"
      aria-label={t('plan-shares')}
      sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 1.5, rowGap: 0.5 }}
    >
      <Button
        size="small"
        variant="text"
        className="no-print"
        aria-expanded={unfolded}
        onClick={() => setUnfolded(!unfolded)}
        sx={{ ml: -1 }}
      >
        {t('plan-shares')}
      </Button>
      {STRANDS.map((strand, i) => (
        <Box key={strand} sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}>
          <StrandSwatch strand={strand} width={26} />
          <Typography variant="body2">{t(`strand-${strand}`)}</Typography>
          {unfolded && (
            <NumberCell
              label={t('plan-share-of', { strand: t(`strand-${strand}`) })}
              value={shown[strand]}
              least={0}
              most={100}
              saving={saving}
              onCommit={(n) => set(strand, n)}
            />
          )}
          <Figure sx={{ color: 'text.secondary' }}>
            {unfolded ? t('plan-laid', { percent: asPercent(laidOf(i)) }) : asPercent(laidOf(i))}
          </Figure>
        </Box>
      ))}
      {open && (
        <Typography role="alert" variant="body2" color="error">
          {t('plan-sum', { n: sum })}. {t('plan-shares-wait')}
        </Typography>
      )}
    </Box>
  )
}
