// What keeps goals from being shown, each with what mends it as one action.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Curriculum } from '../../../api/client'
import { t } from '../../../texts/t'
import { told } from '../../../texts/told'
import { ErrorNote } from '../../../ui/notes'
import { daysOf } from './days'
import { ProposedMilestone } from './ProposedMilestone'
import { type Finding, type Mend, type Proposed, useBeginStandard, useMend } from './queries'

export function Findings({ view, findings }: { view: Curriculum; findings: Finding[] }) {
  const [proposed, setProposed] = useState<Proposed | null>(null)
  const mend = useMend(view)
  const standard = useBeginStandard(view.wishes.band)
  const busy = mend.isPending || standard.isPending
  if (findings.length === 0) {
    return (
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        {t('benchmarks-no-findings')}
      </Typography>
    )
  }
  const act = (what: Mend) => {
    if (what.kind === 'milestone') setProposed(what)
    else if (what.kind === 'standard') standard.mutate(what)
    else mend.mutate(what)
  }
  return (
    <Box
      component="section"
      aria-label={t('benchmarks-findings', { n: findings.length })}
      sx={{ borderLeft: 4, borderColor: 'error.main', bgcolor: 'background.paper', px: 1.5, py: 0.75, mb: 1 }}
    >
      <Typography variant="h3">{t('benchmarks-findings', { n: findings.length })}</Typography>
      {findings.map((finding, i) => (
        <Box key={i} sx={{ display: 'flex', alignItems: 'baseline', gap: 1, py: 0.25, flexWrap: 'wrap' }}>
          <Typography variant="body2" sx={{ flex: '1 1 320px' }}>
            {told(finding.says)}
          </Typography>
          {finding.mend && (
            <Button
              size="small"
              className="no-print"
              disabled={busy}
              onClick={() => finding.mend && act(finding.mend)}
            >
              {mendSaid(view, finding.mend)}
            </Button>
          )}
        </Box>
      ))}
      {mend.isError && <ErrorNote error={mend.error} />}
      {standard.isError && <ErrorNote error={standard.error} />}
      {proposed && (
        <ProposedMilestone
          key={`${proposed.skill} ${proposed.stage}`}
          view={view}
          proposed={proposed}
          onClose={() => setProposed(null)}
        />
      )}
    </Box>
  )
}

/** What a mend does, on its button. */
function mendSaid(view: Curriculum, mend: Mend): string {
  switch (mend.kind) {
    case 'milestone':
      return 'both' in mend.evidence ? t('benchmarks-mend-points') : t('benchmarks-mend-milestone')
    case 'schedule':
      return t('benchmarks-mend-schedule', {
        when: daysOf(
          view,
          mend.sittings.map(({ session }) => session),
        ),
      })
    case 'move':
      return t('benchmarks-mend-move', { when: daysOf(view, [mend.to]) })
    case 'standard':
      return mend.from_results ? t('benchmarks-mend-from-results') : t('benchmarks-mend-standard')
    case 'goals':
      return t('benchmarks-mend-goal')
  }
}
