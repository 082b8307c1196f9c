// The moves of a series: a skill or a name for each, the foot that does it, what to look for, and the challenge.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../api/client'
import { footValues } from '../../api/schema'
import { t } from '../../texts/t'
import { SelectCell, TextCell } from '../../ui/fields'
import { useMap } from '../progression/queries'
import { type Drill, useSkills } from './queries'

type Move = Schemas['SeriesMove']

interface Props {
  drill: Drill
  onChange: (next: Partial<Drill>) => void
}

export function SeriesFields({ drill, onChange }: Props) {
  const series = drill.series ?? { moves: [] }
  const { moves, challenge } = series
  const tests = useMap().data?.tests ?? []
  const set = (next: Partial<Schemas['Series']>) => {
    const changed = { ...series, ...next }
    onChange({ series: changed.moves.length > 0 || changed.challenge ? changed : null })
  }
  const put = (at: number, next: Partial<Move>) =>
    set({ moves: moves.map((move, i) => (i === at ? { ...move, ...next } : move)) })
  const swap = (at: number) =>
    set({
      moves: moves.map((move, i) => (i === at - 1 ? moves[at] : i === at ? moves[at - 1] : move) ?? move),
    })
  return (
    <>
      {moves.map((move, i) => (
        <MoveFields
          key={i}
          {...{ move, drill }}
          nth={i + 1}
          onChange={(next) => put(i, next)}
          onUp={i > 0 ? () => swap(i) : undefined}
          onOut={() => set({ moves: moves.filter((_, n) => n !== i) })}
        />
      ))}
      <Button size="small" onClick={() => set({ moves: [...moves, {}] })} sx={{ justifySelf: 'start' }}>
        {t('desk-series-add')}
      </Button>
      <TextCell
        label={t('desk-series-challenge')}
        placeholder={t('desk-series-challenge-hint')}
        value={challenge?.says ?? ''}
        onChange={(says) => set({ challenge: says === '' ? null : { ...challenge, says } })}
      />
      {challenge && (
        <SelectCell
          label={t('desk-series-test')}
          none={t('desk-series-own-best')}
          value={challenge.test ?? ''}
          options={tests.map(({ id, name }) => ({ value: id, says: name }))}
          onChange={(test) => set({ challenge: { ...challenge, test: test || null } })}
        />
      )}
    </>
  )
}

interface MoveProps {
  move: Move
  nth: number
  drill: Drill
  onChange: (next: Partial<Move>) => void
  onUp: (() => void) | undefined
  onOut: () => void
}

function MoveFields({ move, nth, drill, onChange, onUp, onOut }: MoveProps) {
  const { floor } = useTheme()
  const skills = useSkills().data ?? []
  const served = drill.serves.map(({ skill }) => skill)
  const points = move.points ?? []
  return (
    <Box
      role="group"
      aria-label={t('desk-series-move', { n: nth })}
      sx={{ display: 'grid', gap: 1.25, borderLeft: `2px solid ${floor.hair}`, pl: 1, minWidth: 0 }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
        <Typography variant="body2" sx={{ flex: 1, fontWeight: 600 }}>
          {t('desk-series-move', { n: nth })}
        </Typography>
        {onUp && (
          <Button size="small" variant="text" onClick={onUp}>
            {t('desk-series-up')}
          </Button>
        )}
        <Button size="small" variant="text" onClick={onOut}>
          {t('desk-take-out')}
        </Button>
      </Box>
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 110px', gap: 0.75 }}>
        <SelectCell
          label={t('desk-series-skill')}
          none={t('desk-series-no-skill')}
          value={move.skill ?? ''}
          options={skills
            .filter(({ id }) => served.includes(id) || id === move.skill)
            .map(({ id, name }) => ({ value: id, says: name }))}
          onChange={(skill) => onChange({ skill: skill || null })}
        />
        <SelectCell
          label={t('desk-series-foot')}
          none={t('desk-series-both')}
          value={move.foot ?? ''}
          options={footValues.map((foot) => ({ value: foot, says: t(`today-foot-${foot}`) }))}
          onChange={(foot) => onChange({ foot: foot || null })}
        />
      </Box>
      <TextCell
        label={t('desk-series-says')}
        value={move.says ?? ''}
        onChange={(says) => onChange({ says: says === '' ? null : says })}
      />
      <TextCell
        label={t('desk-series-points')}
        value={points.join('\n')}
        multiline
        onChange={(text) => onChange({ points: text === '' ? [] : text.split('\n') })}
      />
    </Box>
  )
}
