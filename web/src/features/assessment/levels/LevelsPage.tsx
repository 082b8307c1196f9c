// Levels: clubs side by side, by milestones and by tests.

import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useQuery } from '@tanstack/react-query'
import { useSearchParams } from 'react-router'
import { api, data } from '../../../api/client'
import { useTranslated } from '../../../texts/phrases'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { LEVELS, LevelSteps } from '../../../ui/levels'
import { Empty, ErrorNote, Loading, NothingYet } from '../../../ui/notes'
import { useBands } from '../../drill/queries'
import { assessmentKeys } from '../keys'
import { MilestoneTable } from './MilestoneTable'
import { TestClubs } from './TestClubs'

const VIEWS = ['milestones', 'tests'] as const

export function LevelsPage() {
  const [address, setAddress] = useSearchParams()
  const known = useBands()
  const bands = known.data ?? []
  // The one in the middle, as long as nobody chooses.
  const band = address.get('band') ?? bands[Math.floor((bands.length - 1) / 2)]?.band.id
  const view = address.get('view') === 'tests' ? 'tests' : 'milestones'
  const change = (key: string, value: string) =>
    setAddress((old) => {
      old.set(key, value)
      return old
    })
  if (known.isError) return <ErrorNote error={known.error} />
  if (known.isPending) return <Loading />
  if (!band) return <NothingYet>{t('levels-no-bands')}</NothingYet>
  return (
    <Box sx={{ p: 2 }}>
      <Typography variant="h1">{t('levels-title')}</Typography>
      <Typography color="text.secondary" sx={{ mb: 1.5 }}>
        {t(`levels-about-${view}`)}
      </Typography>
      <Box sx={{ mb: 2, display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1 }}>
        <Choice
          label={t('levels-band')}
          options={bands.map((each) => each.band.id)}
          chosen={[band]}
          says={(id) => bands.find((each) => each.band.id === id)?.band.name ?? id}
          onToggle={(id) => change('band', id)}
        />
        <Choice
          label={t('levels-view')}
          options={VIEWS}
          chosen={[view]}
          says={(each) => t(`levels-views-${each}`)}
          onToggle={(each) => change('view', each)}
        />
      </Box>
      {view === 'milestones' ? <Milestones band={band} /> : <Tests band={band} />}
    </Box>
  )
}

function Milestones({ band }: { band: string }) {
  const shares = useQuery({
    queryKey: assessmentKeys.levels('milestones', band),
    queryFn: () => data(api.GET('/levels/milestones', { params: { query: { band } } })),
    select: useTranslated(),
  })
  if (shares.isError) return <ErrorNote error={shares.error} />
  if (!shares.data) return <Loading />
  if (shares.data.length === 0) return <Empty>{t('board-empty')}</Empty>
  if (shares.data.every((each) => each.clubs.length === 0)) return <Empty>{t('levels-none')}</Empty>
  return <MilestoneTable shares={shares.data} />
}

function Tests({ band }: { band: string }) {
  const levels = useQuery({
    queryKey: assessmentKeys.levels('tests', band),
    queryFn: () => data(api.GET('/levels', { params: { query: { band } } })),
    select: useTranslated(),
  })
  if (levels.isError) return <ErrorNote error={levels.error} />
  if (!levels.data) return <Loading />
  if (levels.data.every((t) => t.clubs.length === 0)) return <Empty>{t('levels-none')}</Empty>
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 0.5, mb: 2 }}>
        {LEVELS.map((level) => (
          <Box key={level} sx={{ display: 'flex', gap: 0.75, alignItems: 'center' }}>
            <LevelSteps level={level} />
            <Typography variant="body2">{t(`level-${level}`)}</Typography>
          </Box>
        ))}
      </Box>
      <Box
        sx={{
          maxWidth: 1240,
          display: 'grid',
          gridTemplateColumns: 'repeat(auto-fit, minmax(min(560px, 100%), 1fr))',
          columnGap: 5,
          rowGap: 3,
        }}
      >
        {levels.data.map((entry) => (
          <TestClubs key={entry.test.id} entry={entry} />
        ))}
      </Box>
    </>
  )
}
