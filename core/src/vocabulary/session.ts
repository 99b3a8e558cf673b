import * as v from 'valibot';
import {
  Amount,
  Day,
  Id,
  Instant,
  Minutes,
  Slug,
  Version,
  flag,
  boundedArray,
  oneOf,
  text,
} from './basics.js';

export const MOODS = ['calm', 'tired', 'tense', 'great'] as const;
export const ENTRY_STATES = ['planned', 'begun', 'done', 'left'] as const;

/** A child in an activity, with the top of his or her own range. */
export const Participant = v.object({
  childId: Id,
  rangeMax: Amount,
  /** The skill for which the child is in focus, where the week was planned so. */
  skillId: v.optional(Slug),
  /** Ranges the same child was given before in this session, first to last: easier and harder. */
  earlier: v.optional(boundedArray(Amount, 40)),
  /** How the child was at the end, where it was said. */
  mood: v.optional(v.nullable(oneOf(MOODS))),
});

const Participants = v.pipe(
  boundedArray(Participant, 12),
  v.minLength(1, 'choose at least one child'),
  v.check(
    (participants) => new Set(participants.map((one) => one.childId)).size === participants.length,
    'names a child twice',
  ),
);
const ActivityId = v.union([Slug, Id], 'must be the id of an activity');

/** One activity run with one to several children, from *Begin* to *End here*. */
export const Session = v.object({
  id: Id,
  activityId: ActivityId,
  planEntryId: v.nullable(Id),
  day: Day,
  startedAt: Instant,
  endedAt: v.nullable(Instant),
  mood: v.nullable(oneOf(MOODS)),
  participants: Participants,
  /** How the adult was, where it was said. */
  adult: v.optional(v.nullable(oneOf(MOODS))),
});

export const SessionEnd = v.object({
  endedAt: Instant,
  mood: v.nullable(oneOf(MOODS)),
  /** The mood of each child for itself. */
  moods: v.optional(boundedArray(v.object({ childId: Id, mood: oneOf(MOODS) }), 12)),
  adult: v.optional(v.nullable(oneOf(MOODS))),
});

/** One activity in one moment of one day. */
export const PlanEntry = v.object({
  id: Id,
  day: Day,
  momentId: Slug,
  activityId: ActivityId,
  participants: Participants,
  minutes: Minutes,
  /** The word after the title: what is used, or the range as a whole. */
  with: text(80),
  state: oneOf(ENTRY_STATES),
  /** Stays where it is when the week is planned again. */
  pinned: v.optional(flag),
  /** Left out for these children while the adult leads something beside it. */
  invitation: v.optional(flag),
  version: Version,
});

export const PlanEntryDraft = v.omit(PlanEntry, ['state', 'version']);

/** Who is away and which things lie ready, for one day. */
export const DaySheet = v.object({
  day: Day,
  away: boundedArray(Id, 24),
  gotReady: boundedArray(text(120), 200),
  /** Free words about the day as a whole. */
  words: v.optional(text(4000)),
});

/**
 * One mark on a day's sheet. Each says what is so afterwards, so that it can be sent twice, and two devices
 * that mark different things do not undo each other.
 */
export const DayMark = v.variant(
  'what',
  [
    v.object({ what: v.literal('away'), childId: Id, on: flag }),
    v.object({ what: v.literal('ready'), key: text(120), on: flag }),
    /** `before` is what stood there when the words were begun. */
    v.object({ what: v.literal('words'), before: text(4000), words: text(4000) }),
  ],
  'must be away, ready or words',
);
export type DayMark = v.InferOutput<typeof DayMark>;

const switched = (list: readonly string[], one: string, on: boolean): string[] => {
  const others = list.filter((other) => other !== one);
  return on ? (others.length < list.length ? [...list] : [...list, one]) : others;
};

/** The sheet with a mark on it. */
export function marked(sheet: DaySheet, mark: DayMark): DaySheet {
  switch (mark.what) {
    case 'away':
      return { ...sheet, away: switched(sheet.away, mark.childId, mark.on) };
    case 'ready':
      return { ...sheet, gotReady: switched(sheet.gotReady, mark.key, mark.on) };
    case 'words':
      return { ...sheet, words: mark.words };
  }
}

/** A child goes on in another range. */
export const RangeMove = v.object({ childId: Id, rangeMax: Amount });

export type RangeMove = v.InferOutput<typeof RangeMove>;
export type Mood = (typeof MOODS)[number];
export type EntryState = (typeof ENTRY_STATES)[number];
export type Participant = v.InferOutput<typeof Participant>;
export type Session = v.InferOutput<typeof Session>;
export type SessionEnd = v.InferOutput<typeof SessionEnd>;
export type PlanEntry = v.InferOutput<typeof PlanEntry>;
export type PlanEntryDraft = v.InferOutput<typeof PlanEntryDraft>;
export type DaySheet = v.InferOutput<typeof DaySheet>;

const MOST_KEPT = 40;

/** A session that is over, with what was said of it at its end. */
export function ended(session: Session, { endedAt, mood, moods = [], adult }: SessionEnd): Session {
  const of = new Map(moods.map((one) => [one.childId, one.mood]));
  return {
    ...session,
    endedAt,
    mood,
    participants: session.participants.map((participant) => {
      const own = of.get(participant.childId);
      return own === undefined ? participant : { ...participant, mood: own };
    }),
    ...(adult === undefined ? {} : { adult }),
  };
}

/** A session in which one child goes on in another range; the same where it is in that one already. */
export function inRange(session: Session, { childId, rangeMax: top }: RangeMove): Session {
  return {
    ...session,
    participants: session.participants.map((participant) =>
      participant.childId === childId && participant.rangeMax !== top
        ? {
            ...participant,
            rangeMax: top,
            earlier: [...(participant.earlier ?? []), participant.rangeMax].slice(-MOST_KEPT),
          }
        : participant,
    ),
  };
}
