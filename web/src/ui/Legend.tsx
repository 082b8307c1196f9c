// What the strokes, fillings and steps mean; one key away.
import Box from '@mui/material/Box'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { texts } from '../texts/en'
import { LEVELS, LevelSteps } from './levels'
import { Ring, STATES } from './rings'
import { STAGES, StageGlyph } from './stages'
import { STRANDS, StrandSwatch } from './strands'

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box sx={{ mb: 2 }}>
      <Typography variant="h3" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  )
}

const Entry = ({ glyph, says }: { glyph: ReactNode; says: string }) => (
  <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 28 }}>
    <Box sx={{ width: 40, display: 'flex', justifyContent: 'center' }}>{glyph}</Box>
    <Typography variant="body2">{says}</Typography>
  </Box>
)

export function Legend({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose}>
      <DialogTitle>{texts.legend.title}</DialogTitle>
      <DialogContent>
        <Group title={texts.legend.strands}>
          {STRANDS.map((s) => (
            <Entry key={s} glyph={<StrandSwatch strand={s} />} says={texts.strand[s]} />
          ))}
        </Group>
        <Group title={texts.legend.stages}>
          {STAGES.map((s) => (
            <Entry
              key={s}
              glyph={<StageGlyph stage={s} strand="dribbling" />}
              says={`${texts.stage[s]}: ${texts.stageMeans[s]}`}
            />
          ))}
        </Group>
        <Group title={texts.legend.levels}>
          {LEVELS.map((l) => (
            <Entry
              key={l}
              glyph={<LevelSteps level={l} />}
              says={`${texts.level[l]}: ${texts.levelMeans[l]}`}
            />
          ))}
        </Group>
        <Group title={texts.legend.states}>
          {STATES.map((s) => (
            <Entry
              key={s}
              glyph={<Ring state={s} />}
              says={`${texts.board.state[s]}: ${texts.board.stateMeans[s]}`}
            />
          ))}
        </Group>
        <Group title={texts.legend.keys}>
          {texts.legend.keyList.map(([key, says]) => (
            <Entry key={key} glyph={<kbd>{key}</kbd>} says={says} />
          ))}
        </Group>
      </DialogContent>
    </Dialog>
  )
}
