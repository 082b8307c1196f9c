// The chosen evening: its running order, kit, and the block that is open.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import { useTheme } from '@mui/material/styles'
import type { Curriculum, Evening, RunningBlock } from '../../api/client'
import { texts } from '../../texts/en'
import { BlockFacts, Cautions, Faults, Points } from '../../ui/block'
import { asLongDay, Figure } from '../../ui/figures'
import { FloorDrawing } from '../../ui/FloorDrawing'
import { ErrorNote, Loading } from '../../ui/notes'
import { StageGlyph } from '../../ui/stages'
import { useDraftEvening } from './queries'

interface Props {
  view: Curriculum
  session: number
  block: number
  onChoose: (next: { session?: number; block?: number }) => void
}

export function EveningInspector({ view, session, block, onChoose }: Props) {
  const evening = useDraftEvening(view.id, session, view.version)
  const { floor } = useTheme()
  return (
    <Box
      component="aside"
      aria-label={texts.plan.inSession(session + 1)}
      sx={{ bgcolor: 'background.paper', borderLeft: { md: `1px solid ${floor.hair}` }, p: 2, overflowY: 'auto', maxHeight: { md: 'calc(100dvh - 45px)' } }}
    >
      {evening.isError && <ErrorNote error={evening.error} />}
      {evening.isPending && <Loading />}
      {evening.data && <RunningOrder evening={evening.data} open={block} onOpen={(at) => onChoose({ block: at })} />}
    </Box>
  )
}

interface OrderProps {
  evening: Evening
  open: number
  onOpen: (block: number) => void
}

function RunningOrder({ evening, open, onOpen }: OrderProps) {
  return (
    <>
      <Typography variant="h2">{asLongDay(evening.date)}</Typography>
      <Typography color="text.secondary" variant="body2">
        {texts.plan.week(evening.week)} · {texts.plan.inSession(evening.session + 1)} · {texts.minutes(evening.minutes)}
      </Typography>
      <Kit kit={evening.kit} />
      {evening.blocks.length === 0 && <Typography sx={{ mt: 2 }}>{texts.plan.noPlan}</Typography>}
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
        {evening.blocks.map((block, i) => (
          <Box component="li" key={`${block.drill} ${i}`} sx={{ borderTop: 1, borderColor: 'divider' }}>
            {block.laying_out > 0 && (
              <Typography variant="caption" color="text.secondary" sx={{ display: 'block', pl: '46px', pt: 0.5 }}>
                {texts.evening.layOut(block.laying_out)}
              </Typography>
            )}
            <BlockHead block={block} open={i === open} onOpen={() => onOpen(i)} />
            {i === open && <BlockDetail block={block} />}
          </Box>
        ))}
      </Box>
      {evening.unused > 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ borderTop: 1, borderColor: 'divider', pt: 1 }}>
          {texts.evening.unused(evening.unused)}
        </Typography>
      )}
    </>
  )
}

function BlockHead({ block, open, onOpen }: { block: RunningBlock; open: boolean; onOpen: () => void }) {
  const begins = block.starts + block.laying_out
  return (
    <ButtonBase aria-expanded={open} onClick={onOpen} sx={{ width: '100%', justifyContent: 'flex-start', gap: 1, py: 0.75, textAlign: 'left' }}>
      <Figure sx={{ width: 38, fontSize: '1.05rem', color: 'text.secondary' }}>
        {begins}–{begins + block.minutes}
      </Figure>
      <StageGlyph stage={block.stage} strand={block.strand} />
      <Typography sx={{ flex: 1, fontWeight: open ? 700 : 500, lineHeight: 1.2 }}>{block.title}</Typography>
      <Figure sx={{ fontSize: '1.1rem', fontWeight: 600 }}>{texts.minutes(block.minutes)}</Figure>
    </ButtonBase>
  )
}

function BlockDetail({ block }: { block: RunningBlock }) {
  return (
    <Box sx={{ pb: 1.5, display: 'grid', gap: 1 }}>
      <BlockFacts block={block} />
      <FloorDrawing svg={block.drawing} title={block.title} height={230} />
      <Points points={block.points} />
      <Faults faults={block.faults} />
      <Cautions cautions={block.cautions} />
      <Typography variant="body2" color="text.secondary">
        {texts.evening.inGame}: {block.in_game}
      </Typography>
      <Typography variant="caption" color="text.secondary">
        {texts.evening.assumption}
      </Typography>
    </Box>
  )
}

function Kit({ kit }: { kit: Evening['kit'] }) {
  const colours = Object.entries(kit)
  const all = colours.map(([colour, n]) => texts.evening.markers(n, colour))
  return (
    <Typography variant="body2" sx={{ mt: 0.5 }}>
      <strong>{texts.evening.kit}:</strong> {all.length > 0 ? all.join(', ') : texts.evening.noKit}
    </Typography>
  )
}
