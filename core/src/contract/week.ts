import { PlanEntry, STRANDS, WeekSheet } from '../vocabulary/index.js';
import * as v from 'valibot';

const Strand = v.picklist(STRANDS);

const WeekDay = v.object({
  day: v.string(),
  /** Can be planned into. */
  open: v.boolean(),
  closed: v.boolean(),
  /** What the household is closed for, such as a holiday; null where it is not. */
  closure: v.nullable(v.string()),
  /** One of the household's days. */
  usual: v.boolean(),
  past: v.boolean(),
  here: v.array(v.string()),
  away: v.array(v.string()),
});

const Coverage = v.object({
  childId: v.string(),
  touched: v.array(v.object({ strand: Strand, days: v.number() })),
  missing: v.array(v.object({ strand: Strand, because: v.string() })),
});

export const PlanJob = v.object({ id: v.string(), of: v.string() });

/** A week as its board shows it. */
/** One thing to get or make, how, and the activities that it opens. */
export const WeekOpening = v.nullable(
  v.object({
    name: v.string(),
    minutes: v.number(),
    how: v.string(),
    activityIds: v.array(v.string()),
  }),
);
export const WeekAnswer = v.object({
  sheet: WeekSheet,
  days: v.array(WeekDay),
  entries: v.array(PlanEntry),
  /** Cautions that apply to each card that is still to come, by its id. */
  cautions: v.record(v.string(), v.array(v.string())),
  coverage: v.array(Coverage),
  /** Next steps that nothing here serves, with what is missing for them. */
  unserved: v.array(
    v.object({ childId: v.string(), skillId: v.string(), missing: v.array(v.string()) }),
  ),
  /** What to get or make next; null where nothing would help. */
  opening: WeekOpening,
  /** What has changed since it was planned. */
  changed: v.array(v.string()),
  refusals: v.array(v.string()),
  notes: v.array(v.string()),
  words: v.object({ brings: v.string(), nearness: v.string() }),
  job: v.nullable(PlanJob),
});

/** News of a plan in the making. */
export const PlanNews = v.object({
  state: v.picklist(['running', 'kept', 'cancelled', 'refused', 'failed']),
  stage: v.picklist(['first', 'better', 'done']),
  /** How near it is to the best, in a sentence; empty before that is known. */
  nearness: v.string(),
  entries: v.array(v.object({ ...PlanEntry.entries, id: v.string() })),
  message: v.string(),
});

/** Why a card stands there, and what could stand there instead. */
export const CardWhy = v.object({
  children: v.array(
    v.object({
      childId: v.string(),
      top: v.number(),
      skillId: v.nullable(v.string()),
      sentence: v.string(),
    }),
  ),
  /** Who minds whom: what the others have, or what is led beside it. */
  meanwhile: v.string(),
  instead: v.string(),
  also: v.array(v.string()),
  others: v.array(
    v.object({
      activityId: v.string(),
      title: v.string(),
      childIds: v.array(v.string()),
      words: v.string(),
    }),
  ),
  /** Rules that it passes, by hand. */
  broken: v.array(v.string()),
  needs: v.array(v.string()),
});

export const MovedCard = v.object({ entry: PlanEntry, notes: v.array(v.string()) });
export const Copied = v.object({ copied: v.number(), left: v.array(v.string()) });

/** A few minutes: what could be done now. */
export const NowAnswer = v.object({
  moment: v.nullable(v.object({ id: v.string(), name: v.string() })),
  offers: v.array(v.object({ entry: PlanEntry, because: v.string() })),
});
export const LeftAnswer = v.array(PlanEntry);
export const DayPlanned = v.object({ cards: v.number(), notes: v.array(v.string()) });

export type WeekAnswer = v.InferOutput<typeof WeekAnswer>;
export type WeekOpening = v.InferOutput<typeof WeekOpening>;
export type WeekDay = v.InferOutput<typeof WeekDay>;
export type Coverage = v.InferOutput<typeof Coverage>;
export type PlanJob = v.InferOutput<typeof PlanJob>;
export type PlanNews = v.InferOutput<typeof PlanNews>;
export type CardWhy = v.InferOutput<typeof CardWhy>;
