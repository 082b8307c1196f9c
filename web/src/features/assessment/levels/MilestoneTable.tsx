// Clubs and milestones: how many have each, and how sure that share is.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent, Figure } from '../../../ui/figures'
import { MilestoneHead } from '../../../ui/milestones'
import { ROW_NAME } from '../../../ui/placing'
import { ShareInterval } from './ShareInterval'

/** The head of a group of columns. */
function GroupHead({ span, says }: { span: number; says: string }) {
  return (
    <Box
      component="th"
      scope="colgroup"
      colSpan={span}
      sx={{ textAlign: 'left', borderBottom: 2, borderRight: 8, borderRightColor: 'transparent' }}
    >
      <Typography variant="body2" sx={{ fontWeight: 650, px: 0.5, whiteSpace: 'nowrap' }}>
        {says}
      </Typography>
    </Box>
  )
}

export function MilestoneTable({ shares }: { shares: Schemas['MilestoneShares'][] }) {
  const { floor } = useTheme()
  const clubs = [...new Set(shares.flatMap((each) => each.clubs.map((of) => of.club)))].sort((a, b) =>
    a.localeCompare(b),
  )
  const promised = shares.filter((each) => each.promised).length
  const name = { ...ROW_NAME, pr: 2, minWidth: 118 }
  return (
    <Box role="region" tabIndex={0} aria-label={t('board-scrolls')} sx={{ overflowX: 'auto' }}>
      <Box
        component="table"
        aria-label={t('levels-milestones')}
        sx={{
          borderCollapse: 'collapse',
          '& td, & th': { p: 0 },
          '& tbody tr': { borderTop: `1px solid ${floor.hair}` },
        }}
      >
        <thead>
          {promised > 0 && (
            <tr>
              <td />
              <GroupHead span={promised} says={t('levels-promised')} />
              {promised < shares.length && (
                <GroupHead span={shares.length - promised} says={t('levels-others')} />
              )}
            </tr>
          )}
          <tr>
            <Box component="th" scope="col" sx={{ ...name, verticalAlign: 'bottom' }}>
              <Typography variant="caption" color="text.secondary">
                {t('levels-club')}
              </Typography>
            </Box>
            {shares.map((each) => (
              <Box
                key={each.milestone}
                component="th"
                scope="col"
                title={each.says}
                sx={{ verticalAlign: 'bottom', fontWeight: 400, minWidth: 80 }}
              >
                <MilestoneHead short={each.short} stage={each.stage} strand={each.strand} />
              </Box>
            ))}
          </tr>
        </thead>
        <tbody>
          <tr>
            <Box component="th" scope="row" sx={{ ...name, fontWeight: 650 }}>
              {t('levels-all-clubs')}
            </Box>
            {shares.map((each) => (
              <ShareCell key={each.milestone} share={each.all} />
            ))}
          </tr>
          {clubs.map((club) => (
            <tr key={club}>
              <Box component="th" scope="row" sx={name}>
                {club}
              </Box>
              {shares.map((each) => (
                <ShareCell key={each.milestone} share={each.clubs.find((of) => of.club === club)?.share} />
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  )
}

function ShareCell({ share }: { share: Schemas['ShareOfPlayers'] | undefined }) {
  if (!share || share.of === 0)
    return (
      <Box component="td" sx={{ textAlign: 'center' }}>
        –
      </Box>
    )
  return (
    <Box component="td" sx={{ textAlign: 'center', py: '6px !important' }}>
      <Figure sx={{ fontSize: '1.15rem', fontWeight: 600, lineHeight: 1 }}>
        {asPercent(share.have / share.of)}
      </Figure>
      <Box sx={{ width: 64, mx: 'auto' }}>
        {share.interval && (
          <ShareInterval share={share.have / share.of} interval={share.interval} width={64} />
        )}
      </Box>
      <Typography component="div" variant="caption" color="text.secondary" sx={{ lineHeight: 1.1 }}>
        {t('levels-have', { n: share.have, of: share.of })}
      </Typography>
    </Box>
  )
}
