// Practice at home, for a child with a ball and a phone: no sign-in, no names, one drill after the other with its
// clock.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useParams } from 'react-router'
import { ProblemError, type Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { cautionsSaid, Points } from '../../../ui/block'
import { ErrorNote, Loading } from '../../../ui/notes'
import { BlockPicture } from '../../../ui/score/BlockPicture'
import { Chain } from '../../../ui/score/Chain'
import { StrandSwatch } from '../../../ui/strands'
import { BlockClock } from '../today/BlockClock'
import { useHomePage } from './queries'

const CARD = {
  bgcolor: 'background.paper',
  border: 1,
  borderColor: 'divider',
  p: 1.5,
  mb: 2,
  display: 'grid',
  gap: 1,
} as const

export function HomePage() {
  const { token = '' } = useParams()
  const page = useHomePage(token)
  const card = page.data?.card
  // Without network the page stays as it was; who has another address by now is told so.
  const gone = page.error instanceof ProblemError && page.error.status === 404
  return (
    <Box component="main" sx={{ maxWidth: 520, mx: 'auto', px: 2, py: 2 }}>
      {page.isPending && <Loading />}
      {page.isError && !gone && !page.data && <ErrorNote error={page.error} />}
      {gone && (
        <>
          <Typography variant="h1">{t('home-gone')}</Typography>
          <Typography>{t('home-ask-coach')}</Typography>
        </>
      )}
      {page.data && !gone && (
        <>
          <Typography color="text.secondary">
            {page.data.team} · {page.data.academy}
          </Typography>
          <Typography variant="h1" sx={{ mb: 0.5 }}>
            {t('home-title')}
          </Typography>
          {card && card.drills.length > 0 ? (
            <>
              <Typography sx={{ mb: 2 }}>{t('home-how')}</Typography>
              {card.drills.map((drill, i) => (
                <Drill
                  key={drill.drill}
                  drill={drill}
                  nth={i + 1}
                  week={card.week}
                  challenge={i === card.challenge ? card.challenge_s : null}
                />
              ))}
              {card.chain && <HomeChain chain={card.chain} />}
              <Typography variant="body2" color="text.secondary">
                {t('session-caution-tail')} {t('home-grown-up')}
              </Typography>
            </>
          ) : (
            <Typography>{t('home-nothing')}</Typography>
          )}
        </>
      )}
    </Box>
  )
}

function Drill({
  drill,
  nth,
  week,
  challenge,
}: {
  drill: Schemas['HomeDrill']
  nth: number
  week: number
  challenge: number | null
}) {
  return (
    <Box component="section" aria-label={drill.title} sx={CARD}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {nth}. {drill.title}
        </Typography>
        <StrandSwatch strand={drill.strand} width={28} />
        <Typography sx={{ fontWeight: 650 }}>{t('minutes', { n: drill.minutes })}</Typography>
      </Box>
      <BlockPicture block={drill} height={200} first="feet" />
      <BlockClock block={drill} name={`home.${drill.drill}.${week}`} />
      <Points points={drill.points} />
      <Typography variant="body2">{drill.foot ? t(`home-foot-${drill.foot}`) : t('home-feet')}</Typography>
      <Needs drill={drill} />
      {challenge !== null && (
        <Typography sx={{ borderLeft: 4, pl: 1, fontWeight: 650 }}>
          {t('home-challenge', { seconds: challenge })}
        </Typography>
      )}
    </Box>
  )
}

/** Moves that the squad has met, one going on where the other ends. */
function HomeChain({ chain }: { chain: Schemas['ChainToTry'] }) {
  const title = t('home-chain', { n: chain.links.length })
  return (
    <Box component="section" aria-label={title} sx={CARD}>
      <Typography variant="h2">{title}</Typography>
      <Chain chain={chain} title={title} height={200} />
    </Box>
  )
}

/** Floor, what does instead of kit, and what could hurt. */
export function Needs({ drill }: { drill: Schemas['HomeDrill'] }) {
  return (
    <Typography variant="body2" color="text.secondary" component="div">
      {t('home-floor', { width: drill.space.width_m, depth: drill.space.depth_m })}
      {drill.stand_ins.map((each) => ` ${t('home-instead', { kit: each.kit, instead: each.instead })}`)}
      {drill.cautions.length > 0 && (
        <Box sx={{ color: 'text.primary' }}>
          <strong>{t('session-cautions')}:</strong> {cautionsSaid(drill.cautions)}
        </Box>
      )}
    </Typography>
  )
}
