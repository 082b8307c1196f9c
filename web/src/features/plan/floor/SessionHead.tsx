// The head of a session's column: its week, its day, and the minutes there are; looked at from afar, a tick.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import type { Schemas, Strand } from '../../../api/client'
import { t } from '../../../texts/t'
import { asDay, asPercent, Figure } from '../../../ui/figures'
import { NumberCell } from '../../../ui/NumberCell'
import { Spoken } from '../../../ui/Spoken'
import { StrandSwatch } from '../../../ui/strands'
import { type Scale, WEEKS } from './scale'

export interface WeekHead {
  n: number
  sessions: number
  theme?: { name: string; about: string; strand: Strand | undefined }
}

interface Props {
  session: Schemas['SessionColumn']
  scale: Scale
  /** The week that begins here, with what it is about and how many sessions it has. */
  week: WeekHead | undefined
  chosen: boolean
  /** Whether a rule is broken in it. */
  broken: boolean
  /** Whether its minutes are among what clashes. */
  clashes: boolean
  /** Which part of what was logged of it was run; undefined while nothing was. */
  delivered: number | undefined
  saving: boolean
  onChoose: () => void
  onMinutes: (minutes: number) => void
}

/** A column narrower than this says its week and its day short, in px. */
const NARROW = 60
/** A week wider than this says what it is about, in px. */
const NAMED = 110

export function SessionHead(props: Props) {
  const { session, scale, week, chosen, broken, clashes, delivered, saving, onChoose, onMinutes } = props
  const { column } = scale
  const close = scale.density === 'close'
  const narrow = column < NARROW
  const at = session.session
  const day = asDay(session.date)
  const notes = session.tests.map((test) => t('plan-test-in', { name: test.name, minutes: test.minutes }))
  if (!close) notes.unshift(day)
  if (delivered !== undefined) notes.push(t('plan-delivered', { share: asPercent(delivered) }))
  return (
    <Box sx={{ position: 'absolute', left: scale.left(at), width: column, top: 0, textAlign: 'center' }}>
      <Typography
        component="div"
        variant="caption"
        sx={{
          height: WEEKS,
          whiteSpace: 'nowrap',
          textAlign: 'left',
          pl: close ? 0.75 : 0.25,
          color: 'text.secondary',
          width: week && column * week.sessions,
          overflow: 'hidden',
          textOverflow: 'ellipsis',
        }}
        title={week?.theme?.about}
      >
        {week && (narrow ? t('plan-week-short', { n: week.n }) : t('plan-week', { n: week.n }))}
        {week?.theme && <ThemeMark theme={week.theme} named={column * week.sessions >= NAMED} />}
      </Typography>
      <ButtonBase
        aria-pressed={chosen}
        onClick={onChoose}
        title={notes.join(', ') || undefined}
        sx={{
          width: '100%',
          height: scale.dates,
          flexDirection: 'column',
          fontWeight: chosen ? 700 : 400,
          borderBottom: broken ? 3 : session.tests.length > 0 ? 1 : 0,
          borderColor: broken ? 'error.main' : 'text.primary',
          '&:hover': { textDecoration: 'underline' },
        }}
      >
        <Spoken as={t('plan-session', { n: at + 1, day, minutes: session.minutes })}>
          {close ? <DateMark day={day} narrow={narrow} /> : <Tick chosen={chosen} />}
        </Spoken>
      </ButtonBase>
      <Box sx={{ height: scale.bars + 4 }} />
      {close && (
        <NumberCell
          label={t('plan-minutes-of', { n: at + 1, day })}
          value={session.minutes}
          least={1}
          most={240}
          wrong={clashes || broken}
          saving={saving}
          onCommit={onMinutes}
        />
      )}
    </Box>
  )
}

/** What a week is about: its name, or the stroke of its strand where there is no room. */
function ThemeMark({ theme, named }: { theme: NonNullable<WeekHead['theme']>; named: boolean }) {
  return (
    <Box component="span" sx={{ ml: named ? 0.75 : 0.25, color: 'text.primary' }}>
      <Spoken as={theme.about}>
        {named || !theme.strand ? theme.name : <StrandSwatch strand={theme.strand} width={16} />}
      </Spoken>
    </Box>
  )
}

const Tick = ({ chosen }: { chosen: boolean }) => (
  <Box
    component="span"
    sx={{
      display: 'block',
      width: chosen ? 8 : 2,
      height: 10,
      bgcolor: chosen ? 'text.primary' : 'text.secondary',
    }}
  />
)

function DateMark({ day, narrow }: { day: string; narrow: boolean }) {
  const [weekday, ...rest] = day.split(/[ ,]+/)
  return (
    <>
      <Typography
        component="span"
        variant="caption"
        sx={{ font: 'inherit', fontSize: '0.8rem', lineHeight: 1.15 }}
      >
        {weekday}
      </Typography>
      <Figure sx={{ fontSize: narrow ? '0.9rem' : '1.05rem', lineHeight: 1.1, whiteSpace: 'nowrap' }}>
        {rest.join(' ')}
      </Figure>
    </>
  )
}
