// The value that is being entered in big digits, with its level.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent, asResult, Figure } from '../../../ui/figures'
import { LevelSteps, levelOf } from '../../../ui/levels'
import { nearOf } from './entry'

interface Props {
  sheet: Schemas['Sheet']
  typed: string
  value: number | null
  /** What was taken at this place before. */
  taken: number | undefined
}

/** The value in big digits, with its level and whether it is near a line. */
export function Reading({ sheet, typed, value, taken }: Props) {
  const level = value === null ? null : levelOf(sheet.levels, value)
  const near = value === null ? null : nearOf(sheet, value)
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 62, mb: 0.75 }}>
      <Figure
        sx={{
          fontSize: '3.6rem',
          lineHeight: 1,
          fontWeight: 600,
          minWidth: 110,
          borderBottom: 2,
          borderColor: 'text.primary',
        }}
      >
        {typed ||
          (taken !== undefined ? (
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {asResult(taken)}
            </Box>
          ) : (
            '\u00a0'
          ))}
        {sheet.test.unit && (
          <Box component="span" sx={{ fontSize: '1.5rem' }}>
            {' '}
            {sheet.test.unit}
          </Box>
        )}
      </Figure>
      {level && (
        <>
          <LevelSteps level={level} size={30} />
          <Box>
            <Typography sx={{ lineHeight: 1.2 }}>
              {t(`level-${level}`)}
              {value !== null && sheet.parts > 1 && ` · ${t('test-mean', { value: asResult(value) })}`}
            </Typography>
            {near && (
              <Typography variant="caption" component="div">
                {t('progress-near', {
                  level: t(`level-${near.higher}`),
                  percent: asPercent(near.probability),
                })}
              </Typography>
            )}
          </Box>
        </>
      )}
    </Box>
  )
}
