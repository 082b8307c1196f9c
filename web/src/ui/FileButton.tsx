// A button that asks for a file; a file that was mended under its old name can be chosen again.
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'

/** Out of sight, but still in the order of the keyboard. */
const HiddenInput = styled('input')({ position: 'absolute', width: 1, height: 1, opacity: 0 })

export function FileButton({
  label,
  accept,
  onChoose,
}: {
  label: string
  accept: string
  onChoose: (file: File) => void
}) {
  return (
    <Button component="label" sx={{ '&:focus-within': { outline: '3px solid', outlineOffset: 2 } }}>
      {label}
      <HiddenInput
        type="file"
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const file = event.target.files?.[0]
          if (file) onChoose(file)
          event.target.value = ''
        }}
      />
    </Button>
  )
}
