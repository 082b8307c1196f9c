// The progression map: what rests on what, what opens what, and what is wrong.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import GlobalStyles from '@mui/material/GlobalStyles'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import { useSearchParams } from 'react-router'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { SelectCell } from '../../ui/fields'
import { asDay } from '../../ui/figures'
import { useKeys } from '../../ui/keys'
import { ErrorNote, Loading } from '../../ui/notes'
import { useBands } from '../drill/queries'
import { useCurricula } from '../plan/queries'
import { MapFloor } from './MapFloor'
import { type Change, type MapView, useCompared, useMap, useMapChange, useWay, wholeSkill } from './queries'
import { SkillInspector } from './SkillInspector'

export function ProgressionsPage() {
  const map = useMap()
  if (map.isError) return <ErrorNote error={map.error} />
  if (!map.data) return <Loading />
  return <MapDesk view={map.data} />
}

const ZOOMS = [1, 1.3, 1.7, 2.2]

function MapDesk({ view }: { view: MapView }) {
  const [address, setAddress] = useSearchParams()
  const [chosen, setChosen] = useState(address.get('skill') ?? undefined)
  const [zoom, setZoom] = useState(0)
  const [since, setSince] = useState<string | null>(null)
  const [undo, setUndo] = useState<Change[]>([])
  const [curriculum, setCurriculum] = useState<string | undefined>()
  const curricula = useCurricula()
  const bands = useBands()
  const change = useMapChange((back) => setUndo((all) => [...all, back]))
  const skill = view.skills.find((each) => each.id === chosen)
  const [goal, setGoal] = useState<'form' | 'flow' | 'scan' | 'contest'>('flow')
  const way = useWay(skill?.id, goal, curriculum ?? curricula.data?.[0]?.id, view.version)
  const compared = useCompared(since, view.version)
  useEffect(() => setAddress(chosen ? { skill: chosen } : {}, { replace: true }), [chosen, setAddress])

  const bandName = (id: string) => bands.data?.find(({ band }) => band.id === id)?.band.name ?? id
  const apply = (next: Partial<Change>) =>
    change.mutate({ change: { put: next.put ?? [], take_out: next.take_out ?? [] }, undoable: true })
  const connect = (other: string) => {
    const found = view.skills.find((each) => each.id === other)
    if (!found || !chosen || found.needs.some((need) => need.skill === chosen)) return
    apply({ put: [{ ...wholeSkill(found), needs: [...found.needs, { skill: chosen, stage: 'form' }] }] })
  }
  const takeBack = () => {
    const last = undo.at(-1)
    if (!last) return
    setUndo(undo.slice(0, -1))
    change.mutate({ change: last, undoable: false })
  }
  const step = ({ key }: KeyboardEvent) => {
    const next = stepOn(view, chosen, key)
    if (!next) return false
    document.querySelector<SVGGElement>(`[data-skill="${next}"]`)?.focus()
  }
  useKeys({
    z: takeBack,
    '+': () => setZoom(Math.min(zoom + 1, ZOOMS.length - 1)),
    '-': () => setZoom(Math.max(zoom - 1, 0)),
    ArrowLeft: step,
    ArrowRight: step,
    ArrowUp: step,
    ArrowDown: step,
  })
  const [rests, opens] = [new Set(way.data?.rests_on), new Set(way.data?.opens)]
  return (
    <Box sx={DESK}>
      <Box sx={FLOOR}>
        <GlobalStyles styles={{ '@page': { size: 'A3 landscape', margin: '10mm' } }} />
        <MapBar
          {...{ view, since, zoom }}
          saving={change.isPending}
          undoable={undo.length > 0}
          onSince={setSince}
          onZoom={setZoom}
          onUndo={takeBack}
        />
        {change.isError && <ErrorNote error={change.error} />}
        {since && compared.data && <Differences found={compared.data} />}
        {view.sheet ? (
          <MapFloor
            view={view}
            sheet={view.sheet}
            bandName={bandName}
            chosen={skill?.id}
            rests={rests}
            opens={opens}
            changed={new Set(since ? compared.data?.map((d) => d.skill) : [])}
            zoom={ZOOMS[zoom] ?? 1}
            onChoose={setChosen}
            onConnect={connect}
          />
        ) : (
          <ErrorNote>{view.findings[0] && told(view.findings[0].says)}</ErrorNote>
        )}
      </Box>
      <SkillInspector
        key={skill?.id ?? 'none'}
        view={view}
        skill={skill && wholeSkill(skill)}
        way={way.data}
        goal={goal}
        bands={bands.data ?? []}
        curricula={curricula.data ?? []}
        curriculum={curriculum ?? curricula.data?.[0]?.id}
        onGoal={setGoal}
        onCurriculum={setCurriculum}
        onChoose={setChosen}
        onChange={apply}
      />
    </Box>
  )
}

const DESK = {
  flex: 1,
  minHeight: 0,
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 316px' },
  '@media print': { display: 'block' },
}

const FLOOR = {
  minWidth: 0,
  px: 1.5,
  py: 1,
  display: 'flex',
  flexDirection: 'column',
  gap: 0.75,
  maxHeight: { md: 'calc(100dvh - 45px)' },
  '@media print': { maxHeight: 'none' },
}

interface MapBarProps {
  view: MapView
  since: string | null
  zoom: number
  saving: boolean
  undoable: boolean
  onSince: (day: string | null) => void
  onZoom: (zoom: number) => void
  onUndo: () => void
}

/** How many skills and findings, what has changed since a day, nearer and farther, and the way back. */
function MapBar({ view, since, zoom, saving, undoable, onSince, onZoom, onUndo }: MapBarProps) {
  return (
    <Box className="no-print" sx={{ display: 'flex', alignItems: 'center', gap: 1, flexWrap: 'wrap' }}>
      <Typography variant="h1">{t('progressions-title')}</Typography>
      <Typography variant="body2" color="text.secondary" role="status" sx={{ flex: 1 }}>
        {saving
          ? t('plan-saving')
          : t('progressions-count', { skills: view.skills.length, findings: view.findings.length })}
      </Typography>
      <SelectCell
        label={t('progressions-since')}
        none={t('progressions-no-since')}
        value={since ?? ''}
        options={view.changed_on.map((day) => ({
          value: day,
          says: day === '1970-01-01' ? t('progressions-beginning') : asDay(day),
        }))}
        onChange={(day) => onSince(day || null)}
        fullWidth={false}
        sx={{ width: 178 }}
      />
      <Button
        variant="text"
        disabled={zoom === 0}
        onClick={() => onZoom(zoom - 1)}
        aria-label={t('progressions-smaller')}
        sx={{ minWidth: 36 }}
      >
        −
      </Button>
      <Button
        variant="text"
        disabled={zoom === ZOOMS.length - 1}
        onClick={() => onZoom(zoom + 1)}
        aria-label={t('progressions-larger')}
        sx={{ minWidth: 36 }}
      >
        +
      </Button>
      <Button variant="text" disabled={!undoable || saving} onClick={onUndo}>
        {t('undo')}
      </Button>
    </Box>
  )
}

function Differences({ found }: { found: Schemas['Difference'][] }) {
  return (
    <Box role="status" sx={{ maxHeight: 92, overflowY: 'auto' }}>
      {found.length === 0 && <Typography variant="body2">{t('progressions-same')}</Typography>}
      {found.map((difference, i) => (
        <Typography key={i} variant="body2">
          {told(difference.says)}
        </Typography>
      ))}
    </Box>
  )
}

/** Right to what a skill opens, left to what it needs, up and down to its neighbours in the column. */
function stepOn(view: MapView, chosen: string | undefined, key: string): string | undefined {
  const plates = view.sheet?.plates ?? []
  if (!key.startsWith('Arrow')) return undefined
  const here = plates.find((plate) => plate.skill === chosen)
  if (!here) return plates[0]?.skill
  const lines = view.sheet?.lines ?? []
  const nearest = (ids: string[]) =>
    plates
      .filter((plate) => ids.includes(plate.skill))
      .sort((a, b) => Math.abs(a.row - here.row) - Math.abs(b.row - here.row))[0]?.skill
  if (key === 'ArrowRight')
    return nearest(lines.filter((line) => line.from === here.skill).map((line) => line.to))
  if (key === 'ArrowLeft')
    return nearest(lines.filter((line) => line.to === here.skill).map((line) => line.from))
  const down = key === 'ArrowDown'
  return plates
    .filter((plate) => plate.column === here.column && (down ? plate.row > here.row : plate.row < here.row))
    .sort((a, b) => (down ? a.row - b.row : b.row - a.row))[0]?.skill
}
