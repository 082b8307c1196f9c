// What a coach hands out for practice at home, and what comes back.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { t } from '../../../texts/t'
import { LinkField } from '../../../ui/LinkField'
import { NumberCell } from '../../../ui/NumberCell'
import { ErrorNote, Loading } from '../../../ui/notes'
import { useSquad } from '../../assessment/squad/queries'
import { useTeam } from '../../frame/team'
import { useSession } from '../../people/session'
import { useHandout, useReport } from './queries'

export function HandoutPage() {
  const team = useTeam()
  const handout = useHandout(team.id)
  const players = useSquad(team.id).data?.players ?? []
  const today = useSession().data?.today ?? ''
  const { report, renew } = useReport(team.id)
  if (handout.isError && !handout.data) return <ErrorNote error={handout.error} />
  if (!handout.data) return <Loading />
  const { card, code, path, reported } = handout.data
  const challenge = card && card.challenge != null ? card.drills[card.challenge] : undefined
  return (
    <Box sx={{ p: 1.5, display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1 }}>
        <Typography variant="h2" component="h1" sx={{ flex: 1 }}>
          {t('home-title')}
        </Typography>
        <Button component={Link} to={`/print/home/${team.id}`}>
          {t('home-paper')}
        </Button>
      </Box>
      {!card || card.drills.length === 0 ? (
        <Typography>{t('home-nothing')}</Typography>
      ) : (
        <Typography>
          {card.drills.map((drill) => `${drill.title} (${t('minutes', { n: drill.minutes })})`).join(' · ')}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Box
          role="img"
          aria-label={t('home-code')}
          sx={{ lineHeight: 0, '& svg': { width: 148, height: 148 } }}
          dangerouslySetInnerHTML={{ __html: code }}
        />
        <Box sx={{ flex: '1 1 260px', display: 'grid', gap: 1 }}>
          <Typography variant="body2">{t('home-hand-out')}</Typography>
          <LinkField path={path} />
          <Button
            size="small"
            variant="text"
            disabled={renew.isPending}
            onClick={() => renew.mutate()}
            sx={{ justifySelf: 'start' }}
          >
            {t('home-renew')}
          </Button>
        </Box>
      </Box>
      {challenge && (
        <Box component="section" aria-label={t('home-came')}>
          <Typography variant="h2">{t('home-came')}</Typography>
          <Typography variant="body2" color="text.secondary">
            {t('home-came-about', { drill: challenge.title, seconds: card?.challenge_s ?? 30 })}
          </Typography>
          {(report.isError || renew.isError) && <ErrorNote error={report.error ?? renew.error} />}
          {players.map((player) => {
            const said = reported.find((each) => each.player === player.id && each.drill === challenge.drill)
            return (
              <Box
                key={player.id}
                sx={{
                  display: 'flex',
                  alignItems: 'center',
                  gap: 1,
                  borderBottom: 1,
                  borderColor: 'divider',
                  minHeight: 48,
                }}
              >
                <Typography sx={{ flex: 1 }}>{player.name}</Typography>
                {said && (
                  <Typography variant="body2" color="text.secondary">
                    {t('home-self-reported')}
                  </Typography>
                )}
                <NumberCell
                  label={t('home-best-of', { name: player.name })}
                  value={said?.best ?? null}
                  least={0}
                  most={1000}
                  saving={report.isPending && report.variables.player === player.id}
                  onCommit={(best) =>
                    report.mutate({ player: player.id, drill: challenge.drill, day: today, best })
                  }
                />
              </Box>
            )
          })}
        </Box>
      )}
    </Box>
  )
}
