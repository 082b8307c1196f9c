/** The longest texts, in characters, by form and field. Made from the interface by `make client`. */
export const LONGEST = {
  Band: { name: 20 },
  Curriculum: { name: 80 },
  Drill: { in_game: 240, purpose: 240, title: 60 },
  EditionWish: { note: 200 },
  Milestone: { says: 160, short: 24 },
  NewClub: { name: 60 },
  NewCurriculum: { name: 80 },
  NewInvitation: { name: 60 },
  NewTeam: { name: 60 },
  Newcomer: { name: 40 },
  NoteSaid: { says: 200 },
  ScoreText: { text: 100000 },
  Skill: { name: 60 },
  Test: { how: 400, name: 60, short: 16 },
  WordSaid: { reason: 200 },
} as const
