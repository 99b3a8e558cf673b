import type { Candidate } from '../evidence/index.js';
import type { Band, Day, Use } from '../vocabulary/index.js';
import { INVITATION_MINUTES, type Steps } from './settings.js';

/** The week as numbers: lists that refer to one another by their index. */
export interface WeekModel {
  readonly days: readonly ModelDay[];
  readonly moments: readonly ModelMoment[];
  readonly children: readonly ModelChild[];
  readonly activities: readonly ModelActivity[];
  /** Things that are used up, with how many there are. */
  readonly items: readonly { readonly words: string; readonly stock: number }[];
  readonly limits: Limits;
  /** What stands already and stays: pinned, begun, done. */
  readonly fixed: readonly Card[];
}

export interface Limits {
  /** Cards of a day by band. */
  readonly cards: Readonly<Record<Band, number>>;
  /** The adult's minutes of a day at most, and of the open days together. */
  readonly dayMinutes: number;
  readonly weekMinutes: number;
}

export interface ModelDay {
  readonly day: Day;
  /** False where nothing may be added: closed, or past. */
  readonly open: boolean;
  /** Children who are here. */
  readonly here: readonly number[];
  /** Moments that can still take something. */
  readonly moments: readonly number[];
  /** Places left empty by hand, by band. */
  readonly emptied: Readonly<Record<Band, number>>;
}

export interface ModelMoment {
  readonly id: string;
  readonly name: string;
  readonly time: string;
  readonly minutes: number;
  readonly bands: readonly Band[];
  /** All children are in the room, so that small parts concern everyone. */
  readonly shared: boolean;
  readonly outdoors: boolean;
}

export interface ModelChild {
  readonly id: string;
  readonly name: string;
  /** Must not meet small parts. */
  readonly careful: boolean;
  /** Minutes at the table, from the sessions there. */
  readonly tableMinutes: number;
  /** The next time at the table is better offered early in the day. */
  readonly earlier: boolean;
  /** A day without table time; null where there is none. */
  readonly restOn: Day | null;
  /** Times at the table a week. */
  readonly tablesAWeek: number;
  /** Focus cards and minutes in focus of a day, at most. */
  readonly cardsADay: number;
  readonly minutesADay: number;
  /** Days of the week on which the child is to be in focus. */
  readonly focusDays: number;
  /** Something at the table fits, on a day that is open. */
  readonly tableFits: boolean;
  /** What makes a fair share of the week's worth. */
  readonly fairShare: number;
  /** Worth of each strand, in the order of `STRANDS`. */
  readonly strands: readonly number[];
  /** Skills worth the child's time now, best first. */
  readonly wants: readonly Want[];
}

export interface Want {
  readonly skillId: string;
  readonly why: Candidate['why'];
  /** Index of its strand. */
  readonly strand: number;
  /** What a go is worth. */
  readonly value: number;
  readonly goes: Steps;
  /** Weeks without it though it was wanted. */
  readonly weeks: number;
  /** Worth, beside its value, of being served at all after long waiting. */
  readonly must: number;
}

/** One way for a child to be in focus on an activity: for one want, in the range that fits it. */
export interface Option {
  readonly top: number;
  /** Index of the range among `RANGES`. */
  readonly range: number;
  /** What a go brings: the want it is chosen for first, then what it serves beside it. */
  readonly hits: readonly { readonly want: number; readonly part: number }[];
}

export type Barred = 'age' | 'longer' | 'allergy' | 'materials';

export interface ModelActivity {
  readonly id: string;
  readonly title: string;
  readonly band: Band;
  readonly setUpMinutes: number;
  readonly clearUpMinutes: number;
  /** The same number where the same things are set up: once a day is enough; null where nothing is. */
  readonly sameMaterials: number | null;
  readonly wet: boolean;
  readonly outdoors: boolean;
  /** Minutes of a card with 1, 2, 3 ... focus children; as many as its longest time takes. */
  readonly minutes: readonly number[];
  /** Worth for not having been used for long. */
  readonly fresh: number;
  /** Less than 1 where it was used in the last two weeks. */
  readonly variety: number;
  /** Can be given in the way that the household prefers. */
  readonly preferred: boolean;
  /** Moments whose band and length take it. */
  readonly moments: readonly number[];
  /**
   * By range, as in `RANGES`: most children at once in ranges up to it, with what no small part is
   * among; all 0 where it cannot be done so.
   */
  readonly mostSafe: readonly number[];
  /** The materials has it, but not large enough for even one child in the lowest range. */
  readonly needsSmall: boolean;
  /** The same with everything among the materials. */
  readonly mostAny: readonly number[];
  /** Words for what is missing; empty where all that it needs is there. */
  readonly missing: readonly string[];
  /** What all that is missing is used as; null where nothing or more than one kind of thing is missing. */
  readonly lacks: Use | null;
  /** What it uses up: base + each a child. */
  readonly uses: readonly { readonly item: number; readonly base: number; readonly each: number }[];
  /** By child: ways to be in focus, best first; none where it serves nothing that the child is at. */
  readonly options: readonly (readonly Option[])[];
  /** By child: can be clothed in what the child likes. */
  readonly liked: readonly boolean[];
  /** Children in whose reach it cannot be: nothing that is used for it here is free of their allergies. */
  readonly keptFrom: readonly number[];
  /** By child: why it is not for the child whatever it would serve; null where it may be. */
  readonly barred: readonly (Barred | null)[];
  /** Days on which it may not be: used on the day before the week, or taken out by hand. */
  readonly notOn: readonly number[];
  /** May be left out for children to do by themselves. */
  readonly leftOut: boolean;
}

/** A child in focus on a card, in one of the ways that the activity has for the child. */
export interface Focus {
  readonly child: number;
  /** Index into the activity's options for the child; -1 where none fits what was set by hand. */
  readonly option: number;
}

/** One activity in one moment of one day with the children who are in focus. */
export interface Card {
  readonly activity: number;
  readonly day: number;
  readonly moment: number;
  readonly focus: readonly Focus[];
}

/** Minutes of a card with so many focus children; with more than its longest time takes, that time. */
export const minutesOf = ({ minutes }: ModelActivity, size: number): number =>
  minutes[Math.min(Math.max(1, size), minutes.length) - 1] ?? 0;

/** True where others are here meanwhile who are not watched: something is laid out for them. */
function needsInvitation(model: WeekModel, a: number, d: number, size: number): boolean {
  const band = model.activities[a]?.band;
  return band !== 'anytime' && (model.days[d]?.here.length ?? 0) > size;
}

/** What a card with so many focus children takes of the adult's time by itself, an invitation included. */
export function adultMinutes(model: WeekModel, a: number, d: number, size: number): number {
  const activity = model.activities[a] as ModelActivity;
  const beside = needsInvitation(model, a, d, size) ? INVITATION_MINUTES : 0;
  return minutesOf(activity, size) + activity.setUpMinutes + activity.clearUpMinutes + beside;
}

/**
 * What cards take of the adult's time: of those of a day with the same things the longest set-up counts.
 */
export function minutesOfCards(model: WeekModel, cards: readonly Card[]): number {
  const setUp = new Map<string, number>();
  let minutes = 0;
  for (const { activity: a, day, focus } of cards) {
    const { sameMaterials, setUpMinutes } = model.activities[a] as ModelActivity;
    minutes += adultMinutes(model, a, day, focus.length);
    if (sameMaterials === null) continue;
    const known = setUp.get(`${day} ${sameMaterials}`) ?? 0;
    minutes -= Math.min(known, setUpMinutes);
    setUp.set(`${day} ${sameMaterials}`, Math.max(known, setUpMinutes));
  }
  return minutes;
}
