// The plan: what the weeks will bring, and what a change costs.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router'
import { newId, ProblemError, type Curriculum, type Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { asDay, asTime } from '../../ui/figures'
import { isTyping } from '../../ui/keys'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { EveningInspector } from './EveningInspector'
import { PlanFloor } from './PlanFloor'
import { PublishDialog } from './PublishDialog'
import { ScoreStrip } from './ScoreStrip'
import { ShareWishes } from './ShareWishes'
import { Tour } from './Tour'
import { useChanges, useCurricula, useCurriculum, type Change, type Wishes } from './queries'

export function PlanPage() {
  const { id } = useParams()
  const curricula = useCurricula()
  const curriculum = useCurriculum(id)
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!curricula.data) return <Loading />
  const first = curricula.data.items[0]
  if (!first) return <Empty>{texts.plan.empty}</Empty>
  if (!id) return <Navigate to={`/plan/${first.id}`} replace />
  if (curriculum.isError) return <ErrorNote error={curriculum.error} />
  if (!curriculum.data) return <Loading />
  return <PlanDesk key={id} view={curriculum.data} all={curricula.data.items} />
}

function PlanDesk({ view, all }: { view: Curriculum; all: Schemas['CurriculumEntry'][] }) {
  const navigate = useNavigate()
  const [address, setAddress] = useSearchParams()
  // The id of the edition that is about to be published: pressing twice, or again after a lost answer, publishes once.
  const [publishing, setPublishing] = useState<string | null>(null)
  const [undo, setUndo] = useState<Wishes[]>([])
  const { wish, solve, publish } = useChanges(view.id, (before) => setUndo((all) => [...all, before]))

  // The address holds what is chosen, so that a link shows the same; keys may come faster than addresses change.
  const last = Math.max(view.sessions.length, 1) - 1
  const [at, setAt] = useState(() => ({
    session: Math.min(Math.max(Number(address.get('session') ?? 1) - 1, 0), last) || 0,
    block: Math.max(Number(address.get('block') ?? 1) - 1, 0) || 0,
  }))
  const { session, block } = at
  const choose = (next: { session?: number; block?: number }) => setAt((now) => ({ session: next.session ?? now.session, block: next.block ?? 0 }))
  useEffect(() => {
    setAddress({ session: String(session + 1), block: String(block + 1) }, { replace: true })
  }, [session, block, setAddress])

  const change = (change: Change) => {
    solve.reset()
    wish.mutate({ change, undoable: true })
  }
  const takeBack = () => {
    const before = undo.at(-1)
    if (!before) return
    setUndo(undo.slice(0, -1))
    solve.reset()
    wish.mutate({ change: () => before, undoable: false })
  }
  const solveAgain = () => {
    if (!solve.isPending) solve.mutate()
  }

  const blocks = new Set(view.stitches.filter((s) => s.session === session).map((s) => s.block)).size
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event) || publishing) return
      const act = {
        ArrowRight: () => setAt((now) => ({ session: Math.min(now.session + 1, last), block: 0 })),
        ArrowLeft: () => setAt((now) => ({ session: Math.max(now.session - 1, 0), block: 0 })),
        ArrowDown: () => setAt((now) => ({ ...now, block: Math.max(Math.min(now.block + 1, blocks - 1), 0) })),
        ArrowUp: () => setAt((now) => ({ ...now, block: Math.max(now.block - 1, 0) })),
        s: solveAgain,
        z: takeBack,
      }[event.key]
      if (act) {
        event.preventDefault()
        act()
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  })

  const latest = view.editions[0]
  const next = (latest?.number ?? 0) + 1
  const clash = solve.error instanceof ProblemError ? solve.error.problem.clash : undefined
  return (
    <Box sx={{ flex: 1, display: 'grid', gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 356px' }, minHeight: 0 }}>
      <Box sx={{ minWidth: 0, px: 2, py: 1.5, display: 'flex', flexDirection: 'column', gap: 1 }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
          <TextField
            select
            size="small"
            variant="standard"
            value={view.id}
            onChange={(event) => void navigate(`/plan/${event.target.value}`)}
            slotProps={{ htmlInput: { 'aria-label': texts.plan.choose }, input: { disableUnderline: true, sx: { fontSize: '1.4rem', fontWeight: 650 } } }}
          >
            {all.map((entry) => (
              <MenuItem key={entry.id} value={entry.id}>
                {entry.name}
              </MenuItem>
            ))}
          </TextField>
          <Typography color="text.secondary">{view.band}</Typography>
          <Typography color="text.secondary" role="status" sx={{ flex: 1 }}>
            {latest ? texts.plan.published(latest.number, asDay(latest.at.slice(0, 10))) : texts.plan.draft}
            {view.changed_since_edition ? `, ${texts.plan.changed}` : ''}
            {' · '}
            {wish.isPending ? texts.plan.saving : texts.plan.saved(asTime(view.changed_at))}
          </Typography>
          <Button variant="text" disabled={undo.length === 0} onClick={takeBack}>
            {texts.undo}
          </Button>
          <Button onClick={solveAgain} disabled={solve.isPending || wish.isPending}>
            {solve.isPending ? texts.plan.solving : texts.plan.solve}
          </Button>
          <Button
            variant="contained"
            disabled={view.breaches.length > 0 || view.changed_since_edition === false || wish.isPending}
            onClick={() => setPublishing(newId())}
          >
            {texts.plan.publish(next)}
          </Button>
        </Box>
        <Tour />
        {wish.isError && <ErrorNote error={wish.error} />}
        {solve.isError && (
          <ErrorNote error={clash ? undefined : solve.error}>
            {clash && (
              <>
                <Typography variant="h3">{texts.plan.clash}</Typography>
                <Typography>{clash.says}</Typography>
                <Typography color="text.secondary">
                  {texts.plan.relax} {clash.relax.join(', or ')}.
                </Typography>
              </>
            )}
          </ErrorNote>
        )}
        {!solve.isError && view.breaches.length > 0 && (
          <ErrorNote>
            <Typography variant="h3">{texts.plan.breaches(view.breaches.length)}</Typography>
            <Typography>
              {texts.plan.inSession((view.breaches[0]?.session ?? 0) + 1)}: {view.breaches[0]?.says}
            </Typography>
            <Typography color="text.secondary">{texts.plan.stale}</Typography>
          </ErrorNote>
        )}
        <ShareWishes view={view} saving={wish.isPending} onChange={change} />
        <PlanFloor view={view} session={session} block={block} onChoose={choose} onChange={change} clash={clash ?? undefined} saving={wish.isPending} />
        <ScoreStrip score={view.score} />
      </Box>
      <EveningInspector view={view} session={session} block={block} onChoose={choose} />
      <PublishDialog
        open={publishing !== null}
        number={next}
        name={view.wishes.name}
        busy={publish.isPending}
        error={publish.error}
        onClose={() => setPublishing(null)}
        onPublish={(note) => publishing && publish.mutate({ id: publishing, note }, { onSuccess: () => setPublishing(null) })}
      />
    </Box>
  )
}
