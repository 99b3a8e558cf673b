import * as v from 'valibot';
import { DRAWINGS } from '../measuring/index.js';
import { CUES } from './cues.js';
import { PAPERS } from './page.js';

/** The ways in which a card shows a number. */
export const FACES = [
  'numeral',
  'dots',
  'tally',
  'fingers',
  'word',
  'frame',
  'sum',
  'pictures',
] as const;
export type Face = (typeof FACES)[number];

const whole = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be a whole number'),
    v.minValue(least, `must be at least ${least}`),
    v.maxValue(most, `must be at most ${most}`),
  );
const flag = v.boolean('must be true or false');
const words = (most: number) => v.pipe(v.string(), v.trim(), v.maxLength(most, 'is too long'));

export const SIZES = ['small', 'medium', 'large'] as const;
const OwnWords = v.pipe(v.array(words(80)), v.maxLength(10));

/** What a sheet is made for: this range, these things, this paper, and a seed that makes it again. */
export const SheetWish = v.object({
  paper: v.picklist(Object.keys(PAPERS) as (keyof typeof PAPERS)[], 'must be a4 or letter'),
  low: whole(0, 100),
  high: whole(1, 100),
  /** Across the thing that is laid on it, in millimeters. */
  materialMm: v.pipe(
    v.number('must be a number'),
    v.minValue(5, 'must be at least 5'),
    v.maxValue(120, 'must be at most 120'),
  ),
  /** Frames, boards, strips: how many. */
  count: whole(1, 40),
  seed: whole(0, 999_999),
  answers: flag,
  /** The number to look for; null for any. */
  target: v.optional(v.nullable(whole(0, 100)), null),
  /** How large the numerals of a crowd are. */
  size: v.optional(v.picklist(SIZES, 'must be small, medium or large'), 'medium'),
  /** Only numerals that are easily taken for the one that is looked for. */
  alike: v.optional(flag, false),
  /** What is filled stays white, for children to color. */
  outline: v.optional(flag, false),
  /** The activity that a card or a slip is made of; empty for none. */
  activity: v.optional(words(60), ''),
  /** How it looks, of the looks that the kind of sheet has. */
  look: words(20),
  /** The ways in which number cards show each number. */
  faces: v.pipe(
    v.array(v.picklist(FACES, `must be of ${FACES.join(', ')}`)),
    v.minLength(1, 'choose at least one'),
    v.maxLength(FACES.length),
  ),
  /** Two ways on the two sides of one card. */
  twoSided: flag,
  /** Cards apart, with film around each. */
  laminate: flag,
  /** The small drawing on the page that a child likes; empty for none. */
  picture: v.picklist(['', ...DRAWINGS.map((one) => one.id)], 'is no drawing that is here'),
  /** Whom the sheet is for, written at its foot; empty for anyone. */
  owner: words(60),
  /** The word of a name frame. */
  word: words(60),
  cues: v.picklist(CUES, 'must be movement, rhyme, own or none'),
  forms: v.object({
    one: v.picklist(['plain', 'flagged']),
    four: v.picklist(['open', 'closed']),
    nine: v.picklist(['straight', 'slanted', 'curved']),
  }),
  /** The household's own words for the digits; none where it has none. */
  says: v.optional(OwnWords, []),
});
export type SheetWish = v.InferOutput<typeof SheetWish>;

export const usualWish = (): SheetWish => ({
  paper: 'a4',
  low: 1,
  high: 10,
  materialMm: 25,
  count: 4,
  seed: 1,
  answers: false,
  target: null,
  size: 'medium',
  alike: false,
  outline: false,
  activity: '',
  look: '',
  faces: ['numeral'],
  twoSided: false,
  laminate: false,
  picture: '',
  owner: '',
  word: '',
  cues: 'movement',
  forms: { one: 'plain', four: 'open', nine: 'straight' },
  says: [],
});
