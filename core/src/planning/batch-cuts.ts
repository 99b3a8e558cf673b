import type { Row } from './linear-model.js';
import type { WeekProblem } from './problem.js';
import { termsOn } from './rules.js';
import type { WeekModel } from './week-model.js';

/** What a relaxed week must break a row by, for the row to be worth having. */
const WORTH_A_ROW = 1e-3;

/**
 * Rows that forbid what only parts of a card can do: an activity for three at once, given four
 * thirds of a time, so that four children meet it once each. Given n times it serves no more than n
 * groups, and no more than the days that are counted; between whole times no more than a line from
 * the one to the next. This is mixed-integer rounding of "no more children than seats" (Nemhauser and Wolsey 1990, from memory).
 * @param values a solution of the relaxed model
 */
export function batchCuts(problem: WeekProblem, full: WeekModel, values: ArrayLike<number>): Row[] {
  const serving = servingColumns(problem, full);
  return problem.activities.flatMap((_, a): Row[] => {
    const cut = cutOf(problem, full, serving, a, values);
    return cut ? [cut] : [];
  });
}

/** By child and want: the columns that serve it. */
type Serving = readonly (readonly (readonly { activity: number; column: number }[])[])[];

function servingColumns(problem: WeekProblem, { choices }: WeekModel): Serving {
  const serving = problem.children.map((child) =>
    child.wanted.map((): { activity: number; column: number }[] => []),
  );
  for (const { activity, able, takers, column } of choices) {
    for (const c of able) {
      for (const want of problem.activities[activity]?.gains[c]?.wants ?? []) {
        serving[c]?.[want]?.push({ activity, column: takers?.get(c) ?? column });
      }
    }
  }
  return serving;
}

function cutOf(
  problem: WeekProblem,
  { choices, classes, counts }: WeekModel,
  serving: Serving,
  a: number,
  values: ArrayLike<number>,
): Row | null {
  const at = (column: number): number => values[column] ?? 0;
  const sum = (columns: readonly number[]): number =>
    columns.reduce((all, one) => all + at(one), 0);
  const mine = choices.filter((choice) => choice.activity === a);
  const times = sum(mine.map((choice) => choice.column));
  const whole = Math.floor(times + 1e-6);
  const over = times - whole;
  if (whole === 0 || over < 1e-6) return null;
  const seats = Math.max(
    ...mine.map(({ at: q }) => termsOn(problem, a, classes[q]?.[0] ?? 0).most),
  );
  const parts = problem.children.flatMap((_, c) => {
    const ways = (problem.activities[a]?.gains[c]?.wants ?? []).flatMap((want) => {
      const others = (serving[c]?.[want] ?? []).flatMap((one) =>
        one.activity === a ? [] : [one.column],
      );
      const days = counts[c]?.[want] ?? [];
      return days.map((_, i) => {
        const counted = days.slice(0, i + 1);
        return { counted, others, gain: sum(counted) - sum(others) - counted.length * over };
      });
    });
    const [best] = ways.sort((x, y) => y.gain - x.gain);
    return best && best.gain > 0 ? [best] : [];
  });
  const wanted = parts.reduce((all, one) => all + one.counted.length, 0);
  const before = Math.min(wanted, seats * whole);
  const after = Math.min(wanted, seats * (whole + 1));
  const most = before + (after - before) * over;
  const reached = parts.reduce((all, one) => all + one.gain + one.counted.length * over, 0);
  if (after === seats * (whole + 1) || reached < most + WORTH_A_ROW) return null;
  const terms = new Map<number, number>();
  const add = (column: number, value: number): void => {
    terms.set(column, (terms.get(column) ?? 0) + value);
  };
  for (const { counted, others } of parts) {
    for (const column of counted) add(column, 1);
    for (const column of others) add(column, -1);
  }
  for (const { column } of mine) add(column, before - after);
  return { terms: [...terms], upper: before - (after - before) * whole };
}
