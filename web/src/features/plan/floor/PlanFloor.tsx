// The floor of the plan: weeks and sessions across, one line per skill, a stitch for every exposure.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { type RefObject, useLayoutEffect, useState } from 'react'
import type { Curriculum, Schemas } from '../../../api/client'
import { planDensity, useRemembered } from '../../../storage/remembered'
import { t } from '../../../texts/t'
import { Choice } from '../../../ui/Choice'
import { asPercent } from '../../../ui/figures'
import { useWidth } from '../../../ui/width'
import type { At } from '../at'
import { type Change, type Edit, useDelivered } from '../queries'
import { ShareWishes } from '../ShareWishes'
import { themeName, themeTitle } from '../themes'
import { Backdrop, type Delivered } from './Backdrop'
import { MinuteBars } from './MinuteBars'
import { SessionHead, type WeekHead } from './SessionHead'
import { SkillLabel } from './SkillLabel'
import { Stitches } from './Stitches'
import { DENSITIES, fitsClose, type Scale, scaleOf } from './scale'
import { ForecastLine, NeedLine, SkillThread, TestPegMark } from './threads'

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

/** A week, what it is about, and how many sessions it has. */
function weekOf(view: Curriculum, n: number): WeekHead {
  const sessions = view.sessions.filter((session) => session.week === n).length
  const theme = view.themes.find((each) => each.week === n)
  if (!theme) return { n, sessions }
  const leading = view.skills.find((skill) => skill.id === theme.skills[0])?.strand
  return {
    n,
    sessions,
    theme: {
      name: themeName(theme, view),
      about: t('plan-theme-of', { theme: themeTitle(theme, view), share: asPercent(theme.share) }),
      strand: 'strand' in theme.theme ? theme.theme.strand : leading,
    },
  }
}

/** What a printed sheet has room for, in px: the floor is made to fit. */
const SHEET = { width: 1040, height: 560 }

export function PlanFloor(props: Props) {
  const { view, at, clash, forecast, saving, onChoose, onChange, onEdit } = props
  const [density, setDensity] = useRemembered(planDensity, 'plan')
  const delivered = useWhatWasDelivered(view)
  const { frame, width } = useWidth()
  // Where a block is dragged to, while it is.
  const [over, setOver] = useState<number | null>(null)
  const scale = scaleOf(view, width, density ?? (fitsClose(view, width) ? 'close' : 'fit'))
  const { rows, x, across, height } = scale
  useInSight(frame, scale, at.session)
  const minutes = (at: number, value: number) =>
    onChange((wishes) => ({ ...wishes, minutes: wishes.minutes.map((m, i) => (i === at ? value : m)) }))
  const zoom = Math.min(1, SHEET.width / across, SHEET.height / height)
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <ShareWishes view={view} saving={saving} onChange={onChange} />
        </Box>
        <Box className="no-print">
          <Choice
            label={t('plan-density')}
            options={DENSITIES}
            chosen={[scale.density]}
            says={(each) => t(`plan-density-${each}`)}
            onToggle={setDensity}
          />
        </Box>
      </Box>
      <Box
        ref={frame}
        sx={{ overflowX: 'auto', overflowY: 'hidden', '@media print': { overflow: 'visible', zoom } }}
      >
        <Box sx={{ position: 'relative', width: across, height }}>
          <svg width={across} height={height} style={{ position: 'absolute', inset: 0 }} aria-hidden>
            <Backdrop view={view} scale={scale} at={at} over={over} delivered={delivered} />
            <MinuteBars
              sessions={view.sessions}
              x={x}
              base={scale.base}
              height={scale.bars - 8}
              width={scale.column * 0.62}
            />
            <Lines {...props} scale={scale} />
            {rows.map((skill) => (
              <Stitches key={skill.id} {...{ view, skill, scale, at, onChoose, onEdit }} onOver={setOver} />
            ))}
          </svg>
          {view.sessions.map((s, i) => (
            <SessionHead
              key={s.session}
              session={s}
              scale={scale}
              week={s.week === view.sessions[i - 1]?.week ? undefined : weekOf(view, s.week)}
              chosen={i === at.session}
              broken={view.breaches.some((b) => b.session === i)}
              clashes={clash?.of.kind === 'session' && clash.of.session === i}
              delivered={delivered.of(i)}
              saving={saving}
              onChoose={() => onChoose({ session: i, skill: at.skill, block: 0 })}
              onMinutes={(value) => minutes(i, value)}
            />
          ))}
          {scale.density === 'close' && (
            <Typography
              variant="caption"
              color="text.secondary"
              sx={{ position: 'absolute', top: scale.base + 10, left: 0 }}
            >
              {t('plan-minutes-there')}
            </Typography>
          )}
          {rows.map((skill, i) => (
            <SkillLabel
              key={skill.id}
              skill={skill}
              scale={scale}
              first={skill.strand !== rows[i - 1]?.strand}
              clashes={clash ? isOf(clash, skill.id) : false}
              chosen={at.skill === skill.id}
              reached={forecast?.skills.find((f) => f.skill === skill.id)?.reached.at(-1)?.share}
              onChoose={() =>
                onChoose({ session: at.session, skill: skill.id, block: blockOf(view, at, skill.id) })
              }
            />
          ))}
        </Box>
      </Box>
    </>
  )
}

/** Where the calendar stands, and which part of what was logged of each session was run. */
function useWhatWasDelivered(view: Curriculum): Delivered {
  const { data } = useDelivered(view.id)
  return {
    today: data?.today,
    of: (session) => {
      const logged = data?.sessions.find((each) => each.session === session)
      return logged && logged.run / logged.said
    },
  }
}

/** Brings the chosen session into sight when another one is, and when the floor is laid out otherwise. */
function useInSight(frame: RefObject<HTMLDivElement | null>, scale: Scale, session: number) {
  const { labels, column, across } = scale
  const left = scale.left(session)
  useLayoutEffect(() => {
    const box = frame.current
    if (!box || across <= box.clientWidth) return
    const [from, to] = [box.scrollLeft + labels, box.scrollLeft + box.clientWidth]
    if (left < from || left + column > to) box.scrollTo({ left: left - labels - column })
  }, [frame, labels, column, across, left])
}

/** What is drawn along the lines of the skills: forecasts, needs, threads and tests. */
function Lines({
  view,
  forecast,
  soFar,
  scale,
}: Pick<Props, 'view' | 'forecast' | 'soFar'> & { scale: Scale }) {
  const { rows, row, left, x, y } = scale
  return (
    <>
      {forecast &&
        rows.map((skill) => (
          <ForecastLine
            key={skill.id}
            forecast={forecast.skills.find((f) => f.skill === skill.id)}
            soFar={soFar?.skills.find((s) => s.skill === skill.id)}
            sessions={view.sessions}
            x={x}
            y={y(skill.id) + row / 2 - 3}
            height={row - 8}
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
          scale={scale}
        />
      ))}
      {view.sessions.flatMap(({ session, tests }) =>
        tests.flatMap(({ test, name, skills }) =>
          skills.map((skill) => (
            <TestPegMark
              key={`${session} ${test} ${skill}`}
              x={left(session) + (scale.density === 'close' ? 9 : 4)}
              y={y(skill)}
              name={name}
            />
          )),
        ),
      )}
    </>
  )
}

/** Whether a skill's goal is one of those that clash. */
const isOf = ({ of }: Schemas['Clash'], skill: string) =>
  (of.kind === 'goals' && of.skills.includes(skill)) || (of.kind === 'stage' && of.skill === skill)

/** The block in which a skill stands in the chosen session; undefined where it does not. */
const blockOf = (view: Curriculum, at: At, skill: string) =>
  view.stitches.find((stitch) => stitch.skill === skill && stitch.session === at.session)?.block
