/** By which keys the people room asks: who is signed in, the sample people, invitations. */
export const peopleKeys = {
  session: ['people', 'session'],
  samples: ['people', 'samples'],
  all: ['people', 'all'],
  invitations: ['people', 'invitations'],
  invitation: (token: string) => ['people', 'invitation', token],
} as const
