// A drill as a coach reads it: floor, what to look for, and how it stands in their own pace.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useOutletContext } from 'react-router'
import type { Schemas } from '../../api/client'
import { texts } from '../../texts/en'
import { Cautions, Faults, Points } from '../../ui/block'
import { FloorDrawing } from '../../ui/FloorDrawing'
import { ErrorNote, Loading } from '../../ui/notes'
import { FitLine } from './FitLine'
import { LeverRow } from './LeverRow'
import { TimeStrip } from './TimeStrip'
import { EASIEST } from './words'
import { useAcademy, useDesk, type Drill, type Ground, type Levers } from './queries'

const HALL: Ground = { width_m: 18, depth_m: 12, margin_m: 1, run_off_m: 0.5, squad: 14, markers: 80, adults: 1 }

export function DrillSheet({ drill }: { drill: Drill }) {
  const team = useOutletContext<Schemas['TeamView'] | null>()
  const [levers, setLevers] = useState<Levers>(drill.rungs[0]?.levers ?? EASIEST)
  const [success, setSuccess] = useState<number | null>(null)
  const [chosen, setGround] = useState<Ground | null>(null)
  const academy = useAcademy()
  const grounds = academy.data?.academy.grounds ?? {}
  const ground = chosen ?? grounds['School hall'] ?? HALL
  const band = team && drill.doses[team.band] ? team.band : (Object.keys(drill.doses)[0] ?? team?.band)
  const looked = useDesk(band ? { drill, band, levers, ground, success: success === null ? null : Math.min(Math.max(success, 0), 100) / 100 } : undefined)
  const strand = (Object.entries(drill.strands).sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'ball_mastery') as Schemas['Strand']
  const data = looked.data
  return (
    <Box sx={{ p: 1.5, display: 'grid', gap: 1.25 }}>
      <Button component={Link} to="/drills" variant="text" size="small" sx={{ justifySelf: 'start', ml: -1.5 }}>
        {texts.drills.backToAll}
      </Button>
      <Typography variant="h1">{drill.title}</Typography>
      <Typography>{drill.purpose}</Typography>
      {looked.isError && <ErrorNote error={looked.error} />}
      {!data && <Loading />}
      {data?.blocked && <ErrorNote>{data.blocked}</ErrorNote>}
      {data && <FloorDrawing svg={data.drawing} title={drill.title} height={300} />}
      <Points points={drill.points} />
      <Cautions cautions={data?.cautions ?? []} />
      {data && <LeverRow drill={drill} strand={strand} levers={levers} desk={data} offering={false} success={success} onSet={setLevers} onOffer={() => undefined} onSuccess={setSuccess} />}
      {data?.floor && <TimeStrip desk={data.floor} />}
      <FitLine ground={ground} grounds={grounds} floor={data?.floor} onGround={setGround} />
      <Faults faults={drill.faults} />
      <Typography variant="body2" color="text.secondary">
        {texts.evening.inGame}: {drill.in_game}
      </Typography>
    </Box>
  )
}
