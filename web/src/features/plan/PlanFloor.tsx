// The floor of the plan: weeks and evenings across, one line per skill, a stitch for every exposure.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useLayoutEffect, useRef, useState } from 'react'
import type { Curriculum, Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { asDay, asPercent, Figure } from '../../ui/figures'
import { NumberCell } from '../../ui/NumberCell'
import { Spoken } from '../../ui/Spoken'
import { StageGlyph } from '../../ui/stages'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { MinuteBars } from './MinuteBars'
import type { At } from './PlanPage'
import type { Change, Edit } from './queries'
import { ForecastLine, NeedLine, SkillThread, StitchMark, TestPegMark } from './threads'

const LABELS = 212
const NARROWEST = 44
const WEEKS = 18
const DATES = 40
const BARS = 70
const INPUTS = 34
export const HEAD = WEEKS + DATES + BARS + INPUTS + 10
const ROW = 33
const GAP = 9

/** A holiday week is a gap of this width in the floor. */
const HOLIDAY = 22

interface Props {
  view: Curriculum
  at: At
  clash: Schemas['Clash'] | undefined
  forecast: Schemas['Forecast'] | undefined
  soFar: Schemas['SoFar'] | undefined
  saving: boolean
  onChoose: (at: At) => void
  onChange: (change: Change) => void
  onEdit: (edit: Edit) => void
}

/** The lines of the floor, in the order of their strands. */
export const rowsOf = (view: Curriculum) =>
  STRANDS.flatMap((strand) => view.skills.filter((skill) => skill.strand === strand))

/** What a printed sheet has room for, in px: the floor is made to fit. */
const SHEET = { width: 1040, height: 560 }

export function PlanFloor({ view, at, clash, forecast, soFar, saving, onChoose, onChange, onEdit }: Props) {
  const { floor } = useTheme()
  const frame = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(880)
  // Where a block is dragged to, while it is.
  const [over, setOver] = useState<number | null>(null)
  useLayoutEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    if (frame.current) watch.observe(frame.current)
    return () => watch.disconnect()
  }, [])

  const holidays = view.wishes.holidays ?? []
  const gapsBefore = (session: number) =>
    holidays.filter((week) => week < (view.sessions[session]?.week ?? 0)).length
  const gaps = view.sessions.length > 0 ? gapsBefore(view.sessions.length - 1) * HOLIDAY : 0
  const column = Math.max(NARROWEST, (width - LABELS - gaps - 2) / Math.max(view.sessions.length, 1))
  const across = LABELS + column * view.sessions.length + gaps
  const left = (session: number) => LABELS + column * session + gapsBefore(session) * HOLIDAY
  const x = (session: number) => left(session) + column / 2
  const sessionAt = (across: number) => {
    const nearest = view.sessions
      .map((_, i) => ({ i, far: Math.abs(x(i) - across) }))
      .sort((a, b) => a.far - b.far)[0]
    return nearest && across > LABELS ? nearest.i : null
  }

  // Rows stand in the order of the strands, with a gap between.
  const rows = rowsOf(view)
  const groupOf = (i: number) => new Set(rows.slice(0, i + 1).map((skill) => skill.strand)).size - 1
  const places = new Map(rows.map((skill, i) => [skill.id, HEAD + i * ROW + groupOf(i) * GAP + ROW / 2]))
  const y = (skill: string) => places.get(skill) ?? HEAD
  const height = HEAD + rows.length * ROW + groupOf(rows.length - 1) * GAP + 6

  const minutes = (at: number, value: number) =>
    onChange((wishes) => ({ ...wishes, minutes: wishes.minutes.map((m, i) => (i === at ? value : m)) }))
  const broken = (session: number, block?: number) =>
    view.breaches.some((b) => b.session === session && (block === undefined || b.block === block))

  return (
    <Box
      ref={frame}
      sx={{
        overflowX: 'auto',
        overflowY: 'hidden',
        '@media print': {
          overflow: 'visible',
          zoom: Math.min(1, SHEET.width / across, SHEET.height / height),
        },
      }}
    >
      <Box sx={{ position: 'relative', width: across, height }}>
        <svg width={across} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
          <rect
            className="no-print"
            x={left(at.session)}
            y={WEEKS}
            width={column}
            height={height - WEEKS}
            fill={floor.paper}
            stroke={floor.hair}
          />
          {over !== null && over !== at.session && (
            <rect
              x={left(over)}
              y={WEEKS}
              width={column}
              height={height - WEEKS}
              fill="none"
              stroke={floor.ink}
              strokeDasharray="4 3"
            />
          )}
          {rows.map((skill) => (
            <line
              key={skill.id}
              x1={LABELS}
              x2={across}
              y1={y(skill.id)}
              y2={y(skill.id)}
              stroke={floor.plank}
              strokeWidth={1.5}
            />
          ))}
          {view.sessions.map((s, i) => {
            const gap = gapsBefore(i) - gapsBefore(Math.max(i - 1, 0))
            if (i === 0 || s.week === view.sessions[i - 1]?.week) return null
            return (
              <g key={i}>
                {gap > 0 && (
                  <rect
                    x={left(i) - gap * HOLIDAY}
                    y={WEEKS}
                    width={gap * HOLIDAY}
                    height={height - WEEKS}
                    fill={floor.plank}
                  />
                )}
                {gap > 0 && (
                  <line
                    x1={left(i) - gap * HOLIDAY}
                    x2={left(i) - gap * HOLIDAY}
                    y1={0}
                    y2={height}
                    stroke={floor.hair}
                  />
                )}
                <line x1={left(i)} x2={left(i)} y1={0} y2={height} stroke={floor.hair} />
              </g>
            )
          })}
          {at.skill && (
            <rect
              className="no-print"
              x={left(at.session) + 2}
              y={y(at.skill) - ROW / 2 + 1}
              width={column - 4}
              height={ROW - 2}
              fill="none"
              stroke={floor.ink}
              strokeDasharray={at.block === undefined ? '3 3' : undefined}
            />
          )}
          <MinuteBars
            sessions={view.sessions}
            x={x}
            base={WEEKS + DATES + BARS}
            height={BARS - 8}
            width={column * 0.62}
          />
          {forecast &&
            rows.map((skill) => (
              <ForecastLine
                key={skill.id}
                forecast={forecast.skills.find((f) => f.skill === skill.id)}
                soFar={soFar?.skills.find((s) => s.skill === skill.id)}
                sessions={view.sessions}
                x={x}
                y={y(skill.id) + ROW / 2 - 3}
                height={ROW - 8}
              />
            ))}
          {rows.flatMap((skill) =>
            skill.needs.map((need) => (
              <NeedLine key={`${skill.id} ${need.skill}`} view={view} skill={skill} need={need} x={x} y={y} />
            )),
          )}
          {rows.map((skill) => (
            <SkillThread
              key={skill.id}
              skill={skill}
              stitches={view.stitches.filter((s) => s.skill === skill.id)}
              x={x}
              y={y(skill.id)}
            />
          ))}
          {view.sessions.flatMap((s) =>
            s.tests.flatMap((test) =>
              test.skills.map((skill) => (
                <TestPegMark
                  key={`${s.session} ${test.test} ${skill}`}
                  x={left(s.session) + 9}
                  y={y(skill)}
                  name={test.name}
                />
              )),
            ),
          )}
          {rows.flatMap((skill) =>
            view.stitches
              .filter((s) => s.skill === skill.id)
              .map((stitch, i, all) => {
                const beside = all.filter((s) => s.session === stitch.session)
                const shift = beside.length > 1 ? (beside.indexOf(stitch) - (beside.length - 1) / 2) * 15 : 0
                const block = view.sessions[stitch.session]?.blocks[stitch.block]
                return (
                  <StitchMark
                    key={`${skill.id} ${i}`}
                    stitch={stitch}
                    strand={skill.strand}
                    x={x(stitch.session) + shift}
                    y={y(skill.id)}
                    chosen={stitch.session === at.session && stitch.block === at.block}
                    locked={block?.locked ?? false}
                    split={Boolean(block?.beside)}
                    broken={broken(stitch.session, stitch.block)}
                    onChoose={() =>
                      onChoose({ session: stitch.session, skill: skill.id, block: stitch.block })
                    }
                    onDrag={(across) => setOver(across === null ? null : sessionAt(across))}
                    onDrop={(across) => {
                      setOver(null)
                      const to = sessionAt(across)
                      if (to !== null && to !== stitch.session)
                        onEdit({ edit: 'move', session: stitch.session, block: stitch.block, to, at: null })
                    }}
                  />
                )
              }),
          )}
        </svg>
        {view.sessions.map((s, i) => (
          <Box
            key={s.session}
            sx={{ position: 'absolute', left: left(i), width: column, top: 0, textAlign: 'center' }}
          >
            <Typography
              component="div"
              variant="caption"
              sx={{
                height: WEEKS,
                whiteSpace: 'nowrap',
                textAlign: 'left',
                pl: 0.75,
                color: 'text.secondary',
              }}
            >
              {s.week !== view.sessions[i - 1]?.week
                ? column < 60
                  ? texts.plan.weekShort(s.week)
                  : texts.plan.week(s.week)
                : ''}
            </Typography>
            <ButtonBase
              aria-pressed={i === at.session}
              onClick={() => onChoose({ session: i, skill: at.skill, block: 0 })}
              title={
                s.tests.length > 0
                  ? s.tests.map((test) => texts.plan.testIn(test.name, test.minutes)).join(', ')
                  : undefined
              }
              sx={{
                width: '100%',
                height: DATES,
                flexDirection: 'column',
                fontWeight: i === at.session ? 700 : 400,
                borderBottom: broken(i) ? 3 : s.tests.length > 0 ? 1 : 0,
                borderColor: broken(i) ? 'error.main' : 'text.primary',
                '&:hover': { textDecoration: 'underline' },
              }}
            >
              <Spoken as={texts.plan.session(i + 1, asDay(s.date), s.minutes)}>
                <DateMark date={s.date} narrow={column < 60} />
              </Spoken>
            </ButtonBase>
            <Box sx={{ height: BARS + 4 }} />
            <NumberCell
              label={texts.plan.minutesOf(i + 1, asDay(s.date))}
              value={s.minutes}
              least={1}
              most={240}
              wrong={(clash?.of.kind === 'session' && clash.of.session === i) || broken(i)}
              saving={saving}
              onCommit={(value) => minutes(i, value)}
            />
          </Box>
        ))}
        <Typography
          variant="caption"
          color="text.secondary"
          sx={{ position: 'absolute', top: WEEKS + DATES + BARS + 10, left: 0 }}
        >
          {texts.plan.minutesThere}
        </Typography>
        {rows.map((skill, i) => (
          <SkillLabel
            key={skill.id}
            skill={skill}
            top={y(skill.id) - ROW / 2}
            first={skill.strand !== rows[i - 1]?.strand}
            clashes={clash ? isOf(clash, skill.id) : false}
            chosen={at.skill === skill.id}
            reached={forecast?.skills.find((f) => f.skill === skill.id)?.reached.at(-1)?.share}
            onChoose={() =>
              onChoose({
                session: at.session,
                skill: skill.id,
                block: view.stitches.find(
                  (stitch) => stitch.skill === skill.id && stitch.session === at.session,
                )?.block,
              })
            }
          />
        ))}
      </Box>
    </Box>
  )
}

function DateMark({ date, narrow }: { date: string; narrow: boolean }) {
  const [weekday, ...rest] = asDay(date).split(/[ ,]+/)
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

/** Whether a skill's goal is one of those that clash. */
const isOf = ({ of }: Schemas['Clash'], skill: string) =>
  (of.kind === 'goals' && of.skills.includes(skill)) || (of.kind === 'stage' && of.skill === skill)

interface LabelProps {
  skill: Schemas['SkillLine']
  top: number
  first: boolean
  clashes: boolean
  chosen: boolean
  /** The share that is foreseen at the goal in the end, while the forecast is shown. */
  reached: number | undefined
  onChoose: () => void
}

/** A skill's name before its line, with the stage that is its goal. */
function SkillLabel({ skill, top, first, clashes, chosen, reached, onChoose }: LabelProps) {
  return (
    <Box
      sx={{
        position: 'absolute',
        left: 0,
        top,
        width: LABELS - 8,
        height: ROW,
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
      }}
    >
      {first && (
        <Box sx={{ position: 'absolute', top: -9, left: 0, display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <StrandSwatch strand={skill.strand} width={26} />
          <Typography sx={{ fontSize: '0.74rem', lineHeight: 1 }} color="text.secondary">
            {texts.strand[skill.strand]}
          </Typography>
        </Box>
      )}
      <ButtonBase
        aria-pressed={chosen}
        onClick={onChoose}
        title={skill.name}
        sx={{
          flex: 1,
          minWidth: 0,
          justifyContent: 'flex-start',
          font: 'inherit',
          fontSize: '0.875rem',
          height: 24,
          pt: first ? 0.75 : 0,
          color: clashes ? 'error.main' : undefined,
          fontWeight: clashes || chosen ? 700 : 500,
          '&:hover': { textDecoration: 'underline' },
        }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {skill.name}
        </Box>
      </ButtonBase>
      {reached !== undefined ? (
        <Figure sx={{ fontWeight: 600 }}>{asPercent(reached)}</Figure>
      ) : (
        skill.missing > 0 && (
          <Typography variant="caption" color="error" noWrap>
            {texts.plan.missing(skill.missing)}
          </Typography>
        )
      )}
      <Box
        title={`${texts.stage[skill.goal]}: ${texts.stageMeans[skill.goal]}`}
        sx={{ display: 'flex', pt: first ? 0.5 : 0 }}
      >
        <StageGlyph stage={skill.goal} strand={skill.strand} />
      </Box>
    </Box>
  )
}
