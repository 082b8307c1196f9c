// The squad: who can do what, who does what next week, the latest results, and the list they come from.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MuiLink from '@mui/material/Link'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asResult, Figure } from '../../../ui/figures'
import { LevelSteps } from '../../../ui/levels'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useTeam } from '../../frame/team'
import { Handover } from './Handover'
import { LeftPlayers } from './LeftPlayers'
import { useSquad } from './queries'
import { RosterImport } from './RosterImport'
import { SquadBoard } from './SquadBoard'

const VIEWS = ['board', 'groups', 'list', 'handover'] as const

export function SquadPage() {
  const team = useTeam()
  const squad = useSquad(team.id)
  const [address, setAddress] = useSearchParams()
  const view = VIEWS.find((each) => each === address.get('view')) ?? 'board'
  const [loading, setLoading] = useState(false)
  const [added, setAdded] = useState<number | null>(null)
  if (squad.isError && !squad.data) return <ErrorNote error={squad.error} />
  if (!squad.data) return <Loading />
  const { players, tests } = squad.data
  return (
    <Box sx={{ p: 1.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, mb: 1 }}>
        <Typography variant="h2" component="h1" sx={{ flex: 1 }}>
          {t('squad-title', { n: players.length })}
        </Typography>
        {players.length > 0 && (
          <Button component={Link} to="/squad/home" variant="text">
            {t('home-title')}
          </Button>
        )}
        {!loading && <Button onClick={() => setLoading(true)}>{t('squad-load')}</Button>}
      </Box>
      {added !== null && <Typography role="status">{t('squad-added', { n: added })}</Typography>}
      {players.length === 0 && !loading && <Typography>{t('squad-none')}</Typography>}
      {loading && (
        <RosterImport
          team={team.id}
          onClose={(n) => {
            setLoading(false)
            setAdded(n)
          }}
        />
      )}
      {players.length > 0 && (
        <Box sx={{ mb: 1.5 }}>
          <Choice
            label={t('board-view')}
            options={VIEWS}
            chosen={[view]}
            says={(each) => t(`board-views-${each}`)}
            onToggle={(each) => setAddress({ view: each }, { replace: true })}
          />
        </Box>
      )}
      {players.length > 0 && (view === 'board' || view === 'groups') && (
        <SquadBoard team={team.id} view={view} coaching toPlayer={(player) => `/squad/${player}`} />
      )}
      {players.length > 0 && view === 'handover' && <Handover team={team.id} />}
      {players.length > 0 && view === 'list' && (
        <>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {t('squad-export')} <MuiLink href={`/api/v1/teams/${team.id}/roster?form=csv`}>{'CSV'}</MuiLink> ·{' '}
            <MuiLink href={`/api/v1/teams/${team.id}/roster?form=xlsx`}>{'XLSX'}</MuiLink> ·{' '}
            <MuiLink component={Link} to={`/print/progress/${team.id}`}>
              {t('board-progress-sheets')}
            </MuiLink>
          </Typography>
          {players.map((player) => (
            <PlayerRow key={player.id} player={player} tests={tests} />
          ))}
        </>
      )}
      <LeftPlayers team={team.id} />
    </Box>
  )
}

function PlayerRow({ player, tests }: { player: Schemas['PlayerView']; tests: Schemas['TestView'][] }) {
  const { floor } = useTheme()
  return (
    <Box sx={{ borderTop: `1px solid ${floor.hair}`, py: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography sx={{ fontWeight: 650, flex: 1 }}>{player.name}</Typography>
        <Typography variant="body2" color="text.secondary">
          {t('squad-strong', { side: player.strong_foot })} · {t('squad-born')} {player.birth_month}
        </Typography>
      </Box>
      {player.latest.length === 0 ? (
        <Typography variant="body2" color="text.secondary">
          {t('squad-no-results')}
        </Typography>
      ) : (
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: 'repeat(auto-fill, minmax(270px, 1fr))',
            columnGap: 4,
            mt: 0.5,
          }}
        >
          {tests.map((test) => (
            <TestResults
              key={test.id}
              test={test}
              results={player.latest.filter((r) => r.test === test.id)}
            />
          ))}
        </Box>
      )}
    </Box>
  )
}

function TestResults({ test, results }: { test: Schemas['TestView']; results: Schemas['ResultView'][] }) {
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 24 }}>
      <Typography variant="body2" color="text.secondary" sx={{ width: 92 }} title={test.name}>
        {test.short}
      </Typography>
      {results.length === 0 && <Typography variant="body2">–</Typography>}
      {results.map((result) => (
        <Box key={result.side ?? ''} sx={{ display: 'flex', alignItems: 'center', gap: 0.75, width: 86 }}>
          <LevelSteps level={result.level} size={16} />
          <Figure sx={{ fontSize: '1.1rem', whiteSpace: 'nowrap' }}>
            {result.side && (
              <Box component="span" sx={{ color: 'text.secondary' }}>
                {result.side === 'left' ? t('test-left') : t('test-right')}{' '}
              </Box>
            )}
            {asResult(result.value)}
            {test.unit && ` ${test.unit}`}
          </Figure>
        </Box>
      ))}
    </Box>
  )
}
