// What was seen of a point: no, partly, yes. One tap each.
import ButtonBase from '@mui/material/ButtonBase'
import { useTheme } from '@mui/material/styles'
import { t } from '../texts/t'
import { Spoken } from './Spoken'

const MARKS = [0, 1, 2] as const

export function Marks({ mark, onMark }: { mark: number | undefined; onMark: (seen: number) => void }) {
  const { floor } = useTheme()
  return MARKS.map((seen) => {
    const on = mark === seen
    return (
      <ButtonBase
        key={seen}
        aria-pressed={on}
        onClick={() => onMark(seen)}
        sx={{
          font: 'inherit',
          width: 38,
          minHeight: 44,
          border: `1px solid ${floor.ink}`,
          bgcolor: on ? floor.ink : floor.paper,
          color: on ? floor.paper : floor.ink,
          fontWeight: 650,
        }}
      >
        <Spoken as={t(`test-mark-${seen}`)}>{t(`test-mark-short-${seen}`)}</Spoken>
      </ButtonBase>
    )
  })
}
