// The drill desk: the text and its floor side by side, and everything that follows from them.
import Box from '@mui/material/Box'
import { useState } from 'react'
import { useNavigate, useParams, useSearchParams } from 'react-router'
import { ProblemError, type Schemas } from '../../api/client'
import { nameFor } from '../../api/naming'
import { draft } from '../../storage/remembered'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { useKeys } from '../../ui/keys'
import { EASIEST, set } from '../../ui/levers'
import { ErrorNote, Loading } from '../../ui/notes'
import { COLUMN } from '../../ui/placing'
import { DeskBar } from './DeskBar'
import { DrillForm } from './DrillForm'
import { DrillSheet } from './DrillSheet'
import { whole } from './drill'
import { FitLine } from './FitLine'
import { asShare, useGround } from './ground'
import { LeverDesk } from './LeverDesk'
import { PictureDesk } from './PictureDesk'
import { type Levers, useBands, useDesk, useDrill, useDrillChanges } from './queries'
import { TimeStrip } from './TimeStrip'
import { useDraft } from './useDraft'
import { Voices } from './Voices'

export function DrillDesk({ editable }: { editable: boolean }) {
  const { id } = useParams()
  const shown = useDrill(id === 'new' ? undefined : id)
  if (shown.isError) return <ErrorNote error={shown.error} />
  if (id === 'new')
    return editable ? (
      <Desk key="new" view={null} />
    ) : (
      <ErrorNote error={undefined}>{t('drills-nothing')}</ErrorNote>
    )
  if (!shown.data) return <Loading />
  return editable ? (
    <Desk key={id} view={shown.data} />
  ) : (
    <DrillSheet key={id} drill={whole(shown.data.drill)} />
  )
}

function Desk({ view }: { view: Schemas['DrillView'] | null }) {
  const navigate = useNavigate()
  const [address, setAddress] = useSearchParams()
  const { drill, changed, undoable, change, undo, forgetPast } = useDraft(view)
  const [levers, setLevers] = useState<Levers>(() => drill.rungs[0]?.levers ?? EASIEST)
  const [success, setSuccess] = useState<number | null>(null)
  const bands = useBands()
  const { create, save, putAway } = useDrillChanges()
  const saving = save.isPending || create.isPending
  const { ground, grounds, setGround } = useGround()
  const band = address.get('band') ?? Object.keys(drill.doses)[0] ?? bands.data?.[0]?.band.id
  const looked = useDesk(band ? { drill, band, levers, ground, success: asShare(success) } : undefined)
  const desk = looked.data

  const store = () => {
    if (view) save.mutate({ drill, version: view.version }, { onSuccess: forgetPast })
    else create.mutate({ ...drill, id: nameFor(drill.title) }, { onSuccess: (made) => go(made) })
  }
  const go = (made: Schemas['DrillView']) => {
    draft.forget('new')
    void navigate(`/drills/${made.drill.id}`)
  }
  const copy = () => {
    const title = t('desk-copy-of', { title: drill.title }).slice(0, 60)
    create.mutate({ ...drill, title, id: `${nameFor(title)}-${Date.now().toString(36)}` }, { onSuccess: go })
  }
  const toRung = (rung: { levers: Schemas['Levers'] } | null | undefined) =>
    rung && setLevers(set(rung.levers))
  useKeys({
    '$mod+s': () => {
      if (changed && !saving) store()
    },
    z: undo,
    '+': () => toRung(desk?.one_up),
    '-': () => toRung(desk?.one_down),
  })

  const error = save.error ?? create.error ?? putAway.error
  const refused = error instanceof ProblemError ? (error.problem.errors ?? []) : []
  const errors = [...(desk?.errors ?? []), ...refused]
  return (
    <Box sx={DESK}>
      <Box sx={FLOOR}>
        <DeskBar
          {...{ view, changed, saving, undoable }}
          title={drill.title}
          maySave={changed && !saving && desk?.errors.length === 0}
          mayCopy={!saving && errors.length === 0}
          onUndo={undo}
          onCopy={copy}
          onPutAway={() => view && putAway.mutate({ id: view.drill.id, away: !view.archived_at })}
          onSave={store}
        />
        {error && <ErrorNote error={error} />}
        {looked.isError && <ErrorNote error={looked.error} />}
        {desk?.blocked && <ErrorNote>{told(desk.blocked)}</ErrorNote>}
        <PictureDesk drill={drill} desk={desk} band={band} onChange={change} />
        {desk?.floor && <TimeStrip desk={desk.floor} />}
        {desk && (
          <LeverDesk
            {...{ drill, desk, levers, success }}
            onLevers={setLevers}
            onSuccess={setSuccess}
            onChange={change}
          />
        )}
        <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 1.5 }}>
          <FitLine ground={ground} grounds={grounds} floor={desk?.floor} onGround={setGround} />
        </Box>
        {view && <Voices drill={view.drill.id} />}
      </Box>
      <DrillForm
        drill={drill}
        view={view}
        band={band ?? ''}
        errors={errors}
        cautions={desk?.cautions ?? []}
        onBand={(next) => setAddress({ band: next }, { replace: true })}
        onChange={change}
        onTakeEarlier={(earlier) => change(whole(earlier))}
      />
    </Box>
  )
}

const DESK = {
  flex: 1,
  display: 'grid',
  gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) 372px' },
  minHeight: 0,
}

const FLOOR = {
  minWidth: 0,
  px: 2,
  py: 1.25,
  display: 'flex',
  flexDirection: 'column',
  gap: 1.25,
  ...COLUMN,
}
