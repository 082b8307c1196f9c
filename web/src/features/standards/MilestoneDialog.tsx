// A new milestone that rests on a test: the sentence, how far the skill has come with it, and the evidence that meets it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Level, Schemas, Stage } from '../../api/client'
import { texts } from '../../texts/en'
import { NumberField, SelectCell, TextCell } from '../../ui/fields'
import { LEVELS } from '../../ui/levels'
import { ErrorNote } from '../../ui/notes'
import { STAGES } from '../../ui/stages'
import { usePutMilestone } from './queries'

interface Props {
  scale: Schemas['StandardsOfTest']
  band: Schemas['BandOnScale']
  onClose: () => void
}

const FEET: Schemas['Feet'][] = ['both', 'either', 'strong', 'other']
/** A name in files, made of a sentence. */
const named = (says: string, band: string) =>
  `${says
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, 36)}-${band}`.replace(/--+/g, '-')

export function MilestoneDialog({ scale, band, onClose }: Props) {
  const [says, setSays] = useState('')
  const [short, setShort] = useState('')
  const [stage, setStage] = useState<Stage>('flow')
  const [level, setLevel] = useState<Level>('secure')
  const [feet, setFeet] = useState<Schemas['Feet']>('both')
  const [times, setTimes] = useState(1)
  const [ofLast, setOfLast] = useState(2)
  const put = usePutMilestone(scale.test.id)
  const { test } = scale
  const seen = scale.protocol.kind === 'points'
  const words = texts.standards.making
  const keep = () => {
    const evidence: Schemas['Evidence'] = seen ? { seen: { test: test.id, days: times } } : { measured: { test: test.id, reach: { level }, feet, times, of_last: Math.max(times, ofLast) } }
    const id = named(says, band.id)
    put.mutate({ id, says: says.trim(), short: (short.trim() || says.trim()).slice(0, 24), skill: scale.skill, stage, band: band.id, evidence }, { onSuccess: onClose })
  }
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{words.title(band.name)}</DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <TextCell label={words.says} autoFocus value={says} onChange={setSays} placeholder={words.example} sx={{ mt: 1 }} />
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          <TextCell label={words.short} value={short} onChange={setShort} slotProps={{ htmlInput: { maxLength: 24 } }} />
          <SelectCell<Stage> label={words.stage} value={stage} options={STAGES.map((value) => ({ value, says: texts.stage[value] }))} onChange={(next) => next && setStage(next)} />
        </Box>
        <Typography variant="h3">{words.evidence}</Typography>
        <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(120px, 1fr))', gap: 2 }}>
          {!seen && <SelectCell<Level> label={words.level} value={level} options={LEVELS.slice(1).map((value) => ({ value, says: texts.level[value] }))} onChange={(next) => next && setLevel(next)} />}
          {!seen && test.per_side && <SelectCell<Schemas['Feet']> label={words.feet} value={feet} options={FEET.map((value) => ({ value, says: words.foot[value] }))} onChange={(next) => next && setFeet(next)} />}
          <NumberField label={seen ? words.days : words.times} whole value={times} onChange={(n) => n !== null && n >= 1 && n <= 20 && setTimes(n)} />
          {!seen && <NumberField label={words.ofLast} whole value={ofLast} onChange={(n) => n !== null && n >= 1 && n <= 20 && setOfLast(n)} />}
        </Box>
        {put.isError && <ErrorNote error={put.error} />}
        <Box sx={{ display: 'flex', gap: 1 }}>
          <Button variant="contained" disabled={says.trim() === '' || put.isPending} onClick={keep}>
            {words.keep}
          </Button>
          <Button variant="text" onClick={onClose}>
            {texts.cancel}
          </Button>
        </Box>
      </DialogContent>
    </Dialog>
  )
}
