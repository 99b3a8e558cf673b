import * as v from 'valibot';
import { PAPERS } from './page.js';

const whole = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be a whole number'),
    v.minValue(least, `must be at least ${least}`),
    v.maxValue(most, `must be at most ${most}`),
  );

/** What a sheet is made for: this range, these things, this paper, and a seed that makes it again. */
export const SheetWish = v.object({
  paper: v.picklist(Object.keys(PAPERS) as (keyof typeof PAPERS)[], 'must be a4 or letter'),
  low: whole(0, 100),
  high: whole(1, 100),
  /** Across the thing that is laid on it, in millimeters. */
  thingMm: v.pipe(
    v.number('must be a number'),
    v.minValue(5, 'must be at least 5'),
    v.maxValue(120, 'must be at most 120'),
  ),
  /** Frames, boards, strips: how many. */
  count: whole(1, 40),
  seed: whole(0, 999_999),
  answers: v.boolean('must be true or false'),
  /** How it looks, of the looks that the kind of sheet has. */
  look: v.pipe(v.string(), v.maxLength(20, 'is too long')),
  forms: v.object({
    one: v.picklist(['plain', 'flagged']),
    four: v.picklist(['open', 'closed']),
    nine: v.picklist(['straight', 'curved']),
  }),
});
export type SheetWish = v.InferOutput<typeof SheetWish>;

export const usualWish = (): SheetWish => ({
  paper: 'a4',
  low: 1,
  high: 10,
  thingMm: 25,
  count: 4,
  seed: 1,
  answers: false,
  look: '',
  forms: { one: 'plain', four: 'open', nine: 'straight' },
});
