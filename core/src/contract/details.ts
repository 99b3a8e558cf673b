import { GUESSED_AT } from '../details/index.js';
import { OUTCOMES } from '../vocabulary/index.js';
import * as v from 'valibot';

/** What the server answers about a child's details. */

const Outcome = v.picklist(OUTCOMES);
const Seen = v.object({ asked: v.number(), own: v.number(), last: v.nullable(Outcome) });
export const NumeralRows = v.array(
  v.object({
    n: v.number(),
    named: Seen,
    matched: Seen,
    ordered: Seen,
    missing: Seen,
    written: Seen,
    takenFor: v.array(v.object({ n: v.number(), times: v.number() })),
  }),
);
export const WritingRows = v.array(
  v.object({
    digit: v.number(),
    seen: Seen,
    reversed: v.number(),
    startedLow: v.number(),
    lately: v.array(v.object({ day: v.string(), support: v.string(), outcome: Outcome })),
  }),
);
export const BondRows = v.array(
  v.object({
    whole: v.number(),
    cells: v.array(v.object({ part: v.number(), made: Seen, hidden: Seen })),
  }),
);
export const ComparedPairs = v.array(
  v.object({ larger: v.number(), smaller: v.number(), materials: Seen, numerals: Seen }),
);
export const GlanceCells = v.array(
  v.object({
    number: v.number(),
    picture: v.string(),
    seen: Seen,
    seconds: v.nullable(v.number()),
  }),
);
export const SayingAnswer = v.object({
  reaches: v.array(
    v.object({
      day: v.string(),
      language: v.string(),
      reach: v.number(),
      forgiven: v.number(),
      furthest: v.number(),
      asked: v.number(),
      leftOut: v.array(v.number()),
    }),
  ),
  leftOut: v.array(v.object({ n: v.number(), times: v.number(), last: v.string() })),
  others: v.array(
    v.object({
      day: v.string(),
      direction: v.picklist(['up', 'down']),
      from: v.number(),
      reach: v.nullable(v.number()),
    }),
  ),
});
export const SlipsAnswer = v.object({
  weeks: v.array(v.string()),
  kinds: v.array(
    v.object({
      code: v.string(),
      times: v.number(),
      last: v.string(),
      skillId: v.string(),
      byWeek: v.array(v.number()),
    }),
  ),
});

export type Seen = v.InferOutput<typeof Seen>;
export const MeasuringAnswer = v.object({
  ranges: v.array(
    v.object({
      day: v.string(),
      low: v.number(),
      high: v.number(),
      actual: v.number(),
      leaning: v.number(),
    }),
  ),
  inside: v.number(),
  guesses: v.array(
    v.object({
      day: v.string(),
      at: v.picklist(GUESSED_AT),
      low: v.number(),
      high: v.number(),
      actual: v.number(),
    }),
  ),
  hint: v.nullable(v.string()),
  weighed: v.array(v.object({ day: v.string(), right: v.number(), surprises: v.number() })),
  lines: v.array(
    v.object({
      day: v.string(),
      what: v.string(),
      predicted: v.string(),
      found: v.string(),
      off: v.string(),
    }),
  ),
});
