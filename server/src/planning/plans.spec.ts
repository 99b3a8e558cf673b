import {
  type Card,
  type Engine,
  boundWeek,
  brokenBy,
  firstPlan,
  gapOf,
  greedyPlan,
  searchWeek,
  solveWeek,
  valueOf,
} from '@gumo/core/planning';
import { seeded } from '@gumo/core/numbers';
import { bestOfAll, worthOf } from '../testing/brute-force.js';
import { libraryWeek } from '../testing/library-weeks.js';
import { brokenCautions, brokenRules } from '../testing/week-checker.js';
import { ATTENDANCE, inventedWeek } from '../testing/weeks.js';
import { highsEngine } from './highs.js';

const now = (): number => performance.now() / 1000;

describe('the plan of a week', () => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await highsEngine();
  });
  const solve = (problem: Parameters<typeof solveWeek>[0], seconds: number, gap?: number) =>
    solveWeek(problem, engine, { seconds, now, ...(gap === undefined ? {} : { gap }) });

  // Own arithmetic: every plan is looked at, and what it is worth is reckoned by other code.
  it('is worth as much as the best of all plans, on 60 small weeks', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const problem = inventedWeek({
        seed,
        children: 2,
        activities: 6,
        days: 3,
        attendance: ATTENDANCE[seed % 3]!,
        careful: seed % 2 === 0 ? 0.5 : 0,
        tablesADay: 1 + (seed % 3),
      });
      const best = bestOfAll(problem);
      const { cards, value, bound } = solve(problem, 30, 1e-9);
      const context = `seed ${seed}, ${best.looked} plans`;
      expect(worthOf(problem, cards)).withContext(context).toBeCloseTo(value, 8);
      expect(value).withContext(context).toBeCloseTo(best.worth, 5);
      expect(bound ?? Infinity)
        .withContext(context)
        .toBeGreaterThanOrEqual(best.worth - 1e-6);
      expect(brokenRules(problem, cards)).withContext(context).toEqual([]);
    }
  });

  it('breaks no rule on 300 weeks of all sizes, nor after drags, pins and planning again', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const random = seeded(seed);
      const whole = (most: number): number => Math.floor(random() * most);
      const problem = inventedWeek({
        seed,
        children: 1 + whole(12),
        activities: 6 + whole(75),
        days: 1 + whole(5),
        attendance: ATTENDANCE[whole(3)]!,
        tablesADay: whole(5),
        careful: random() * 0.6,
      });
      const context = `seed ${seed}`;
      const { cards } = solve(problem, seed % 5 === 0 ? 0.6 : 0);
      expect(brokenRules(problem, cards)).withContext(context).toEqual([]);

      // Some are pinned, some dragged to another day as far as no caution stands against it.
      const fixed: Card[] = cards.filter(() => random() < 0.3);
      for (const card of cards) {
        if (fixed.includes(card) || random() > 0.15) continue;
        const day = whole(problem.days.length);
        const takers = card.takers.filter((c) => problem.days[day]!.here.includes(c));
        const moved = { ...card, day, takers };
        const broken = brokenBy(problem, moved, fixed);
        const cautions = broken.filter((one) => one.level === 'caution');
        expect(cautions.length > 0)
          .withContext(context)
          .toBe(brokenCautions(problem, [moved]).length > 0);
        if (cautions.length === 0) fixed.push(moved);
      }
      const byHand = new Set(brokenRules(problem, fixed));
      const again = solve({ ...problem, fixed }, seed % 5 === 1 ? 0.6 : 0);
      const all = [...fixed, ...again.cards];
      expect(brokenCautions(problem, all)).withContext(context).toEqual([]);
      const fresh = brokenRules(problem, all).filter((one) => !byHand.has(one));
      expect(fresh).withContext(context).toEqual([]);
      expect(worthOf(problem, all)).withContext(context).toBeCloseTo(again.value, 8);
    }
  });

  it('is proven: its bound is never below it, and more time never makes it worse', () => {
    for (const attendance of ATTENDANCE) {
      const problem = inventedWeek({ seed: 7, children: 5, activities: 40, attendance });
      const [greedy, first] = [greedyPlan(problem), firstPlan(problem)];
      const { value, bound } = solve(problem, 30, 0.02);
      expect(valueOf(problem, first)).toBeGreaterThanOrEqual(valueOf(problem, greedy) - 1e-9);
      expect(value).toBeGreaterThanOrEqual(valueOf(problem, first) - 1e-9);
      expect(bound).not.toBeNull();
      expect(bound!).toBeGreaterThanOrEqual(value - 1e-6);
      expect(gapOf(value, bound)!).withContext(attendance).toBeLessThan(0.03);
    }
  });

  // A clock of its own, so that each run takes the same steps; the bound is proven by the other half.
  it('is found by search alone, where children come on different days', () => {
    let close = 0;
    for (let seed = 1; seed <= 6; seed++) {
      const problem = libraryWeek({ seed, children: 6, activities: 60, attendance: 'irregular' });
      let looks = 0;
      const search = searchWeek(problem, { seconds: 1, now: () => looks++ / 4000 });
      const { bound } = boundWeek(problem, engine, { seconds: 20, now, first: search.cards });
      const gap = gapOf(search.value, bound)!;
      expect(brokenRules(problem, search.cards)).withContext(`seed ${seed}`).toEqual([]);
      expect(gap).withContext(`seed ${seed}`).toBeLessThan(0.005);
      if (gap < 0.0015) close++;
    }
    expect(close).toBeGreaterThanOrEqual(2);
  });

  it('is the first plan where there is no time, and says nothing of how good it is', () => {
    const problem = inventedWeek({ seed: 3, children: 4, activities: 30 });
    const found = solve(problem, 0);
    expect(found.cards).toEqual(firstPlan(problem));
    expect(found.bound).toBeNull();
    expect(gapOf(found.value, found.bound)).toBeNull();
  });

  it('holds nothing where nobody is here or every day is closed', () => {
    const problem = inventedWeek({ seed: 4, children: 3, activities: 20 });
    const closed = { ...problem, days: problem.days.map((day) => ({ ...day, open: false })) };
    const gone = { ...problem, days: problem.days.map((day) => ({ ...day, here: [] })) };
    expect(solve(closed, 1).cards).toEqual([]);
    expect(solve(gone, 1).cards).toEqual([]);
  });
});
