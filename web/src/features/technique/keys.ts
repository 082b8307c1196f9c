// Under which names answers about scores are kept.
import type { Schemas } from '../../api/client'

export const techniqueKeys = {
  score: (looking: Schemas['ScoreText'] | undefined) => ['score', looking] as const,
}
