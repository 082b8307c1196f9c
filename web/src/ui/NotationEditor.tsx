// A text in one of the notations: numbered lines, faults where they stand, and the line that the drawing speaks of.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useId, useRef, useState } from 'react'
import type { Schemas } from '../api/client'
import { t } from '../texts/t'
import { told } from '../texts/told'
import { NOTATION_FACE } from './theme'

/** Lines are all as high as this, so that marks beside the text stand where they belong. */
const LINE = 24

/** What is wrong with a text: all notations say it alike. */
type Fault = Schemas['Fault'] | Schemas['ScoreFault']

interface Props {
  /** What the text is. */
  label: string
  /** What is said of a text without faults. */
  reads: string
  text: string
  faults: Fault[]
  /** The line that is lit, from 1. */
  line: number | null
  readOnly: boolean
  onChange: (text: string) => void
  onLine: (line: number | null) => void
}

export function NotationEditor(props: Props) {
  const { label, reads, text, faults, line, readOnly, onChange, onLine } = props
  const { floor } = useTheme()
  const area = useRef<HTMLTextAreaElement>(null)
  const list = useId()
  const [scroll, setScroll] = useState({ left: 0, top: 0 })
  const lines = text.split('\n')
  const lineAt = (offset: number) => text.slice(0, offset).split('\n').length
  const tell = () => {
    if (area.current) onLine(lineAt(area.current.selectionStart))
  }
  const goTo = (fault: Fault) => {
    const before = lines.slice(0, fault.line - 1).reduce((sum, each) => sum + each.length + 1, 0)
    const at = before + fault.column - 1
    area.current?.focus()
    area.current?.setSelectionRange(at, at)
  }
  return (
    <Box sx={{ minWidth: 0 }}>
      <Box
        sx={{
          display: 'flex',
          border: `1px solid ${faults.length > 0 ? floor.warn : floor.quiet}`,
          bgcolor: 'background.paper',
          height: 276,
          overflow: 'hidden',
          fontFamily: NOTATION_FACE,
          fontSize: '0.86rem',
          fontVariantLigatures: 'none',
          '&:focus-within': { borderColor: floor.ink },
        }}
      >
        <LineNumbers {...{ lines, faults, line, onLine }} top={scroll.top} />
        <Box sx={{ position: 'relative', flex: 1, minWidth: 0, overflow: 'hidden' }}>
          <Marks {...{ faults, line, scroll }} />
          <Box
            component="textarea"
            ref={area}
            aria-label={label}
            aria-invalid={faults.length > 0}
            aria-describedby={list}
            value={text}
            readOnly={readOnly}
            spellCheck={false}
            wrap="off"
            onChange={(event: React.ChangeEvent<HTMLTextAreaElement>) => onChange(event.target.value)}
            onScroll={(event: React.UIEvent<HTMLTextAreaElement>) =>
              setScroll({ left: event.currentTarget.scrollLeft, top: event.currentTarget.scrollTop })
            }
            onSelect={tell}
            onBlur={() => onLine(null)}
            onMouseMove={(event: React.MouseEvent<HTMLTextAreaElement>) => {
              const at = Math.floor((event.nativeEvent.offsetY - 8 + scroll.top) / LINE) + 1
              onLine(at >= 1 && at <= lines.length ? at : null)
            }}
            onMouseLeave={() => onLine(null)}
            sx={AREA}
          />
        </Box>
      </Box>
      <FaultList id={list} faults={faults} reads={reads} onGo={goTo} />
    </Box>
  )
}

const AREA = {
  position: 'relative',
  display: 'block',
  width: '100%',
  height: '100%',
  boxSizing: 'border-box',
  p: '8px',
  m: 0,
  border: 0,
  outline: 'none',
  resize: 'none',
  background: 'transparent',
  color: 'text.primary',
  font: 'inherit',
  lineHeight: `${LINE}px`,
  whiteSpace: 'pre',
  overflow: 'auto',
} as const

interface LineNumbersProps {
  lines: string[]
  faults: Fault[]
  line: number | null
  /** How far the text is scrolled down, in px. */
  top: number
  onLine: (line: number | null) => void
}

function LineNumbers({ lines, faults, line, top, onLine }: LineNumbersProps) {
  const { floor } = useTheme()
  const wrong = new Set(faults.map((fault) => fault.line))
  return (
    <Box
      aria-hidden
      sx={{
        width: 30,
        flex: 'none',
        borderRight: `1px solid ${floor.hair}`,
        bgcolor: floor.wood,
        overflow: 'hidden',
      }}
    >
      <Box sx={{ transform: `translateY(${8 - top}px)` }}>
        {lines.map((_, i) => (
          <Box
            key={i}
            onMouseEnter={() => onLine(i + 1)}
            onMouseLeave={() => onLine(null)}
            sx={{
              height: LINE,
              lineHeight: `${LINE}px`,
              pr: 0.75,
              textAlign: 'right',
              color: wrong.has(i + 1) ? floor.warn : floor.quiet,
              fontWeight: wrong.has(i + 1) || line === i + 1 ? 700 : 400,
              bgcolor: line === i + 1 ? floor.hair : 'transparent',
            }}
          >
            {i + 1}
          </Box>
        ))}
      </Box>
    </Box>
  )
}

interface MarksProps {
  faults: Fault[]
  line: number | null
  scroll: { left: number; top: number }
}

/** Under the text: the line that is lit, and dots where something is wrong. */
function Marks({ faults, line, scroll }: MarksProps) {
  const { floor } = useTheme()
  return (
    <Box aria-hidden sx={{ position: 'absolute', inset: 0, pointerEvents: 'none' }}>
      {line !== null && (
        <Box
          sx={{
            position: 'absolute',
            left: 0,
            right: 0,
            top: 8 + (line - 1) * LINE - scroll.top,
            height: LINE,
            bgcolor: floor.wood,
          }}
        />
      )}
      {faults.map((fault, i) => (
        <Box
          key={i}
          sx={{
            position: 'absolute',
            left: `calc(8px + ${fault.column - 1}ch - ${scroll.left}px)`,
            top: 8 + fault.line * LINE - scroll.top - 5,
            width: '3ch',
            borderBottom: `3px dotted ${floor.warn}`,
          }}
        />
      ))}
    </Box>
  )
}

interface FaultListProps {
  id: string
  reads: string
  faults: Fault[]
  onGo: (fault: Fault) => void
}

function FaultList({ id, faults, reads, onGo }: FaultListProps) {
  return (
    <Box id={id} role="status" sx={{ mt: 0.5, minHeight: 24 }}>
      {faults.slice(0, 4).map((fault, i) => (
        <ButtonBase
          key={i}
          onClick={() => onGo(fault)}
          sx={{ display: 'block', textAlign: 'left', width: '100%', py: 0.25 }}
        >
          <Typography variant="body2" color="error">
            <strong>{t('desk-place', { line: fault.line, column: fault.column })}</strong>{' '}
            {t('desk-expected', { what: told(fault.expected) })} {fault.mend && told(fault.mend)}
          </Typography>
        </ButtonBase>
      ))}
      {faults.length > 4 && (
        <Typography variant="body2">{t('desk-more-faults', { n: faults.length - 4 })}</Typography>
      )}
      {faults.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          {reads}
        </Typography>
      )}
    </Box>
  )
}
