// The chosen session: its running order and kit; of the open block what can be done with it, and why it is here.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import type { Curriculum, RunningBlock, RunningOrder, Schemas } from '../../api/client'
import { bringSaid, layingOutSaid } from '../../texts/said'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { AsWritten, BesideBlock, BlockFacts, Cautions, Faults, Points } from '../../ui/block'
import { SelectCell } from '../../ui/fields'
import { asLongDay, asPercent, Figure } from '../../ui/figures'
import { settingsSaid } from '../../ui/levers'
import { ErrorNote, Loading } from '../../ui/notes'
import { BlockPicture } from '../../ui/score/BlockPicture'
import { STAGES, StageGlyph } from '../../ui/stages'
import type { At } from './at'
import { type Change, type Edit, useDraftSession, useWhy } from './queries'

interface Props {
  view: Curriculum
  at: At
  busy: boolean
  onChoose: (at: At) => void
  onEdit: (edit: Edit) => void
  onChange: (change: Change) => void
}

export function SessionInspector({ view, at, busy, onChoose, onEdit, onChange }: Props) {
  const order = useDraftSession(view.id, at.session, view.version)
  const why = useWhy(view.id, view.version, {
    block:
      at.block === undefined ? undefined : (view.sessions[at.session]?.blocks[at.block]?.id ?? undefined),
    skill: at.skill,
  })
  const column = view.sessions[at.session]
  const skill = view.skills.find((each) => each.id === at.skill)
  if (order.isError) return <ErrorNote error={order.error} />
  if (!order.data || !column) return <Loading />
  const { data } = order
  return (
    <Box sx={{ mt: 1.5 }}>
      <Head order={data} view={view} session={at.session} busy={busy} onChange={onChange} />
      {data.blocks.length === 0 && <Typography sx={{ mt: 2 }}>{t('plan-no-plan')}</Typography>}
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
        {data.blocks.map((block, i) => {
          const open = i === at.block
          const here = column.blocks[i]
          return (
            <Box component="li" key={`${block.drill} ${i}`} sx={{ borderTop: 1, borderColor: 'divider' }}>
              {layingOutSaid(block) && (
                <Typography
                  variant="caption"
                  color="text.secondary"
                  sx={{ display: 'block', pl: '54px', pt: 0.5 }}
                >
                  {layingOutSaid(block)}
                </Typography>
              )}
              <BlockHead
                block={block}
                here={here}
                open={open}
                onOpen={() =>
                  onChoose({
                    session: at.session,
                    skill:
                      view.stitches.find((s) => s.session === at.session && s.block === i)?.skill ?? at.skill,
                    block: open ? undefined : i,
                  })
                }
              />
              {open && here && (
                <BlockEdit
                  here={here}
                  place={{ session: at.session, block: i }}
                  count={column.blocks.length}
                  why={why.data?.block ?? undefined}
                  busy={busy}
                  onEdit={onEdit}
                />
              )}
              {open && <WhyBlock why={why.data?.block ?? undefined} />}
              {open && <BlockDetail block={block} />}
            </Box>
          )
        })}
      </Box>
      {data.unused > 0 && (
        <Typography
          variant="body2"
          color="text.secondary"
          sx={{ borderTop: 1, borderColor: 'divider', pt: 1 }}
        >
          {t('session-unused', { n: data.unused })}
        </Typography>
      )}
      {skill && (
        <WhySkill
          name={skill.name}
          says={why.data?.skill ?? []}
          busy={busy}
          onAdd={() => onEdit({ edit: 'show', session: at.session, skill: skill.id })}
        />
      )}
    </Box>
  )
}

interface HeadProps {
  order: RunningOrder
  view: Curriculum
  session: number
  busy: boolean
  onChange: (change: Change) => void
}

/** The skills that begin here only if a squad is ready for them, and what it does until then. */
function Hinges({ view, session }: Pick<HeadProps, 'view' | 'session'>) {
  return view.hinges
    .filter((hinge) => hinge.session === session)
    .map(({ skill: id, share, meanwhile }) => {
      const skill = view.skills.find((each) => each.id === id)?.name ?? id
      const instead = meanwhile?.join(' · ')
      return (
        <Typography key={id} variant="body2" sx={{ mt: 0.5 }}>
          {share == null
            ? t('session-hinge-word', { skill })
            : t('session-hinge-share', { skill, share: asPercent(share) })}{' '}
          {meanwhile == null
            ? t('session-hinge-stuck')
            : instead
              ? t('session-hinge-meanwhile', { instead })
              : t('session-hinge-left-out')}
        </Typography>
      )
    })
}

function Head({ order, view, session, busy, onChange }: HeadProps) {
  const isPinned = (test: string) =>
    view.wishes.tests?.find((each) => each.session === session && each.test === test)?.pinned !== false
  const pin = (test: string, pinned: boolean) =>
    onChange((wishes) => ({
      ...wishes,
      tests: (wishes.tests ?? []).map((each) =>
        each.session === session && each.test === test ? { ...each, pinned } : each,
      ),
    }))
  return (
    <>
      <Typography variant="h2">{asLongDay(order.date)}</Typography>
      <Typography color="text.secondary" variant="body2">
        {t('plan-week', { n: order.week })} · {t('plan-in-session', { n: order.session + 1 })} ·{' '}
        {t('minutes', { n: order.minutes })}
      </Typography>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        <strong>{t('session-kit')}:</strong> {bringSaid(order)}
      </Typography>
      <Hinges view={view} session={session} />
      {order.tests.map(({ test, name, minutes }) => (
        <Box
          key={test}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 1,
            borderTop: 1,
            borderColor: 'divider',
            mt: 0.75,
            pt: 0.5,
          }}
        >
          <Typography variant="body2" sx={{ flex: 1, fontWeight: 650 }}>
            {t('plan-test-in', { name, minutes })}
          </Typography>
          <Button
            size="small"
            variant={isPinned(test) ? 'contained' : 'outlined'}
            aria-pressed={isPinned(test)}
            disabled={busy}
            onClick={() => pin(test, !isPinned(test))}
          >
            {t('plan-test-pin')}
          </Button>
        </Box>
      ))}
    </>
  )
}

interface WhySkillProps {
  name: string
  says: Schemas['Fact'][]
  busy: boolean
  onAdd: () => void
}

/** Why a skill stands no earlier, and the way to show it here. */
function WhySkill({ name, says, busy, onAdd }: WhySkillProps) {
  return (
    <Box
      component="section"
      aria-label={t('plan-why-late', { skill: name })}
      sx={{ borderTop: 1, borderColor: 'divider', mt: 1, pt: 1 }}
    >
      <Typography variant="h3">{t('plan-why-late', { skill: name })}</Typography>
      {says.map((reason, i) => (
        <Typography key={i} variant="body2">
          {told(reason)}
        </Typography>
      ))}
      <Button size="small" sx={{ mt: 0.75 }} disabled={busy} onClick={onAdd}>
        {t('plan-add-here', { skill: name })}
      </Button>
    </Box>
  )
}

function BlockHead({
  block,
  here,
  open,
  onOpen,
}: {
  block: RunningBlock
  here: Schemas['BlockHere'] | undefined
  open: boolean
  onOpen: () => void
}) {
  const begins = block.starts + block.laying_out
  return (
    <ButtonBase
      aria-expanded={open}
      data-open-block={open || undefined}
      onClick={onOpen}
      sx={{ width: '100%', justifyContent: 'flex-start', gap: 1, py: 0.75, textAlign: 'left' }}
    >
      <Figure sx={{ width: 46, whiteSpace: 'nowrap', fontSize: '1.05rem', color: 'text.secondary' }}>
        {begins}–{begins + block.minutes}
      </Figure>
      <StageGlyph stage={block.stage} strand={block.strand} />
      <Typography sx={{ flex: 1, fontWeight: open ? 700 : 500, lineHeight: 1.2 }}>
        {block.title}
        {here?.beside && (
          <Typography component="span" variant="body2" color="text.secondary" sx={{ display: 'block' }}>
            {t('plan-beside-it', { what: alternative(here.beside) })}
          </Typography>
        )}
      </Typography>
      {here?.locked && (
        <Typography variant="caption" color="text.secondary">
          {t('plan-locked')}
        </Typography>
      )}
      <Figure sx={{ fontSize: '1.1rem', fontWeight: 600 }}>{t('minutes', { n: block.minutes })}</Figure>
    </ButtonBase>
  )
}

interface EditProps {
  here: Schemas['BlockHere']
  place: { session: number; block: number }
  count: number
  why: Schemas['BlockWhy'] | undefined
  busy: boolean
  onEdit: (edit: Edit) => void
}

const alternative = ({ title, stage, levers, foot }: Schemas['Alternative']) =>
  [title, t(`stage-${stage}`), settingsSaid(levers, foot)].filter(Boolean).join(' · ')

/** What can be done with a block, each with its key. */
function BlockEdit({ here, place, count, why, busy, onEdit }: EditProps) {
  const stage = STAGES.indexOf(here.stage ?? 'form')
  const up = STAGES[stage + 1]
  const down = STAGES[stage - 1]
  const acts: { label: string; key?: string; edit: Edit | undefined }[] = [
    {
      label: t('plan-block-longer'),
      key: '+',
      edit: here.minutes < here.most ? { edit: 'minutes', ...place, minutes: here.minutes + 1 } : undefined,
    },
    {
      label: t('plan-block-shorter'),
      key: '−',
      edit: here.minutes > here.least ? { edit: 'minutes', ...place, minutes: here.minutes - 1 } : undefined,
    },
    { label: t('plan-block-up'), key: '.', edit: up && { edit: 'stage', ...place, stage: up } },
    { label: t('plan-block-down'), key: ',', edit: down && { edit: 'stage', ...place, stage: down } },
    {
      label: t('plan-block-earlier'),
      edit: place.block > 0 ? { edit: 'move', ...place, to: place.session, at: place.block - 1 } : undefined,
    },
    {
      label: t('plan-block-later'),
      edit:
        place.block < count - 1
          ? { edit: 'move', ...place, to: place.session, at: place.block + 1 }
          : undefined,
    },
    {
      label: here.locked ? t('plan-block-unlock') : t('plan-block-lock'),
      key: 'L',
      edit: { edit: here.locked ? 'unlock' : 'lock', ...place },
    },
    { label: t('plan-block-remove'), key: 'X', edit: { edit: 'remove', ...place } },
  ]
  const rungs = (all: Schemas['Alternative'][] | undefined) =>
    (all ?? []).map((rung) => ({ value: rung.variant, says: alternative(rung) }))
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, pb: 1 }}>
      {acts.map(({ label, key, edit }) => (
        <Button
          key={label}
          size="small"
          disabled={busy || !edit}
          onClick={() => edit && onEdit(edit)}
          sx={{ minWidth: 0, px: 0.9 }}
        >
          {label}
          {key && (
            <Box component="span" aria-hidden sx={{ ml: 0.6, color: 'text.secondary', fontWeight: 400 }}>
              {key}
            </Box>
          )}
        </Button>
      ))}
      {rungs(why?.instead).length > 0 && (
        <SelectCell
          label={t('plan-block-instead')}
          none={t('plan-block-as-it-is')}
          value=""
          options={rungs(why?.instead)}
          onChange={(variant) => variant && onEdit({ edit: 'replace', ...place, variant })}
          sx={{ mt: 1 }}
        />
      )}
      {(here.beside || rungs(why?.beside).length > 0) && (
        <SelectCell
          label={t('plan-block-beside')}
          none={t('plan-block-together')}
          value={here.beside?.variant ?? ''}
          options={rungs(why?.beside)}
          onChange={(beside) => onEdit({ edit: 'split', ...place, beside: beside || null })}
          sx={{ mt: 1 }}
        />
      )}
    </Box>
  )
}

function WhyBlock({ why }: { why: Schemas['BlockWhy'] | undefined }) {
  if (!why) return null
  return (
    <Box component="section" aria-label={t('plan-why')} sx={{ pb: 1 }}>
      <Typography variant="h3">{t('plan-why')}</Typography>
      {why.says.map((reason, i) => (
        <Typography key={i} variant="body2">
          {told(reason)}
        </Typography>
      ))}
      <Typography variant="body2" color="text.secondary">
        {t('plan-without', { price: told(why.without.says) })}
      </Typography>
    </Box>
  )
}

function BlockDetail({ block }: { block: RunningBlock }) {
  return (
    <Box sx={{ pb: 1.5, display: 'grid', gap: 1 }}>
      <BlockFacts block={block} />
      <AsWritten of={block.title} />
      <BlockPicture block={block} height={230} />
      <BesideBlock block={block} />
      <Points points={block.points} />
      <Faults faults={block.faults} />
      <Cautions cautions={block.cautions} />
      <Typography variant="body2" color="text.secondary">
        {t('session-in-game')}: {block.in_game}
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {t('session-assumption')}
      </Typography>
    </Box>
  )
}
