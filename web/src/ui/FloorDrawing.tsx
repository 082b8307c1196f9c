// A floor drawing, as the core made it.
import Box from '@mui/material/Box'
import { t } from '../texts/t'

export function FloorDrawing({ svg, title, height }: { svg: string; title: string; height?: number }) {
  return (
    <Box
      role="img"
      aria-label={t('floor-of', { title })}
      sx={{
        lineHeight: 0,
        textAlign: 'center',
        '& svg': { maxWidth: '100%', height: 'auto', maxHeight: height },
      }}
      dangerouslySetInnerHTML={{ __html: svg.replace(' role="img"', ' aria-hidden="true"') }}
    />
  )
}
