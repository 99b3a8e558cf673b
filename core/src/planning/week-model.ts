import type { Band } from '../vocabulary/index.js';
import type { Choice } from './choice.js';
import { type DayClass, mostApart } from './classes.js';
import { hitAndStrandColumns } from './hit-columns.js';
import { type MarkedModel, type ModelBuilder, type Term, modelBuilder } from './linear-model.js';
import { type Timed, minuteRows } from './minute-rows.js';
import { momentsOn } from './moments.js';
import {
  LIKED,
  MESS_AGAIN,
  STRANDS_A_WEEK,
  STRAND_SHORT,
  type WeekProblem,
  cardWorth,
} from './problem.js';
import { type Room, isNextDay, mayCome, takersFor, termsOn } from './rules.js';
import { valueOf } from './value.js';

export interface WeekModel {
  readonly model: MarkedModel;
  readonly choices: readonly Choice[];
  readonly classes: readonly DayClass[];
  readonly counts: readonly (readonly (readonly number[])[])[];
  /** To be added to the model's optimum: what the fixed cards are worth. */
  readonly constant: number;
}

/** What a day may not hold together, found when moments could not be given to all of them. */
export interface NotTogether {
  readonly days: readonly number[];
  readonly activities: readonly number[];
}

/**
 * The week as a linear model, maximized. With classes of several days it leaves out which day is
 * which, so that its optimum is a bound on what any plan is worth; with single days it is the
 * problem itself but for the moments, which are given afterwards.
 */
export function weekModel(
  problem: WeekProblem,
  room: Room,
  classes: readonly DayClass[],
  notTogether: readonly NotTogether[] = [],
): WeekModel {
  const { activities, children, items } = problem;
  const builder = modelBuilder();
  const choices: Choice[] = [];
  const daily = classes.every((days) => days.length === 1);

  classes.forEach((days, at) => {
    const first = days[0] as number;
    activities.forEach((activity, a) => {
      const coming = days.filter((d) => mayCome(problem, room, a, d));
      const most = Math.min(mostApart(problem, coming), room.uses[a] ?? 0);
      const able = coming.length > 0 ? takersFor(problem, room, a, coming[0] as number) : [];
      if (most === 0 || able.length === 0) return;
      const group = termsOn(problem, a, first).most;
      const all = activity.band !== 'table' && activity.uses.length === 0 && group >= able.length;
      const liked = (c: number): number => (activity.gains[c]?.liked ? LIKED : 0);
      const worth = cardWorth(activity) + (all ? able.reduce((sum, c) => sum + liked(c), 0) : 0);
      const column = builder.column(worth, most, true);
      const takers = all
        ? null
        : new Map(able.map((c) => [c, builder.column(liked(c), most, true)]));
      choices.push({ activity: a, at, column, able, takers, most });
      if (!takers) return;
      const sum: Term[] = [...takers.values()].map((one) => [one, 1]);
      for (const [one] of sum)
        builder.rare(
          [
            [one, 1],
            [column, -1],
          ],
          0,
        );
      if (group < able.length) builder.row(-Infinity, [...sum, [column, -group]], 0);
      if (worth > 0)
        builder.row(-Infinity, [[column, 1], ...sum.map(([one]): Term => [one, -1])], 0);
    });
  });

  const of = (choice: Choice) => activities[choice.activity];
  const sumOf = (some: readonly Choice[], weight: (choice: Choice) => number = () => 1): Term[] =>
    some.map((choice) => [choice.column, weight(choice)]);
  const timed = (choice: Choice): Timed => ({
    column: choice.column,
    minutes: of(choice)?.minutes ?? 0,
  });
  const atMost = (terms: readonly Term[], most: number): void => {
    if (terms.length > 0) builder.row(-Infinity, terms, most);
  };

  classes.forEach((days, at) => {
    const here = choices.filter((choice) => choice.at === at);
    const left = room.days[days[0] as number];
    if (!left) return;
    const inBand = (band: Band): Choice[] => here.filter((choice) => of(choice)?.band === band);
    for (const band of ['woven', 'set-out', 'table'] as const) {
      atMost(sumOf(inBand(band)), left[band] * days.length);
    }
    const tables = inBand('table');
    minuteRows(builder, tables.map(timed), {
      cards: left.table,
      minutes: left.tableMinutes,
      days: days.length,
    });
    momentRows(problem, room, days, here, timed, builder);
    children.forEach((_, c) => {
      const terms = tables.flatMap((choice): Term[] => {
        const column = choice.takers?.get(c);
        return column === undefined ? [] : [[column, 1]];
      });
      if (terms.length > 1) atMost(terms, days.length);
    });
    for (const { days: on, activities: together } of notTogether) {
      if (!on.includes(days[0] as number)) continue;
      const some = here.filter((choice) => together.includes(choice.activity));
      if (some.length === together.length && days.length === 1)
        atMost(sumOf(some), some.length - 1);
    }
  });

  children.forEach((_, c) => {
    const terms = choices.flatMap((choice): Term[] => {
      const column = of(choice)?.band === 'table' ? choice.takers?.get(c) : undefined;
      return column === undefined ? [] : [[column, 1]];
    });
    if (terms.length > (room.tables[c] ?? 0)) atMost(terms, room.tables[c] ?? 0);
  });
  activities.forEach((_, a) => {
    const some = choices.filter((choice) => choice.activity === a);
    if (some.length > 1) atMost(sumOf(some), room.uses[a] ?? 0);
    if (!daily) return;
    for (const one of some) {
      const d = (classes[one.at] as DayClass)[0] as number;
      const next = some.find((other) => classes[other.at]?.[0] === d + 1);
      if (next && isNextDay(problem, d))
        builder.rare(
          [
            [one.column, 1],
            [next.column, 1],
          ],
          1,
        );
    }
  });
  items.forEach((_, item) => {
    const terms = choices.flatMap((choice): Term[] => {
      const use = of(choice)?.uses.find((one) => one.item === item);
      if (!use) return [];
      const each = [...(choice.takers?.values() ?? [])].map((one): Term => [one, use.each]);
      return [[choice.column, use.base], ...each];
    });
    atMost(terms, room.stock[item] ?? 0);
  });
  if (daily) messRows(problem, room, classes, choices, builder);
  const counts = hitAndStrandColumns(problem, room, classes, choices, builder);
  return {
    model: builder.build(),
    choices,
    classes,
    counts,
    constant: constantOf(problem, room, daily),
  };
}

/** What is fixed, without the strands that are still missing, which the model counts itself. */
function constantOf(problem: WeekProblem, room: Room, daily: boolean): number {
  const missing = room.strands.reduce(
    (sum, strands) => sum + Math.max(0, STRANDS_A_WEEK - strands.size),
    0,
  );
  const running = room.days.filter(
    (day, d) => day.messy && room.days[d + 1]?.messy && isNextDay(problem, d),
  ).length;
  return (
    valueOf(problem, problem.fixed) + STRAND_SHORT * missing + (daily ? MESS_AGAIN * running : 0)
  );
}

/** Minutes of moments: for every set of moments that some activities are bound to, no more than it has. */
function momentRows(
  problem: WeekProblem,
  room: Room,
  days: DayClass,
  here: readonly Choice[],
  timed: (choice: Choice) => Timed,
  builder: ModelBuilder,
): void {
  const first = days[0] as number;
  const left = room.days[first];
  if (!left) return;
  const bound = here.map((choice) => momentsOn(problem, room, choice.activity, first));
  const sets = new Map(bound.map((moments) => [moments.join(), moments]));
  for (const moments of sets.values()) {
    const inside = new Set(moments);
    const some = here.filter((_, i) => (bound[i] ?? []).every((m) => inside.has(m)));
    const bands = new Set(some.map((choice) => problem.activities[choice.activity]?.band));
    minuteRows(builder, some.map(timed), {
      cards: [...bands].reduce((sum, band) => sum + (band ? left[band] : 0), 0),
      minutes: moments.reduce((sum, m) => sum + (left.moments[m] ?? 0), 0),
      days: days.length,
    });
  }
}

/** Mess on two days running costs a little. */
function messRows(
  problem: WeekProblem,
  room: Room,
  classes: readonly DayClass[],
  choices: readonly Choice[],
  builder: ModelBuilder,
): void {
  const columns = problem.days.map((_, d) => {
    const messy = choices.filter(
      (choice) => classes[choice.at]?.[0] === d && problem.activities[choice.activity]?.messy,
    );
    const stands = room.days[d]?.messy ?? false;
    if (messy.length === 0 && !stands) return null;
    const column = builder.column(0, 1, false);
    for (const { column: one } of messy)
      builder.rare(
        [
          [one, 1],
          [column, -1],
        ],
        0,
      );
    if (stands) builder.row(1, [[column, 1]], 1);
    return column;
  });
  columns.forEach((column, d) => {
    const next = columns[d + 1];
    if (column === null || next === null || next === undefined || !isNextDay(problem, d)) return;
    const again = builder.column(-MESS_AGAIN, 1, false);
    builder.row(
      -Infinity,
      [
        [column, 1],
        [next, 1],
        [again, -1],
      ],
      1,
    );
  });
}
