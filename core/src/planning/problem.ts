import type { Band, Day } from '../vocabulary/index.js';

/** The week as numbers: lists that refer to one another by their index. */
export interface WeekProblem {
  readonly days: readonly PlanDay[];
  readonly moments: readonly PlanMoment[];
  readonly children: readonly PlanChild[];
  readonly activities: readonly PlanActivity[];
  /** Things that are used up, with how many there are. */
  readonly items: readonly PlanItem[];
  readonly limits: PlanLimits;
  /** What stands already and stays: pinned, begun, done. */
  readonly fixed: readonly Card[];
}

export interface PlanDay {
  readonly day: Day;
  /** False where nothing may be added: closed, or past. */
  readonly open: boolean;
  /** Children who are here. */
  readonly here: readonly number[];
  /** Moments that can still take something. */
  readonly moments: readonly number[];
  /** Places left empty by hand, by band. */
  readonly emptied?: Partial<Record<Band, number>>;
}

export interface PlanMoment {
  readonly id: string;
  readonly name: string;
  readonly time: string;
  readonly minutes: number;
  readonly bands: readonly Band[];
  /** All children are in the room, so that small parts concern everyone. */
  readonly shared: boolean;
  /** Out of doors, as far as its name tells. */
  readonly outdoors: boolean;
}

export interface PlanChild {
  readonly id: string;
  readonly name: string;
  /** Must not meet small parts. */
  readonly careful: boolean;
  /** Minutes at the table, from the sittings there. */
  readonly tableMinutes: number;
  /** The next time at the table is better offered early in the day. */
  readonly earlier: boolean;
  /** A day without table time; null where there is none. */
  readonly restOn: Day | null;
  /** Times at the table a week. */
  readonly tablesAWeek: number;
  /** Skills worth the child's time now, best first. */
  readonly wanted: readonly Want[];
}

export interface Want {
  readonly skillId: string;
  /** Index of its strand. */
  readonly strand: number;
  readonly value: number;
}

export interface PlanActivity {
  readonly id: string;
  readonly title: string;
  readonly band: Band;
  /** Minutes with the children that are counted for it. */
  readonly minutes: number;
  readonly setUpMinutes: number;
  readonly messy: boolean;
  readonly outdoors: boolean;
  /** Used within the last two weeks. */
  readonly recent: boolean;
  /** Can be given in the way that the household prefers. */
  readonly preferred: boolean;
  /** Moments whose band and length take it. */
  readonly moments: readonly number[];
  /** Most children at once with what no small part is among; 0 where it cannot be done so. */
  readonly mostSafe: number;
  /** The cupboard has it, but not large enough for even one child in the lowest range. */
  readonly needsSmall: boolean;
  /** Most children at once with everything in the cupboard. */
  readonly mostAny: number;
  /** What it uses up: base + each a child. */
  readonly uses: readonly { readonly item: number; readonly base: number; readonly each: number }[];
  /** By child; null where it serves nothing that the child is at, or is not for the child. */
  readonly gains: readonly (Gain | null)[];
  /** Children in whose reach it cannot be: nothing that serves it here is free of their allergies. */
  readonly keptFrom: readonly number[];
  /** By child: why it is not for the child whatever it would serve; null where it may be. */
  readonly barred: readonly (Barred | null)[];
  /** Days on which it may not be: used on the day before the week, or taken out by hand. */
  readonly notOn: readonly number[];
}

export type Barred = 'age' | 'longer' | 'allergy' | 'cupboard';

export interface Gain {
  /** Top of the child's range. */
  readonly top: number;
  /** Indices into what the child wants. */
  readonly wants: readonly number[];
  /** Can be clothed in what the child likes. */
  readonly liked: boolean;
}

export interface PlanItem {
  readonly words: string;
  readonly stock: number;
}

export interface PlanLimits {
  readonly bands: Readonly<Record<Band, number>>;
  readonly tableMinutes: number;
}

/** One activity in one moment of one day with some children. */
export interface Card {
  readonly activity: number;
  readonly day: number;
  readonly moment: number;
  readonly takers: readonly number[];
}

/** Woven-in and set-out activities a day (common practice, no source). */
export const WOVEN_A_DAY = 3;
export const SET_OUT_A_DAY = 2;
/** Times at the table a day for the household, and minutes there, where it says nothing else. */
export const TABLES_A_DAY = 3;
export const TABLE_MINUTES_A_DAY = 30;
/** Seconds that planning a week takes at most, where the household says nothing else. */
export const PLAN_SECONDS = 10;
/** The same activity in a week. */
export const MOST_A_WEEK = 2;
/** Children at the table at once. */
export const MOST_AT_TABLE = 3;

/** What the first, second and third day with the same skill count in a week. */
export const HIT_WEIGHTS = [1, 0.6, 0.3] as const;
export const LIKED = 0.2;
export const PREFERRED = 0.1;
export const STRANDS_A_WEEK = 4;
export const STRAND_SHORT = 2;
/** Small costs: a minute of setting up, mess on the day after mess, used in the last two weeks. */
export const SET_UP_MINUTE = 0.01;
export const MESS_AGAIN = 0.1;
export const RECENT = 0.15;

/** What a card is worth by itself, whoever takes part. */
export function cardWorth(activity: PlanActivity): number {
  return (
    (activity.preferred ? PREFERRED : 0) -
    SET_UP_MINUTE * activity.setUpMinutes -
    (activity.recent ? RECENT : 0)
  );
}
