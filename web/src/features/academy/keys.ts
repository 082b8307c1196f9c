/** By which keys the academy room asks: what holds for all, bands, clubs. */
export const academyKeys = {
  academy: ['academy', 'academy'],
  bands: ['academy', 'bands'],
  clubs: ['academy', 'clubs'],
} as const
