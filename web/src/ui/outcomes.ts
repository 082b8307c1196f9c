// How a block went, as a sign.
import type { Schemas } from '../api/client'

export const OUTCOME_SIGN: Record<Schemas['Outcome'], string> = { done: '✓', short: '½', skipped: '–' }
