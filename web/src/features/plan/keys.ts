/** By which keys the plan room asks. What follows from a plan is asked for anew with every version of it. */
export const planKeys = {
  curricula: ['plan', 'curricula'],
  beginnings: ['plan', 'beginnings'],
  curriculum: (id: string | undefined) => ['plan', 'curriculum', id],
  goals: (id: string, whose: string) => ['plan', 'goals', id, whose],
  evenings: ['plan', 'evening'],
  evening: (id: string, session: number, version: number) => ['plan', 'evening', id, session, version],
  why: (id: string, version: number, asked: object) => ['plan', 'why', id, version, asked],
  forecast: (id: string, version: number) => ['plan', 'forecast', id, version],
  soFar: (id: string, version: number) => ['plan', 'so-far', id, version],
  byApproach: (id: string, version: number, approach: object | undefined) => [
    'plan',
    'by-approach',
    id,
    version,
    approach,
  ],
  byEdition: (id: string, version: number, edition: number | undefined) => [
    'plan',
    'by-edition',
    id,
    version,
    edition,
  ],
} as const
