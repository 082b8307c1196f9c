// What is said of evenings: tonight, the log, what goes wrong, weeks, home and paper.
import type { Schemas } from '../api/client'
import type { Outgoing } from '../storage/outbox'
import { metres, outcome, plural, type Words } from './words'

export const evening = {
  title: (day: string) => day,
  kit: 'Bring',
  markers: (n: number, colour: string) =>
    colour === 'any' ? `${plural(n, 'marker')} of any colour` : plural(n, `${colour} marker`),
  noKit: 'balls only',
  unused: (n: number) => `${n} min are not planned for`,
  layOut: (n: number) => `${n} min lay out`,
  stations: (sizes: number[]) => {
    const counts = new Map<number, number>()
    sizes.forEach((size) => counts.set(size, (counts.get(size) ?? 0) + 1))
    if (counts.size === 1 && counts.has(1)) return 'everybody for themselves'
    return [...counts].map(([size, n]) => `${n} × ${size}`).join(', ') + ' players'
  },
  bouts: (n: number, work: number, rest: number) =>
    `${n} × ${Math.round(work)} s work${rest > 0 ? `, ${Math.round(rest)} s rest` : ''}`,
  touches: (strong: number, other: number) => `${strong} touches strong foot, ${other} other`,
  waiting: (share: string) => `waits ${share}`,
  assumption: 'Touches rest on an assumed cadence until somebody counts.',
  points: 'Look for',
  faults: 'What goes wrong',
  cautions: 'Take care',
  cautionTail: 'Your association’s rules and qualified people come first.',
  inGame: 'In a game',
  floor: (w: number, d: number, paces: Schemas['InPaces']) =>
    w < 0.5 && d < 0.5
      ? 'on the spot'
      : w < 0.5 || d < 0.5
        ? `one station ${metres.format(Math.max(w, d))} m (${metres.format(Math.max(paces.width, paces.depth))} paces) long`
        : `one station ${metres.format(w)} × ${metres.format(d)} m (${metres.format(paces.width)} × ${metres.format(paces.depth)} paces)`,
  layoutText: 'Layout as said',
  beside: 'Those who move on',
}

export const tonight = {
  next: (day: string) => `Next: ${day}`,
  past: (day: string) => day,
  none: 'No evening is planned yet. As soon as the director publishes an edition, it stands here.',
  start: 'Start clock',
  pause: 'Pause',
  goOn: 'Go on',
  again: 'From the start',
  phase: { explain: 'explain', work: 'work', rest: 'rest', over: 'time is up' },
  bout: (n: number, of: number) => (n === 0 ? `then ${plural(of, 'bout')}` : `bout ${n} of ${of}`),
  more: 'More',
  less: 'Less',
  block: (n: number, of: number) => `Block ${n} of ${of}`,
  whatBecame: 'What became of it?',
  allSaid: 'The evening is noted. Thank you.',
  lay: (n: number) => `Lay out first: ${n} min`,
  edition: (n: number) => `edition ${n}`,
  toTonight: 'To tonight',
  sound: 'Sound on',
  silent: 'Sound off',
  rungs: 'One up, one down',
}

export const ran = { one_down: 'One down', one_up: 'One up' } satisfies Words<Schemas['Ran']>

export const stations = {
  title: 'Who with whom',
  how: 'How are they put together?',
  mixed: 'mixed',
  like_with_like: 'like with like',
  again: 'Another split',
  station: (n: number) => `Station ${n}`,
  taps: 'Two taps on two names:',
  tap: { swap: 'change places', apart: 'keep apart', together: 'keep together' },
  first: {
    swap: 'Tap two names, and they change places in this block.',
    apart: 'Tap two names, and they are kept apart from now on.',
    together: 'Tap two names, and they stay together from now on.',
  },
  second: {
    swap: (name: string) => `Who changes places with ${name}?`,
    apart: (name: string) => `Who is kept apart from ${name}?`,
    together: (name: string) => `Who stays with ${name}?`,
  },
  wish: (one: string, other: string, together: boolean) =>
    `${one} and ${other} ${together ? 'stay together' : 'are kept apart'}.`,
  broken: 'Not possible in this split.',
  drop: (one: string, other: string) => `Forget the wish about ${one} and ${other}`,
  nobodySaid:
    'For the whole squad: say in the log who is missing, and the stations are filled with those who are here.',
}

export const log = {
  title: 'Log',
  here: 'Who is here?',
  tap: 'Tap who is missing',
  count: (here: number, all: number) => `${here} of ${all} here`,
  everyone: 'Everyone is here',
  isMissing: (name: string) => `${name} is missing`,
  blocks: 'How did it go?',
  nothing: 'nothing said yet',
  minutes: (planned: number) => `Minutes of ${planned}`,
  cameOff: 'Of ten tries came off',
  note: 'A line for next time',
  noteAbout: 'About the practice. Nothing about a child’s health or home.',
  noteGone: 'took the line away',
  history: 'Who said what',
  somebody: 'a player',
  player: (name: string, present: boolean) =>
    `${name} ${present ? 'was here after all' : 'was missing after all'}`,
  tenths: (success: number) => `${success / 10} of ten`,
  block: (title: string, outcome: string, success: number | null) =>
    `${title}: ${outcome}${success === null ? '' : `, ${success / 10} of ten`}`,
}

export const upset = {
  open: 'The evening falls out or is short',
  title: (day: string) => `${day} falls out or is short`,
  kinds: { out: 'It falls out', short: 'It is short' },
  kind: 'What happened',
  left: 'Minutes that are left',
  how: 'How do you go on?',
  remedy: { shift: 'Shift', squeeze: 'Squeeze', skip: 'Skip' } satisfies Words<Schemas['Remedy']>,
  means: {
    shift: 'Everything later moves by one evening; the last one falls off.',
    squeeze: 'What later evenings wait for is placed into the next ones; what only keeps gives way.',
    skip: 'What fell out is left out.',
  } satisfies Words<Schemas['Remedy']>,
  score: (points: string) => `Score ${points}, lower is better`,
  moved: (n: number) =>
    n === 0 ? 'No block moves' : `${plural(n, 'block')} ${n === 1 ? 'leaves its' : 'leave their'} evening`,
  enough: 'Nothing falls short',
  short: (what: string[]) => `Falls short: ${what.join(', ')}`,
  sound: 'No rule is broken',
  breaks: (n: number) => (n === 1 ? 'Breaks 1 rule later' : `Breaks ${n} rules later`),
  go: 'Go on like this',
  looking: 'Looking for ways…',
  fellOut: 'This evening fell out.',
}

export const own = {
  open: 'Our days and hall',
  openTheirs: 'Days and hall of this team',
  title: 'What this team has of its own',
  about:
    'Everything else is as in the edition. Where the plan no longer fits, the evenings to come are planned anew, near what they had.',
  daysFixed: 'An evening has a log already or fell out, so the days stay as they are.',
  asEdition: 'As in the edition',
  fitting: 'Fitting…',
}

export const weeks = {
  title: 'Weeks',
  none: 'No edition has been published to your team yet.',
  planned: (n: number) => plural(n, 'block'),
  today: 'today',
  noLog: 'no log',
  fellOut: 'fell out',
  shortened: (left: number) => `${left} min were left`,
  goneOn: {
    shift: 'everything later moved by one evening',
    squeeze: 'what is needed was placed into the next evenings',
    skip: 'left out',
  } satisfies Words<Schemas['Remedy']>,
  back: (what: string) => `Take back: ${what}`,
  said: (done: number, short: number, skipped: number) =>
    [done && `${done} done`, short && `${short} short`, skipped && `${skipped} skipped`]
      .filter(Boolean)
      .join(', '),
}

export const evenings = {
  title: 'Evenings',
  about: 'Planned against delivered, in minutes.',
  none: 'No edition of this curriculum has been published. Publish one on the Plan.',
  delivered: 'delivered',
  planned: 'planned',
  logsMissing: (n: number) => `${plural(n, 'log')} missing`,
  week: 'Week',
  cell: (team: string, week: number, delivered: number, planned: number) =>
    `${team}, week ${week}: ${delivered} of ${planned} min`,
  team: 'Team',
  share: 'so far',
  cancelled: (n: number) => `${plural(n, 'evening')} fell out`,
  drift: (moved: number, short: number) =>
    [moved && `${plural(moved, 'block')} moved`, short && `${plural(short, 'skill')} short`]
      .filter(Boolean)
      .join(', '),
  short: 'Falls short of the edition',
  choose: 'Choose a week to see its strands and its log.',
}

export const home = {
  title: 'Practice at home',
  how: 'Ten minutes with a ball. Start the clock, and do what the points say.',
  feet: 'Do it with one foot, then as often with the other.',
  grownUp: 'A grown-up knows where you practise.',
  nothing: 'No practice at home fits this week. It comes with the next evenings.',
  gone: 'This page has moved',
  askCoach: 'Ask your coach for the new address.',
  floor: (width: number, depth: number) =>
    `Floor: ${metres.format(width)} × ${metres.format(depth)} m, clear and dry.`,
  instead: (kit: string, instead: string) => `No ${kit}? Take ${instead}.`,
  challenge: (seconds: number) =>
    `Challenge of the week: how many clean ones in ${seconds} s? Write down your best.`,
  paper: 'Cards on paper',
  code: 'Code to scan',
  handOut: 'Players scan the code or open the address. The page asks for no name and shows none.',
  renew: 'Make a new address, the old one stops',
  came: 'What came back',
  cameAbout: (drill: string, seconds: number) =>
    `${drill}: the best in ${seconds} s, as the players say. It shows that they practised; it never counts for a level.`,
  selfReported: 'self-reported',
  bestOf: (name: string) => `Best of ${name}, self-reported`,
  beginWith: (side: string) => `begin with the ${side} foot`,
  scores: 'My scores',
}

export const print = {
  session: 'Session card',
  week: (club: string, from: string, to: string) => `${club}, ${from} to ${to}`,
  weekOf: 'Print this week',
  go: 'Print',
  back: 'Back',
  noEvening: 'No team of this club trains in these seven days.',
  from: (start: number, end: number) => `${start}–${end}`,
  forNextTime: 'For next time:',
  card: 'On paper',
}

export const carried = {
  yes: 'This phone has what your next evenings need, also without network.',
  notYet: 'Still fetching your next evenings. Without network they may be missing.',
  cannot: 'This browser stores nothing here: without network your evenings are missing.',
}

export const outbox = {
  waiting: (n: number) => `${n} not sent yet`,
  others: (n: number) => `${n} of another coach wait here`,
  refused: 'The server did not take this:',
  unkept:
    'This browser stores nothing here (a private window, or a full disk). What you enter is lost if you close the page before it is sent.',
  signIn: (n: number) =>
    n === 1
      ? 'One entry waits on this device. It is sent when whoever entered it signs in.'
      : `${n} entries wait on this device. They are sent when whoever entered them signs in.`,
  /** Whose entry it is, and what it says. */
  about: (team: string | undefined, player: string | undefined, what: string) =>
    [team, player, what].filter(Boolean).join(', '),
  again: 'Try again',
  what: (w: Outgoing) =>
    w.kind === 'outcome'
      ? `${w.entry.day ?? ''} ${outcome[w.entry.outcome]}`
      : w.kind === 'trial'
        ? `${w.entry.taken_on} ${w.entry.test} ${w.entry.value}`
        : w.kind === 'presence'
          ? `${w.entry.day} ${w.entry.present ? 'here' : 'missing'}`
          : w.kind === 'note'
            ? `${w.entry.day} “${w.entry.says}”`
            : w.kind === 'word'
              ? `${w.entry.day} “${w.entry.reason}”`
              : 'taking back a trial',
  seen: 'I have noted it, take it away',
}
