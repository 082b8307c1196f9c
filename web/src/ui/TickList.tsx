// Names to tick: any number of them.
import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'

interface Props {
  /** What is chosen from, for whoever does not see it; a list that has its heading beside it may leave it out. */
  label?: string
  all: { id: string; name: string }[]
  chosen: string[]
  onChoose: (chosen: string[]) => void
}

export function TickList({ label, all, chosen, onChoose }: Props) {
  return (
    <Box
      role={label ? 'group' : undefined}
      aria-label={label}
      sx={{ display: 'grid', maxHeight: 320, overflowY: 'auto' }}
    >
      {all.map(({ id, name }) => (
        <FormControlLabel
          key={id}
          label={name}
          control={
            <Checkbox
              size="small"
              checked={chosen.includes(id)}
              onChange={(_, on) => onChoose(on ? [...chosen, id] : chosen.filter((each) => each !== id))}
            />
          }
        />
      ))}
    </Box>
  )
}
