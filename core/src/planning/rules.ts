import { type Band, dayNumber } from '../vocabulary/index.js';
import { type Card, MOST_A_WEEK, type WeekProblem } from './problem.js';

/** True where the day after this one on the list is also the day after on the calendar. */
export function isNextDay({ days }: WeekProblem, d: number): boolean {
  const [today, next] = [days[d], days[d + 1]];
  return (
    today !== undefined && next !== undefined && dayNumber(next.day) - dayNumber(today.day) === 1
  );
}

/** Days on the list that lie on the calendar beside this one. */
export function besideDay(problem: WeekProblem, d: number): number[] {
  return [...(isNextDay(problem, d - 1) ? [d - 1] : []), ...(isNextDay(problem, d) ? [d + 1] : [])];
}

/** What the children in the room ask of an activity on a day. */
export interface Terms {
  /** Most children at once. */
  readonly most: number;
  readonly moments: readonly number[];
  /** Small parts are on the table: children who must not meet them stay out. */
  readonly smallParts: boolean;
}

/**
 * How an activity can be given on a day. Where a child who must not meet small parts is here, it is
 * given with large things if there are any; if not, without that child, and only in moments in which
 * the others are in another room.
 */
export function termsOn(problem: WeekProblem, a: number, d: number): Terms {
  const activity = problem.activities[a];
  const day = problem.days[d];
  if (!activity || !day) return { most: 0, moments: [], smallParts: false };
  // Somebody with an allergy to it may be in the house, and not in the room.
  const apart = activity.keptFrom.some((c) => day.here.includes(c));
  const moments = activity.moments.filter(
    (m) => day.moments.includes(m) && !(apart && problem.moments[m]?.shared),
  );
  if (!day.here.some((c) => problem.children[c]?.careful)) {
    return { most: activity.mostAny, moments, smallParts: false };
  }
  if (activity.mostSafe > 0) return { most: activity.mostSafe, moments, smallParts: false };
  return {
    most: activity.mostAny,
    moments: moments.filter((m) => !problem.moments[m]?.shared),
    smallParts: true,
  };
}

/** True where a child may take part in an activity on a day, and has something from it. */
export function mayTake(problem: WeekProblem, a: number, c: number, d: number): boolean {
  const activity = problem.activities[a];
  const child = problem.children[c];
  const day = problem.days[d];
  if (!activity || !child || !day?.here.includes(c)) return false;
  if (!activity.gains[c] || activity.barred[c]) return false;
  if (activity.band === 'table' && (child.restOn === day.day || child.tablesAWeek === 0))
    return false;
  return !(child.careful && termsOn(problem, a, d).smallParts);
}

/** What is left of a day once what is fixed stands. */
export interface DayRoom {
  readonly woven: number;
  readonly 'set-out': number;
  readonly table: number;
  readonly tableMinutes: number;
  /** By moment; what a moment has no more of cannot be used. */
  readonly moments: readonly number[];
  /** Children who are at the table already. */
  readonly atTable: readonly number[];
  /** Activities that may not come: on this day already, or on the day beside it. */
  readonly shut: ReadonlySet<number>;
  readonly messy: boolean;
}

/** What is left of a week once what is fixed stands; limits that were passed by hand count as 0. */
export interface Room {
  readonly days: readonly DayRoom[];
  /** By activity: times it may still come. */
  readonly uses: readonly number[];
  /** By child: times at the table. */
  readonly tables: readonly number[];
  /** By item. */
  readonly stock: readonly number[];
  /** By child and want: days on which it is met by what is fixed. */
  readonly hits: readonly (readonly ReadonlySet<number>[])[];
  readonly strands: readonly ReadonlySet<number>[];
}

export function roomLeft(problem: WeekProblem): Room {
  const { days, children, activities, moments, items, limits, fixed } = problem;
  const on = (d: number): Card[] => fixed.filter((card) => card.day === d);
  const of = (card: Card) => activities[card.activity];
  const left = (all: number, used: number): number => Math.max(0, all - used);
  const hits = children.map((child, c) =>
    child.wanted.map(
      (_, want) =>
        new Set(
          fixed
            .filter((card) => card.takers.includes(c) && of(card)?.gains[c]?.wants.includes(want))
            .map((card) => card.day),
        ),
    ),
  );
  return {
    days: days.map(({ emptied }, d): DayRoom => {
      const here = on(d);
      const places = (band: Band): number => limits.bands[band] - (emptied?.[band] ?? 0);
      const count = (band: string): number => here.filter((card) => of(card)?.band === band).length;
      const atTable = here.filter((card) => of(card)?.band === 'table');
      const minutes = (cards: readonly Card[]): number =>
        cards.reduce((sum, card) => sum + (of(card)?.minutes ?? 0), 0);
      return {
        woven: left(places('woven'), count('woven')),
        'set-out': left(places('set-out'), count('set-out')),
        table: left(places('table'), count('table')),
        tableMinutes: left(limits.tableMinutes, minutes(atTable)),
        moments: moments.map((moment, m) =>
          left(moment.minutes, minutes(here.filter((card) => card.moment === m))),
        ),
        atTable: [...new Set(atTable.flatMap((card) => card.takers))].sort((a, b) => a - b),
        shut: new Set(
          [d, ...besideDay(problem, d)].flatMap((one) => on(one).map((card) => card.activity)),
        ),
        messy: here.some((card) => of(card)?.messy),
      };
    }),
    uses: activities.map((_, a) =>
      left(MOST_A_WEEK, fixed.filter((card) => card.activity === a).length),
    ),
    tables: children.map((child, c) =>
      left(
        child.tablesAWeek,
        fixed.filter((card) => of(card)?.band === 'table' && card.takers.includes(c)).length,
      ),
    ),
    stock: items.map((item, i) =>
      left(
        item.stock,
        fixed.reduce((sum, card) => {
          const use = of(card)?.uses.find((one) => one.item === i);
          return sum + (use ? use.base + use.each * card.takers.length : 0);
        }, 0),
      ),
    ),
    hits,
    strands: children.map(
      (child, c) =>
        new Set(
          child.wanted
            .filter((_, want) => (hits[c]?.[want]?.size ?? 0) > 0)
            .map((want) => want.strand),
        ),
    ),
  };
}

/** True where an activity may come on a day as far as day and week go, whoever takes part. */
export function mayCome(problem: WeekProblem, room: Room, a: number, d: number): boolean {
  const activity = problem.activities[a];
  const left = room.days[d];
  if (!activity || !left || !problem.days[d]?.open) return false;
  if (left.shut.has(a) || activity.notOn.includes(d) || (room.uses[a] ?? 0) === 0) return false;
  if (left[activity.band] === 0) return false;
  if (activity.band === 'table' && activity.minutes > left.tableMinutes) return false;
  const { most, moments } = termsOn(problem, a, d);
  return most > 0 && moments.some((m) => (left.moments[m] ?? 0) >= activity.minutes);
}

/** Children who may take part and have something from it, as far as what is fixed leaves room. */
export function takersFor(problem: WeekProblem, room: Room, a: number, d: number): number[] {
  if (!mayCome(problem, room, a, d)) return [];
  const table = problem.activities[a]?.band === 'table';
  return (problem.days[d]?.here ?? []).filter(
    (c) =>
      mayTake(problem, a, c, d) &&
      !(table && (room.days[d]?.atTable.includes(c) || room.tables[c] === 0)),
  );
}
