import * as v from 'valibot';

/** The largest number that any activity handles; larger input is a mistake, not a number of things. */
export const LARGEST_NUMBER = 1000;

/** Identifier made where a thing was first noted: a UUID in its usual 36-character form. */
export const Id = v.pipe(v.string('must be text'), v.uuid('must be a UUID'));

/** Identifier of shipped data (a skill, an item, an activity): lower-case words joined by hyphens. */
export const Slug = v.pipe(
  v.string('must be text'),
  v.regex(/^[a-z0-9]+(-[a-z0-9]+)*$/, 'must be lower-case words joined by hyphens'),
  v.maxLength(60, 'must have at most 60 characters'),
);

/** A calendar day in the household's own time, as `2026-11-24`. */
export const Day = v.pipe(
  v.string('must be text'),
  v.isoDate('must be a day such as 2026-11-24'),
  v.check((text) => isRealDay(text), 'must be a day that exists'),
);

/**
 * A moment in time, as `2026-11-24T08:30:00.000Z`: with another offset it is brought to UTC, so that
 * moments can be put in order as text.
 */
export const Instant = v.pipe(
  v.string('must be text'),
  v.isoTimestamp('must be a time such as 2026-11-24T08:30:00.000Z'),
  v.check((text) => isRealDay(text.slice(0, 10)), 'must be on a day that exists'),
  v.check((text) => isWrittenYear(Date.parse(text)), 'must be a time that exists'),
  v.transform((text) => new Date(text).toISOString()),
);

/** A time on the household's clock, as `08:30`. */
export const ClockTime = v.pipe(
  v.string('must be text'),
  v.regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'must be a time such as 08:30'),
);

/** A whole number of things or a number word, 0 to 1000. */
export const Amount = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(LARGEST_NUMBER, `must be at most ${LARGEST_NUMBER}`),
);

/** Minutes, 0 to 240. */
export const Minutes = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(240, 'must be at most 240'),
);

/** More writes than any row sees. */
const MOST_VERSIONS = 1_000_000_000;

/** Version of a row; a write with an old version is refused. */
export const Version = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(0, 'must be 0 or more'),
  v.maxValue(MOST_VERSIONS, `must be at most ${MOST_VERSIONS}`),
);

/** Text of whole characters: half a surrogate pair can be neither drawn nor written to a file. */
const Characters = v.pipe(
  v.string('must be text'),
  v.check((text) => !/\p{Surrogate}/u.test(text), 'holds half a character'),
);

/** Free text with a greatest length in characters; may be empty. */
export const text = (most: number) =>
  v.pipe(Characters, v.maxLength(most, `must have at most ${most} characters`));

/** Text that must say something once spaces are trimmed. */
export const nonEmptyText = (most: number) =>
  v.pipe(
    Characters,
    v.trim(),
    v.minLength(1, 'must not be empty'),
    v.maxLength(most, `must have at most ${most} characters`),
  );

/** A list with a greatest length. */
export const boundedArray = <S extends v.GenericSchema>(item: S, most: number) =>
  v.pipe(v.array(item, 'must be a list'), v.maxLength(most, `must have at most ${most} entries`));

export const flag = v.boolean('must be true or false');

/** One of the given words. */
export const oneOf = <const T extends readonly string[]>(words: T) =>
  v.picklist(words, `must be one of: ${words.join(', ')}`);

/** True for a moment of the years that are written with four digits. */
const isWrittenYear = (time: number): boolean =>
  Number.isFinite(time) && /^\d{4}-/.test(new Date(time).toISOString());

function isRealDay(value: string): boolean {
  const time = Date.parse(`${value}T00:00:00Z`);
  return Number.isFinite(time) && new Date(time).toISOString().startsWith(value);
}

export type Id = v.InferOutput<typeof Id>;
export type Day = v.InferOutput<typeof Day>;
export type ClockTime = v.InferOutput<typeof ClockTime>;

/** A number of the week, for one child or for all. */
export const WeekNumber = v.pipe(
  v.number('must be a number'),
  v.integer('must be a whole number'),
  v.minValue(1, 'must be at least 1'),
  v.maxValue(20, 'must be at most 20'),
);
