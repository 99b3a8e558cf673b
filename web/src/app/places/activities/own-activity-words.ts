import type { Need, OwnActivity, STEP_KINDS } from '@gumo/core/vocabulary';
import type { FieldWords } from '../../conflict/conflicts';

/** Choices of the form of an own activity, and what an activity is before anything is written. */
export const STEP_WORDS: Record<(typeof STEP_KINDS)[number], string> = {
  lay: 'Lay out',
  show: 'Show',
  turn: 'Child’s turn',
  ask: 'Ask',
  check: 'Check',
  say: 'Say it whole',
  another: 'Another way',
  how: 'How do you know?',
  stop: 'Stop',
};
export const WAYS = ['adult-led', 'presentation', 'invitation'] as const;
export const NOTES = [
  { key: 'easier', words: 'Easier', most: 200 },
  { key: 'harder', words: 'Harder', most: 200 },
  { key: 'watchFor', words: 'Watch for', most: 300 },
  { key: 'makeIt', words: 'Make it', most: 300 },
] as const;
export const NUMBERS = [
  ['shortest', 'Minutes from'],
  ['longest', 'to'],
  ['setUpMinutes', 'Setting up'],
  ['clearUpMinutes', 'Clearing up'],
  ['fromAge', 'From about age'],
] as const;
export const KINDS = [
  { key: 'mess', words: 'Mess', choices: ['dry', 'damp', 'paint'] },
  { key: 'noise', words: 'Noise', choices: ['quiet', 'lively'] },
  { key: 'place', words: 'Place', choices: ['in', 'out', 'either'] },
] as const;

export const NEW_NEED: Need = {
  use: 'counter',
  words: '',
  must: 5,
  wish: null,
  colors: 'any',
  alike: false,
  consumable: false,
};

export const EMPTY: Omit<OwnActivity, 'id'> = {
  title: '',
  band: 'table',
  ways: ['adult-led'],
  minutes: [3, 8],
  setUpMinutes: 2,
  clearUpMinutes: 2,
  care: '',
  seat: 'beside the child',
  skills: [],
  needs: [],
  steps: [
    { kind: 'lay', text: '' },
    { kind: 'show', text: '' },
    { kind: 'turn', text: '' },
    { kind: 'ask', text: '' },
    { kind: 'stop', text: 'Stop while it is still fun.' },
  ],
  easier: '',
  harder: '',
  watchFor: '',
  cautions: [],
  hazards: [],
  mess: 'dry',
  noise: 'quiet',
  place: 'either',
  fromAge: 3,
  checksItself: false,
  sheets: [],
  makeIt: '',
  otherwise: null,
  archived: false,
  version: 0,
};

/** What its fields are called where two devices changed them. */
export const ACTIVITY_WORDS: FieldWords = {
  title: 'Title',
  skills: 'Skills',
  band: 'Band',
  minutes: 'Minutes',
  sentence: 'In a sentence',
  steps: ['Steps', (steps: OwnActivity['steps']) => steps.map((one) => one.text).join('\n')],
  archived: 'Put away',
};
