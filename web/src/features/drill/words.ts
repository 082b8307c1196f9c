// Which words there are, in the order in which they are shown. What they mean is the core's.

import { cautionValues, surfaceValues } from '../../api/schema'

export const SURFACES = surfaceValues

export const CAUTIONS = cautionValues
