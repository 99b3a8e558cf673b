import * as v from 'valibot';
import { Day, Id, Instant, Slug, flag, boundedArray, oneOf, text } from './basics.js';
import { CaptureRecord } from './records.js';
import { Counted, RoundSeen } from './round.js';

export const OUTCOMES = ['own', 'help', 'not-yet', 'not-now'] as const;
export const ANSWERED = ['spoken', 'shown', 'fingers', 'pointed', 'handed'] as const;
export const REASONS = ['explained', 'knew', 'counted', 'none'] as const;

/**
 * One try of one child: a fact, written once and never changed. In the first form, read still, a
 * try was asked for one skill and had neither `round` nor `counts`.
 */
export const Observation = v.object({
  id: Id,
  childId: Id,
  sessionId: v.nullable(Id),
  activityId: v.nullable(v.union([Slug, Id], 'must be the id of an activity')),
  skillId: Slug,
  itemId: v.nullable(Slug),
  /** When it was noted, and the day it belongs to on the household's calendar. */
  at: Instant,
  day: Day,
  outcome: oneOf(OUTCOMES),
  /** With help: did the child try alone first? */
  triedFirst: flag,
  answered: v.nullable(oneOf(ANSWERED)),
  reason: v.nullable(oneOf(REASONS)),
  materials: boundedArray(Id, 12),
  notedBy: text(40),
  note: text(2000),
  record: CaptureRecord,
  /** True where the adult or the puppet took the turn: what lay there, and evidence of no one. */
  adultTurn: v.optional(flag),
  /** The round of the game in which it was asked. */
  round: v.optional(RoundSeen),
  /** What the answer is evidence for; an empty list for a fact that is evidence of nothing. */
  counts: v.optional(boundedArray(Counted, 60)),
});

/** Takes an observation back: a further fact; the first one stays on record. */
export const Voiding = v.object({
  id: Id,
  observationId: Id,
  at: Instant,
  notedBy: text(40),
});

export type Outcome = (typeof OUTCOMES)[number];
export type Answered = (typeof ANSWERED)[number];
export type Observation = v.InferOutput<typeof Observation>;
export type Voiding = v.InferOutput<typeof Voiding>;
