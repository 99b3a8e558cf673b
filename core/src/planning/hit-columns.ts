import type { Choice } from './choice.js';
import type { DayClass } from './classes.js';
import type { ModelBuilder, Term } from './linear-model.js';
import { HIT_WEIGHTS, STRANDS_A_WEEK, STRAND_SHORT, type WeekProblem } from './problem.js';
import type { Room } from './rules.js';

/** From so many days on, a class holds more hits than count, so that none needs to be cut off. */
const MANY_DAYS = HIT_WEIGHTS.length;

/**
 * What children meet: for each skill wanted the first, second and third day with it, each worth
 * less; and for each child how many strands are touched, and how many are missing to four.
 */
export function hitAndStrandColumns(
  problem: WeekProblem,
  room: Room,
  classes: readonly DayClass[],
  choices: readonly Choice[],
  builder: ModelBuilder,
): number[][][] {
  const columns: number[][][] = problem.children.map(() => []);
  problem.children.forEach((child, c) => {
    const serving = child.wanted.map((): { choice: Choice; column: number }[] => []);
    for (const choice of choices) {
      if (!choice.able.includes(c)) continue;
      const column = choice.takers?.get(c) ?? choice.column;
      for (const want of problem.activities[choice.activity]?.gains[c]?.wants ?? []) {
        serving[want]?.push({ choice, column });
      }
    }
    /** By strand: the columns of the first day with one of its skills. */
    const firsts = new Map<number, Term[]>();
    child.wanted.forEach((want, w) => {
      const by = serving[w] ?? [];
      const before = room.hits[c]?.[w]?.size ?? 0;
      const worth = HIT_WEIGHTS.slice(before).map((weight) => weight * want.value);
      if (by.length === 0 || worth.length === 0) return;
      const counts = worth.map((one) => builder.column(one, 1, false));
      (columns[c] as number[][])[w] = counts;
      if (before === 0) {
        const terms = firsts.get(want.strand) ?? [];
        terms.push([counts[0] as number, -1]);
        firsts.set(want.strand, terms);
      }
      const met = classes.flatMap((days, at): Term[] => {
        const here = by.filter((one) => one.choice.at === at);
        if (here.length === 0) return [];
        const already = days.filter((d) => room.hits[c]?.[w]?.has(d)).length;
        const open = days.length - already;
        if (open <= 0) return [];
        const least = Math.min(...here.map((one) => one.choice.most));
        const direct = (here.length === 1 && least <= open) || (already === 0 && open >= MANY_DAYS);
        if (direct) return here.map((one): Term => [one.column, -1]);
        const hit = builder.passing(
          here.map((one): Term => [one.column, 1]),
          open,
        );
        return [[hit, -1]];
      });
      builder.row(-Infinity, [...counts.map((one): Term => [one, 1]), ...met], 0);
    });

    const touched = room.strands[c]?.size ?? 0;
    const missing = STRANDS_A_WEEK - touched;
    if (missing <= 0) return;
    const reached: Term[] = [];
    for (const [strand, terms] of firsts) {
      if (room.strands[c]?.has(strand)) continue;
      const touches = builder.column(0, 1, false);
      builder.rare([[touches, 1], ...terms], 0);
      reached.push([touches, 1]);
    }
    const short = builder.column(-STRAND_SHORT, missing, false);
    builder.row(missing, [...reached, [short, 1]], Infinity);
  });
  return columns;
}
