import type { Band, Fullness, RoundKind, Strand } from '../vocabulary/index.js';
import type { Candidate } from '../evidence/index.js';

/**
 * Everything about a week that was tuned by hand, in one place (common practice, no source): what
 * is expected of a card, what a skill is worth, how long things take. Simulated weeks test it.
 */

/** What is expected of one card, by band. */
export const BAND: Readonly<
  Record<
    Band,
    {
      /** Tries of each focus child. */
      readonly tries: number;
      /** What so many tries count, in parts of a full go. */
      readonly effect: number;
      /** Focus children at most. */
      readonly focus: number;
      /** What a card must bring to be worth its place. */
      readonly mustBring: number;
    }
  >
> = {
  anytime: { tries: 1.5, effect: 0.5, focus: 2, mustBring: 0.35 },
  play: { tries: 3, effect: 0.8, focus: 4, mustBring: 0.75 },
  table: { tries: 3, effect: 1, focus: 3, mustBring: 0.6 },
};

/** The adult's minutes of an open day, where the household says nothing else. */
export const ADULT_MINUTES = 45;
/** Cards of a day by band, where nobody asks for fewer. */
export const CARDS_A_DAY: Readonly<Record<Band, number>> = { anytime: 2, play: 2, table: 2 };
/** A lighter and a fuller week: part of the household's minutes, cards along the way. */
export const FULLNESS: Readonly<
  Record<Fullness, { readonly minutes: number; readonly anytime: number }>
> = {
  lighter: { minutes: 2 / 3, anytime: 1 },
  usual: { minutes: 1, anytime: 2 },
  fuller: { minutes: 4 / 3, anytime: 3 },
};
/** One day may take so much more than its share of the adult's minutes. */
export const DAY_OVER = 1.2;
/** The adult's minutes for an invitation: laid out before, looked at in passing. */
export const INVITATION_MINUTES = 4;
/** Invitations in one moment. */
export const INVITATIONS = 2;

/** Second best want in the range, and reviews of the same family below it, in parts of the first. */
export const ALONG_THE_WAY = 0.4;
export const REVIEW_BELOW = 0.5;
/** A few tries see no more of them again. */
export const REVIEWS_AT_ONCE = 2;
/** Used in the week before, and in the one before that. */
export const USED_LATELY = [0.5, 0.75] as const;
/** For each week beyond so many since it was used, at most so much. */
export const FRESH = { from: 2, week: 0.1, most: 0.6 } as const;

/** What the first, second and further go in a week count, as [how much of it, in parts of its value]. */
export type Steps = readonly (readonly [length: number, slope: number])[];
export const GOES: Readonly<Record<Candidate['why'], Steps>> = {
  nearly: [
    [1, 1],
    [1, 0.95],
    [1, 0.25],
  ],
  started: [
    [1, 1],
    [1, 0.8],
    [1, 0.3],
  ],
  open: [
    [1, 1],
    [1, 0.7],
    [1, 0.2],
  ],
  review: [
    [1, 1],
    [1, 0.6],
    [1, 0.2],
  ],
  due: [
    [0.8, 1],
    [0.7, 0.25],
  ],
  check: [
    [1, 1],
    [1, 0.25],
  ],
  'step-back': [
    [0.8, 1],
    [0.7, 0.25],
  ],
};
/** Something new is worth less to a child who has so many skills begun. */
export const BEGUN = [
  { from: 8, part: 0.7 },
  { from: 5, part: 0.85 },
] as const;
/** A card that can be clothed in what a child likes. */
export const LIKED = 0.08;

/** A fair share: so much counts double, so much a little less, and what is beyond it about half. */
export const FAIR: readonly (readonly [part: number, slope: number])[] = [
  [0.25, 2],
  [0.25, 1.41],
  [0.5, 1.15],
  [1, 0.8],
  [Infinity, 0.55],
];
/** Of all that a child could have, the part that makes a fair share. */
export const FAIR_PART = 0.4;
/** What an adult's minute brings to a child in focus, in goes of a middling value. */
export const WORTH_A_MINUTE = 0.28;

/** Strands counted for a child in a week, what one is worth, and how waiting for it adds to that. */
export const STRANDS_COUNTED = 5;
export const STRAND = { worth: 0.25, waiting: 1, weeks: 6 } as const;
/** Beside the others these count so many times: parts and sums are easily put off. */
export const PUT_OFF: Partial<Record<Strand, number>> = { bond: 2, add: 2 };
/** From so many weeks on a want that nothing served is worth more each week. */
export const WAITING = { from: 4, week: 0.5, most: 4 } as const;

export const NO_TABLE = 6;
export const FOCUS_DAY_SHORT = 0.8;
/** Part of the days here on which a child is in focus. */
export const FOCUS_DAYS = 1;
export const ADULT_MINUTE = 0.012;
export const PREFERRED = 0.05;
export const AGAIN = 0.25;
export const WET_AGAIN = 0.1;

/** The same activity in a week. */
export const MOST_A_WEEK = 2;
/** Children of a group at play lie within so many ranges of one another. */
export const RANGES = [3, 5, 10, 20, 50, 100] as const;
export const RANGES_APART = 2;
/** By age in years: focus cards of a day and minutes in focus. */
export const OF_A_DAY = [
  { under: 3, cards: 2, minutes: 12 },
  { under: 4, cards: 3, minutes: 18 },
  { under: 5, cards: 3, minutes: 24 },
  { under: Infinity, cards: 3, minutes: 30 },
] as const;

/** Tries a minute of a group; `together` where all are at it at once. */
export const PACE: Readonly<
  Record<RoundKind, { readonly rate: number; readonly together?: true }>
> = {
  rote: { rate: 1 },
  'one-step': { rate: 1.5 },
  'walk-track': { rate: 1.2 },
  'count-out': { rate: 1 },
  name: { rate: 1.6 },
  match: { rate: 1.2 },
  catch: { rate: 1 },
  share: { rate: 0.6 },
  compare: { rate: 1.2 },
  'predict-count': { rate: 0.5, together: true },
  order: { rate: 0.6 },
  join: { rate: 1 },
  'knock-down': { rate: 1 },
  'to-ten': { rate: 1 },
  draw: { rate: 0.6, together: true },
  chart: { rate: 0.5, together: true },
  weigh: { rate: 0.4, together: true },
  balance: { rate: 0.5 },
  along: { rate: 0.5 },
  cups: { rate: 0.5 },
  jar: { rate: 0.3, together: true },
  pattern: { rate: 0.7 },
  sort: { rate: 0.6 },
  tens: { rate: 0.8 },
  groups: { rate: 0.6 },
  story: { rate: 0.5, together: true },
  ways: { rate: 1.2 },
  'take-some': { rate: 1.2 },
  hide: { rate: 1.2 },
  'by-chance': { rate: 1.2 },
  glance: { rate: 2 },
  frame: { rate: 1 },
  partner: { rate: 1 },
  give: { rate: 0.8 },
  mirror: { rate: 0.4, together: true },
  call: { rate: 1 },
};
/** Where all are at it at once, each further child takes so much of the time of one. */
export const TOGETHER = 0.35;

/** Steps of the search for a week: some two seconds for six children. */
export const STEPS = 500;
/** A household of fewer has shorter steps, and one of more has more to try: both gain by many. */
const FEW_CHILDREN = 4;
const MANY_CHILDREN = 9;
export const stepsFor = (children: number): number =>
  children >= MANY_CHILDREN
    ? 2 * STEPS
    : Math.round(STEPS * Math.max(1, FEW_CHILDREN / Math.max(1, children)));
