// Which words there are, in the order in which they are shown. What they mean is the core's.
import type { Schemas } from '../../api/client'

export const SURFACES: Schemas['Surface'][] = [
  'inside',
  'outside',
  'sole',
  'laces',
  'toe',
  'heel',
  'thigh',
  'chest',
  'head',
]

export const CAUTIONS: Schemas['Caution'][] = [
  'aerial',
  'heading',
  'ball_underfoot',
  'contact',
  'hard_floor',
  'jumping',
  'reaction_crowding',
  'throw_in_service',
]
