import {
  annealFrom,
  firstPlan,
  greedyPlan,
  quickWeek,
  roomLeft,
  tallyFor,
  valueOf,
} from '@gumo/core/planning';
import { seeded } from '@gumo/core/numbers';
import { worthOf } from '../testing/brute-force.js';
import { brokenRules } from '../testing/week-checker.js';
import { ATTENDANCE, inventedWeek } from '../testing/weeks.js';

describe('small steps to a better week', () => {
  // Own arithmetic: the worth kept up to date step by step beside the worth reckoned from all cards.
  it('keep count of what the week is worth as cards and children come and go', () => {
    for (let seed = 1; seed <= 30; seed++) {
      const week = inventedWeek({ seed, children: 5, attendance: ATTENDANCE[seed % 3]! });
      const plan = firstPlan(week);
      const problem = { ...week, fixed: plan.slice(0, seed % 4) };
      const tally = tallyFor(problem, roomLeft(problem));
      const start = tally.worth();
      const cards = plan.slice(seed % 4);
      const isOut = (i: number): boolean => i % 3 === 1;
      for (const by of [1, -1] as const) {
        cards.forEach(({ activity, day, takers }, i) => {
          if (by === -1 && !isOut(i)) return;
          tally.card(activity, day, by);
          for (const c of takers) tally.taker(activity, day, c, by);
        });
        const standing = by === 1 ? cards : cards.filter((_, i) => !isOut(i));
        const { fixed } = problem;
        const gained = worthOf(problem, [...fixed, ...standing]) - worthOf(problem, fixed);
        expect(tally.worth() - start)
          .withContext(`seed ${seed}`)
          .toBeCloseTo(gained, 8);
      }
      const { activity, day, takers } = cards[1]!;
      const before = tally.worth();
      const gain = tally.gain(activity, day, takers[0]!);
      expect(tally.worth()).toBe(before);
      tally.taker(activity, day, takers[0]!, 1);
      expect(tally.worth() - before).toBeCloseTo(gain, 10);
    }
  });

  // Own arithmetic: the exchange is made, and what it gained is looked at.
  it('turn down no exchange that would have gained more than they reckon', () => {
    let looked = 0;
    for (let seed = 1; seed <= 30; seed++) {
      const random = seeded(seed);
      const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
      const attendance = ATTENDANCE[seed % 3]!;
      const problem = inventedWeek({ seed, children: 8, attendance, careful: 0.2 });
      const week = quickWeek(problem, roomLeft(problem), random);
      const slots = firstPlan(problem);
      for (const { activity, day, takers } of slots) week.put(activity, day, takers);
      const group = new Int32Array(problem.children.length);
      for (let i = 0; i < 200; i++) {
        const { activity: old, day } = pick(slots);
        const next = Math.floor(random() * problem.activities.length);
        if (week.bandOf(old) !== week.bandOf(next) || !week.mayStand(next, day, old)) continue;
        const most = week.mostGained(next, day, old, false);
        const before = week.tally.worth();
        const size = week.take(old, day, group);
        const gained = week.choose(next, day) + week.tally.worth() - before;
        week.put(old, day, group, size);
        expect(gained)
          .withContext(`seed ${seed}`)
          .toBeLessThanOrEqual(most + 1e-9);
        looked++;
      }
    }
    expect(looked).toBeGreaterThan(300);
  });

  it('break no rule, never lose, and mostly gain', () => {
    let better = 0;
    for (let seed = 1; seed <= 60; seed++) {
      const week = inventedWeek({
        seed,
        children: 1 + (seed % 12),
        activities: 20 + seed,
        attendance: ATTENDANCE[seed % 3]!,
        tablesADay: seed % 4,
      });
      const fixed = firstPlan(week).filter((_, i) => i % 7 === seed % 7);
      const problem = { ...week, fixed };
      const first = greedyPlan(problem);
      const found = annealFrom(problem, first, { steps: 4000, seed });
      expect(brokenRules(problem, [...fixed, ...found]))
        .withContext(`seed ${seed}`)
        .toEqual([]);
      const worth = (cards: typeof found): number => valueOf(problem, [...fixed, ...cards]);
      expect(worth(found)).toBeGreaterThanOrEqual(worth(first) - 1e-9);
      if (worth(found) > worth(first) + 1e-6) better++;
    }
    expect(better).toBeGreaterThan(45);
  });
});
