/** By which keys the academy room asks: how far it has begun, what holds for all, bands, clubs. */
export const academyKeys = {
  academy: ['academy', 'academy'],
  beginning: ['academy', 'beginning'],
  starter: ['academy', 'starter'],
  bands: ['academy', 'bands'],
  tempos: (band: string) => ['academy', 'tempos', band],
  clubs: ['academy', 'clubs'],
  left: ['academy', 'left'],
} as const
