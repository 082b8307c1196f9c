// Every text of the interface, in English. A translation is another file of this shape.
import type { Schemas } from '../api/client'
import type { Outgoing } from '../api/outbox'

type Words<K extends string> = Record<K, string>
const metres = new Intl.NumberFormat(undefined, { maximumFractionDigits: 1 })
const plural = (n: number, one: string, many = `${one}s`) => `${n} ${n === 1 ? one : many}`

export const texts = {
  loading: 'One moment…',
  noNetwork: 'Jogo cannot be reached just now. What you enter stays on this device and is sent later.',
  fallen: 'This screen has stumbled. What you entered is kept. Load it again.',
  noLevel: 'no level yet',
  close: 'Close',
  cancel: 'Cancel',
  undo: 'Undo',
  retry: 'Try again',
  minutes: (n: number | string) => `${n} min`,
  floorOf: (title: string) => `Floor drawing: ${title}`,

  strand: {
    ball_mastery: 'ball mastery',
    dribbling: 'dribbling',
    receiving: 'receiving',
    passing: 'passing',
  } satisfies Words<Schemas['Strand']>,
  stage: { form: 'Form', flow: 'Flow', scan: 'Scan', contest: 'Contest' } satisfies Words<Schemas['Stage']>,
  stageMeans: {
    form: 'correct and slow, on the spot',
    flow: 'in rhythm, at speed, on the move',
    scan: 'eyes up, answering a cue',
    contest: 'against someone',
  } satisfies Words<Schemas['Stage']>,
  level: { starting: 'Starting', building: 'Building', secure: 'Secure', stretching: 'Stretching' } satisfies Words<Schemas['Level']>,
  levelMeans: {
    starting: 'begins with it',
    building: 'has parts of it',
    secure: 'has it',
    stretching: 'has more than the band asks for',
  } satisfies Words<Schemas['Level']>,
  side: { left: 'left', right: 'right' } satisfies Words<Schemas['Side']>,
  foot: { strong: 'strong foot', other: 'other foot' },
  outcome: { done: 'Done', short: 'Short', skipped: 'Skipped' } satisfies Words<Schemas['Outcome']>,

  legend: {
    title: 'How to read this',
    strands: 'A strand is a line',
    stages: 'A stage is a filling',
    levels: 'A level is a height',
    keys: 'Keys',
    open: 'How to read this (?)',
    keyList: [
      ['?', 'this page'],
      ['← →', 'evening before, evening after'],
      ['↑ ↓', 'block before, block after'],
      ['S', 'solve the plan again'],
      ['Z', 'undo the last change of a wish'],
    ] as [key: string, says: string][],
  },

  look: { title: 'Look', light: 'Light', dark: 'Dark', pitch: 'Pitch: large, black on white' },
  signOut: 'Sign out',
  places: { plan: 'Plan', evenings: 'Evenings', levels: 'Levels', tonight: 'Tonight', test: 'Test', squad: 'Squad', weeks: 'Weeks' },

  signIn: {
    title: 'Jogo',
    about: 'What the children learn with the ball, in what order, and how far they have come.',
    login: 'Name',
    password: 'Password',
    go: 'Sign in',
    samples: 'Look around as one of the demo’s sample people',
    director: 'technical director: plans, publishes, looks back',
    coach: (teams: string[]) => `coach of ${teams.join(', ')}`,
  },

  plan: {
    choose: 'Curriculum',
    solve: 'Solve',
    solving: 'Solving…',
    publish: (n: number) => `Publish edition ${n}`,
    saved: (time: string) => `saved ${time}`,
    saving: 'saving…',
    draft: 'draft',
    published: (n: number, day: string) => `edition ${n} published ${day}`,
    changed: 'changed since',
    week: (n: number) => `Week ${n}`,
    session: (n: number, day: string, minutes: number) => `Session ${n}, ${day}, ${minutes} min`,
    minutesOf: (n: number, day: string) => `Minutes of session ${n}, ${day}`,
    minutesThere: 'minutes there are',
    shares: 'Shares',
    shareOf: (strand: string) => `Share of ${strand} in percent`,
    laid: (percent: string) => `laid ${percent}`,
    sum: (n: number) => `${n} %: make it 100`,
    sharesWait: 'The shares are saved once they make 100 %.',
    missing: (n: number) => `${n} short`,
    reached: 'reached',
    noPlan: 'No plan yet. Press Solve, and Jogo lays the weeks.',
    stale: 'The wishes have changed since this plan was laid. Press Solve for a plan that keeps them.',
    score: 'Score',
    scoreMeans: 'lower is better',
    part: {
      S1: 'Goals',
      S2: 'Strands',
      S3: 'Rhythm',
      S8: 'Idle',
      S10: 'Changes',
    } as Record<string, string>,
    partMeans: {
      S1: '10 points for each exposure that is missing on the way to a goal',
      S2: '1 point for each percentage point off the wished shares',
      S3: '1 point for each day over 7 that a skill under way rests',
      S8: 'half a point for each unused minute',
      S10: '0.3 points for each change of layout',
    } as Record<string, string>,
    nothing: 'nothing to say here',
    clash: 'These wishes cannot hold together',
    relax: 'What would help:',
    breaches: (n: number) => plural(n, 'rule') + ' broken by this plan',
    inSession: (n: number) => `Session ${n}`,
    empty: 'There is no curriculum yet. `jogo demo` shows one.',
    publishTitle: (n: number, name: string) => `Publish edition ${n} of “${name}”?`,
    publishSays: 'Every team of this band gets it at once, and it is never changed: later changes come as the next edition.',
    note: 'A note for the coaches (may stay empty)',
    publishGo: 'Publish',
    tour: [
      'Each line is a skill, each stitch on it an evening that practises it. Tall means long, the filling is the stage.',
      'Change the minutes above an evening, or a strand’s share, and press Solve: Jogo lays a new plan that keeps the rules.',
      'Choose an evening to see its running order, kit and floor. When it looks right, publish it to the clubs.',
    ],
    tourNext: 'Next',
    tourDone: 'Got it',
  },

  evening: {
    title: (day: string) => day,
    kit: 'Bring',
    markers: (n: number, colour: string) => (colour === 'any' ? `${plural(n, 'marker')} of any colour` : plural(n, `${colour} marker`)),
    noKit: 'balls only',
    unused: (n: number) => `${n} min are not planned for`,
    layOut: (n: number) => `${n} min lay out`,
    stations: (sizes: number[]) => {
      const counts = new Map<number, number>()
      sizes.forEach((size) => counts.set(size, (counts.get(size) ?? 0) + 1))
      if (counts.size === 1 && counts.has(1)) return 'everybody for themselves'
      return [...counts].map(([size, n]) => `${n} × ${size}`).join(', ') + ' players'
    },
    bouts: (n: number, work: number, rest: number) => `${n} × ${work} s work${rest > 0 ? `, ${rest} s rest` : ''}`,
    touches: (strong: number, other: number) => `${strong} touches strong foot, ${other} other`,
    waiting: (share: string) => `waits ${share}`,
    assumption: 'Touches rest on an assumed cadence until somebody counts.',
    points: 'Look for',
    faults: 'What goes wrong',
    cautions: 'Take care',
    cautionTail: 'Your association’s rules and qualified people come first.',
    inGame: 'In a game',
    floor: (w: number, d: number) =>
      w < 0.5 && d < 0.5 ? 'on the spot' : w < 0.5 || d < 0.5 ? `one station ${metres.format(Math.max(w, d))} m long` : `one station ${metres.format(w)} × ${metres.format(d)} m`,
    layoutText: 'Layout as said',
  },

  tonight: {
    next: (day: string) => `Next: ${day}`,
    past: (day: string) => `${day}`,
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
  },

  outbox: {
    waiting: (n: number) => `${n} not sent yet`,
    refused: 'The server did not take this:',
    what: (w: Outgoing) =>
      w.kind === 'outcome'
        ? `block ${w.entry.block + 1}, ${texts.outcome[w.entry.outcome]}`
        : w.kind === 'trial'
          ? `${w.entry.test} ${w.entry.value}`
          : 'taking back a trial',
    seen: 'I have noted it, take it away',
  },

  weeks: {
    title: 'Weeks',
    none: 'No edition has been published to your team yet.',
    planned: (n: number) => plural(n, 'block'),
    today: 'today',
    noLog: 'no log',
    said: (done: number, short: number, skipped: number) =>
      [done && `${done} done`, short && `${short} short`, skipped && `${skipped} skipped`].filter(Boolean).join(', '),
  },

  squad: {
    title: (n: number) => plural(n, 'player'),
    none: 'Your squad is empty. Load a list from a CSV file: name, birth month, strong foot.',
    load: 'Load a list (CSV)',
    columns: 'name, birth month, strong foot',
    example: 'See an example file',
    check: 'Check the list',
    nothingYet: 'Nothing has been written yet.',
    line: (n: number) => `line ${n}`,
    ready: (n: number) => `${plural(n, 'player')} can be added`,
    faulty: (n: number) => `${plural(n, 'row')} cannot`,
    add: (n: number) => `Add ${plural(n, 'player')}`,
    leaveOut: (n: number) => `and leave out ${plural(n, 'row')}`,
    added: (n: number) => `${plural(n, 'player')} added.`,
    strong: (side: string) => `${side} foot`,
    born: 'born',
    noResults: 'no results yet',
    choose: 'Choose a file',
    large: 'This file is too large for a squad list: at most 200 kB.',
  },

  test: {
    title: 'Test',
    noSquad: 'First load your squad, then test it.',
    toSquad: 'To the squad',
    how: 'How it is taken',
    round: (n: number) => `Round ${n}`,
    before: (value: string) => `before: ${value}`,
    enter: 'Enter',
    entry: (player: string, side: string | null, round: number) => `${player}${side ? `, ${side} foot` : ''}, round ${round}`,
    delete: 'Delete digit',
    outOfRange: (least: number, most: number) => `Between ${least} and ${most}.`,
    whole: 'A whole number.',
    complete: 'All entered.',
    back: 'All tests',
    noStandard: 'No standard holds today: results are kept, levels come later.',
    seconds: 's',
    left: 'L',
    right: 'R',
  },

  evenings: {
    title: 'Evenings',
    about: 'Planned against delivered, in minutes.',
    none: 'No edition of this curriculum has been published. Publish one on the Plan.',
    delivered: 'delivered',
    planned: 'planned',
    logsMissing: (n: number) => `${plural(n, 'log')} missing`,
    ahead: 'to come',
    cell: (team: string, week: number, delivered: number, planned: number) =>
      `${team}, week ${week}: ${delivered} of ${planned} min`,
    team: 'Team',
    share: 'so far',
    choose: 'Choose a week to see its strands.',
  },

  levels: {
    title: 'Levels',
    about: 'Players by level, from each player’s latest result under the standard of its day.',
    none: 'No team of this band has players yet.',
    without: (n: number) => `${n} not tested`,
    players: (n: number) => plural(n, 'player'),
    secure: 'Secure or above',
    club: 'Club',
    foot: 'Foot',
    both: 'both feet',
    counts: (level: string, n: number) => `${level}: ${n}`,
    few: 'few results: read with care',
  },
}
