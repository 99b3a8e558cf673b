import { STRANDS, type Strand } from '../vocabulary/index.js';
import type { Card, WeekProblem } from './problem.js';
import { mayTake } from './rules.js';

/** What a week touches for one child, and what not. */
export interface ChildCoverage {
  readonly childId: string;
  readonly touched: readonly { readonly strand: Strand; readonly days: number }[];
  readonly missing: readonly { readonly strand: Strand; readonly because: string }[];
}

/** For every child the strands that the week touches, on how many days, and why others are missing. */
export function coverageOf(problem: WeekProblem, cards: readonly Card[]): ChildCoverage[] {
  return problem.children.map((child, c): ChildCoverage => {
    const days = STRANDS.map(() => new Set<number>());
    for (const card of cards) {
      if (!card.takers.includes(c)) continue;
      for (const want of problem.activities[card.activity]?.gains[c]?.wants ?? []) {
        days[child.wanted[want]?.strand ?? -1]?.add(card.day);
      }
    }
    return {
      childId: child.id,
      touched: STRANDS.flatMap((strand, s) =>
        (days[s]?.size ?? 0) > 0 ? [{ strand, days: days[s]?.size ?? 0 }] : [],
      ),
      missing: STRANDS.flatMap((strand, s) =>
        days[s]?.size === 0 ? [{ strand, because: whyMissing(problem, cards, c, s) }] : [],
      ),
    };
  });
}

function whyMissing(
  problem: WeekProblem,
  cards: readonly Card[],
  c: number,
  strand: number,
): string {
  const child = problem.children[c];
  if (!child?.wanted.some((want) => want.strand === strand)) return 'nothing open yet';
  const days = problem.days.flatMap((day, d) => (day.open && day.here.includes(c) ? [d] : []));
  if (days.length === 0) return 'not here on an open day';
  const serving = problem.activities.flatMap((activity, a) =>
    activity.gains[c]?.wants.some((want) => child.wanted[want]?.strand === strand) ? [a] : [],
  );
  if (serving.length === 0) return 'no activity for what comes next';
  const barred = serving.map((a) => problem.activities[a]?.barred[c] ?? null);
  if (barred.every((one) => one === 'cupboard')) return 'nothing in the cupboard for it';
  if (barred.every((one) => one !== null)) {
    if (barred.includes('longer')) return 'its activities are longer than the child sits';
    return barred.includes('allergy') ? 'an allergy to what serves it' : 'from a later age on';
  }
  const able = serving.filter(
    (a) => !problem.activities[a]?.barred[c] && days.some((d) => mayTake(problem, a, c, d)),
  );
  const openBands = new Set(able.map((a) => problem.activities[a]?.band));
  if (able.length === 0 && child.careful) return 'only with small parts';
  const tables = cards.filter(
    (card) => problem.activities[card.activity]?.band === 'table' && card.takers.includes(c),
  ).length;
  if (openBands.size === 1 && openBands.has('table') && tables >= child.tablesAWeek) {
    return 'no table time left';
  }
  return 'its places went to what counts more';
}
