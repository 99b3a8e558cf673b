import { type Activity, type Need, STEP_KINDS } from '../vocabulary/index.js';

type Required = 'id' | 'title' | 'skills' | 'needs' | 'steps' | 'minutes';

/** What anytime activities have in common: nothing to prepare, nothing to clear. */
const COMMON: Omit<Activity, Required | 'band' | 'fromAge'> = {
  ways: ['adult-led'],
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

type Given = Omit<Pick<Activity, Required>, 'steps'> &
  Partial<Omit<Activity, Required>> & {
    /** Each as "kind: text". */
    readonly steps: readonly string[];
  };

const STEP = new RegExp(`^(${STEP_KINDS.join('|')}): (.+)$`);

/** A step from its one line, such as "ask: How many are there?". */
function step(given: string): Activity['steps'][number] {
  const [, kind, text] = STEP.exec(given) ?? [];
  if (kind === undefined || text === undefined) throw new RangeError(`not a step: "${given}"`);
  return { kind: kind as (typeof STEP_KINDS)[number], text };
}

/** An activity that happens along the way. */
export const anytime = (given: Given): Activity => ({
  ...COMMON,
  band: 'anytime',
  fromAge: 2,
  ...given,
  steps: given.steps.map(step),
});

/** An activity that is laid out for planned play. */
export const play = (given: Given): Activity => ({
  ...COMMON,
  band: 'play',
  fromAge: 2.5,
  setUpMinutes: 3,
  clearUpMinutes: 3,
  seat: 'on the floor',
  ...given,
  steps: given.steps.map(step),
});

/** A short prepared activity for one to three children. */
export const table = (given: Given): Activity => ({
  ...COMMON,
  band: 'table',
  fromAge: 3,
  setUpMinutes: 2,
  clearUpMinutes: 2,
  ...given,
  steps: given.steps.map(step),
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
