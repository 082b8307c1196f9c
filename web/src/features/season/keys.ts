/** By which keys the season room asks: seasons, days off, and the year sheet. */
export const seasonKeys = {
  all: ['season'],
  seasons: ['season', 'seasons'],
  year: (season: string) => ['season', 'year', season],
  daysOff: ['season', 'days-off'],
} as const
