// What a new academy does one after another, until its first plan is out. Every step can be left and come back to.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { ErrorNote, Loading } from '../../../ui/notes'
import { COLUMN } from '../../../ui/placing'
import { useStarter, useSteps, useTakeStarter } from './queries'

type Step = Schemas['BeginningStep']
type Part = Schemas['StarterPart']

/** Where each step is done. */
const PLACES: Record<Step, string> = {
  bands: '/drills/bands',
  library: '/drills',
  teams: '/clubs',
  coaches: '/clubs',
  curriculum: '/plan/new',
  edition: '/plan',
}

export function BeginningPage() {
  const steps = useSteps(true)
  // Most begin with the library that comes with Jogo: as long as it is offered, nothing else is.
  const offered = useStarter().data?.some((part) => part.missing > 0) ?? true
  if (steps.isError) return <ErrorNote error={steps.error} />
  if (!steps.data) return <Loading />
  const left = steps.data.steps.filter((step) => !step.done)
  return (
    <Box sx={{ p: 2, minHeight: 0, ...COLUMN }}>
      <Box sx={{ maxWidth: 760 }}>
        <Typography variant="h1">{t('begin-steps', { n: left.length })}</Typography>
        <Typography color="text.secondary">{t('begin-steps-about')}</Typography>
        <StarterLibrary />
        <Box component="ol" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {steps.data.steps.map((step) => (
            <StepLine key={step.step} {...step} next={!offered && step === left[0]} />
          ))}
        </Box>
      </Box>
    </Box>
  )
}

function StepLine({ step, done, next }: Schemas['ToDo'] & { next: boolean }) {
  return (
    <Box
      component="li"
      sx={{ display: 'flex', gap: 2, alignItems: 'center', py: 1.25, borderTop: 1, borderColor: 'divider' }}
    >
      <Box sx={{ flex: 1 }}>
        <Typography sx={{ fontWeight: 600 }} color={done ? 'text.secondary' : undefined}>
          {t(`begin-step-${step}`)}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {done ? t('begin-step-done') : t(`begin-how-${step}`)}
        </Typography>
      </Box>
      <Button component={Link} to={PLACES[step]} variant={next ? 'contained' : 'text'}>
        {done ? t('begin-look') : t(`begin-do-${step}`)}
      </Button>
    </Box>
  )
}

/** The library that comes with Jogo: whole, in part, or not at all. */
function StarterLibrary() {
  const starter = useStarter()
  const take = useTakeStarter()
  const [without, setWithout] = useState<Part[]>([])
  if (starter.isError) return <ErrorNote error={starter.error} />
  const missing = (starter.data ?? []).filter((part) => part.missing > 0)
  if (missing.length === 0) return <Box sx={{ height: 16 }} />
  const wanted = missing.map(({ part }) => part).filter((part) => !without.includes(part))
  // What a wanted part rests on comes with it.
  const needed = missing.filter(({ part }) => wanted.includes(part)).flatMap((part) => part.rests_on)
  const toggle = (part: Part) =>
    setWithout(without.includes(part) ? without.filter((each) => each !== part) : [...without, part])
  return (
    <Box
      component="section"
      aria-label={t('begin-starter')}
      sx={{ my: 2, p: 2, bgcolor: 'background.paper', border: 1, borderColor: 'divider' }}
    >
      <Typography variant="h2">{t('begin-starter')}</Typography>
      <Typography color="text.secondary">{t('begin-starter-about')}</Typography>
      <Box sx={{ display: 'grid', my: 1 }}>
        {missing.map(({ part, pieces, missing: lacks }) => (
          <FormControlLabel
            key={part}
            disabled={needed.includes(part)}
            control={
              <Checkbox
                checked={wanted.includes(part) || needed.includes(part)}
                onChange={() => toggle(part)}
              />
            }
            label={t(`begin-part-${part}`, { lacks, pieces })}
          />
        ))}
      </Box>
      {take.isError && <ErrorNote error={take.error} />}
      <Button
        variant="contained"
        disabled={take.isPending || wanted.length === 0}
        onClick={() => take.mutate(wanted)}
      >
        {t('begin-take')}
      </Button>
    </Box>
  )
}
