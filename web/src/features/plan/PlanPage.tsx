// The plan: what the weeks will bring, and what a change costs.
import Box from '@mui/material/Box'
import GlobalStyles from '@mui/material/GlobalStyles'
import Link from '@mui/material/Link'
import { useState } from 'react'
import { Navigate, Link as RouterLink, useParams } from 'react-router'
import { type Curriculum, newId, ProblemError, type Schemas } from '../../api/client'
import { useTranslated } from '../../texts/phrases'
import { t } from '../../texts/t'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { isHere, useAt } from './at'
import { Breaches, ClashNote } from './Breaches'
import { BenchmarkMap } from './benchmarks/BenchmarkMap'
import { useBenchmarks } from './benchmarks/queries'
import { PlanFloor } from './floor/PlanFloor'
import { useLaying } from './laying'
import { PlanBar } from './PlanBar'
import { PlanPanel } from './PlanPanel'
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
import { Tour } from './Tour'

export function PlanPage() {
  const { id } = useParams()
  const curricula = useCurricula()
  const curriculum = useCurriculum(id)
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!curricula.data) return <Loading />
  // The list begins with the latest: of what runs, the one that has begun last; else what comes next.
  const of = (stands: Schemas['InTime']) => curricula.data.filter((entry) => entry.stands === stands)
  const first = of('running')[0] ?? of('coming').at(-1) ?? curricula.data[0]
  if (!first) {
    return (
      <Empty>
        {t('plan-empty')}{' '}
        <Link component={RouterLink} to="/plan/new">
          {t('plan-make-first')}
        </Link>
      </Empty>
    )
  }
  // Whoever has gone on to another place meanwhile is not called back.
  if (!id) return isHere() ? <Navigate to={`/plan/${first.id}`} replace /> : <Loading />
  if (curriculum.isError) return <ErrorNote error={curriculum.error} />
  if (!curriculum.data) return <Loading />
  return <PlanDesk key={id} view={curriculum.data} all={curricula.data} />
}

function PlanDesk({ view, all }: { view: Curriculum; all: Schemas['CurriculumEntry'][] }) {
  const translated = useTranslated()
  // The id of the edition that is about to be published: pressing twice, or again after a lost answer, publishes once.
  const [publishing, setPublishing] = useState<string | null>(null)
  const changes = useChanges(view.id)
  const { wish, season, edit, undo, solve, publish } = changes
  const { at, setAt, step, panel, setPanel, look, setLook } = useAt(view)
  const benchmarks = useBenchmarks(view.id, view.version).data
  const laying = useLaying(view, changes)
  const foresees = panel === 'forecast' || look === 'benchmarks'
  const forecast = useForecast(view.id, view.version, foresees)
  const soFar = useSoFar(view.id, view.version, foresees)
  const busy =
    wish.isPending || season.isPending || edit.isPending || undo.isPending || changes.take.isPending

  const change = (change: Change) => {
    solve.reset()
    wish.mutate(change)
  }
  const doEdit = (what: Edit) => {
    solve.reset()
    edit.mutate(what, {
      onSuccess: ({ came: { place } }) =>
        setAt((now) => (place ? { ...now, ...place } : { ...now, block: undefined })),
    })
  }
  const takeBack = () => {
    solve.reset()
    edit.reset()
    if (view.undo) undo.mutate()
  }
  const mayPublish =
    view.breaches.length === 0 && view.changed_since_edition !== false && !busy && !solve.isPending
  const publishNext = () => setPublishing(newId())
  usePlanKeys({
    view,
    at,
    paused: publishing !== null,
    onStep: step,
    onEdit: doEdit,
    onOpen: () => setPanel('session'),
    onSolve: laying.layAgain,
    onUndo: takeBack,
    onPublish: () => mayPublish && publishNext(),
  })

  const next = (view.editions[0]?.number ?? 0) + 1
  const clash =
    (solve.error instanceof ProblemError ? solve.error.problem.clash : view.came.clash) ?? undefined
  const shared = { view, at, soFar: soFar.data, onChoose: setAt, onChange: change, onEdit: doEdit }
  return (
    <Box sx={DESK}>
      <GlobalStyles styles={{ '@page': { size: 'A4 landscape', margin: '10mm' } }} />
      <Box sx={FLOOR}>
        <PlanBar
          {...{ view, all, busy, laying, mayPublish, next }}
          solving={solve.isPending}
          onUndo={takeBack}
          onPublish={publishNext}
          look={look}
          onLook={setLook}
          shown={benchmarks && `${benchmarks.shown}/${benchmarks.lines.length}`}
        />
        <Tour />
        <WentWrong changes={changes} clash={clash} />
        <Breaches
          breaches={view.breaches}
          busy={busy}
          onGo={(session, block) => setAt({ session, block: block ?? 0 })}
          onMend={doEdit}
        />
        {look === 'weeks' && (
          <>
            <PlanFloor
              {...shared}
              clash={clash}
              forecast={panel === 'forecast' ? forecast.data : undefined}
              saving={wish.isPending}
            />
            <ScoreStrip score={view.score} weekly={(view.wishes.weekly ?? []).length > 0} />
          </>
        )}
        <Box sx={look === 'benchmarks' ? { minHeight: 0, overflowY: 'auto' } : ON_PAPER}>
          <BenchmarkMap view={view} forecast={forecast.data} soFar={soFar.data} />
        </Box>
      </Box>
      <PlanPanel {...shared} {...{ panel, busy, changes }} forecast={forecast.data} onPanel={setPanel} />
      <PublishDialog
        open={publishing !== null}
        number={next}
        name={translated(view.wishes.name)}
        changes={view.changes}
        benchmarks={benchmarks}
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

/** Why the last change came to nothing, and wishes that cannot hold together. */
function WentWrong({
  changes: { wish, season, edit, undo, solve },
  clash,
}: {
  changes: ReturnType<typeof useChanges>
  clash: Schemas['Clash'] | undefined
}) {
  const failed = [wish, season, edit, undo].find((each) => each.isError)?.error
  return (
    <>
      {failed && <ErrorNote error={failed} />}
      {solve.isError && !clash && <ErrorNote error={solve.error} />}
      {clash && <ClashNote clash={clash} forbids={solve.isError} />}
    </>
  )
}

const DESK = {
  flex: 1,
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 356px' },
  minHeight: 0,
  '@media print': { display: 'block' },
}

/** The map is printed with the weeks, on a sheet of its own. */
const ON_PAPER = { display: 'none', '@media print': { display: 'block', breakBefore: 'page' } }

const FLOOR = {
  minWidth: 0,
  px: 2,
  py: 1.5,
  display: 'flex',
  flexDirection: 'column',
  gap: 1,
  '@media print': { p: 0 },
}
