// A skill's name before its line, with the stage that is its goal.
import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { asPercent, Figure } from '../../../ui/figures'
import { Spoken } from '../../../ui/Spoken'
import { StageGlyph } from '../../../ui/stages'
import { StrandSwatch } from '../../../ui/strands'
import type { Scale } from './scale'

interface Props {
  skill: Schemas['SkillLine']
  scale: Scale
  first: boolean
  clashes: boolean
  chosen: boolean
  /** The share that is foreseen at the goal in the end, while the forecast is shown. */
  reached: number | undefined
  onChoose: () => void
}

export function SkillLabel({ skill, scale, first, clashes, chosen, reached, onChoose }: Props) {
  const close = scale.density === 'close'
  return (
    <Box
      sx={{
        position: 'absolute',
        left: 0,
        top: scale.y(skill.id) - scale.row / 2,
        width: scale.labels - 8,
        height: scale.row,
        display: 'flex',
        alignItems: 'center',
        gap: 0.75,
      }}
    >
      {first && close && (
        <Box sx={{ position: 'absolute', top: -9, left: 0, display: 'flex', alignItems: 'center', gap: 0.5 }}>
          <StrandSwatch strand={skill.strand} width={26} />
          <Typography sx={{ fontSize: '0.74rem', lineHeight: 1 }} color="text.secondary">
            {t(`strand-${skill.strand}`)}
          </Typography>
        </Box>
      )}
      <ButtonBase
        aria-pressed={chosen}
        onClick={onChoose}
        title={skill.name}
        sx={{
          flex: 1,
          minWidth: 0,
          justifyContent: 'flex-start',
          font: 'inherit',
          pl: skill.other_foot ? 2 : 0,
          fontSize: close ? '0.875rem' : '0.8rem',
          height: close ? 24 : scale.row,
          pt: first && close ? 0.75 : 0,
          color: clashes ? 'error.main' : undefined,
          fontWeight: clashes || chosen ? 700 : 500,
          '&:hover': { textDecoration: 'underline' },
        }}
      >
        <Box component="span" sx={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
          {skill.other_foot ? <Spoken as={skill.name}>{t('plan-line-other-foot')}</Spoken> : skill.name}
        </Box>
      </ButtonBase>
      {reached !== undefined ? (
        <Figure sx={{ fontWeight: 600 }}>{asPercent(reached)}</Figure>
      ) : (
        skill.missing > 0 && (
          <Typography variant="caption" color="error" noWrap>
            {t('plan-missing', { n: skill.missing })}
          </Typography>
        )
      )}
      <Box
        title={`${t(`stage-${skill.goal}`)}: ${t(`stage-means-${skill.goal}`)}`}
        sx={{ display: 'flex', pt: first && close ? 0.5 : 0 }}
      >
        <StageGlyph stage={skill.goal} strand={skill.strand} />
      </Box>
    </Box>
  )
}
