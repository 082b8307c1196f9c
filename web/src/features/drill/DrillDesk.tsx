// The drill desk: the text and its floor side by side, and everything that follows from them.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useEffect, useMemo, useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { ProblemError, type Schemas } from '../../api/client'
import { nameFor } from '../../api/naming'
import { draft } from '../../storage/remembered'
import { texts } from '../../texts/en'
import { FloorDrawing } from '../../ui/FloorDrawing'
import { asTime } from '../../ui/figures'
import { useKeys } from '../../ui/keys'
import { EASIEST, LEVERS, type LeverName, set } from '../../ui/levers'
import { ErrorNote, Loading } from '../../ui/notes'
import { DrillForm } from './DrillForm'
import { DrillSheet } from './DrillSheet'
import { BLANK, offeredBy, whole } from './drill'
import { FitLine } from './FitLine'
import { asShare, useGround } from './ground'
import { LayoutEditor } from './LayoutEditor'
import { LeverRow } from './LeverRow'
import { type Drill, type Levers, useBands, useDesk, useDrill, useDrillChanges } from './queries'
import { TimeStrip } from './TimeStrip'

export function DrillDesk({ editable }: { editable: boolean }) {
  const { id } = useParams()
  const shown = useDrill(id === 'new' ? undefined : id)
  if (shown.isError) return <ErrorNote error={shown.error} />
  if (id === 'new')
    return editable ? (
      <Desk key="new" view={null} />
    ) : (
      <ErrorNote error={undefined}>{texts.drills.nothing}</ErrorNote>
    )
  if (!shown.data) return <Loading />
  return editable ? (
    <Desk key={id} view={shown.data} />
  ) : (
    <DrillSheet key={id} drill={whole(shown.data.drill)} />
  )
}

function Desk({ view }: { view: Schemas['DrillView'] | null }) {
  const { floor } = useTheme()
  const navigate = useNavigate()
  const [address, setAddress] = useSearchParams()
  const standing = useMemo(() => (view ? whole(view.drill) : BLANK), [view])
  const place = view?.drill.id ?? 'new'
  // What is being written stays on this device until it is saved, so that a reload or a lost network loses nothing.
  const [past, setPast] = useState<Drill[]>([])
  const [drill, setDrill] = useState<Drill>(() => draft.read(place) ?? standing)
  const [levers, setLevers] = useState<Levers>(() => drill.rungs[0]?.levers ?? EASIEST)
  const [line, setLine] = useState<number | null>(null)
  const [offering, setOffering] = useState(false)
  const [success, setSuccess] = useState<number | null>(null)
  const bands = useBands()
  const { create, save, putAway } = useDrillChanges()
  const saving = save.isPending || create.isPending
  const { ground, grounds, setGround } = useGround()
  const band = address.get('band') ?? Object.keys(drill.doses)[0] ?? bands.data?.[0]?.band.id
  const looked = useDesk(band ? { drill, band, levers, ground, success: asShare(success) } : undefined)
  const changed = JSON.stringify(drill) !== JSON.stringify(standing)
  useEffect(() => {
    if (changed) draft.write(drill, place)
    else draft.forget(place)
  }, [changed, drill, place])

  // What is typed in one go into one field is one step back.
  const [last, setLast] = useState({ what: '', at: 0 })
  const change = (next: Partial<Drill>) => {
    const [what, now] = [Object.keys(next).join(), Date.now()]
    if (what !== last.what || now - last.at > 1_000) setPast((all) => [...all.slice(-99), drill])
    setLast({ what, at: now })
    setDrill({ ...drill, ...next })
  }
  const takeBack = () => {
    const before = past.at(-1)
    if (!before) return
    setPast(past.slice(0, -1))
    setLast({ what: '', at: 0 })
    setDrill(before)
  }
  const offer = (lever: LeverName, setting: string) => {
    const offered = offeredBy(drill, lever)
    const next = offered.includes(setting)
      ? offered.filter((other) => other !== setting)
      : [...offered, setting]
    change({ levers: { ...drill.levers, [lever]: next } })
  }
  const store = () => {
    if (view) save.mutate({ drill, version: view.version }, { onSuccess: () => setPast([]) })
    else create.mutate({ ...drill, id: nameFor(drill.title) }, { onSuccess: (made) => go(made) })
  }
  const go = (made: Schemas['DrillView']) => {
    draft.forget('new')
    void navigate(`/drills/${made.drill.id}`)
  }
  const copy = () => {
    const title = texts.desk.copyOf(drill.title).slice(0, 60)
    create.mutate({ ...drill, title, id: `${nameFor(title)}-${Date.now().toString(36)}` }, { onSuccess: go })
  }
  const toRung = (rung: { levers: Schemas['Levers'] } | null | undefined) =>
    rung && setLevers(set(rung.levers))
  useKeys({
    '$mod+s': () => {
      if (changed && !saving) store()
    },
    z: takeBack,
    '+': () => toRung(looked.data?.one_up),
    '-': () => toRung(looked.data?.one_down),
  })

  const error = save.error ?? create.error ?? putAway.error
  const data = looked.data
  const errors = [
    ...(data?.errors ?? []),
    ...(error instanceof ProblemError ? (error.problem.errors ?? []) : []),
  ]
  return (
    <Box
      sx={{
        flex: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 372px' },
        minHeight: 0,
      }}
    >
      <Box
        sx={{
          minWidth: 0,
          px: 2,
          py: 1.25,
          display: 'flex',
          flexDirection: 'column',
          gap: 1.25,
          overflowY: { md: 'auto' },
          maxHeight: { md: 'calc(100dvh - 45px)' },
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
          <Box sx={{ flex: 1, minWidth: 0 }}>
            <Typography variant="h1">{drill.title || texts.desk.untitled}</Typography>
            <Typography variant="body2" color="text.secondary" role="status">
              {saving
                ? texts.plan.saving
                : changed
                  ? texts.desk.keptHere
                  : view
                    ? texts.desk.state(view.version, asTime(view.history[0]?.at ?? ''))
                    : texts.desk.new}
              {view?.archived_at && ` · ${texts.desk.isAway}`}
            </Typography>
          </Box>
          <Button variant="text" disabled={past.length === 0} onClick={takeBack}>
            {texts.undo}
          </Button>
          {view && (
            <>
              <Button variant="text" onClick={copy} disabled={saving || errors.length > 0}>
                {texts.desk.copy}
              </Button>
              <Button
                variant="text"
                onClick={() => putAway.mutate({ id: view.drill.id, away: !view.archived_at })}
              >
                {view.archived_at ? texts.desk.bringBack : texts.desk.putAway}
              </Button>
            </>
          )}
          <Button
            variant="contained"
            disabled={!changed || saving || (data?.errors.length ?? 1) > 0}
            onClick={store}
          >
            {texts.desk.save}
          </Button>
        </Box>
        {error && <ErrorNote error={error} />}
        {looked.isError && <ErrorNote error={looked.error} />}
        {data?.blocked && <ErrorNote>{data.blocked}</ErrorNote>}
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', lg: 'minmax(0, 1.15fr) minmax(0, 1fr)' },
            gap: 2,
          }}
        >
          <LayoutEditor
            text={drill.layout}
            faults={data?.faults ?? []}
            line={line}
            readOnly={false}
            onChange={(layout) => change({ layout })}
            onLine={setLine}
          />
          <Box
            onMouseOver={(event) => {
              const at = (event.target as Element).closest('[data-line]')?.getAttribute('data-line')
              setLine(at ? Number(at) : null)
            }}
            onMouseLeave={() => setLine(null)}
            sx={{
              minWidth: 0,
              minHeight: 288,
              ...(line !== null && {
                '& [data-line]': { opacity: 0.28 },
                [`& [data-line="${line}"]`]: { opacity: 1, color: floor.strands.ball_mastery },
              }),
            }}
          >
            {data && <FloorDrawing svg={data.drawing} title={drill.title} height={272} />}
            {data?.floor && <Measured measures={data.floor.measures} paces={data.floor.in_paces} />}
            {data && !data.floor && (
              <Typography variant="body2" color="text.secondary" sx={{ textAlign: 'center' }}>
                {texts.desk.asFar}
              </Typography>
            )}
          </Box>
        </Box>
        {data?.floor && <TimeStrip desk={data.floor} />}
        {data && (
          <Box sx={{ borderTop: `1px solid ${floor.hair}`, pt: 1.25 }}>
            <LeverRow
              drill={drill}
              strand={data.strand}
              levers={levers}
              desk={data}
              offering={offering}
              success={success}
              onSet={setLevers}
              onOffer={offer}
              onSuccess={setSuccess}
            />
            <Box sx={{ display: 'flex', gap: 1, mt: 0.5 }}>
              <Button
                variant="text"
                size="small"
                aria-pressed={offering}
                onClick={() => setOffering(!offering)}
              >
                {offering ? texts.desk.offered : texts.desk.offer}
              </Button>
              <RungButton drill={drill} levers={levers} onChange={change} />
            </Box>
          </Box>
        )}
        <Box sx={{ borderTop: `1px solid ${floor.hair}`, pt: 1.5 }}>
          <FitLine ground={ground} grounds={grounds} floor={data?.floor} onGround={setGround} />
        </Box>
      </Box>
      <DrillForm
        drill={drill}
        view={view}
        band={band ?? ''}
        errors={errors}
        cautions={data?.cautions ?? []}
        onBand={(next) => setAddress({ band: next }, { replace: true })}
        onChange={change}
        onTakeEarlier={(earlier) => change(whole(earlier))}
      />
    </Box>
  )
}

/** What the core has measured of one station. */
function Measured({ measures, paces }: { measures: Schemas['Measures']; paces: Schemas['InPaces'] }) {
  const says = texts.desk
  const colours = Object.entries(measures.markers.by_colour).map(([colour, n]) =>
    texts.evening.markers(n, colour),
  )
  const kit = says.kit(measures.kit.balls, measures.kit.goals, measures.kit.walls)
  const { players, servers, defenders } = measures.roles
  const facts = [
    says.footprint(measures.footprint.width_m, measures.footprint.depth_m, paces),
    ...colours,
    ...kit,
    ...says.roles(players, servers, defenders),
  ]
  return (
    <Box sx={{ textAlign: 'center' }}>
      <Typography variant="body2">{facts.join(' · ')}</Typography>
      <Typography variant="caption" color="text.secondary">
        {measures.paths
          .map((path) =>
            says.path(says.pathKind[path.kind], path.length_m, path.direction_changes, path.turning_deg),
          )
          .join(' · ')}
      </Typography>
    </Box>
  )
}

/** The settings as they stand become a rung of the ladder, or are one no longer. */
function RungButton({
  drill,
  levers,
  onChange,
}: {
  drill: Drill
  levers: Levers
  onChange: (next: Partial<Drill>) => void
}) {
  const same = (other: Levers) => LEVERS.every((lever) => other[lever] === levers[lever])
  const is = drill.rungs.some((rung) => same(rung.levers))
  const rungs = is ? drill.rungs.filter((rung) => !same(rung.levers)) : [...drill.rungs, { levers }]
  return (
    <Button
      variant="text"
      size="small"
      onClick={() => onChange({ rungs })}
      disabled={is && drill.rungs.length === 1}
    >
      {is ? texts.desk.noRung : texts.desk.makeRung}
    </Button>
  )
}
