// The floor of the plan: weeks and evenings across, one line per skill, a stitch for every exposure.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import { useLayoutEffect, useRef, useState } from 'react'
import type { Curriculum, Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { asDay, Figure } from '../../ui/figures'
import { NumberCell } from '../../ui/NumberCell'
import { Spoken } from '../../ui/Spoken'
import { StageGlyph } from '../../ui/stages'
import { STRANDS, StrandSwatch } from '../../ui/strands'
import { MinuteBars } from './MinuteBars'
import type { Change } from './queries'
import { NeedLine, SkillThread, StitchMark } from './threads'

const LABELS = 212
const NARROWEST = 44
const WEEKS = 18
const DATES = 40
const BARS = 70
const INPUTS = 34
export const HEAD = WEEKS + DATES + BARS + INPUTS + 10
const ROW = 33
const GAP = 9

interface Props {
  view: Curriculum
  session: number
  block: number
  clash: Schemas['Clash'] | undefined
  saving: boolean
  onChoose: (next: { session?: number; block?: number }) => void
  onChange: (change: Change) => void
}

export function PlanFloor({ view, session, block, clash, saving, onChoose, onChange }: Props) {
  const { floor } = useTheme()
  const frame = useRef<HTMLDivElement>(null)
  const [width, setWidth] = useState(880)
  useLayoutEffect(() => {
    const watch = new ResizeObserver(([entry]) => entry && setWidth(entry.contentRect.width))
    if (frame.current) watch.observe(frame.current)
    return () => watch.disconnect()
  }, [])

  const column = Math.max(NARROWEST, (width - LABELS - 2) / Math.max(view.sessions.length, 1))
  const across = LABELS + column * view.sessions.length
  const x = (at: number) => LABELS + column * (at + 0.5)

  // Rows stand in the order of the strands, with a gap between.
  const rows = STRANDS.flatMap((strand) => view.skills.filter((skill) => skill.strand === strand))
  const groupOf = (i: number) => new Set(rows.slice(0, i + 1).map((skill) => skill.strand)).size - 1
  const places = new Map(rows.map((skill, i) => [skill.id, HEAD + i * ROW + groupOf(i) * GAP + ROW / 2]))
  const y = (skill: string) => places.get(skill) ?? HEAD
  const height = HEAD + rows.length * ROW + groupOf(rows.length - 1) * GAP + 6

  const minutes = (at: number, value: number) =>
    onChange((wishes) => ({ ...wishes, minutes: wishes.minutes.map((m, i) => (i === at ? value : m)) }))

  return (
    <Box ref={frame} sx={{ overflowX: 'auto', overflowY: 'hidden' }}>
      <Box sx={{ position: 'relative', width: across, height }}>
        <svg width={across} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
          <rect x={LABELS + column * session} y={WEEKS} width={column} height={height - WEEKS} fill={floor.paper} stroke={floor.hair} />
          {rows.map((skill) => (
            <line key={skill.id} x1={LABELS} x2={across} y1={y(skill.id)} y2={y(skill.id)} stroke={floor.plank} strokeWidth={1.5} />
          ))}
          {view.sessions.map((s, i) =>
            i > 0 && s.week !== view.sessions[i - 1]?.week ? (
              <line key={i} x1={LABELS + column * i} x2={LABELS + column * i} y1={0} y2={height} stroke={floor.hair} />
            ) : null,
          )}
          <MinuteBars sessions={view.sessions} x={x} base={WEEKS + DATES + BARS} height={BARS - 8} width={column * 0.62} />
          {rows.flatMap((skill) => skill.needs.map((need) => <NeedLine key={`${skill.id} ${need.skill}`} view={view} skill={skill} need={need} x={x} y={y} />))}
          {rows.map((skill) => (
            <SkillThread key={skill.id} skill={skill} stitches={view.stitches.filter((s) => s.skill === skill.id)} x={x} y={y(skill.id)} />
          ))}
          {rows.flatMap((skill) =>
            view.stitches
              .filter((s) => s.skill === skill.id)
              .map((stitch, i, all) => {
                const beside = all.filter((s) => s.session === stitch.session)
                const shift = beside.length > 1 ? (beside.indexOf(stitch) - (beside.length - 1) / 2) * 15 : 0
                return (
                  <StitchMark
                    key={`${skill.id} ${i}`}
                    stitch={stitch}
                    strand={skill.strand}
                    x={x(stitch.session) + shift}
                    y={y(skill.id)}
                    chosen={stitch.session === session && stitch.block === block}
                    onChoose={() => onChoose({ session: stitch.session, block: stitch.block })}
                  />
                )
              }),
          )}
        </svg>
        {view.sessions.map((s, i) => (
          <Box key={s.session} sx={{ position: 'absolute', left: LABELS + column * i, width: column, top: 0, textAlign: 'center' }}>
            <Typography component="div" variant="caption" sx={{ height: WEEKS, whiteSpace: 'nowrap', textAlign: 'left', pl: 0.75, color: 'text.secondary' }}>
              {s.week !== view.sessions[i - 1]?.week ? texts.plan.week(s.week) : ''}
            </Typography>
            <ButtonBase
              aria-pressed={i === session}
              onClick={() => onChoose({ session: i })}
              sx={{ width: '100%', height: DATES, flexDirection: 'column', fontWeight: i === session ? 700 : 400, '&:hover': { textDecoration: 'underline' } }}
            >
              <Spoken as={texts.plan.session(i + 1, asDay(s.date), s.minutes)}>
                <DateMark date={s.date} />
              </Spoken>
            </ButtonBase>
            <Box sx={{ height: BARS + 4 }} />
            <NumberCell
              label={texts.plan.minutesOf(i + 1, asDay(s.date))}
              value={s.minutes}
              least={1}
              most={240}
              wrong={clash?.session === i || view.breaches.some((b) => b.session === i)}
              saving={saving}
              onCommit={(value) => minutes(i, value)}
            />
          </Box>
        ))}
        <Typography variant="caption" color="text.secondary" sx={{ position: 'absolute', top: WEEKS + DATES + BARS + 10, left: 0 }}>
          {texts.plan.minutesThere}
        </Typography>
        {rows.map((skill, i) => (
          <SkillLabel key={skill.id} skill={skill} top={y(skill.id) - ROW / 2} first={skill.strand !== rows[i - 1]?.strand} clashes={clash?.goals.includes(skill.id) ?? false} />
        ))}
      </Box>
    </Box>
  )
}

function DateMark({ date }: { date: string }) {
  const [weekday, ...rest] = asDay(date).split(/[ ,]+/)
  return (
    <>
      <Typography component="span" variant="caption" sx={{ font: 'inherit', fontSize: '0.8rem', lineHeight: 1.15 }}>
        {weekday}
      </Typography>
      <Figure sx={{ fontSize: '1.05rem', lineHeight: 1.1, whiteSpace: 'nowrap' }}>{rest.join(' ')}</Figure>
    </>
  )
}

interface LabelProps {
  skill: Schemas['SkillLine']
  top: number
  first: boolean
  clashes: boolean
}

/** A skill's name before its line, with the stage that is its goal. */
function SkillLabel({ skill, top, first, clashes }: LabelProps) {
  return (
    <Box sx={{ position: 'absolute', left: 0, top, width: LABELS - 8, height: ROW, display: 'flex', alignItems: 'center', gap: 0.75 }}>
      {first && (
        <Box sx={{ position: 'absolute', top: -9, left: 0, display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <StrandSwatch strand={skill.strand} width={26} />
          <Typography sx={{ fontSize: '0.74rem', lineHeight: 1 }} color="text.secondary">
            {texts.strand[skill.strand]}
          </Typography>
        </Box>
      )}
      <Typography variant="body2" noWrap sx={{ flex: 1, pt: first ? 0.75 : 0, color: clashes ? 'error.main' : undefined, fontWeight: clashes ? 700 : 500 }} title={skill.name}>
        {skill.name}
      </Typography>
      {skill.missing > 0 && (
        <Typography variant="caption" color="error" noWrap>
          {texts.plan.missing(skill.missing)}
        </Typography>
      )}
      <Box title={`${texts.stage[skill.goal]}: ${texts.stageMeans[skill.goal]}`} sx={{ display: 'flex', pt: first ? 0.5 : 0 }}>
        <StageGlyph stage={skill.goal} strand={skill.strand} />
      </Box>
    </Box>
  )
}
