// A test as it is written: what is measured, how it is taken, and which values can be true.
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import FormControlLabel from '@mui/material/FormControlLabel'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import type { Schemas } from '../../../api/client'
import { LONGEST } from '../../../api/limits'
import { nameFor } from '../../../api/naming'
import { t } from '../../../texts/t'
import { NumberField, SelectCell, TextCell } from '../../../ui/fields'
import { useSkills } from '../../drill/queries'
import { CountedFields } from './CountedFields'
import { KeepRow } from './KeepRow'
import { useDropTest, usePutTest } from './queries'

type Test = Schemas['Test']
type Protocol = Schemas['Protocol']
type Kind = Protocol['kind']

/** What a protocol begins with, and which values can be true then. */
const FIRST: Record<Kind, { protocol: Protocol; least: number; most: number }> = {
  count: { protocol: { kind: 'count', seconds: 30 }, least: 0, most: 120 },
  course: { protocol: { kind: 'course', penalty_s: 1 }, least: 5, most: 60 },
  streak: { protocol: { kind: 'streak', cap: 50 }, least: 0, most: 50 },
  hits: { protocol: { kind: 'hits', of: 10 }, least: 0, most: 10 },
  bounces: { protocol: { kind: 'bounces', services: 5, cap: 5 }, least: 0, most: 5 },
  distance: { protocol: { kind: 'distance', better: 'higher' }, least: 0, most: 40 },
  points: { protocol: { kind: 'points', points: [] }, least: 0, most: 0 },
}
const KINDS = Object.keys(FIRST) as Kind[]
const SUMMARIES: Schemas['Summary'][] = ['best', 'mean', 'median']
const BETTER: Schemas['Better'][] = ['higher', 'lower']

const FRESH: Test = {
  id: '',
  name: '',
  short: '',
  how: '',
  skill: '',
  per_side: true,
  trials: 2,
  summary: 'best',
  rest_s: 30,
  layout: '',
  ...FIRST.count,
}

/** The kinds whose smallest and largest value are said; where the protocol decides them, the server fills them in. */
const RANGED: Kind[] = ['count', 'course', 'distance']

interface Props {
  /** The one that is changed; a new one without it. */
  written: Schemas['WrittenTest'] | null
  onClose: () => void
  onKept: (id: string) => void
  onDropped: () => void
}

export function TestDialog({ written, onClose, onKept, onDropped }: Props) {
  const [draft, setDraft] = useState(written?.test ?? FRESH)
  const skills = useSkills().data ?? []
  const put = usePutTest()
  const drop = useDropTest()
  const fixed = written?.has_results ?? false
  const change = (next: Partial<Test>) => setDraft({ ...draft, ...next })
  const name = draft.name.trim()
  const keep = () => {
    const id = written?.test.id ?? nameFor(name, 'test')
    // The sentences are one line: a new line in them is a blank.
    const how = draft.how.trim().replace(/\s+/g, ' ')
    const test = { ...draft, id, name, how, short: (draft.short.trim() || name).slice(0, LONGEST.Test.short) }
    put.mutate({ test, fresh: !written }, { onSuccess: () => onKept(id) })
  }
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth={draft.score ? 'lg' : 'sm'}>
      <DialogTitle>
        {written ? t('standards-writing-change', { name: written.test.name }) : t('standards-writing-fresh')}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '2fr 1fr' }, gap: 2, mt: 1 }}>
          <TextCell
            label={t('standards-writing-name')}
            autoFocus
            value={draft.name}
            onChange={(text) => change({ name: text })}
            longest={LONGEST.Test.name}
          />
          <TextCell
            label={t('standards-writing-short')}
            value={draft.short}
            onChange={(text) => change({ short: text })}
            longest={LONGEST.Test.short}
          />
        </Box>
        <SelectCell
          label={t('standards-writing-skill')}
          none={t('standards-writing-choose-skill')}
          value={draft.skill}
          options={skills.map((skill) => ({ value: skill.id, says: skill.name }))}
          onChange={(skill) => change({ skill })}
        />
        <TextCell
          label={t('standards-writing-how')}
          longest={LONGEST.Test.how}
          value={draft.how}
          onChange={(text) => change({ how: text })}
          placeholder={t('standards-writing-how-example')}
          multiline
          minRows={2}
        />
        <Recording draft={draft} fixed={fixed} onChange={change} />
        {draft.protocol.kind === 'count' && <CountedFields draft={draft} onChange={change} />}
        <TextCell
          label={t('standards-writing-layout')}
          value={draft.layout ?? ''}
          onChange={(text) => change({ layout: text })}
          placeholder={t('standards-writing-layout-example')}
          multiline
          minRows={2}
        />
        <KeepRow
          keep={t('standards-writing-keep')}
          disabled={name === '' || draft.skill === '' || put.isPending}
          onKeep={keep}
          onClose={onClose}
          drop={
            written && !fixed
              ? {
                  says: t('standards-writing-drop'),
                  disabled: drop.isPending,
                  onDrop: () => drop.mutate(written.test.id, { onSuccess: onDropped }),
                }
              : undefined
          }
          errors={[put.error, drop.error]}
        />
      </DialogContent>
    </Dialog>
  )
}

interface RecordingProps {
  draft: Test
  /** With results taken, what they mean is no longer changed. */
  fixed: boolean
  onChange: (next: Partial<Test>) => void
}

/** What is measured, how often, and what becomes of it. */
function Recording({ draft, fixed, onChange }: RecordingProps) {
  return (
    <>
      <Typography variant="h3">{t('standards-writing-recorded')}</Typography>
      {fixed && (
        <Typography variant="body2" color="text.secondary">
          {t('standards-writing-fixed')}
        </Typography>
      )}
      <SelectCell<Kind>
        label={t('standards-writing-protocol')}
        disabled={fixed}
        value={draft.protocol.kind}
        options={KINDS.map((value) => ({ value, says: t(`standards-writing-kind-${value}`) }))}
        onChange={(kind) => kind && onChange({ ...FIRST[kind], score: null })}
      />
      <ProtocolFields
        protocol={draft.protocol}
        fixed={fixed}
        onChange={(protocol) => onChange({ protocol })}
      />
      <FormControlLabel
        control={
          <Checkbox
            checked={draft.per_side}
            disabled={fixed}
            onChange={(event) => onChange({ per_side: event.target.checked })}
          />
        }
        label={t('standards-writing-per-side')}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)', gap: 2 }}>
        <NumberField
          label={t('standards-writing-trials')}
          whole
          value={draft.trials}
          onChange={(n) => n !== null && onChange({ trials: n })}
          sx={{ width: '100%' }}
        />
        <SelectCell<Schemas['Summary']>
          label={t('standards-writing-summary')}
          value={draft.summary}
          options={SUMMARIES.map((value) => ({ value, says: t(`standards-writing-summaries-${value}`) }))}
          onChange={(summary) => summary && onChange({ summary })}
        />
        <NumberField
          label={t('standards-writing-rest')}
          value={draft.rest_s ?? 0}
          onChange={(n) => n !== null && onChange({ rest_s: n })}
          sx={{ width: '100%' }}
        />
        {RANGED.includes(draft.protocol.kind) && (
          <>
            <NumberField
              label={t('standards-writing-least')}
              value={draft.least}
              onChange={(n) => n !== null && onChange({ least: n })}
              sx={{ width: '100%' }}
            />
            <NumberField
              label={t('standards-writing-most')}
              value={draft.most}
              onChange={(n) => n !== null && onChange({ most: n })}
              sx={{ width: '100%' }}
            />
          </>
        )}
      </Box>
    </>
  )
}

/** The numbers of a protocol, each with its unit in its name. */
function ProtocolFields({
  protocol,
  fixed,
  onChange,
}: {
  protocol: Protocol
  fixed: boolean
  onChange: (protocol: Protocol) => void
}) {
  const number = (label: string, value: number, take: (n: number) => Protocol, whole = true) => (
    <NumberField
      key={label}
      label={label}
      whole={whole}
      disabled={fixed}
      value={value}
      onChange={(n) => n !== null && onChange(take(n))}
      sx={{ width: 190 }}
    />
  )
  switch (protocol.kind) {
    case 'count':
      return number(t('standards-writing-seconds'), protocol.seconds, (seconds) => ({ ...protocol, seconds }))
    case 'course':
      return number(
        t('standards-writing-penalty'),
        protocol.penalty_s,
        (penalty_s) => ({ ...protocol, penalty_s }),
        false,
      )
    case 'streak':
      return number(t('standards-writing-streak-cap'), protocol.cap, (cap) => ({ ...protocol, cap }))
    case 'hits':
      return number(t('standards-writing-of'), protocol.of, (of) => ({ ...protocol, of }))
    case 'bounces':
      return (
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
          {number(t('standards-writing-services'), protocol.services, (services) => ({
            ...protocol,
            services,
          }))}
          {number(t('standards-writing-bounce-cap'), protocol.cap, (cap) => ({ ...protocol, cap }))}
        </Box>
      )
    case 'distance':
      return (
        <SelectCell<Schemas['Better']>
          label={t('standards-writing-better')}
          disabled={fixed}
          value={protocol.better}
          options={BETTER.map((value) => ({ value, says: t(`standards-writing-betters-${value}`) }))}
          onChange={(better) => better && onChange({ ...protocol, better })}
        />
      )
    case 'points':
      return (
        <PointLines
          points={protocol.points}
          fixed={fixed}
          onChange={(points) => onChange({ ...protocol, points })}
        />
      )
  }
}

/** One point a line; with results their number stays, and their words may change. */
function PointLines({
  points,
  fixed,
  onChange,
}: {
  points: string[]
  fixed: boolean
  onChange: (points: string[]) => void
}) {
  const [typed, setTyped] = useState(points.join('\n'))
  return (
    <TextCell
      label={t('standards-writing-points')}
      helperText={fixed ? t('standards-writing-points-fixed', { n: points.length }) : undefined}
      value={typed}
      placeholder={t('standards-writing-points-example')}
      multiline
      minRows={3}
      onChange={(text) => {
        setTyped(text)
        onChange(
          text
            .split('\n')
            .map((line) => line.trim())
            .filter((line) => line !== ''),
        )
      }}
    />
  )
}
