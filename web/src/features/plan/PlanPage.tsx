// The plan: what the weeks will bring, and what a change costs.
import Box from '@mui/material/Box'
import GlobalStyles from '@mui/material/GlobalStyles'
import Link from '@mui/material/Link'
import { useEffect, useRef, useState } from 'react'
import { Navigate, Link as RouterLink, useParams, useSearchParams } from 'react-router'
import { type Curriculum, newId, ProblemError, type Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { Choice } from '../../ui/Choice'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { Breaches, ClashNote } from './Breaches'
import { ComparePanel } from './ComparePanel'
import { EveningInspector } from './EveningInspector'
import { ForecastPanel } from './ForecastPanel'
import { PlanBar, TRIES } from './PlanBar'
import { PlanFloor, rowsOf } from './PlanFloor'
import { PublishDialog } from './PublishDialog'
import { usePlanKeys } from './planKeys'
import {
  type Change,
  type Edit,
  useChanges,
  useCurricula,
  useCurriculum,
  useForecast,
  useSoFar,
} from './queries'
import { ScoreStrip } from './ScoreStrip'
import { ShareWishes } from './ShareWishes'
import { Tour } from './Tour'
import { WishesPanel } from './WishesPanel'

export function PlanPage() {
  const { id } = useParams()
  const curricula = useCurricula()
  const curriculum = useCurriculum(id)
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!curricula.data) return <Loading />
  const first = curricula.data.items[0]
  if (!first) {
    return (
      <Empty>
        {texts.plan.empty}{' '}
        <Link component={RouterLink} to="/plan/new">
          {texts.plan.makeFirst}
        </Link>
      </Empty>
    )
  }
  // Whoever has gone on to another place meanwhile is not called back.
  if (!id) return isHere() ? <Navigate to={`/plan/${first.id}`} replace /> : <Loading />
  if (curriculum.isError) return <ErrorNote error={curriculum.error} />
  if (!curriculum.data) return <Loading />
  return <PlanDesk key={id} view={curriculum.data} all={curricula.data.items} />
}

/** Whether the address bar still stands at the plan: it changes before the surface does. */
const isHere = () => window.location.pathname.startsWith('/plan')

/** Where the director stands on the floor: a session, and a line or a block in it. */
export interface At {
  session: number
  skill?: string
  block?: number
}

const PANELS = ['evening', 'wishes', 'compare', 'forecast'] as const
type Panel = (typeof PANELS)[number]

function PlanDesk({ view, all }: { view: Curriculum; all: Schemas['CurriculumEntry'][] }) {
  const [address, setAddress] = useSearchParams()
  // The id of the edition that is about to be published: pressing twice, or again after a lost answer, publishes once.
  const [publishing, setPublishing] = useState<string | null>(null)
  const [longer, setLonger] = useState<number | null>(null)
  const { wish, season, edit, undo, solve, publish } = useChanges(view.id)
  const busy = wish.isPending || season.isPending || edit.isPending || undo.isPending

  // The address holds what is chosen, so that a link shows the same; keys may come faster than addresses change.
  const last = Math.max(view.sessions.length, 1) - 1
  const [at, setAt] = useState<At>(() => ({
    session: Math.min(Math.max(Number(address.get('session') ?? 1) - 1, 0), last) || 0,
    skill: address.get('skill') ?? undefined,
    block:
      address.has('skill') && !address.has('block')
        ? undefined
        : Math.max(Number(address.get('block') ?? 1) - 1, 0) || 0,
  }))
  const [panel, setPanel] = useState<Panel>(
    () => PANELS.find((each) => each === address.get('panel')) ?? 'evening',
  )
  useEffect(() => {
    const next: Record<string, string> = { session: String(at.session + 1) }
    if (at.skill) next.skill = at.skill
    if (at.block !== undefined) next.block = String(at.block + 1)
    if (panel !== 'evening') next.panel = panel
    if (isHere()) setAddress(next, { replace: true })
  }, [at, panel, setAddress])
  const session = Math.min(at.session, last)
  const block = view.sessions[session]?.blocks[at.block ?? -1] ? at.block : undefined
  const forecast = useForecast(view.id, view.version, panel === 'forecast')
  const soFar = useSoFar(view.id, view.version, panel === 'forecast')

  const change = (change: Change) => {
    solve.reset()
    wish.mutate(change)
  }
  const doEdit = (what: Edit) => {
    solve.reset()
    edit.mutate(what, {
      onSuccess: (next) => {
        const { place } = next.came
        if (place) setAt((now) => ({ ...now, session: place.session, block: place.block }))
        else setAt((now) => ({ ...now, block: undefined }))
      },
    })
  }
  const takeBack = () => {
    solve.reset()
    edit.reset()
    if (view.undo) undo.mutate()
  }
  const solveAgain = () => {
    if (!solve.isPending) solve.mutate({ near: view.stitches.length > 0 })
  }

  // A longer search looks again and again, keeps what is better, and can be stopped at any time.
  const stopped = useRef(false)
  const lookOn = (tries: number) => {
    setLonger(tries)
    solve.mutate(
      { near: false, onlyBetter: true, seed: tries + 1 },
      {
        onSuccess: () => (stopped.current || tries + 1 >= TRIES ? setLonger(null) : lookOn(tries + 1)),
        onError: () => setLonger(null),
      },
    )
  }

  const rows = rowsOf(view)
  const stitchAt = (skill: string | undefined, session: number) =>
    view.stitches.find((s) => s.skill === skill && s.session === session)
  const step = (rowsOn: number, sessionsOn: number) =>
    setAt((now) => {
      const row = rows.findIndex((skill) => skill.id === now.skill)
      const skill =
        rowsOn === 0 && row < 0 ? undefined : rows[Math.min(Math.max(row + rowsOn, 0), rows.length - 1)]?.id
      const next = Math.min(Math.max(now.session + sessionsOn, 0), last)
      return { session: next, skill, block: skill ? stitchAt(skill, next)?.block : 0 }
    })
  const mayPublish =
    view.breaches.length === 0 && view.changed_since_edition !== false && !busy && !solve.isPending
  const publishNext = () => setPublishing(newId())
  usePlanKeys({
    view,
    at: { session, skill: at.skill, block },
    paused: publishing !== null,
    onStep: step,
    onEdit: doEdit,
    onOpen: () => setPanel('evening'),
    onSolve: solveAgain,
    onUndo: takeBack,
    onPublish: () => mayPublish && publishNext(),
  })

  const next = (view.editions[0]?.number ?? 0) + 1
  const clash =
    (solve.error instanceof ProblemError ? solve.error.problem.clash : view.came.clash) ?? undefined
  const failed = [wish, season, edit, undo].find((each) => each.isError)?.error
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 356px' },
        minHeight: 0,
        '@media print': { display: 'block' },
      }}
    >
      <GlobalStyles styles={{ '@page': { size: 'A4 landscape', margin: '10mm' } }} />
      <Box
        sx={{
          minWidth: 0,
          px: 2,
          py: 1.5,
          display: 'flex',
          flexDirection: 'column',
          gap: 1,
          '@media print': { p: 0 },
        }}
      >
        <PlanBar
          view={view}
          all={all}
          busy={busy}
          solving={solve.isPending}
          longer={longer}
          mayPublish={mayPublish}
          next={next}
          onUndo={takeBack}
          onSolve={solveAgain}
          onLookLonger={() => {
            stopped.current = false
            lookOn(0)
          }}
          onStop={() => (stopped.current = true)}
          onPublish={publishNext}
        />
        <Tour />
        {failed && <ErrorNote error={failed} />}
        {solve.isError && !clash && <ErrorNote error={solve.error} />}
        {clash && <ClashNote clash={clash} forbids={solve.isError} />}
        <Breaches
          breaches={view.breaches}
          busy={busy}
          onGo={(session, block) => setAt({ session, block: block ?? 0 })}
          onMend={doEdit}
        />
        <ShareWishes view={view} saving={wish.isPending} onChange={change} />
        <PlanFloor
          view={view}
          at={{ session, skill: at.skill, block }}
          clash={clash}
          forecast={panel === 'forecast' ? forecast.data : undefined}
          soFar={soFar.data}
          saving={wish.isPending}
          onChoose={setAt}
          onChange={change}
          onEdit={doEdit}
        />
        <ScoreStrip score={view.score} />
      </Box>
      <Box
        component="aside"
        className="no-print"
        aria-label={texts.plan.panel[panel]}
        sx={{
          bgcolor: 'background.paper',
          borderLeft: { md: 1 },
          borderColor: { md: 'divider' },
          p: 2,
          overflowY: 'auto',
          maxHeight: { md: 'calc(100dvh - 45px)' },
        }}
      >
        <Choice
          label={texts.plan.panels}
          options={PANELS}
          chosen={[panel]}
          says={(each) => texts.plan.panel[each]}
          onToggle={setPanel}
        />
        {panel === 'evening' && (
          <EveningInspector
            view={view}
            at={{ session, skill: at.skill, block }}
            busy={busy}
            onChoose={setAt}
            onEdit={doEdit}
          />
        )}
        {panel === 'wishes' && (
          <WishesPanel
            view={view}
            saving={busy}
            onChange={change}
            onSeason={(body) => season.mutate(body)}
            onLayAnew={() => solve.mutate({ near: false })}
          />
        )}
        {panel === 'compare' && (
          <ComparePanel
            view={view}
            onTake={(approach) =>
              wish.mutate((wishes) => ({ ...wishes, approach }), {
                onSuccess: () => solve.mutate({ near: false, seed: 1 }),
              })
            }
          />
        )}
        {panel === 'forecast' && (
          <ForecastPanel view={view} forecast={forecast.data} soFar={soFar.data} onChange={change} />
        )}
      </Box>
      <PublishDialog
        open={publishing !== null}
        number={next}
        name={view.wishes.name}
        changes={view.changes}
        busy={publish.isPending}
        error={publish.error}
        onClose={() => setPublishing(null)}
        onPublish={(note) =>
          publishing && publish.mutate({ id: publishing, note }, { onSuccess: () => setPublishing(null) })
        }
      />
    </Box>
  )
}
