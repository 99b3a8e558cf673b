import {
  type Slot,
  annealFrom,
  firstPlan,
  greedyPlan,
  mostGainedIn,
  quickGroups,
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

  // Own arithmetic: the step is made, and what it gained is looked at.
  it('turn down nothing that would have gained more than they reckon', () => {
    const looked = { exchanged: 0, moved: 0, joined: 0 };
    for (let seed = 1; seed <= 30; seed++) {
      const random = seeded(seed);
      const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
      const attendance = ATTENDANCE[seed % 3]!;
      const problem = inventedWeek({ seed, children: 8, attendance, careful: 0.2 });
      const week = quickWeek(problem, roomLeft(problem));
      const groups = quickGroups(week, random);
      const most = mostGainedIn(week);
      const { tally } = week;
      for (const { activity, day, takers } of firstPlan(problem)) week.put(activity, day, takers);
      const standing = (): Slot[] => week.slots();
      const here = (a: number, d: number): number[] => [
        ...(standing().find((one) => one.activity === a && one.day === d)?.takers ?? []),
      ];
      const group = (): Int32Array => groups.chosen.slice(0, groups.chosenSize());
      const gone = new Int32Array(problem.children.length);
      const days = problem.days.flatMap((day, d) => (day.open ? [d] : []));

      const exchange = (old: number, day: number): void => {
        const next = Math.floor(random() * problem.activities.length);
        if (week.bandOf(old) !== week.bandOf(next) || !week.mayStand(next, day, old)) return;
        const bound = most.byExchange(next, day, old, false);
        const before = tally.worth();
        const size = week.take(old, day, gone);
        const gained = groups.choose(next, day) + tally.worth() - before;
        week.put(old, day, gone, size);
        expect(gained)
          .withContext(`seed ${seed}`)
          .toBeLessThanOrEqual(bound + 1e-9);
        looked.exchanged++;
      };
      const move = (a: number, d: number): void => {
        const e = pick(days);
        const other = pick([null, ...standing().filter((one) => one.day === e)]);
        const b = other && week.bandOf(other.activity) === week.bandOf(a) ? other.activity : -1;
        if (d === e || a === b || !week.mayMove(a, d, e, b)) return;
        if (b >= 0 && !week.mayMove(b, e, d, a)) return;
        const bound = most.byMove(a, d, e, b);
        const before = tally.worth();
        const [mine, theirs] = [here(a, d), b < 0 ? [] : here(b, e)];
        week.take(a, d, gone);
        if (b >= 0) week.take(b, e, gone);
        if (groups.choose(a, e) > -Infinity) {
          week.put(a, e, group());
          const gained = (b < 0 ? 0 : groups.choose(b, d)) + tally.worth() - before;
          expect(gained)
            .withContext(`seed ${seed}`)
            .toBeLessThanOrEqual(bound + 1e-9);
          looked.moved++;
          week.take(a, e, gone);
        }
        if (b >= 0) week.put(b, e, theirs);
        week.put(a, d, mine);
      };
      const join = (a: number, d: number): void => {
        const c = Math.floor(random() * problem.children.length);
        if (!week.able(a, d).includes(c) || week.isIn(a, d, c)) return;
        const from = week.bandOf(a) === 2 ? week.seatOn(d, c) : -1;
        const out = pick([-1, ...here(a, d)]);
        const isBack = from >= 0 && out >= 0 && week.able(from, d).includes(out);
        const bound = most.byJoining(a, d, c, from < 0 ? -1 : from * problem.days.length + d, out);
        const before = tally.worth();
        const seated = from < 0 ? [] : here(from, d);
        if (from >= 0) week.leave(from, d, c);
        if (out >= 0) week.leave(a, d, out);
        week.enter(a, d, c);
        if (isBack) week.enter(from, d, out);
        else if (seated.length === 1) week.take(from, d, gone);
        expect(tally.worth() - before)
          .withContext(`seed ${seed}`)
          .toBeLessThanOrEqual(bound + 1e-9);
        looked.joined++;
        if (isBack) week.leave(from, d, out);
        else if (seated.length === 1) week.put(from, d, []);
        week.leave(a, d, c);
        if (out >= 0) week.enter(a, d, out);
        if (from >= 0) week.enter(from, d, c);
      };
      for (let i = 0; i < 200; i++) {
        const { activity, day } = pick(standing());
        pick([exchange, move, join])(activity, day);
      }
    }
    expect(Math.min(...Object.values(looked))).toBeGreaterThan(100);
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
