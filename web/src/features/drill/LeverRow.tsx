// The levers: what is set, what it makes of the drill, one up and one down.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { NumberField } from '../../ui/fields'
import { asNumber, Figure } from '../../ui/figures'
import { changes, LEVERS, type LeverName, SETTINGS, set, settingInWords, settingOf } from '../../ui/levers'
import { StageGlyph } from '../../ui/stages'
import { offeredBy } from './drill'
import type { Drill, Levers } from './queries'

interface Props {
  drill: Drill
  strand: Schemas['Strand']
  levers: Levers
  desk: Schemas['Looked']
  /** Whether every lever and setting shows, so that those which apply can be chosen. */
  offering: boolean
  success: number | null
  onSet: (levers: Levers) => void
  onOffer: (lever: LeverName, setting: string) => void
  onSuccess: (success: number | null) => void
}

export function LeverRow({
  drill,
  strand,
  levers,
  desk,
  offering,
  success,
  onSet,
  onOffer,
  onSuccess,
}: Props) {
  const shown = LEVERS.filter((lever) => offering || offeredBy(drill, lever).length > 0)
  const proposal = desk.proposal
  return (
    <Box role="group" aria-label={t('desk-levers')} sx={{ display: 'grid', gap: 0.75 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.25, flexWrap: 'wrap' }}>
        <Button
          disabled={!desk.one_down}
          onClick={() => desk.one_down && onSet(set(desk.one_down.levers))}
          title={desk.one_down ? changes(levers, desk.one_down.levers) : undefined}
        >
          {t('desk-one-down')}
        </Button>
        <Box
          role="status"
          aria-label={t('desk-rung')}
          sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}
        >
          <StageGlyph stage={desk.stage} strand={strand} />
          <Typography sx={{ fontWeight: 650 }}>{t(`stage-${desk.stage}`)}</Typography>
          <Figure sx={{ fontSize: '1.25rem', fontWeight: 600 }}>
            {t('desk-difficulty', { n: asNumber(desk.difficulty) })}
          </Figure>
        </Box>
        <Button
          disabled={!desk.one_up}
          onClick={() => desk.one_up && onSet(set(desk.one_up.levers))}
          title={desk.one_up ? changes(levers, desk.one_up.levers) : undefined}
        >
          {t('desk-one-up')}
        </Button>
        <Ladder ladder={desk.ladder} now={desk.difficulty} strand={strand} onSet={onSet} />
        <NumberField
          label={t('desk-success')}
          value={success}
          optional
          whole
          onChange={onSuccess}
          sx={{ width: 96 }}
        />
        {success !== null && (
          <Typography variant="body2">
            {proposal
              ? t('desk-proposes', {
                  lever: t(`lever-${proposal.lever}`),
                  setting: settingInWords(proposal.lever, settingOf(proposal.levers, proposal.lever)),
                  difficulty: asNumber(proposal.difficulty),
                })
              : t('desk-stays')}
            {proposal && (
              <Button size="small" variant="text" onClick={() => onSet(set(proposal.levers))}>
                {t('desk-do-so')}
              </Button>
            )}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 2.5, rowGap: 0.75 }}>
        {shown.map((lever) => (
          <Lever
            key={lever}
            lever={lever}
            drill={drill}
            levers={levers}
            offering={offering}
            onSet={onSet}
            onOffer={onOffer}
          />
        ))}
      </Box>
      {shown.length === 0 && <Typography variant="body2">{t('desk-no-levers')}</Typography>}
    </Box>
  )
}

interface LeverProps {
  lever: LeverName
  drill: Drill
  levers: Levers
  offering: boolean
  onSet: (levers: Levers) => void
  onOffer: (lever: LeverName, setting: string) => void
}

function Lever({ lever, drill, levers, offering, onSet, onOffer }: LeverProps) {
  const { floor } = useTheme()
  const offered = offeredBy(drill, lever)
  const settings = (SETTINGS[lever] as string[]).filter((setting) => offering || offered.includes(setting))
  return (
    <Box
      role="group"
      aria-label={t(`lever-${lever}`)}
      sx={{ display: 'flex', alignItems: 'center', gap: 0.75 }}
    >
      <Typography variant="body2" color="text.secondary">
        {t(`lever-${lever}`)}
      </Typography>
      <Box
        sx={{
          display: 'flex',
          border: `1px solid ${floor.hair}`,
          borderRadius: '2px',
          bgcolor: 'background.paper',
        }}
      >
        {settings.map((setting) => {
          const on = offering ? offered.includes(setting) : settingOf(levers, lever) === setting
          return (
            <ButtonBase
              key={setting}
              aria-pressed={on}
              onClick={() => (offering ? onOffer(lever, setting) : onSet({ ...levers, [lever]: setting }))}
              sx={{
                px: 0.9,
                minHeight: 28,
                font: 'inherit',
                fontSize: '0.88rem',
                bgcolor: on ? floor.ink : 'transparent',
                color: on ? floor.paper : floor.ink,
                '@media (pointer: coarse)': { minHeight: 44 },
              }}
            >
              {settingInWords(lever, setting)}
            </ButtonBase>
          )
        })}
      </Box>
    </Box>
  )
}

/** The sensible variants as rungs from easy to hard. */
function Ladder({
  ladder,
  now,
  strand,
  onSet,
}: {
  ladder: Schemas['Step'][]
  now: number
  strand: Schemas['Strand']
  onSet: (levers: Levers) => void
}) {
  const { floor } = useTheme()
  return (
    <Box
      role="group"
      aria-label={t('desk-ladder')}
      sx={{ display: 'flex', alignItems: 'flex-end', gap: 0.25 }}
    >
      {ladder.map((step, i) => (
        <ButtonBase
          key={i}
          aria-label={t('desk-rung-at', {
            stage: t(`stage-${step.stage}`),
            difficulty: asNumber(step.difficulty),
          })}
          aria-pressed={Math.abs(step.difficulty - now) < 1e-6}
          onClick={() => onSet(set(step.levers))}
          sx={{
            p: 0.25,
            minWidth: 24,
            minHeight: 28,
            borderBottom: `3px solid ${Math.abs(step.difficulty - now) < 1e-6 ? floor.ink : 'transparent'}`,
          }}
        >
          <StageGlyph stage={step.stage} strand={strand} />
        </ButtonBase>
      ))}
    </Box>
  )
}
