// Points that a coach looks at: no, partly, yes for each of them.
import Box from '@mui/material/Box'
import { useTheme } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { useKeys } from '../../../ui/keys'
import { Marks } from '../../../ui/marks'
import { type Steps, ToolFrame } from './ToolFrame'

interface Props extends Steps {
  points: string[]
  onValue: (sum: number | null, marks: number[]) => void
}

export function Points({ points, onValue, ...steps }: Props) {
  const { floor } = useTheme()
  const [marks, setMarks] = useState<(number | undefined)[]>([])
  const at = points.findIndex((_, i) => marks[i] === undefined)
  const mark = (point: number, seen: number) => {
    const next = points.map((_, i) => (i === point ? seen : marks[i]))
    setMarks(next)
    const all = next.filter((each) => each !== undefined)
    onValue(all.length === points.length ? all.reduce((sum, each) => sum + each, 0) : null, all)
  }
  const next = (seen: number) => () => mark(at < 0 ? points.length - 1 : at, seen)
  useKeys({ 0: next(0), 1: next(1), 2: next(2) }, { first: true })
  return (
    <ToolFrame {...steps}>
      {points.map((point, i) => (
        <Box
          key={point}
          role="group"
          aria-label={point}
          sx={{
            display: 'flex',
            alignItems: 'center',
            gap: 0.75,
            borderLeft: `3px solid ${i === at ? floor.ink : 'transparent'}`,
            pl: 0.5,
          }}
        >
          <Typography variant="body2" sx={{ flex: 1, lineHeight: 1.15 }}>
            {point}
          </Typography>
          <Marks mark={marks[i]} onMark={(seen) => mark(i, seen)} />
        </Box>
      ))}
    </ToolFrame>
  )
}
