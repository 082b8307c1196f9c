// A drill as a coach reads it: floor, what to look for, and how it stands in their own pace.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link, useOutletContext } from 'react-router'
import type { Schemas } from '../../api/client'
import { useTranslated } from '../../texts/phrases'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { AsWritten, Cautions, Faults, Points } from '../../ui/block'
import { EASIEST } from '../../ui/levers'
import { ErrorNote, Loading } from '../../ui/notes'
import { BlockPicture } from '../../ui/score/BlockPicture'
import { FitLine } from './FitLine'
import { asShare, useGround } from './ground'
import { LeverRow } from './LeverRow'
import { type Drill, type Levers, useDesk } from './queries'
import { TimeStrip } from './TimeStrip'

export function DrillSheet({ drill }: { drill: Drill }) {
  const read = useTranslated()(drill)
  const team = useOutletContext<Schemas['TeamView'] | null>()
  const [levers, setLevers] = useState<Levers>(drill.rungs[0]?.levers ?? EASIEST)
  const [success, setSuccess] = useState<number | null>(null)
  const { ground, grounds, setGround } = useGround()
  const band = team && drill.doses[team.band] ? team.band : (Object.keys(drill.doses)[0] ?? team?.band)
  const looked = useDesk(band ? { drill, band, levers, ground, success: asShare(success) } : undefined)
  const data = looked.data
  return (
    <Box sx={{ p: 1.5, display: 'grid', gap: 1.25 }}>
      <Button
        component={Link}
        to="/drills"
        variant="text"
        size="small"
        sx={{ justifySelf: 'start', ml: -1.5 }}
      >
        {t('drills-back-to-all')}
      </Button>
      <Typography variant="h1">{read.title}</Typography>
      <AsWritten of={drill.title} />
      <Typography>{read.purpose}</Typography>
      {looked.isError && <ErrorNote error={looked.error} />}
      {!data && <Loading />}
      {data?.blocked && <ErrorNote>{told(data.blocked)}</ErrorNote>}
      {data && (
        <BlockPicture
          block={{ ...data, title: read.title, levers, on_the_spot: data.floor?.on_the_spot ?? false }}
          height={300}
        />
      )}
      <Points points={read.points} />
      <Cautions cautions={data?.cautions ?? []} />
      {data && (
        <LeverRow
          drill={drill}
          strand={data.strand}
          levers={levers}
          desk={data}
          offering={false}
          success={success}
          onSet={setLevers}
          onOffer={() => undefined}
          onSuccess={setSuccess}
        />
      )}
      {data?.floor && <TimeStrip desk={data.floor} />}
      <FitLine ground={ground} grounds={grounds} floor={data?.floor} onGround={setGround} />
      <Faults faults={read.faults} />
      <Typography variant="body2" color="text.secondary">
        {t('session-in-game')}: {read.in_game}
      </Typography>
    </Box>
  )
}
