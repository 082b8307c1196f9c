// What is said of people, invitations, post and signing in.
import type { Schemas } from '../api/client'
import { plural, type Words } from './words'

export const signIn = {
  title: 'Jogo',
  about: 'What the children learn with the ball, in what order, and how far they have come.',
  login: 'Name',
  password: 'Password',
  go: 'Sign in',
  samples: 'Look around as one of the demo’s sample people',
  director: 'technical director: plans, publishes, looks back',
  club_lead: 'club lead: reads everything of one club',
  coach: (teams: string[]) => `coach of ${teams.join(', ')}`,
}

export const join = {
  welcome: (name: string) => `Welcome, ${name}`,
  as: (role: string, of: string[]) =>
    `You were invited as ${role}${of.length > 0 ? ` of ${of.join(' and ')}` : ''}. Choose how you sign in.`,
  login: 'Name to sign in with',
  loginHow: 'Small letters, digits and dashes',
  passwordHow: 'At least 8 characters',
  go: 'Begin',
  gone: 'This invitation does not work any more',
  askAgain: 'It was used already, has ended or was taken back. Ask the technical director for a new one.',
}

export const clubs = {
  title: 'Clubs and people',
  beside: 'Team, club or invitations',
  addClub: 'Add a club',
  newClub: 'A new club',
  newTeam: (club: string) => `A new team of ${club}`,
  change: 'Change',
  changeNamed: (club: string) => `Change ${club}`,
  ledBy: (names: string) => `led by ${names}`,
  name: 'Name',
  teamName: 'Name of the team',
  band: 'Band',
  club: 'Club',
  teams: 'Teams',
  coaches: 'Coaches',
  noCoach: 'no coach yet',
  noTeams: 'No team yet. Press Change to add one.',
  players: (n: number) => plural(n, 'player'),
  save: 'Save',
  invite: 'Invite somebody',
  invited: 'Invited, not yet here',
  nobodyInvited: 'Nobody. Press “Invite somebody” to make a link that lets a coach in.',
  until: (day: string) => `until ${day}`,
  withdraw: 'Take back',
  fullName: 'First and last name',
  whatFor: 'As what?',
  roleMeans: {
    coach: 'Runs the evenings of their teams, keeps the squad, takes tests. Sees nothing of other teams.',
    club_lead: 'Reads evenings and levels of one club, and changes nothing.',
    director: 'Sees and changes everything.',
  } satisfies Words<Schemas['RoleView']>,
  makeLink: 'Make the link',
  handOn: (name: string) => `Hand this link on to ${name}`,
  once: (day: string) => `It works once, until ${day}. It is shown only now.`,
  myTeams: 'My teams',
  myClub: 'My club',
}

export const letters = {
  title: 'Outbox',
  now: 'Write what is due now',
  byServer:
    'Letters leave by the mail server. Each is written once: the week on Monday, and a word about logs that are missing.',
  inFolder:
    'No mail server is set up: letters lie as files in the folder “outbox” beside the database, where any mail program opens them.',
  none: 'Nothing has been written yet. Coaches who have given a mail address get their week on Monday.',
  left: (when: string) => `left ${when}`,
  waits: 'waits',
  failed: (why: string) => `could not be sent: ${why}`,
  mine: 'My post',
  mineAbout:
    'Your evenings of the week by mail, and a word when a log is missing. Leave it empty for no post.',
  address: 'Mail address',
}

export const calendar = {
  open: 'My calendar',
  title: 'Your evenings in your calendar',
  how: 'Make an address and add it to the calendar on your phone or computer. New evenings appear there by themselves, and those that fall out say so.',
  secret:
    'Whoever has this address can read your evenings. It is shown only now: make a new one if you lose it.',
  since: (day: string) => `You made an address on ${day}.`,
  make: 'Make an address',
  anew: 'Make a new one, the old one stops',
  end: 'Stop it',
}
