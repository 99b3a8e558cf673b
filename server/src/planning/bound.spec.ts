import {
  type Engine,
  type Term,
  boundWeek,
  branch,
  cardsOf,
  dayClasses,
  lazyRows,
  minuteRows,
  modelBuilder,
  roomLeft,
  searchWeek,
  singleDays,
  weekModel,
} from '@gumo/core/planning';
import { seeded } from '@gumo/core/numbers';
import { bestOfAll, worthOf } from '../testing/brute-force.js';
import { libraryWeek } from '../testing/library-weeks.js';
import { brokenRules } from '../testing/week-checker.js';
import { ATTENDANCE, inventedWeek } from '../testing/weeks.js';
import { highsEngine } from './highs.js';

const now = (): number => performance.now() / 1000;

describe('the bound on what a week can be worth', () => {
  let engine: Engine;
  beforeAll(async () => {
    engine = await highsEngine();
  });

  // Own arithmetic: every plan of a small week is looked at.
  it('is the worth of the best of all plans, on 60 small weeks, and never below it', () => {
    let equal = 0;
    for (let seed = 101; seed <= 160; seed++) {
      const problem = inventedWeek({
        seed,
        children: 2,
        activities: 6,
        days: 3,
        attendance: ATTENDANCE[seed % 3]!,
        tablesADay: 1 + (seed % 3),
      });
      const { worth } = bestOfAll(problem);
      const alike = dayClasses(problem, roomLeft(problem));
      const boundOf = (classes: typeof alike): number => {
        let bound = Infinity;
        branch(problem, engine, weekModel(problem, roomLeft(problem), classes), alike, {
          learnt: new Map(),
          left: () => 5,
          isLow: () => false,
          tell: (to) => (bound = Math.min(bound, to)),
          found: () => undefined,
        });
        return bound;
      };
      const [days, coarse] = [boundOf(singleDays(problem)), boundOf(alike)];
      expect(days)
        .withContext(`seed ${seed}`)
        .toBeGreaterThanOrEqual(worth - 1e-6);
      expect(coarse)
        .withContext(`seed ${seed}`)
        .toBeGreaterThanOrEqual(days - 1e-6);
      if (days < worth + 1e-6) equal++;
    }
    // Where a day has no moment for all its cards, the bound may lie above.
    expect(equal).toBeGreaterThan(55);
  });

  it('is above every plan that the other thread finds, on weeks as households have them', () => {
    let proven = 0;
    for (let seed = 1; seed <= 12; seed++) {
      const problem = libraryWeek({
        seed,
        children: 2 + (seed % 4),
        activities: 60,
        attendance: ATTENDANCE[seed % 3]!,
      });
      const search = searchWeek(problem, { seconds: 1, now });
      const proof = boundWeek(problem, engine, { seconds: 8, now, first: search.cards });
      const best = Math.max(search.value, proof.value);
      expect(proof.bound!)
        .withContext(`seed ${seed}`)
        .toBeGreaterThanOrEqual(best - 1e-6);
      for (const { cards, value } of [search, proof]) {
        expect(brokenRules(problem, cards)).withContext(`seed ${seed}`).toEqual([]);
        expect(worthOf(problem, cards)).toBeCloseTo(value, 8);
      }
      if (proof.bound! - best < 0.001 * best) proven++;
    }
    expect(proven).toBeGreaterThan(5);
  });

  it('begins with a week found straight down, where days are alike', () => {
    let close = 0;
    for (let seed = 1; seed <= 8; seed++) {
      const problem = libraryWeek({ seed, children: 6, activities: 60, attendance: 'simple' });
      const room = roomLeft(problem);
      const full = weekModel(problem, room, singleDays(problem));
      let worth = -Infinity;
      let bound = Infinity;
      branch(problem, engine, full, dayClasses(problem, room), {
        learnt: new Map(),
        left: () => (worth > -Infinity ? 0 : 5),
        isLow: () => false,
        tell: (to) => (bound = Math.min(bound, to)),
        found: (values) => {
          const cards = cardsOf(problem, room, full, values);
          if (!cards) return;
          expect(brokenRules(problem, cards)).withContext(`seed ${seed}`).toEqual([]);
          worth = worthOf(problem, cards);
        },
        dive: true,
      });
      expect(worth)
        .withContext(`seed ${seed}`)
        .toBeLessThanOrEqual(bound + 1e-6);
      if (worth > 0.99 * bound) close++;
    }
    expect(close).toBeGreaterThan(4);
  });

  it('is the same where rare rows come in only as they are broken', () => {
    let rows = 0;
    for (const attendance of ATTENDANCE) {
      const problem = libraryWeek({ seed: 5, children: 5, activities: 60, attendance });
      const { model } = weekModel(
        problem,
        roomLeft(problem),
        dayClasses(problem, roomLeft(problem)),
      );
      const whole = engine.relax(model);
      const { model: lean, broken } = lazyRows(model);
      const relaxation = engine.relax(lean);
      let { worth, values } = relaxation.solve(30)!;
      for (let more = broken(values); more.length > 0; more = broken(values)) {
        rows += more.length;
        for (const { terms, upper } of more) relaxation.addRow(terms, upper);
        ({ worth, values } = relaxation.solve(30)!);
      }
      expect(lean.rowLower.length).toBeLessThan(model.rowLower.length);
      expect(worth).withContext(attendance).toBeCloseTo(whole.solve(30)!.worth, 6);
      whole.close();
      relaxation.close();
    }
    expect(rows).toBeGreaterThan(0);
  });

  // Own arithmetic: every choice of cards for a day is looked at.
  it('fills the minutes of a day with whole cards, but for a few of 150 days', () => {
    let equal = 0;
    for (let seed = 1; seed <= 150; seed++) {
      const random = seeded(seed);
      const whole = (from: number, to: number): number =>
        from + Math.floor(random() * (to - from + 1));
      const some = Array.from({ length: whole(2, 9) }, () => ({
        minutes: whole(3, 12),
        worth: whole(1, 20),
      }));
      const [cards, minutes] = [whole(1, 4), whole(10, 30)];
      const relaxed = (isPlain: boolean): number => {
        const builder = modelBuilder();
        const timed = some.map((one) => ({
          column: builder.column(one.worth, 1, true),
          minutes: one.minutes,
        }));
        const sum = timed.map((one): Term => [one.column, one.minutes]);
        builder.row(
          -Infinity,
          timed.map(({ column }): Term => [column, 1]),
          cards,
        );
        if (isPlain) builder.row(-Infinity, sum, minutes);
        else minuteRows(builder, timed, { cards, minutes, days: 1 });
        const relaxation = engine.relax(builder.build());
        const { worth } = relaxation.solve(5)!;
        relaxation.close();
        return worth;
      };
      let best = 0;
      for (let set = 0; set < 2 ** some.length; set++) {
        const chosen = some.filter((_, i) => (set >> i) % 2 === 1);
        const sum = (key: 'minutes' | 'worth'): number =>
          chosen.reduce((all, one) => all + one[key], 0);
        if (chosen.length <= cards && sum('minutes') <= minutes)
          best = Math.max(best, sum('worth'));
      }
      const found = relaxed(false);
      expect(found)
        .withContext(`seed ${seed}`)
        .toBeGreaterThanOrEqual(best - 1e-6);
      expect(found)
        .withContext(`seed ${seed}`)
        .toBeLessThanOrEqual(relaxed(true) + 1e-6);
      if (found < best + 1e-6) equal++;
    }
    expect(equal).toBeGreaterThan(130);
  });
});
