// The plan: what the weeks will bring, and what a change costs.
import Box from '@mui/material/Box'
import GlobalStyles from '@mui/material/GlobalStyles'
import Link from '@mui/material/Link'
import { useState } from 'react'
import { Navigate, Link as RouterLink, useParams } from 'react-router'
import { type Curriculum, newId, ProblemError, type Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { Empty, ErrorNote, Loading } from '../../ui/notes'
import { isHere, useAt } from './at'
import { Breaches, ClashNote } from './Breaches'
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
import { ShareWishes } from './ShareWishes'
import { Tour } from './Tour'

export function PlanPage() {
  const { id } = useParams()
  const curricula = useCurricula()
  const curriculum = useCurriculum(id)
  if (curricula.isError) return <ErrorNote error={curricula.error} />
  if (!curricula.data) return <Loading />
  const first = curricula.data[0]
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
  // The id of the edition that is about to be published: pressing twice, or again after a lost answer, publishes once.
  const [publishing, setPublishing] = useState<string | null>(null)
  const changes = useChanges(view.id)
  const { wish, season, edit, undo, solve, publish } = changes
  const { at, setAt, step, panel, setPanel } = useAt(view)
  const laying = useLaying(view, solve)
  const forecast = useForecast(view.id, view.version, panel === 'forecast')
  const soFar = useSoFar(view.id, view.version, panel === 'forecast')
  const busy = wish.isPending || season.isPending || edit.isPending || undo.isPending

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
    onOpen: () => setPanel('evening'),
    onSolve: laying.layAgain,
    onUndo: takeBack,
    onPublish: () => mayPublish && publishNext(),
  })

  const next = (view.editions[0]?.number ?? 0) + 1
  const clash =
    (solve.error instanceof ProblemError ? solve.error.problem.clash : view.came.clash) ?? undefined
  const failed = [wish, season, edit, undo].find((each) => each.isError)?.error
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
          {...shared}
          clash={clash}
          forecast={panel === 'forecast' ? forecast.data : undefined}
          saving={wish.isPending}
        />
        <ScoreStrip score={view.score} />
      </Box>
      <PlanPanel {...shared} {...{ panel, busy, changes }} forecast={forecast.data} onPanel={setPanel} />
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

const DESK = {
  flex: 1,
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 356px' },
  minHeight: 0,
  '@media print': { display: 'block' },
}

const FLOOR = {
  minWidth: 0,
  px: 2,
  py: 1.5,
  display: 'flex',
  flexDirection: 'column',
  gap: 1,
  '@media print': { p: 0 },
}
