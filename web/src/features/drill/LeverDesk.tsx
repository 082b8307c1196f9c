// The levers of a drill: set to see what they do, offered to those who run it, and kept as rungs of its ladder.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import { useState } from 'react'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { LEVERS, type LeverName } from '../../ui/levers'
import { offeredBy } from './drill'
import { LeverRow } from './LeverRow'
import type { Drill, Levers } from './queries'

interface Props {
  drill: Drill
  desk: Schemas['Looked']
  levers: Levers
  success: number | null
  onLevers: (levers: Levers) => void
  onSuccess: (success: number | null) => void
  onChange: (next: Partial<Drill>) => void
}

export function LeverDesk({ drill, desk, levers, success, onLevers, onSuccess, onChange }: Props) {
  const { floor } = useTheme()
  const [offering, setOffering] = useState(false)
  const offer = (lever: LeverName, setting: string) => {
    const offered = offeredBy(drill, lever)
    const next = offered.includes(setting)
      ? offered.filter((other) => other !== setting)
      : [...offered, setting]
    onChange({ levers: { ...drill.levers, [lever]: next } })
  }
  return (
    <Box sx={{ borderTop: `1px solid ${floor.hair}`, pt: 1.25 }}>
      <LeverRow
        {...{ drill, levers, desk, offering, success, onSuccess }}
        strand={desk.strand}
        onSet={onLevers}
        onOffer={offer}
      />
      <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
        <Button variant="text" size="small" aria-pressed={offering} onClick={() => setOffering(!offering)}>
          {offering ? t('desk-offered') : t('desk-offer')}
        </Button>
        <RungButton drill={drill} levers={levers} onChange={onChange} />
      </Box>
    </Box>
  )
}

/** The settings as they stand become a rung of the ladder, or are one no longer. */
function RungButton({
  drill,
  levers,
  onChange,
}: {
  drill: Drill
  levers: Levers
  onChange: (next: Partial<Drill>) => void
}) {
  const same = (other: Levers) => LEVERS.every((lever) => other[lever] === levers[lever])
  const is = drill.rungs.some((rung) => same(rung.levers))
  const rungs = is ? drill.rungs.filter((rung) => !same(rung.levers)) : [...drill.rungs, { levers }]
  return (
    <Button
      variant="text"
      size="small"
      onClick={() => onChange({ rungs })}
      disabled={is && drill.rungs.length === 1}
    >
      {is ? t('desk-no-rung') : t('desk-make-rung')}
    </Button>
  )
}
