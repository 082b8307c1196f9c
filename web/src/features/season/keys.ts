/** By which keys the season room asks: seasons, days off, and the year sheet. */
export const seasonKeys = {
  all: ['season'],
  seasons: ['season', 'seasons'],
  year: (season: string) => ['season', 'year', season],
  changes: (season: string) => ['season', 'changes', season],
  preview: (season: string, wish: object) => ['season', 'preview', season, wish],
  daysOff: ['season', 'days-off'],
} as const
