// Days off: of the whole academy, of a club, of a team. Sessions on them are cancelled at once.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { type SyntheticEvent, useState } from 'react'
import { newId, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { SelectCell, TextCell } from '../../ui/fields'
import { asDay } from '../../ui/figures'
import { ErrorNote } from '../../ui/notes'
import { RefittedList } from '../academy/times/Refitted'
import { useSession } from '../people/session'
import { useDaysOff, useDropDaysOff, useKeepDaysOff } from './queries'

type Whose = Schemas['Whose']

interface Props {
  /** Whose may be added here: the first is meant unless another one is chosen. */
  whose: Whose[]
  /** What those are called that are more than the academy. */
  names?: Record<string, string>
}

const keyOf = (whose: Whose) =>
  whose.kind === 'club' ? whose.club : whose.kind === 'team' ? whose.team : 'academy'

export function DaysOff({ whose, names = {} }: Props) {
  const read = useDaysOff()
  const drop = useDropDaysOff()
  const today = useSession().data?.today
  const [adding, setAdding] = useState<string | null>(null)
  // What the last change means for the plans.
  const [refitted, setRefitted] = useState<Schemas['Refitted'][]>([])
  if (read.isError) return <ErrorNote error={read.error} />
  if (!read.data || !today) return null
  // A coach hears only of clubs in which they coach.
  const isCoach = whose.every(({ kind }) => kind === 'team')
  const concerns = (each: Whose) =>
    each.kind === 'academy' ||
    (each.kind === 'club' && isCoach) ||
    whose.some((one) => keyOf(one) === keyOf(each))
  // What is over is drawn on the year sheet; here it would only stand in the way.
  const concerned = read.data.filter((each) => each.days.last >= today && concerns(each.whose))
  return (
    <Box component="section" aria-label={t('off-title')} sx={{ mt: 2.5 }}>
      <Typography variant="h2">{t('off-title')}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('off-about')}
      </Typography>
      {concerned.map(({ id, days, name, may_change }) => (
        <Box
          key={id}
          sx={{ display: 'flex', alignItems: 'center', borderTop: 1, borderColor: 'divider', py: 0.25 }}
        >
          <Box sx={{ flex: 1 }}>
            {days.name}
            <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
              {name ?? t('off-academy')}, {spanOf(days)}
            </Typography>
          </Box>
          {may_change && (
            <Button
              size="small"
              variant="text"
              aria-label={t('off-drop-named', { name: days.name })}
              disabled={drop.isPending}
              onClick={() => drop.mutate(id, { onSuccess: setRefitted })}
            >
              {t('times-take-out')}
            </Button>
          )}
        </Box>
      ))}
      {drop.isError && <ErrorNote error={drop.error} />}
      {adding === null ? (
        <Button
          size="small"
          sx={{ mt: 1 }}
          onClick={() => {
            setRefitted([])
            setAdding(newId())
          }}
        >
          {t('off-add')}
        </Button>
      ) : (
        <DaysOffForm
          key={adding}
          id={adding}
          whose={whose}
          names={names}
          today={today}
          onDone={(done) => {
            setAdding(null)
            setRefitted(done)
          }}
        />
      )}
      {refitted.length > 0 && (
        <Box sx={{ mt: 1.5, maxHeight: 240, overflowY: 'auto' }}>
          <RefittedList all={refitted} />
        </Box>
      )}
    </Box>
  )
}

const spanOf = ({ first, last }: Schemas['DaysOff']) =>
  first === last ? asDay(first) : t('off-span', { first: asDay(first), last: asDay(last) })

interface FormProps extends Required<Props> {
  id: string
  today: string
  onDone: (refitted: Schemas['Refitted'][]) => void
}

function DaysOffForm({ id, whose, names, today, onDone }: FormProps) {
  const [days, setDays] = useState<Schemas['DaysOff']>({ name: '', first: today, last: today })
  const [of, setOf] = useState(whose[0] ? keyOf(whose[0]) : '')
  const keep = useKeepDaysOff()
  const meant = whose.find((each) => keyOf(each) === of)
  const save = (event: SyntheticEvent) => {
    event.preventDefault()
    if (keep.isPending || !meant || !days.name.trim()) return
    keep.mutate({ id, whose: meant, days }, { onSuccess: onDone })
  }
  return (
    <Box component="form" onSubmit={save} sx={{ display: 'grid', gap: 1.5, mt: 1.5 }}>
      {whose.length > 1 && (
        <SelectCell
          label={t('off-whose')}
          value={of}
          options={whose.map((each) => ({
            value: keyOf(each),
            says: names[keyOf(each)] ?? t('off-academy'),
          }))}
          onChange={setOf}
        />
      )}
      <TextCell
        label={t('off-name')}
        autoFocus
        longest={40}
        value={days.name}
        placeholder={t('off-example')}
        onChange={(name) => setDays({ ...days, name })}
      />
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
        {(['first', 'last'] as const).map((key) => (
          <TextCell
            key={key}
            label={t(`year-${key}`)}
            type="date"
            value={days[key]}
            onChange={(day) => {
              const last = key === 'first' && day > days.last ? { last: day } : {}
              if (day) setDays({ ...days, [key]: day, ...last })
            }}
            fullWidth={false}
          />
        ))}
      </Box>
      {keep.isError && <ErrorNote error={keep.error} />}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button type="submit" variant="contained" disabled={keep.isPending || !days.name.trim()}>
          {keep.isPending ? t('own-fitting') : t('off-save')}
        </Button>
        <Button variant="text" onClick={() => onDone([])}>
          {t('cancel')}
        </Button>
      </Box>
    </Box>
  )
}
