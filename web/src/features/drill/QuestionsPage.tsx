// The library as a whole: what a good coach would ask of it, each with the place where it is mended.
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Link from '@mui/material/Link'
import Typography from '@mui/material/Typography'
import { Link as RouterLink } from 'react-router'
import type { Schemas } from '../../api/client'
import { t } from '../../texts/t'
import { told } from '../../texts/told'
import { ErrorNote, Loading } from '../../ui/notes'
import { COLUMN } from '../../ui/placing'
import { useQuestions } from './queries'

type Question = Schemas['Question']
const KINDS = ['skill', 'drill', 'test', 'curriculum'] as const

export function QuestionsPage() {
  const questions = useQuestions()
  if (questions.isError) return <ErrorNote error={questions.error} />
  if (!questions.data) return <Loading />
  return (
    <Box sx={{ p: 2, minHeight: 0, ...COLUMN }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Typography variant="h1" role="status">
          {t('questions-title', { n: questions.data.length })}
        </Typography>
        <Typography color="text.secondary" sx={{ flex: 1 }}>
          {t('questions-about')}
        </Typography>
        <Button component={RouterLink} to="/drills" variant="text">
          {t('drills-back-to-all')}
        </Button>
      </Box>
      {KINDS.map((kind) => (
        <OfKind key={kind} kind={kind} questions={questions.data.filter((each) => each.kind === kind)} />
      ))}
    </Box>
  )
}

function OfKind({ kind, questions }: { kind: (typeof KINDS)[number]; questions: Question[] }) {
  return (
    <Box component="section" aria-label={t(`questions-of-${kind}`)} sx={{ mt: 2.5, maxWidth: 860 }}>
      <Typography variant="h2">{t(`questions-of-${kind}`)}</Typography>
      <Typography color="text.secondary">{t(`questions-asks-${kind}`)}</Typography>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {questions.map((question) => (
          <Box
            component="li"
            key={`${question.of} ${told(question.says)}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '260px 1fr' },
              columnGap: 2,
              py: 0.75,
              borderBottom: 1,
              borderColor: 'divider',
            }}
          >
            <Link component={RouterLink} to={mendedAt(question)} sx={{ fontWeight: 600 }}>
              {question.of}
            </Link>
            <Typography>{told(question.says)}</Typography>
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** Where it can be put right. */
function mendedAt(question: Question): string {
  switch (question.kind) {
    case 'skill':
      return `/progressions?skill=${question.skill}`
    case 'drill':
      return `/drills/${question.drill}`
    case 'test':
      return `/standards/${question.test}${question.band ? `?band=${question.band}` : ''}`
    case 'curriculum':
      return `/plan/${question.curriculum}`
  }
}
