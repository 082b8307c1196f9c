// Every text of the interface, in English: the general ones here, those of a surface in its own file. A translation is
// another folder of this shape.
import { board, gates, levels, passport, squad, standards, test } from './assess'
import { carried, evening, evenings, home, log, outbox, own, print, ran, stations, tonight, upset, weeks } from './deliver'
import { cues, desk, drills, lever, pace, settings } from './drills'
import { calendar, clubs, join, letters, signIn } from './people'
import { plan } from './plan'
import { bands, progressions } from './progressions'
import { foot, level, levelMeans, outcome, role, side, stage, stageMeans, strand, weekdays } from './words'

export const texts = {
  foot, level, levelMeans, outcome, role, side, stage, stageMeans, strand, weekdays,
  calendar, clubs, join, letters, signIn,
  cues, desk, drills, lever, pace, settings,
  bands, progressions,
  plan,
  carried, evening, evenings, home, log, outbox, own, print, ran, stations, tonight, upset, weeks,
  board, gates, levels, passport, squad, standards, test,

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

  legend: {
    title: 'How to read this',
    strands: 'A strand is a line',
    stages: 'A stage is a filling',
    levels: 'A level is a height',
    states: 'A milestone is a ring',
    keys: 'Keys',
    open: 'How to read this (?)',
    keyList: [
      ['?', 'this page'],
      ['← →', 'on the plan the evening before, after; on the map what is needed, what is opened'],
      ['↑ ↓', 'on the plan the line above, below; neighbours on the map'],
      ['+ −', 'a minute more, less; one up, one down on the drill desk; the map larger, smaller'],
      ['. ,', 'the block a stage up, down'],
      ['L X A', 'lock, take out, show the skill here'],
      ['⇧ ← →', 'move the block to the evening before, after'],
      ['Enter', 'open the block'],
      ['S', 'solve: mend the plan around what is locked'],
      ['P', 'publish'],
      ['Z', 'undo the last change of a plan, a drill or the map'],
      ['/', 'to the words of the library'],
      ['Ctrl S', 'save a drill'],
    ] as [key: string, says: string][],
  },

  look: { title: 'Look', light: 'Light', dark: 'Dark', pitch: 'Pitch: large, black on white' },
  signOut: 'Sign out',
  done: 'Done',
  link: { address: 'Address to hand on', copy: 'Copy', copied: 'Copied' },
  places: { clubs: 'Clubs', drills: 'Drills', progressions: 'Progressions', plan: 'Plan', evenings: 'Evenings', levels: 'Levels', standards: 'Standards', tonight: 'Tonight', test: 'Test', squad: 'Squad', weeks: 'Weeks' },
  newVersion: 'A new version is here: load it',
}
