/** By which keys the progression room asks: the map, the skills, a way through it. */
export const progressionKeys = {
  map: ['progression', 'map'],
  skills: ['progression', 'skills'],
  way: (...asked: (string | number | undefined)[]) => ['progression', 'way', ...asked],
  compared: (since: string | null, version: number | undefined) => [
    'progression',
    'compared',
    since,
    version,
  ],
} as const
