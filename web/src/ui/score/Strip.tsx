// The strip of a score: a column a count, with the word that is counted under it. A column is a button that shows its
// beat; the line of the text that is pointed at is lit.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import { memo } from 'react'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import type { Feet } from './moving'

interface Props {
  feet: Feet
  /** Whether the feet are exchanged. */
  mirror?: boolean
  /** The count that is shown, from 0. */
  count?: number
  /** The line of the text that is lit. */
  line?: number | null
  onCount?: (count: number) => void
  onLine?: (line: number | null) => void
}

/** Upside down the feet change their lines; the soles are turned back, and become those of the other foot. */
const MIRRORED = {
  '& svg': { transform: 'scaleY(-1)' },
  '& .sole': { transform: 'scale(-1, -1)' },
  '& .eyes': { transform: 'scaleY(-1)', transformOrigin: '20px 52px' },
} as const

export function Strip({ feet, mirror = false, count, line, onCount, onLine }: Props) {
  return (
    <Box
      component="ol"
      aria-label={t('score-strip')}
      sx={{
        m: 0,
        p: 0,
        listStyle: 'none',
        display: 'flex',
        flexWrap: 'wrap',
        rowGap: 0.5,
        '& svg': { display: 'block', width: '100%', height: 'auto' },
        ...(mirror && MIRRORED),
      }}
    >
      {feet.counts.map((each, i) => (
        <Column
          key={i}
          {...{ each, onCount, onLine }}
          at={i}
          shown={count === i}
          lit={count === i || line === each.line}
        />
      ))}
    </Box>
  )
}

interface ColumnProps extends Pick<Props, 'onCount' | 'onLine'> {
  each: Feet['counts'][number]
  at: number
  /** Whether its count is the one that is shown. */
  shown: boolean
  lit: boolean
}

/** A count: drawn anew only when it is lit or no more. */
const Column = memo(function Column({ each, at, shown, lit, onCount, onLine }: ColumnProps) {
  const { floor } = useTheme()
  const inside = (
    <>
      <Box aria-hidden sx={{ width: '100%' }} dangerouslySetInnerHTML={{ __html: each.column }} />
      <Box component="span" aria-hidden sx={{ fontSize: '0.78rem', lineHeight: 1.1, whiteSpace: 'nowrap' }}>
        {told(each.counted)}
      </Box>
      <Box component="span" sx={HIDDEN}>
        {told(each.counted)}: {each.said.map((said) => told(said)).join(', ')}
        {each.eyes_up && ` (${t('score-eyes-up')})`}
      </Box>
    </>
  )
  const sx = {
    width: 40,
    font: 'inherit',
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    overflow: 'hidden',
    bgcolor: lit ? floor.hair : 'transparent',
  } as const
  return (
    <Box
      component="li"
      onMouseEnter={() => onLine?.(each.line)}
      onMouseLeave={() => onLine?.(null)}
      // What is only read aloud stays inside, or the page would scroll.
      sx={{ display: 'block', position: 'relative' }}
    >
      {onCount ? (
        <ButtonBase aria-pressed={shown} onClick={() => onCount(at)} sx={sx}>
          {inside}
        </ButtonBase>
      ) : (
        <Box sx={sx}>{inside}</Box>
      )}
    </Box>
  )
})

const HIDDEN = {
  position: 'absolute',
  width: 1,
  height: 1,
  overflow: 'hidden',
  clipPath: 'inset(50%)',
  whiteSpace: 'nowrap',
} as const
