// Practice at home on paper: two cards on a page, one for each player, with room for scores.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useParams } from 'react-router'
import type { Schemas } from '../../../api/client'
import { doseSaid } from '../../../texts/said'
import { t } from '../../../texts/t'
import { Empty, ErrorNote, Loading } from '../../../ui/notes'
import { Sheets } from '../../../ui/Sheets'
import { PaperPicture } from '../../../ui/score/PaperPicture'
import { SeriesOnPaper } from '../../../ui/series'
import { useSquad } from '../../assessment/squad/queries'
import { Needs } from './HomePage'
import { useHandout } from './queries'

const DAYS = 5

/** Room for a strip and a picture of each of eight beats, in pixels. */
const PICTURE = 120

export function PrintHome() {
  const { team = '' } = useParams()
  const handout = useHandout(team)
  const squad = useSquad(team)
  const failed = [handout, squad].find((each) => each.isError && !each.data)
  if (failed) return <ErrorNote error={failed.error} />
  if (!handout.data || !squad.data) return <Loading />
  const { card, code, own_cards } = handout.data
  const cardOf = (player: string) => own_cards.find((own) => own.player === player)?.card ?? card
  return (
    <Sheets title={t('home-title')}>
      {!card || card.drills.length === 0 ? (
        <Empty>{t('home-nothing')}</Empty>
      ) : (
        squad.data.players.map((player) => (
          <HomeCard key={player.id} player={player} card={cardOf(player.id) ?? card} code={code} />
        ))
      )}
    </Sheets>
  )
}

function HomeCard({
  player,
  card,
  code,
}: {
  player: Schemas['PlayerView']
  card: Schemas['HomeCard']
  code: string
}) {
  const other = player.strong_foot === 'left' ? 'right' : 'left'
  return (
    <Box
      component="article"
      aria-label={player.name}
      sx={{
        bgcolor: 'background.paper',
        color: 'text.primary',
        width: '190mm',
        height: '134mm',
        p: '5mm',
        overflow: 'hidden',
        display: 'flex',
        flexDirection: 'column',
        gap: 0.75,
        border: 1,
        borderColor: 'divider',
        '@media print': { border: 0, borderBottom: '1px dashed', p: '3mm 0', breakInside: 'avoid' },
      }}
    >
      <Box sx={{ display: 'flex', alignItems: 'flex-start', gap: 2 }}>
        <Box sx={{ flex: 1 }}>
          <Typography variant="h1" component="h2">
            {player.name}
          </Typography>
          <Typography variant="body2">
            {t('home-title')} · {t('plan-week', { n: card.week })} · {t('home-begin-with', { side: other })}
          </Typography>
        </Box>
        <Box
          aria-hidden
          sx={{ lineHeight: 0, '& svg': { width: '20mm', height: '20mm' } }}
          dangerouslySetInnerHTML={{ __html: code }}
        />
      </Box>
      <Box
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: `repeat(${card.drills.length}, minmax(0, 1fr))`,
          gap: '4mm',
        }}
      >
        {card.drills.map((drill, i) => (
          <Box
            key={drill.drill}
            component="section"
            sx={{ borderTop: 1, pt: 0.5, display: 'flex', flexDirection: 'column', gap: 0.5, minHeight: 0 }}
          >
            <Typography sx={{ fontWeight: 700, lineHeight: 1.1, fontSize: 13 }}>
              {drill.title} · {t('minutes', { n: drill.minutes })}
            </Typography>
            <Typography variant="caption">{doseSaid(drill)}</Typography>
            <SeriesOnPaper series={drill.series} />
            <PaperPicture block={drill} height={PICTURE} />
            <Box component="ol" sx={{ m: 0, pl: 2, fontSize: 11, lineHeight: 1.2 }}>
              {drill.points.slice(0, 3).map((point) => (
                <li key={point}>{point}</li>
              ))}
            </Box>
            <Box sx={{ '& *': { fontSize: '10px !important', lineHeight: 1.2 } }}>
              <Needs drill={drill} />
            </Box>
            {i === card.challenge && (
              <Typography sx={{ fontSize: 11, fontWeight: 700 }}>
                {t('home-challenge', { seconds: card.challenge_s })}
              </Typography>
            )}
          </Box>
        ))}
      </Box>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: `auto repeat(${DAYS}, 1fr)`, border: 1, fontSize: 11 }}
      >
        <Box sx={{ p: 0.5, pr: 1.5 }}>{t('home-scores')}</Box>
        {Array.from({ length: DAYS }, (_, day) => (
          <Box key={day} sx={{ borderLeft: 1, minHeight: '10mm' }} />
        ))}
      </Box>
      <Typography variant="caption">{t('session-caution-tail')}</Typography>
    </Box>
  )
}
