// What is said of drills: the library, the desk, levers and calls.
import type { Schemas } from '../api/client'
import { metres, plural, two, type Words } from './words'

/** Where a fault stands, in words. */
const PARTS: Record<string, string> = {
  title: 'Title',
  id: 'Title',
  purpose: 'What it is for',
  in_game: 'In a game',
  points: 'Points',
  faults: 'What goes wrong',
  serves: 'Skills',
  strands: 'Strands',
  station: 'Station',
  doses: 'Dose',
  rungs: 'Ladder',
  touches_per_s: 'Touches',
  difficulty: 'Difficulty',
  cautions: 'Cautions',
  home: 'At home',
  stand_ins: 'Stand-ins',
  cues: 'Calls',
}
const partName = (pointer: string) => {
  const [, part = '', nth] = pointer.split('/')
  const name = PARTS[part] ?? part
  return nth !== undefined && /^\d+$/.test(nth) ? `${name} ${Number(nth) + 1}` : name
}

export const pace = {
  mine: (pace: number | null) =>
    pace === null ? 'My pace: 0.75 m, assumed' : `My pace: ${two.format(pace)} m`,
  title: 'How long is your pace?',
  how: 'Walk ten paces as you lay markers. Measure how far you have come, and write the metres here. Every floor you see is then laid in your pace.',
  metres: 'Metres of ten paces',
  one: (pace: number) => `One pace is ${two.format(pace)} m.`,
  keep: 'Keep my pace',
  forget: 'Forget it',
}

export const lever = {
  tempo: 'tempo',
  motion: 'motion',
  eyes: 'eyes',
  side: 'side',
  touches: 'touches',
  space: 'space',
  ball: 'ball',
  service: 'service',
  chain: 'chain',
  pressure: 'pressure',
  contest: 'contest',
} satisfies Words<Schemas['Lever']>

export const settings = {
  tempo: { own_pace: 'own pace', in_rhythm: 'in rhythm', fast: 'as fast as you can' } satisfies Words<
    Schemas['Tempo']
  >,
  motion: {
    on_the_spot: 'on the spot',
    forward: 'forward',
    both_directions: 'both directions',
  } satisfies Words<Schemas['Motion']>,
  eyes: { free: 'free', up: 'up', call: 'call it out' } satisfies Words<Schemas['Eyes']>,
  side: { strong: 'strong', alternate: 'alternate', other: 'other foot only' } satisfies Words<
    Schemas['Sides']
  >,
  touches: { free: 'free', two: 'two', one: 'one' } satisfies Words<Schemas['Touches']>,
  space: { wide: 'wide', usual: 'usual', tight: 'tight' } satisfies Words<Schemas['Space']>,
  ball: { age_size: 'age size', one_smaller: 'one smaller', tennis_ball: 'tennis ball' } satisfies Words<
    Schemas['BallSize']
  >,
  service: {
    own_toss: 'own toss',
    rolled: 'rolled',
    firm: 'firm',
    mixed_speeds: 'mixed speeds',
    high: 'high',
  } satisfies Words<Schemas['Service']>,
  chain: { single: 'single', two_joined: 'two joined', three_or_more: 'three or more' } satisfies Words<
    Schemas['Chain']
  >,
  pressure: { none: 'none', shadow: 'shadow', passive: 'passive', live: 'live' } satisfies Words<
    Schemas['Pressure']
  >,
  contest: { none: 'none', own_score: 'own score', partner: 'a partner or the clock' } satisfies Words<
    Schemas['Contest']
  >,
}

export const drills = {
  search: 'Find a drill',
  found: (n: number) => plural(n, 'drill'),
  nothing: 'No drill answers all of that. Take a wish out, and more come back.',
  write: 'Write a drill',
  backToAll: '← All drills',
  words: 'Words',
  wordsHint: 'in title, points, skills',
  strand: 'Strand',
  stage: 'Stage',
  skill: 'Skill',
  any: 'any',
  noMatter: 'does not matter',
  band: 'Band',
  minutes: 'Minutes',
  minutesNeedBand: 'Choose a band first: its dose decides the minutes.',
  atStation: 'At a station',
  mostMarkers: 'Most markers',
  wide: 'Floor wide, m',
  deep: 'Floor deep, m',
  surface: 'Surface',
  without: 'Leave out',
  where: 'Where',
  switches: { home: 'at home', plain: 'balls and markers only', archived: 'put away' },
  moreWishes: 'More wishes',
  fewerWishes: 'Fewer wishes',
  everything: 'Show everything',
  keys: '/ to the words · Enter to the drawings · arrows from one to the next · N writes a new one',
  players: (min: number, max: number) => (min === max ? plural(min, 'player') : `${min}–${max} players`),
  markers: (n: number) => (n === 0 ? 'no markers' : plural(n, 'marker')),
  home: (w: number, d: number) => `home ${metres.format(w)} × ${metres.format(d)} m`,
  care: (n: number) => (n === 1 ? 'a caution' : `${n} cautions`),
  scale: '5 m on every card',
  surfaces: {
    inside: 'inside',
    outside: 'outside',
    sole: 'sole',
    laces: 'laces',
    toe: 'toe',
    heel: 'heel',
    thigh: 'thigh',
    chest: 'chest',
    head: 'head',
  } satisfies Words<Schemas['Surface']>,
  cautionTags: {
    aerial: 'balls out of the air',
    heading: 'headers',
    ball_underfoot: 'ball underfoot',
    contact: 'contact',
    hard_floor: 'hard floor',
    jumping: 'jumping',
    reaction_crowding: 'crowding at a call',
    throw_in_service: 'thrown service',
  } satisfies Words<Schemas['Caution']>,
}

export const desk = {
  layout: 'Layout, as a coach says it',
  about: 'About this drill',
  place: (line: number, column: number) => `Line ${line}, column ${column}:`,
  expected: (what: string) => `expected ${what}`,
  moreFaults: (n: number) => `and ${n} more`,
  reads: 'Every line reads. Point at a line to see what it lays.',
  untitled: 'A new drill',
  new: 'not saved yet',
  keptHere: 'not saved yet, kept here',
  state: (version: number, time: string) => `state ${version}, saved ${time}`,
  isAway: 'put away: it is found and planned no more',
  copy: 'Copy',
  copyOf: (title: string) => `${title}, a copy`,
  putAway: 'Put away',
  bringBack: 'Bring back',
  save: 'Save',
  asFar: 'Drawn as far as the lines read. Measures come when all of them do.',
  noDose: 'This band has no dose yet: give it one on the right, and the time strip shows.',
  assumption: 'cadence is an assumption',
  blockMinutes: (n: number) => `${metres.format(n)} min`,
  strip: (lay: number, explain: number, bouts: number, work: number, rest: number) =>
    `lay out ${lay} min, explain ${metres.format(explain)} s, ${bouts} × ${metres.format(work)} s work${rest > 0 ? `, ${metres.format(rest)} s rest` : ''}`,
  workToRest: (ratio: string) => `work to rest ${ratio}`,
  levers: 'Levers',
  ladder: 'Ladder',
  rung: 'Stage and difficulty',
  rungAt: (stage: string, difficulty: string) => `${stage}, difficulty ${difficulty}`,
  oneDown: '− One down',
  oneUp: '+ One up',
  difficulty: (n: string) => `difficulty ${n}`,
  success: 'Succeed, %',
  proposes: (lever: string, setting: string, difficulty: string) =>
    `Next: ${lever} to “${setting}” (${difficulty}).`,
  stays: 'Inside the window, or nothing is left to change: stay here.',
  doSo: 'Set it',
  noLevers: 'No lever applies yet. Choose what this drill offers.',
  offer: 'Choose what it offers',
  offered: 'Done choosing',
  makeRung: 'Make these settings a rung',
  noRung: 'These settings are a rung: take it out',
  ground: 'Floor',
  ownGround: 'own measures',
  wide: 'wide, m',
  deep: 'deep, m',
  squad: 'players',
  bag: 'markers',
  fits: (squad: number, stations: number, markers: number, wide: string, deep: string, spare: string) =>
    `${squad} players → ${plural(stations, 'station')}, ${plural(markers, 'marker')}, fits ${wide} × ${deep} m with ${spare} m to spare`,
  misfit: (says: string) => `Does not fit: ${says}.`,
  nearest: (says: string) => `Nearest: ${says}.`,
  working: (share: string, stations: string) => `${share} work at any time: ${stations}`,
  footprint: (w: number, d: number, paces: Schemas['InPaces']) =>
    `${metres.format(w)} × ${metres.format(d)} m, that is ${metres.format(paces.width)} × ${metres.format(paces.depth)} paces`,
  kit: (balls: number, goals: number, walls: number) =>
    [
      balls > 0 && plural(balls, 'ball'),
      goals > 0 && plural(goals, 'goal'),
      walls > 0 && plural(walls, 'wall'),
    ].filter((text): text is string => text !== false),
  roles: (players: number, servers: number, defenders: number) =>
    [
      players > 0 && plural(players, 'player'),
      servers > 0 && plural(servers, 'server'),
      defenders > 0 && plural(defenders, 'defender'),
    ].filter((text): text is string => text !== false),
  path: (kind: string, length: number, changes: number, turning: number) =>
    `${kind} ${metres.format(length)} m${turning < 1 ? '' : `, ${plural(changes, 'turn')} over 30°, ${Math.round(turning)}° in all`}`,
  pathKind: { dribble: 'dribble', run: 'run', pass: 'pass', serve: 'serve' } satisfies Words<
    Schemas['PathKind']
  >,
  what: 'What it is',
  title: 'Title',
  purpose: 'What it is for, in one sentence',
  inGame: 'When it is used in a game',
  points: 'Points, as they read on the phone',
  pointsHint: '3 to 7, one a line, in order',
  doses: 'Dose and station',
  band: 'Band',
  bandDoes: (name: string, does: boolean) => (does ? name : `${name} (no dose)`),
  doseKind: 'Dose',
  notDone: 'not done in this band',
  doseKinds: {
    timed: 'work and rest by the clock',
    reps: 'repetitions',
    laps: 'laps',
    tries: 'tries',
    streak: 'until a streak',
  } as Record<string, string>,
  doseNumbers: {
    work_s: 'work, s',
    rest_s: 'rest, s',
    sets: 'sets',
    reps: 'repetitions',
    each_s: 'seconds each',
    laps: 'laps',
    directions: 'ways round',
    tries: 'tries',
    target: 'in a row',
    cap_s: 'at most, s',
    try_s: 'seconds a try',
  } as Record<string, string>,
  asPath: 'as the path',
  sides: 'Feet',
  sideRules: { together: 'both in one bout', each: 'each on its own', alternate: 'in turn' } satisfies Words<
    Schemas['SideRule']
  >,
  station: 'Players at one station, and how many work at once',
  stationOf: { min: 'least', usual: 'usual', max: 'most', working: 'work' },
  serves: 'Skills, strands, surfaces',
  addSkill: 'Serves another skill',
  chooseSkill: 'choose a skill',
  share: (strand: string) => `${strand}, %`,
  faults: 'What goes wrong',
  fault: { see: 'What you see', why: 'Why', say: 'What to say or change' },
  addFault: 'Another fault',
  takeOut: 'Take out',
  hardness: 'Difficulty and touches',
  base: 'Base, 0–10',
  cadence: (stage: string) => `${stage}, per s`,
  cadenceSays: 'Touches per second of work at each stage: assumptions until somebody counts.',
  cautions: 'What could hurt',
  homeAndKit: 'At home, and without the kit',
  home: 'can be done at home',
  missing: 'Instead of',
  instead: 'do with',
  addStandIn: 'Another stand-in',
  cues: 'Calls',
  history: 'Earlier states',
  inEditions: (names: string) => `In the plan of ${names}: editions keep their own copy.`,
  saved: (version: number, by: string, at: string) => `${version}. ${by}, ${at}`,
  cameWith: 'came with the library',
  takeThis: 'Take this again',
  beforeSaving: (n: number) =>
    n === 1 ? 'One thing before it can be saved' : `${n} things before it can be saved`,
  inWords: (pointer: string, detail: string) =>
    /\d/.test(pointer) ? `${partName(pointer)}: ${detail}` : detail.charAt(0).toUpperCase() + detail.slice(1),
}

export const cues = {
  now: 'Call',
  ready: (n: number) => `${plural(n, 'call')} a bout, nobody can guess them`,
  wait: 'listen…',
  aloud: 'aloud',
  silent: 'silent',
  add: 'It answers calls',
  words: 'Words, with blanks between',
  gap: 'seconds between',
  back: 'seconds to get back',
  trial: 'Try the calls',
  stop: 'Stop',
  none: 'No calls',
  sequence: 'In order',
}
