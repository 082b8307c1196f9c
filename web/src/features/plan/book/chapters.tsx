// The chapters of a book, each as pieces that stay whole on a page.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { RunningOrder } from '../../../api/client'
import { bringSaid, themeSaid } from '../../../texts/said'
import { said, t } from '../../../texts/t'
import { BlockOnPaper } from '../../../ui/BlockOnPaper'
import { cautionsSaid } from '../../../ui/block'
import { asDate, asDay, asPercent, asResult } from '../../../ui/figures'
import type { Piece } from '../../../ui/Paged'
import { STAGES, StageGlyph } from '../../../ui/stages'
import { STRANDS, StrandSwatch } from '../../../ui/strands'
import { evidenceSaid } from './evidence'
import type { Book } from './queries'

/** What can be left out. */
export const PARTS = ['approach', 'year', 'weeks', 'skills', 'tests', 'kit', 'parents'] as const
export type BookPart = (typeof PARTS)[number]

/** A chapter as the contents name it. */
export interface Chapter {
  key: string
  title: string
  pieces: Piece[]
}

export function Title({ children }: { children: ReactNode }) {
  return (
    <Typography variant="h1" component="h2" sx={{ borderBottom: 2, pb: 0.5, mb: 1 }}>
      {children}
    </Typography>
  )
}

/** A chapter that stands whole on one page. */
const onePage = (key: string, title: string, children: ReactNode): Chapter => {
  const node = (
    <>
      <Title>{title}</Title>
      {children}
    </>
  )
  return { key, title, pieces: [{ key, fresh: true, node }] }
}

/** The day after a number of days. */
function dayAfter(day: string, days: number): string {
  const moved = new Date(`${day}T12:00:00Z`)
  moved.setUTCDate(moved.getUTCDate() + days)
  return moved.toISOString().slice(0, 10)
}

export const lastDay = ({ start, weeks }: Book) => dayAfter(start, 7 * weeks - 1)

/** How we teach: the approach and its numbers in words. */
export function approach(book: Book, key: string): Chapter {
  const { exposures, ladder = 'strict', open_play, success_window } = book.approach
  const title = t('book-approach')
  return onePage(
    key,
    title,
    <>
      <Typography sx={{ mb: 1 }}>{t('book-stages')}</Typography>
      {STAGES.map((stage, at) => (
        <Box key={stage} sx={{ display: 'flex', gap: 1, alignItems: 'center', py: 0.5 }}>
          <StageGlyph stage={stage} strand="ball_mastery" />
          <Typography>
            {t('book-stage', {
              stage: t(`stage-${stage}`),
              means: t(`stage-means-${stage}`),
              n: exposures[at] ?? 0,
            })}
          </Typography>
        </Box>
      ))}
      <Typography sx={{ mt: 1 }}>{t(`book-ladder-${ladder}`)}</Typography>
      {open_play && (
        <Typography sx={{ mt: 1 }}>
          {t('book-open-play', { first: asPercent(open_play.first), last: asPercent(open_play.last) })}
        </Typography>
      )}
      {success_window && (
        <Typography sx={{ mt: 1 }}>
          {t('book-success', {
            least: asPercent(success_window.least),
            most: asPercent(success_window.most),
          })}
        </Typography>
      )}
      <Typography sx={{ mt: 1 }}>{t('book-shares')}</Typography>
      {STRANDS.map((strand) => (
        <Box key={strand} sx={{ display: 'flex', gap: 1, alignItems: 'center', py: 0.25 }}>
          <StrandSwatch strand={strand} />
          <Typography>
            {t(`strand-${strand}`)}: {asPercent(book.shares[strand] ?? 0)}
          </Typography>
        </Box>
      ))}
    </>,
  )
}

const weeksOf = (book: Book) => {
  const weeks = new Map<number, RunningOrder[]>()
  for (const order of book.sessions) weeks.set(order.week, [...(weeks.get(order.week) ?? []), order])
  return [...weeks]
}

/** All weeks on one table: what each is about, its minutes, and what is measured. */
export function year(book: Book, key: string): Chapter {
  const title = t('book-year')
  return onePage(
    key,
    title,
    <>
      <Box component="table" sx={{ width: '100%', borderCollapse: 'collapse', '& td, & th': CELL }}>
        <thead>
          <tr>
            {(['week', 'sessions', 'theme', 'tests'] as const).map((column) => (
              <th key={column}>{t(`book-column-${column}`)}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeksOf(book).map(([week, orders]) => (
            <tr key={week}>
              <td>{week}</td>
              <td>
                {orders.map(({ date, minutes }) => t('book-day', { day: asDay(date), minutes })).join(', ')}
              </td>
              <td>{themeSaid(orders[0]?.theme)}</td>
              <td>{orders.flatMap(({ tests }) => tests.map(({ name }) => name)).join(', ')}</td>
            </tr>
          ))}
        </tbody>
      </Box>
    </>,
  )
}

const CELL = {
  borderBottom: 1,
  borderColor: 'divider',
  py: 0.5,
  pr: 1,
  textAlign: 'left',
  verticalAlign: 'top',
}
/** Of a drawing in a week, in px. */
const DRAWING = 64

/** A week after the other: each begins a page, and each session stays whole. */
export function weeks(book: Book, key: string): Chapter[] {
  return weeksOf(book).map(([week, orders]) => {
    const of = `${key}-${week}`
    const theme = themeSaid(orders[0]?.theme)
    const title = theme ? t('book-week-theme', { n: week, theme }) : t('plan-week', { n: week })
    return {
      key: of,
      title,
      pieces: orders.map((order, at) => ({
        key: at === 0 ? of : `${of}-${at}`,
        fresh: at === 0,
        node: (
          <>
            {at === 0 && <Title>{title}</Title>}
            <SessionOnPaper order={order} />
          </>
        ),
      })),
    }
  })
}

function SessionOnPaper({ order }: { order: RunningOrder }) {
  return (
    <Box sx={{ pb: 1.5 }}>
      <Typography variant="h2" component="h3">
        {t('book-session', { day: asDay(order.date), n: order.session + 1, minutes: order.minutes })}
      </Typography>
      <Typography variant="body2">
        <strong>{t('session-kit')}:</strong> {bringSaid(order)}
      </Typography>
      {order.tests.length > 0 && (
        <Typography variant="body2">
          <strong>{t('today-tests')}:</strong>{' '}
          {order.tests.map(({ name, minutes }) => t('plan-test-in', { name, minutes })).join(' · ')}
        </Typography>
      )}
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', columnGap: '5mm' }}>
        {order.blocks.map((block, i) => (
          <BlockOnPaper key={i} block={block} nth={i + 1} height={DRAWING} />
        ))}
      </Box>
    </Box>
  )
}

/** Skills and milestones, with how each is shown. */
export function skills(book: Book, key: string): Chapter {
  const title = t('book-skills')
  const names = new Map(book.tests.map(({ id, name }) => [id, name]))
  return {
    key,
    title,
    pieces: book.skills.map((skill, at) => ({
      key: at === 0 ? key : `${key}-${at}`,
      fresh: at === 0,
      node: (
        <>
          {at === 0 && <Title>{title}</Title>}
          <Box sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
              {skill.strand && <StrandSwatch strand={skill.strand} />}
              <Typography sx={{ fontWeight: 650, flex: 1 }}>{skill.name}</Typography>
              <Typography variant="body2">
                {skill.present
                  ? t('book-from-to', { from: t(`stage-${skill.present}`), to: t(`stage-${skill.goal}`) })
                  : t('book-new-to', { to: t(`stage-${skill.goal}`) })}
              </Typography>
            </Box>
            {skill.milestones.map((milestone) => (
              <Typography key={milestone.says} variant="body2" sx={{ pl: 2 }}>
                {t(`stage-${milestone.stage}`)}: “{milestone.says}”{' '}
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {evidenceSaid(milestone.evidence, (test) => names.get(test) ?? test)}
                </Box>
              </Typography>
            ))}
          </Box>
        </>
      ),
    })),
  }
}

const LINES = ['building', 'secure', 'stretching'] as const

/** Tests with the levels of the band. */
export function tests(book: Book, key: string): Chapter {
  const title = t('book-tests')
  return {
    key,
    title,
    pieces: book.tests.map((test, at) => ({
      key: at === 0 ? key : `${key}-${at}`,
      fresh: at === 0,
      node: (
        <>
          {at === 0 && <Title>{title}</Title>}
          <Box sx={{ borderBottom: 1, borderColor: 'divider', py: 0.75 }}>
            <Typography sx={{ fontWeight: 650 }}>{test.name}</Typography>
            <Typography variant="body2">{test.how}</Typography>
            {test.thresholds && (
              <Typography variant="body2">
                {LINES.map((line) =>
                  t(test.rises ? 'book-level-from' : 'book-level-to', {
                    level: t(`level-${line}`),
                    value: asResult(test.thresholds?.[line] ?? 0),
                  }),
                ).join(', ')}
                {test.unit && ` (${said(`unit-${test.unit}`) ?? test.unit})`}
              </Typography>
            )}
            {test.sessions.length > 0 && (
              <Typography variant="body2" color="text.secondary">
                {t('book-taken', {
                  days: test.sessions
                    .flatMap(
                      (session) => book.sessions.find((order) => order.session === session)?.date ?? [],
                    )
                    .map(asDay)
                    .join(', '),
                })}
              </Typography>
            )}
          </Box>
        </>
      ),
    })),
  }
}

/** What has to be there, and what could hurt. */
export function kit(book: Book, key: string): Chapter {
  const title = t('book-kit')
  const node = (
    <>
      <Typography>{bringSaid(book)}</Typography>
      <Typography variant="body2" color="text.secondary">
        {t('book-kit-about')}
      </Typography>
      {book.cautions.length > 0 && (
        <Typography sx={{ mt: 1.5 }}>
          <strong>{t('session-cautions')}:</strong> {cautionsSaid(book.cautions)}
        </Typography>
      )}
      <Typography variant="body2">{t('session-caution-tail')}</Typography>
    </>
  )
  return onePage(key, title, node)
}

/** One page for parents: what their child learns, in its own words. */
export function parents(book: Book, key: string): Chapter {
  const title = t('book-parents-title', { name: book.name })
  const says = (skill: Book['skills'][number]) => skill.milestones.at(-1)?.says
  const node = (
    <>
      <Typography sx={{ mb: 1 }}>
        {t('book-parents-about', {
          first: asDate(book.sessions[0]?.date ?? book.start),
          last: asDate(book.sessions.at(-1)?.date ?? lastDay(book)),
          sessions: book.sessions.length,
        })}
      </Typography>
      {STRANDS.map((strand) => {
        const all = book.skills.filter((skill) => skill.strand === strand)
        if (all.length === 0) return null
        return (
          <Box key={strand} sx={{ mt: 1 }}>
            <Typography sx={{ fontWeight: 650 }}>
              <StrandSwatch strand={strand} /> {t(`strand-${strand}`)}
            </Typography>
            {all.map((skill) => (
              <Typography key={skill.skill} variant="body2" sx={{ pl: 2 }}>
                {skill.name}
                {says(skill) && `: “${says(skill)}”`}
              </Typography>
            ))}
          </Box>
        )
      })}
      <Typography sx={{ mt: 2 }}>{t('book-parents-home')}</Typography>
    </>
  )
  return onePage(key, title, node)
}
