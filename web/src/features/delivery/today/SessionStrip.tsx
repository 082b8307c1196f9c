// The session as one vertical strip: as long as its minutes, with how each block went.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import type { RunningOrder } from '../../../api/client'
import { t } from '../../../texts/t'
import { Figure } from '../../../ui/figures'
import { OUTCOME_SIGN } from '../../../ui/outcomes'
import { Spoken } from '../../../ui/Spoken'
import { StageGlyph } from '../../../ui/stages'
import { type BlockName, nameOf, type Outcome } from './log'

interface Props {
  order: RunningOrder
  /** The block that shows; undefined while the log does. */
  at: number | null
  outcomes: Map<BlockName, { outcome: Outcome }>
  onChoose: (block: number) => void
  onLog: () => void
}

export function SessionStrip({ order, at, outcomes, onChoose, onLog }: Props) {
  const { floor } = useTheme()
  return (
    <Box
      component="nav"
      aria-label={t('places-today')}
      sx={{
        width: 58,
        flex: 'none',
        display: 'flex',
        flexDirection: 'column',
        borderRight: `1px solid ${floor.hair}`,
        borderTop: `1px solid ${floor.hair}`,
      }}
    >
      {order.blocks.map((block, i) => {
        const outcome = outcomes.get(nameOf(block, i))?.outcome
        const label = `${t('today-block', { n: i + 1, of: order.blocks.length })}: ${block.title}, ${t('minutes', { n: block.minutes })}${outcome ? `, ${t(`outcome-${outcome}`)}` : ''}`
        return (
          <ButtonBase
            key={nameOf(block, i)}
            aria-current={i === at ? 'step' : undefined}
            onClick={() => onChoose(i)}
            sx={{
              flex: `${block.minutes + block.laying_out} 1 0`,
              minHeight: 44,
              flexDirection: 'column',
              borderBottom: `1px solid ${floor.hair}`,
              borderLeft: `5px solid ${i === at ? floor.ink : 'transparent'}`,
              bgcolor: i === at ? floor.paper : undefined,
              color: outcome && i !== at ? 'text.secondary' : 'text.primary',
            }}
          >
            <Spoken as={label}>
              <Box component="span" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
                <StageGlyph stage={block.stage} strand={block.strand} />
                <Figure sx={{ fontSize: '1.2rem', fontWeight: 600 }}>{block.minutes}</Figure>
              </Box>
              {outcome && (
                <Box component="span" sx={{ fontWeight: 800, lineHeight: 1 }}>
                  {OUTCOME_SIGN[outcome]}
                </Box>
              )}
            </Spoken>
          </ButtonBase>
        )
      })}
      <ButtonBase
        aria-current={at === null ? 'step' : undefined}
        onClick={onLog}
        sx={{
          flex: 'none',
          minHeight: 56,
          font: 'inherit',
          // The longest word for it in any language has room in the strip.
          fontSize: '0.78rem',
          fontWeight: at === null ? 700 : 500,
          borderLeft: `5px solid ${at === null ? floor.ink : 'transparent'}`,
          bgcolor: at === null ? floor.paper : undefined,
        }}
      >
        {t('log-title')}
      </ButtonBase>
    </Box>
  )
}
