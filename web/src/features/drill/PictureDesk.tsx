// What a drill looks like, in its two notations: what is laid on the ground, and what the feet do.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { SelectCell } from '../../ui/fields'
import { GroundOrFeet, type Picture } from '../../ui/score/GroundOrFeet'
import { ScoreDesk } from '../technique/ScoreDesk'
import { LayoutDesk } from './LayoutDesk'
import { type Drill, useSkills } from './queries'

interface Props {
  drill: Drill
  desk: Schemas['Looked'] | undefined
  band: string | undefined
  onChange: (change: Partial<Drill>) => void
}

export function PictureDesk({ drill, desk, band, onChange }: Props) {
  const [shown, setShown] = useState<Picture>('ground')
  return (
    <Box sx={{ display: 'grid', gap: 1, minWidth: 0 }}>
      <GroundOrFeet shown={shown} onShow={setShown} />
      {shown === 'ground' ? (
        <LayoutDesk drill={drill} desk={desk} onChange={(layout) => onChange({ layout })} />
      ) : (
        <FeetDesk drill={drill} band={band} onChange={onChange} />
      )}
    </Box>
  )
}

type ChainLength = (typeof CHAIN_LENGTHS)[number]
const CHAIN_LENGTHS = ['2', '3', '4'] as const

/** The drill's own score, or that of the skill that leads it. */
function FeetDesk({ drill, band, onChange }: Omit<Props, 'desk'>) {
  const skills = useSkills()
  const led = drill.serves.map((each) => skills.data?.find((skill) => skill.id === each.skill)?.score)
  const ofSkill = led.find((score) => score != null) ?? ''
  const own = drill.score ?? null
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        {own === null ? (
          <>
            <Typography variant="body2" color="text.secondary" sx={{ flex: 1, minWidth: 220 }}>
              {ofSkill ? t('score-of-skill') : t('score-none')}
            </Typography>
            <Button
              size="small"
              onClick={() => onChange({ score: ofSkill || 'right inside tap, left inside tap' })}
            >
              {t('score-own')}
            </Button>
          </>
        ) : (
          <Button size="small" onClick={() => onChange({ score: null })}>
            {t('score-remove')}
          </Button>
        )}
      </Box>
      {(own !== null || ofSkill) && (
        <ScoreDesk
          title={drill.title}
          text={own ?? ofSkill}
          band={band}
          readOnly={own === null}
          onChange={(score) => onChange({ score })}
        />
      )}
      <SelectCell<ChainLength>
        label={t('desk-own-chain')}
        sx={{ maxWidth: 280, mt: 1 }}
        none={t('desk-own-chain-none')}
        value={(drill.own_chain?.toString() ?? '') as ChainLength | ''}
        options={CHAIN_LENGTHS.map((n) => ({ value: n, says: t('desk-own-chain-of', { n: Number(n) }) }))}
        onChange={(n) => onChange({ own_chain: n === '' ? null : Number(n) })}
      />
    </>
  )
}
