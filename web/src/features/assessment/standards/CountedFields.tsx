// What a test counts, beat by beat, so that a result tells its tempo and nothing is asked for that no feet keep up.
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Schemas } from '../../../api/client'
import { t } from '../../../texts/t'
import { SelectCell } from '../../../ui/fields'
import { useSkills } from '../../drill/queries'
import { ScoreDesk } from '../../technique/ScoreDesk'

type Test = Schemas['Test']
type Counted = Schemas['Counted']

const COUNTED: Counted[] = ['touches', 'rounds']

export function CountedFields({ draft, onChange }: { draft: Test; onChange: (next: Partial<Test>) => void }) {
  const skill = useSkills().data?.find((each) => each.id === draft.skill)
  const score = draft.score ?? null
  // It begins with the score of the skill that the test shows.
  const first = skill?.score ? `do skill ${skill.id}` : ''
  return (
    <Box>
      <SelectCell<Counted>
        label={t('standards-writing-counted')}
        none={t('standards-writing-counted-none')}
        value={score?.counted ?? ''}
        options={COUNTED.map((value) => ({ value, says: t(`standards-writing-counted-${value}`) }))}
        onChange={(counted) => onChange({ score: counted ? { text: score?.text ?? first, counted } : null })}
      />
      <Typography variant="body2" color="text.secondary" sx={{ my: 0.5 }}>
        {t('standards-writing-counted-about')}
      </Typography>
      {score && (
        <ScoreDesk
          title={draft.name}
          text={score.text}
          band={skill?.band}
          onChange={(text) => onChange({ score: { ...score, text } })}
        />
      )}
    </Box>
  )
}
