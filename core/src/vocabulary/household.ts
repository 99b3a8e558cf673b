import * as v from 'valibot';
import {
  ClockTime,
  Day,
  Id,
  Minutes,
  Slug,
  Version,
  WeekNumber,
  nonEmptyText,
  flag,
  boundedArray,
  oneOf,
  text,
} from './basics.js';

/** How an activity sits in the day: along the way, set out for play, or prepared at the table. */
export const BANDS = ['anytime', 'play', 'table'] as const;

/** One moment of the household's day, such as arriving or snack. */
export const Moment = v.object({
  id: Slug,
  name: nonEmptyText(40),
  time: ClockTime,
  minutes: Minutes,
  bands: v.pipe(boundedArray(oneOf(BANDS), 3), v.minLength(1, 'choose at least one')),
  /** True where all children are in the room, so that small parts concern everyone. */
  shared: flag,
  /** Out of doors; where nobody said, its name tells. */
  outdoors: v.optional(flag),
});

/** Days in a row on which the household is closed, such as a holiday; both ends count. */
export const Closure = v.pipe(
  v.object({ from: Day, to: Day, name: text(60) }),
  v.forward(
    v.check(({ from, to }) => from <= to, 'must not be before the first day'),
    ['to'],
  ),
);

const wholeUpTo = (most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be a whole number'),
    v.minValue(0, 'must be 0 or more'),
    v.maxValue(most, `must be at most ${most}`),
  );

const Weekday = v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(7));

/** What is said while one digit is written. */
export const DigitWords = text(80);

/** Steps of setting up a house, in their order. */
export const FIRST_HOUR = ['children', 'day', 'materials', 'beginning', 'week'] as const;

export const Household = v.object({
  id: Id,
  name: nonEmptyText(60),
  /** Languages the children count in, as BCP 47 tags; the first is the household's own. */
  languages: v.pipe(boundedArray(nonEmptyText(12), 8), v.minLength(1, 'choose at least one')),
  /** Open days, 1 = Monday to 7 = Sunday. */
  openDays: boundedArray(Weekday, 7),
  closures: v.optional(boundedArray(Closure, 60)),
  units: oneOf(['metric', 'us'] as const),
  paper: oneOf(['a4', 'letter'] as const),
  frameFill: oneOf(['row', 'pairs', 'free'] as const),
  digitForms: v.object({
    one: oneOf(['plain', 'flagged'] as const),
    four: oneOf(['open', 'closed'] as const),
    nine: oneOf(['straight', 'slanted', 'curved'] as const),
  }),
  digitCue: oneOf(['movement', 'rhyme', 'own'] as const),
  /** What this household says while a digit is written, one entry a digit from 0; empty for the usual words. */
  digitWords: v.optional(boundedArray(DigitWords, 10)),
  preferredWay: oneOf(['any', 'adult-led', 'presentation', 'invitation'] as const),
  tablePerWeek: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(7)),
  /** The adult's minutes a day for what is planned, setting up and clearing away included. */
  minutesADay: v.optional(wholeUpTo(240)),
  /** Times at the table a day, for all children together. */
  tablesADay: v.optional(wholeUpTo(8)),
  /** What paper and ink of a printed page cost, in the household's money. */
  pageCost: v.optional(v.pipe(v.number('must be a number'), v.minValue(0), v.maxValue(100))),
  /** The number that all games take where it fits, but for children with one of their own. */
  weekNumber: v.optional(v.nullable(WeekNumber)),
  againstClock: flag,
  nameNearest: flag,
  moments: boundedArray(Moment, 20),
  /** Steps of the first hour that are done; absent where nobody began it. */
  firstHour: v.optional(
    v.object({ done: boundedArray(oneOf(FIRST_HOUR), FIRST_HOUR.length), dismissed: flag }),
  ),
  version: Version,
});

export type Band = (typeof BANDS)[number];
export type Closure = v.InferOutput<typeof Closure>;
export type FirstHourStep = (typeof FIRST_HOUR)[number];
export type Moment = v.InferOutput<typeof Moment>;
export type Household = v.InferOutput<typeof Household>;

/** What the household is closed for on a day; undefined where it is not. */
export const closureOn = ({ closures = [] }: Household, day: Day): Closure | undefined =>
  closures.find(({ from, to }) => from <= day && day <= to);
