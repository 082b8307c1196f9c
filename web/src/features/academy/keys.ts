/** By which keys the academy room asks: what holds for all, bands, clubs. */
export const academyKeys = {
  academy: ['academy', 'academy'],
  bands: ['academy', 'bands'],
  tempos: (band: string) => ['academy', 'tempos', band],
  clubs: ['academy', 'clubs'],
} as const
