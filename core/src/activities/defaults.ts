import type { Activity, Need } from '../vocabulary/index.js';

type Required = 'id' | 'title' | 'skills' | 'needs' | 'capture' | 'steps' | 'minutes';

/** What woven-in activities have in common: nothing to prepare, nothing to clear. */
const COMMON: Omit<Activity, Required | 'band' | 'fromAge'> = {
  ways: ['led'],
  setUpMinutes: 0,
  clearUpMinutes: 0,
  care: '',
  seat: 'beside the child',
  easier: '',
  harder: '',
  watchFor: '',
  cautions: [],
  hazards: [],
  mess: 'dry',
  noise: 'quiet',
  place: 'either',
  checksItself: false,
  sheets: [],
  makeIt: '',
  otherwise: null,
};

type Given = Pick<Activity, Required> & Partial<Activity>;

/** An activity that happens along the way. */
export const woven = (given: Given): Activity => ({
  ...COMMON,
  band: 'woven',
  fromAge: 2,
  ...given,
});

/** An activity that is laid out for planned play. */
export const setOut = (given: Given): Activity => ({
  ...COMMON,
  band: 'set-out',
  fromAge: 2.5,
  setUpMinutes: 3,
  clearUpMinutes: 3,
  seat: 'on the floor',
  ...given,
});

/** A short prepared activity for one to three children. */
export const table = (given: Given): Activity => ({
  ...COMMON,
  band: 'table',
  fromAge: 3,
  setUpMinutes: 2,
  clearUpMinutes: 2,
  ...given,
});

/** Something an activity needs; alike and of one color unless said otherwise. */
export const need = (
  use: Need['use'],
  words: string,
  must: Need['must'],
  more: Partial<Need> = {},
): Need => ({
  use,
  words,
  must,
  wish: null,
  colors: 'any',
  alike: false,
  consumable: false,
  ...more,
});

/** Counters that differ in nothing but their number, as counting asks for. */
export const likeCounters = (must: Need['must']): Need =>
  need('counter', 'like counters', must, { colors: 'one', alike: true });

/** Counters in two colors, so that the parts stay in view in the whole. */
export const twoColorCounters = (must: Need['must']): Need =>
  need('counter', 'two-color counters', must, { colors: 'two', alike: true });

export const SMALL_PARTS =
  'Counters are small parts: not with children under three, or with one who still mouths things.';
