// What came off decides how hard the next block of a skill is: what is proposed is one tap away, and so is the rest.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asLongDay } from '../../../ui/figures'
import { changes } from '../../../ui/levers'
import type { BlockLog, BlockName, SessionLog } from './log'

/** Of ten tries this many came off. */
const TENTHS = ['3', '5', '7', '8', '9', '10'] as const

interface Props {
  log: SessionLog
  /** The block, and what was said of it. */
  name: BlockName
  title: string
  said: BlockLog
  /** Once it is decided only that is shown. */
  brief?: boolean
}

/** How many of ten came off, and what follows for the next time. */
export function CameOffAt({ log, name, title, said, brief }: Props) {
  const coming = log.comingAfter(name)
  const decided = log.decidedAfter(name)
  const tenths = said.success == null ? undefined : TENTHS.find((each) => Number(each) * 10 === said.success)
  return (
    <>
      {!(brief && decided) && (
        <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 0.75 }}>
          <Typography variant="body2">{t('log-came-off')}</Typography>
          <Choice
            label={`${title}: ${t('log-came-off')}`}
            options={TENTHS}
            chosen={tenths ? [tenths] : []}
            says={(each) => each}
            onToggle={(each) =>
              log.say(name, { ...said, success: each === tenths ? null : Number(each) * 10 })
            }
          />
        </Box>
      )}
      {coming && said.success != null && (
        <NextTime
          coming={coming}
          proposed={coming.by_tenths[Math.round(said.success / 10)] ?? 'same'}
          decided={decided}
          onDecide={(next) => log.decide(name, next)}
        />
      )}
    </>
  )
}

const STEPS = ['one_down', 'same', 'one_up'] as const

function NextTime({
  coming,
  proposed,
  decided,
  onDecide,
}: {
  coming: Schemas['Coming']
  proposed: Schemas['NextTime']
  decided: Schemas['NextTime'] | undefined
  onDecide: (next: Schemas['NextTime']) => void
}) {
  const [changing, setChanging] = useState(false)
  const day = asLongDay(coming.date)
  const there = STEPS.filter((step) => step === 'same' || coming[step])
  const first = there.includes(proposed) ? proposed : 'same'
  const take = (step: Schemas['NextTime']) => {
    setChanging(false)
    onDecide(step)
  }
  if (decided && !changing)
    return (
      <Box role="status" sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', columnGap: 1 }}>
        <Typography variant="body2">
          ✓ {day}, {coming.title}: <b>{t(`next-time-${decided}`)}</b>
          {decided !== 'same' && ` (${settingOf(coming, decided)})`}
        </Typography>
        <Button variant="text" size="small" onClick={() => setChanging(true)}>
          {t('next-time-change')}
        </Button>
      </Box>
    )
  return (
    <Box role="group" aria-label={t('next-time')} sx={{ display: 'grid', gap: 0.5 }}>
      <Typography variant="body2">
        {t('next-time-of', { day, drill: coming.title })}
        {first !== proposed && proposed !== 'same' && ` ${t(`next-time-no-${proposed}`)}`}
      </Typography>
      <Box sx={{ display: 'flex', gap: 1 }}>
        {there.map((step) => (
          <Button
            key={step}
            variant={step === first ? 'contained' : 'outlined'}
            onClick={() => take(step)}
            sx={{ flex: 1, minHeight: 48, display: 'block', px: 0.75, py: 0.5, lineHeight: 1.15 }}
          >
            <Box component="span" sx={{ display: 'block', fontWeight: 700 }}>
              {t(`next-time-${step}`)}
            </Box>
            {step !== 'same' && (
              <Box component="span" sx={{ display: 'block', fontSize: '0.8rem', fontWeight: 400 }}>
                {settingOf(coming, step)}
              </Box>
            )}
          </Button>
        ))}
      </Box>
    </Box>
  )
}

/** What a step changes, in words. */
function settingOf(coming: Schemas['Coming'], step: 'one_down' | 'one_up') {
  const setting = coming[step]
  return (
    changes(coming.planned.levers, setting?.levers ?? {}) ||
    t(`stage-${setting?.stage ?? coming.planned.stage}`)
  )
}
