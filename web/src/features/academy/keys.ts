/** By which keys the academy room asks: how far it has begun, what holds for all, bands, clubs, times. */
export const academyKeys = {
  all: ['academy'],
  academy: ['academy', 'academy'],
  beginning: ['academy', 'beginning'],
  starter: ['academy', 'starter'],
  bands: ['academy', 'bands'],
  tempos: (band: string) => ['academy', 'tempos', band],
  clubs: ['academy', 'clubs'],
  left: ['academy', 'left'],
  times: ['academy', 'times'],
  clubTimes: (club: string) => ['academy', 'times', 'club', club],
  teamTimes: (team: string) => ['academy', 'times', 'team', team],
} as const
