/** By which keys the people room asks: who is signed in, the sample people, invitations. */
export const peopleKeys = {
  session: ['people', 'session'],
  samples: ['people', 'samples'],
  all: ['people', 'all'],
  invitations: ['people', 'invitations'],
  beginning: (secret: string) => ['people', 'beginning', secret],
  invitation: (token: string) => ['people', 'invitation', token],
} as const
