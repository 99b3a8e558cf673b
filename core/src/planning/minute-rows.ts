import type { ModelBuilder, Term } from './linear-model.js';

/** With more ways to fill the minutes than this, a plain sum of minutes says enough. */
const MOST_WAYS = 80;

/** A column that takes so many minutes each time. */
export interface Timed {
  readonly column: number;
  readonly minutes: number;
}

/**
 * Rows that keep what comes on some days within the minutes of each of them. A sum of minutes alone
 * would let 2.9 cards of seven minutes fill twenty; so the rows say instead that each day holds one
 * of the ways in which so many minutes can be filled, which leaves little between whole cards.
 * @param cards the most on one day
 * @param minutes the most on one day
 * @param days how many days alike
 */
export function minuteRows(
  builder: ModelBuilder,
  some: readonly Timed[],
  { cards, minutes, days }: { cards: number; minutes: number; days: number },
): void {
  const lengths = [...new Set(some.map((one) => one.minutes))].sort((a, b) => b - a);
  const longest = some.map((one) => one.minutes).sort((a, b) => b - a);
  const worst = longest.slice(0, cards).reduce((sum, one) => sum + one, 0);
  if (worst <= minutes) return;
  const there = lengths.map((length) => some.filter((one) => one.minutes === length).length);
  const ways = waysToFill(lengths, there, cards, minutes);
  if (ways === null) {
    builder.row(
      -Infinity,
      some.map((one): Term => [one.column, one.minutes]),
      minutes * days,
    );
    return;
  }
  const columns = ways.map(() => builder.column(0, days, false));
  builder.row(
    -Infinity,
    columns.map((column): Term => [column, 1]),
    days,
  );
  lengths.forEach((length, i) => {
    const long = some.filter((one) => one.minutes >= length);
    builder.row(
      -Infinity,
      [
        ...long.map((one): Term => [one.column, 1]),
        ...ways.flatMap((way, w): Term[] =>
          (way[i] as number) > 0 ? [[columns[w] as number, -(way[i] as number)]] : [],
        ),
      ],
      0,
    );
  });
}

/**
 * All ways to fill a day that leave no room for one more or a longer one: for each length, longest
 * first, how many are at least as long. Null where there are too many.
 */
function waysToFill(
  lengths: readonly number[],
  there: readonly number[],
  cards: number,
  minutes: number,
): (readonly number[])[] | null {
  const all: number[][] = [];
  const fill = (i: number, counts: number[], left: number, room: number): boolean => {
    if (i === lengths.length) {
      all.push(counts);
      return all.length <= MOST_WAYS * 10;
    }
    const length = lengths[i] as number;
    const before = counts[i - 1] ?? 0;
    const most = Math.min(left, there[i] ?? 0);
    for (let n = 0; n <= most && n * length <= room; n++) {
      if (!fill(i + 1, [...counts, before + n], left - n, room - n * length)) return false;
    }
    return true;
  };
  if (!fill(0, [], cards, minutes)) return null;
  const covers = (way: readonly number[], other: readonly number[]): boolean =>
    way.every((n, i) => n >= (other[i] as number));
  const ways = all.filter((way) => !all.some((other) => other !== way && covers(other, way)));
  return ways.length <= MOST_WAYS ? ways : null;
}
