// What the strokes, fillings and steps mean; one key away.
import Box from '@mui/material/Box'
import Dialog from '@mui/material/Dialog'
import DialogContent from '@mui/material/DialogContent'
import DialogTitle from '@mui/material/DialogTitle'
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { GLOSSARY } from '../texts/messages'
import { t } from '../texts/t'
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

/** What is pressed where, in the order of the list. */
const KEYS = [
  ['page', '?'],
  ['sideways', '← →'],
  ['lines', '↑ ↓'],
  ['more', '+ −'],
  ['stage', '. ,'],
  ['block', 'L X A'],
  ['move', '⇧ ← →'],
  ['open', 'Enter'],
  ['solve', 'S'],
  ['publish', 'P'],
  ['undo', 'Z'],
  ['search', '/'],
  ['save', 'Ctrl S'],
] as const

const Entry = ({ glyph, says }: { glyph: ReactNode; says: string }) => (
  <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 28 }}>
    <Box sx={{ width: 40, display: 'flex', justifyContent: 'center' }}>{glyph}</Box>
    <Typography variant="body2">{says}</Typography>
  </Box>
)

export function Legend({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Dialog open={open} onClose={onClose}>
      <DialogTitle>{t('legend-title')}</DialogTitle>
      <DialogContent>
        <Group title={t('legend-strands')}>
          {STRANDS.map((s) => (
            <Entry key={s} glyph={<StrandSwatch strand={s} />} says={t(`strand-${s}`)} />
          ))}
        </Group>
        <Group title={t('legend-stages')}>
          {STAGES.map((s) => (
            <Entry
              key={s}
              glyph={<StageGlyph stage={s} strand="dribbling" />}
              says={`${t(`stage-${s}`)}: ${t(`stage-means-${s}`)}`}
            />
          ))}
        </Group>
        <Group title={t('legend-levels')}>
          {LEVELS.map((l) => (
            <Entry
              key={l}
              glyph={<LevelSteps level={l} />}
              says={`${t(`level-${l}`)}: ${t(`level-means-${l}`)}`}
            />
          ))}
        </Group>
        <Group title={t('legend-states')}>
          {STATES.map((s) => (
            <Entry
              key={s}
              glyph={<Ring state={s} />}
              says={`${t(`board-state-${s}`)}: ${t(`board-state-means-${s}`)}`}
            />
          ))}
        </Group>
        <Group title={t('legend-words')}>
          <Box component="dl" sx={{ m: 0 }}>
            {GLOSSARY.map((word) => (
              <Typography key={word} variant="body2" component="div" sx={{ mb: 0.5 }}>
                <Box component="dt" sx={{ display: 'inline', fontWeight: 650 }}>
                  {t(`glossary-${word}`)}
                </Box>
                :{' '}
                <Box component="dd" sx={{ display: 'inline', m: 0 }}>
                  {t(`glossary-${word}.means`)}
                </Box>
              </Typography>
            ))}
          </Box>
        </Group>
        <Group title={t('legend-keys')}>
          {KEYS.map(([name, key]) => (
            <Entry key={name} glyph={<kbd>{key}</kbd>} says={t(`legend-keys-${name}`)} />
          ))}
        </Group>
      </DialogContent>
    </Dialog>
  )
}
