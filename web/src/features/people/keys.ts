/** By which keys the people room asks: who is signed in and where, rights, invitations, what was done. */
export const peopleKeys = {
  session: ['people', 'session'],
  samples: ['people', 'samples'],
  all: ['people', 'all'],
  shutOut: ['people', 'shut out'],
  signIns: ['people', 'sign-ins'],
  secondFactor: ['people', 'second factor'],
  passwordLink: (token: string) => ['people', 'password', token],
  audit: (person?: string, what?: string) => ['people', 'audit', person, what],
  invitations: ['people', 'invitations'],
  beginning: (secret: string) => ['people', 'beginning', secret],
  invitation: (token: string) => ['people', 'invitation', token],
} as const
