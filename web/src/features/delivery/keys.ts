/** By which keys the delivery room asks: sessions of a team, its home page, how the teams are getting on. */
export const deliveryKeys = {
  all: ['delivery'],
  sessions: (team: string) => ['delivery', 'sessions', team],
  allSessions: ['delivery', 'session'],
  sessionsRead: (team: string) => ['delivery', 'session', team],
  session: (team: string, edition: string, session: number) => [
    'delivery',
    'session',
    team,
    edition,
    session,
  ],
  remedies: (team: string, edition: string, session: number, left: number) => [
    'delivery',
    'remedies',
    team,
    edition,
    session,
    left,
  ],
  own: (team: string, edition: string) => ['delivery', 'own', team, edition],
  boards: ['delivery', 'board'],
  board: (curriculum: string | undefined) => ['delivery', 'board', curriculum],
  home: (token: string) => ['delivery', 'home', token],
  handout: (team: string) => ['delivery', 'handout', team],
} as const
