// What a squad brings to the curriculum that it begins: one page for the coach who takes it.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asDate } from '../../../ui/figures'
import { ErrorNote, Loading } from '../../../ui/notes'
import { STRANDS, StrandSwatch } from '../../../ui/strands'
import { useHandover } from './queries'

type Expected = Schemas['ExpectedSkill']

/** On paper everything stands small, and the milestones in two columns. */
const ON_ONE_PAGE = {
  maxWidth: 'none',
  '& p, & span, & td, & th, & caption': { fontSize: '8.5px !important', lineHeight: '1.2 !important' },
  '& h2': { fontSize: '11px !important' },
  '& td, & th': { py: '0 !important' },
  '& section': { mt: '6px !important', breakInside: 'auto !important' },
  '& section > div': { py: '2px !important' },
  '& [data-tables]': { columns: 2, columnGap: '6mm' },
} as const

export function Handover({ team }: { team: string }) {
  const read = useHandover(team)
  if (read.isError && !read.data) return <ErrorNote error={read.error} />
  if (!read.data) return <Loading />
  const { curriculum, expected, players } = read.data
  const short = expected.filter((skill) => skill.short.length > 0)
  const there = expected.filter((skill) => !skill.unspoken && skill.short.length === 0)
  const unspoken = expected.filter((skill) => skill.unspoken)
  return (
    <Box sx={{ maxWidth: 820, '@media print': ON_ONE_PAGE }}>
      <Box sx={{ display: 'flex', alignItems: 'start', gap: 1 }}>
        <Typography sx={{ flex: 1 }}>
          {curriculum
            ? t(curriculum.published ? 'handover-to' : 'handover-to-draft', {
                name: curriculum.name,
                day: asDate(curriculum.start),
                players,
              })
            : t('handover-to-none', { players })}
        </Typography>
        <Button size="small" variant="text" className="no-print" onClick={() => window.print()}>
          {t('print-go')}
        </Button>
      </Box>
      {short.length > 0 && (
        <Part title={t('handover-short')}>
          {short.map((skill) => (
            <ShortSkill
              key={skill.skill}
              skill={skill}
              of={players}
              first={curriculum?.first_sessions ?? 0}
            />
          ))}
        </Part>
      )}
      <Names title={t('handover-there')} names={there.map(({ name }) => name)} />
      <Names title={t('handover-unspoken')} names={unspoken.map(({ name }) => name)} />
      <Names title={t('handover-foot')} names={read.data.other_foot} />
      <Names
        title={t('handover-new')}
        names={read.data.new.map((each) => t('handover-new-from', { name: each.name, team: each.from }))}
      />
      <Milestones all={read.data.milestones} of={players} />
    </Box>
  )
}

function Part({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section" aria-label={title} sx={{ mt: 2, breakInside: 'avoid-page' }}>
      <Typography variant="h2">{title}</Typography>
      {children}
    </Box>
  )
}

function Names({ title, names }: { title: string; names: string[] }) {
  if (names.length === 0) return null
  return (
    <Part title={title}>
      <Typography>{names.join(' · ')}</Typography>
    </Part>
  )
}

interface ShortProps {
  skill: Expected
  of: number
  /** Sessions in the first three weeks. */
  first: number
}

/** A skill that not everybody has: who comes short, and what bridges it. */
function ShortSkill({ skill, of, first }: ShortProps) {
  const { short, bridge, needed_by } = skill
  const unseen = short.filter((each) => each.unseen)
  const seen = short.filter((each) => !each.unseen)
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', py: 0.75, breakInside: 'avoid' }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
        {skill.strand && <StrandSwatch strand={skill.strand} />}
        <Typography sx={{ fontWeight: 650 }}>
          {t('handover-skill', { skill: skill.name, stage: t(`stage-${skill.stage}`) })}
        </Typography>
        <Typography>{t('handover-have', { have: skill.have, of })}</Typography>
      </Box>
      {needed_by.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          {t('handover-needed-by', { skills: needed_by.join(', ') })}
        </Typography>
      )}
      {seen.length > 0 && (
        <Typography variant="body2">
          {t('handover-not-yet', {
            names: seen
              .map(({ name, reached }) =>
                reached ? t('handover-at', { name, stage: t(`stage-${reached}`) }) : name,
              )
              .join(', '),
          })}
        </Typography>
      )}
      {unseen.length > 0 && (
        <Typography variant="body2">
          {t('handover-unseen', { names: unseen.map(({ name }) => name).join(', ') })}
        </Typography>
      )}
      {bridge != null && (
        <Typography variant="body2" sx={{ fontWeight: 650 }}>
          {t('handover-bridge', { n: bridge, sessions: first })}
        </Typography>
      )}
    </Box>
  )
}

/** How many have each milestone, strand by strand. */
function Milestones({ all, of }: { all: Schemas['BroughtMilestone'][]; of: number }) {
  if (of === 0) return null
  return (
    <Part title={t('handover-milestones')}>
      <div data-tables>
        {STRANDS.map((strand) => {
          const rows = all.filter((each) => each.strand === strand && each.never_seen < of)
          const nobody = all.filter((each) => each.strand === strand && each.never_seen === of).length
          if (rows.length + nobody === 0) return null
          return (
            <Box key={strand} component="table" sx={{ width: '100%', borderCollapse: 'collapse', mt: 1 }}>
              <Box component="caption" sx={{ textAlign: 'left', fontWeight: 650, py: 0.5 }}>
                <StrandSwatch strand={strand} /> {t(`strand-${strand}`)}
              </Box>
              <thead>
                <tr>
                  <Cell head>{t('handover-milestone')}</Cell>
                  {(['have', 'slipped', 'on_the_way', 'never_seen'] as const).map((key) => (
                    <Cell key={key} head right>
                      {t(`handover-head-${key}`)}
                    </Cell>
                  ))}
                </tr>
              </thead>
              <tbody>
                {rows.map((row) => (
                  <tr key={row.milestone}>
                    <Cell>
                      {row.says}{' '}
                      <Typography component="span" variant="caption" color="text.secondary">
                        {row.band}
                      </Typography>
                    </Cell>
                    <Cell right>{row.have}</Cell>
                    <Cell right>{row.slipped || '–'}</Cell>
                    <Cell right>{row.on_the_way || '–'}</Cell>
                    <Cell right>{row.never_seen || '–'}</Cell>
                  </tr>
                ))}
                {nobody > 0 && (
                  <tr>
                    <Box component="td" colSpan={5} sx={{ color: 'text.secondary', py: 0.5 }}>
                      {t('handover-nobody', { n: nobody })}
                    </Box>
                  </tr>
                )}
              </tbody>
            </Box>
          )
        })}
      </div>
    </Part>
  )
}

interface CellProps {
  head?: boolean
  right?: boolean
  children: ReactNode
}

function Cell({ head, right, children }: CellProps) {
  return (
    <Box
      component={head ? 'th' : 'td'}
      scope={head ? 'col' : undefined}
      sx={{
        textAlign: right ? 'right' : 'left',
        fontWeight: head ? 400 : undefined,
        color: head ? 'text.secondary' : undefined,
        fontSize: head ? 13 : undefined,
        borderBottom: 1,
        borderColor: 'divider',
        py: 0.5,
        pl: right ? 1 : 0,
        verticalAlign: 'top',
      }}
    >
      {children}
    </Box>
  )
}
