import * as fc from 'fast-check';
import { LIBRARY } from '../activities/index.js';
import { foldAll } from '../evidence/index.js';
import { groupLimit } from '../things/index.js';
import {
  type Child,
  type PlanEntry,
  type Thing,
  addDays,
  newHousehold,
  newWeek,
} from '../vocabulary/index.js';
import { aChild } from '../vocabulary/testing.js';
import { checkWeek } from './checks.js';
import { coverageOf } from './coverage.js';
import { entryChanges, entryOf } from './entries.js';
import { firstPlan } from './first-plan.js';
import { forDay } from './one-day.js';
import { shareWords } from './others.js';
import { rightNow } from './right-now.js';
import { termsOn } from './rules.js';
import { nearnessWords } from './words.js';
import type { WeekFacts } from './week-facts.js';
import { weekProblem } from './week-problem.js';
import { whyCard } from './why.js';

const MONDAY = '2026-03-16';
const id = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

const child = (n: number, name: string, birthDate: string, more: Partial<Child> = {}): Child =>
  aChild({ id: id(n), name, birthDate, ...more });
const wren = child(1, 'Wren', '2021-05-01');
const juno = child(2, 'Juno', '2022-02-01');
const pip = child(3, 'Pip', '2023-09-01');

const thing = (n: number, use: Thing['use'], count: number, diameterMm: number): Thing => ({
  id: id(100 + n),
  name: `${use} of ${diameterMm} mm`,
  use,
  count,
  colors: [],
  alike: true,
  shape: { kind: 'ball', diameterMm },
  box: 'box 1',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
});
const small = thing(1, 'counter', 60, 16);
const large = thing(2, 'counter', 60, 60);

const facts = (more: Partial<WeekFacts> = {}, children = [wren, juno]): WeekFacts => ({
  sheet: newWeek(MONDAY),
  today: '2026-03-10',
  now: null,
  household: newHousehold(id(99), 'Spindle Cottage'),
  children: children.map((one) => ({
    child: one,
    state: foldAll(one.id, one.policy, []),
    pace: { minutes: 5, reason: '', restOn: null, earlier: false },
  })),
  activities: LIBRARY,
  things: [],
  away: new Map(),
  entries: [],
  lately: [],
  ...more,
});
const needsCounters = (a: number, week: ReturnType<typeof weekProblem>): boolean =>
  LIBRARY.find((one) => one.id === week.problem.activities[a]?.id)?.needs.some(
    (need) => need.use === 'counter',
  ) ?? false;

describe('the week in numbers', () => {
  it('gives every activity to as many as there are things for', () => {
    const dots = LIBRARY.find((one) => one.id === 'dot-touch')!;
    const at = (count: number, noSmallParts = false, one = large): number =>
      groupLimit(dots, [3, 3], 3, [{ ...one, count }], { noSmallParts });
    // Own arithmetic: two children to three each, a thing on every dot.
    expect([2, 3, 5, 6, 60].map((count) => at(count))).toEqual([0, 1, 1, 2, 2]);
    expect([at(60, true), at(60, false, small), at(60, true, small)]).toEqual([2, 2, 0]);
    // What is not on the list may be in the house; small things are not looked for there.
    expect(groupLimit(dots, [3, 3], 3, [], { noSmallParts: false })).toBe(2);
    expect(groupLimit(dots, [3, 3], 3, [], { noSmallParts: true })).toBe(0);
  });

  it('leaves today out as far as it is over, and days that are not the household’s', () => {
    const week = weekProblem(facts({ today: addDays(MONDAY, 1), now: '10:50' }));
    expect(week.problem.days.map((day) => day.open)).toEqual([
      false,
      true,
      true,
      true,
      true,
      false,
      false,
    ]);
    const names = (d: number): string[] =>
      week.problem.days[d]!.moments.map((m) => week.problem.moments[m]!.id);
    expect(names(1)).toEqual(['snack', 'table', 'outdoors', 'going-home']);
    expect(names(2).length).toBe(6);
    expect(firstPlan(week.problem).every((card) => card.day >= 1)).toBeTrue();
  });

  // Parts for children under three: 16 CFR 1501; the room rule is common practice, no source.
  it('never puts small parts near one who must not meet them', () => {
    fc.assert(
      fc.property(
        fc.subarray([wren, juno, pip], { minLength: 1 }),
        fc.boolean(),
        fc.subarray([small, large]),
        fc.boolean(),
        fc.array(fc.nat({ max: 4 }), { maxLength: 3 }),
        (children, mouths, things, shared, awayOn) => {
          const household = newHousehold(id(99), 'Spindle Cottage');
          const moments = household.moments.map((one) => ({ ...one, shared }));
          const all = children.map((one) =>
            mouths && one === juno ? { ...one, cautions: { ...one.cautions, mouths: true } } : one,
          );
          const away = new Map(awayOn.map((d) => [addDays(MONDAY, d), [pip.id]]));
          const week = weekProblem(
            facts({ things, away, household: { ...household, moments } }, all),
          );
          const { problem } = week;
          const hasLarge = things.includes(large);
          for (const card of firstPlan(problem)) {
            if (!needsCounters(card.activity, week) || hasLarge) continue;
            const { here } = problem.days[card.day]!;
            const near = problem.moments[card.moment]!.shared ? here : card.takers;
            // Something large may stand in for a counter; then nothing small is on the table.
            const isSmall = problem.activities[card.activity]!.mostSafe === 0;
            if (isSmall) expect(near.some((c) => problem.children[c]!.careful)).toBeFalse();
            expect(termsOn(problem, card.activity, card.day).most).toBeGreaterThan(0);
          }
        },
      ),
      { numRuns: 40 },
    );
  });

  it('does without a child who is too young for it, or has an allergy where food is about', () => {
    const allergic = { ...juno, cautions: { ...juno.cautions, allergies: ['walnut'] } };
    const week = weekProblem(facts({}, [allergic, pip]));
    const barred = (name: string, c: number): string | null =>
      week.problem.activities.find((one) => one.id === name)!.barred[c] ?? null;
    expect(barred('snack-share', 0)).toBe('allergy');
    expect(barred('two-plates', 1)).toBe('age');
    for (const card of firstPlan(week.problem)) {
      const { barred: out } = week.problem.activities[card.activity]!;
      expect(card.takers.every((c) => out[c] === null)).toBeTrue();
    }
  });
});

describe('a plan as entries', () => {
  const planned = (more: Partial<WeekFacts> = {}) => {
    const week = weekProblem(facts(more));
    return { week, cards: firstPlan(week.problem) };
  };

  it('keeps what stays, with its id, and marks as left what is over', () => {
    const { week, cards } = planned();
    let n = 500;
    const first = entryChanges(week, cards, () => id(n++));
    expect([first.changed, first.removed]).toEqual([[], []]);
    expect(first.added.length).toBe(cards.length);
    const again = weekProblem(facts({ entries: first.added }));
    expect(entryChanges(again, firstPlan(again.problem), () => id(n++))).toEqual({
      added: [],
      changed: [],
      removed: [],
    });
    const later = weekProblem(
      facts({ entries: first.added, today: addDays(MONDAY, 1), now: '10:50' }),
    );
    const { changed, removed } = entryChanges(later, [], () => id(n++));
    expect(changed.every((one) => one.state === 'left')).toBeTrue();
    expect(changed.filter((one) => one.day === MONDAY).length).toBe(
      first.added.filter((one) => one.day === MONDAY).length,
    );
    expect(changed.length + removed.length).toBe(first.added.length);
  });

  it('sits no longer than the child does', () => {
    const { week, cards } = planned();
    for (const card of cards) {
      const activity = LIBRARY.find(
        (one) => one.id === week.problem.activities[card.activity]!.id,
      )!;
      const { minutes } = entryOf(week, card, id(1));
      expect(minutes).toBeLessThanOrEqual(Math.max(activity.minutes[0], 5));
    }
  });

  it('plans one day with the others held fast', () => {
    const { week, cards } = planned();
    let n = 700;
    const entries = entryChanges(week, cards, () => id(n++)).added;
    const day = addDays(MONDAY, 2);
    const one = forDay(weekProblem(facts({ entries })), day);
    expect(one.problem.days.filter((each) => each.open).map((each) => each.day)).toEqual([day]);
    const fresh = firstPlan(one.problem);
    expect(fresh.length).toBeGreaterThan(0);
    expect(fresh.every((card) => one.problem.days[card.day]!.day === day)).toBeTrue();
    const { removed } = entryChanges(one, fresh, () => id(n++), day);
    expect(removed.every((entry) => entry.day === day)).toBeTrue();
  });

  it('names pins that cannot stand, and lets limits pass with a word', () => {
    const { week, cards } = planned();
    let n = 800;
    const entries = entryChanges(week, cards, () => id(n++)).added;
    const pinned = entries.map((one): PlanEntry => ({ ...one, pinned: true }));
    const [some] = pinned as [PlanEntry];
    const check = (more: Partial<WeekFacts>) => checkWeek(weekProblem(facts(more)));
    const quiet = { things: [large] };
    expect(check({ entries: pinned, ...quiet }).refusals).toEqual([]);
    const away = new Map([[some.day, [wren.id, juno.id]]]);
    expect(check({ entries: [some], away, ...quiet }).refusals[0]).toMatch(
      /everyone on it is away/,
    );
    const gone = [{ ...some, activityId: 'gone' }];
    expect(check({ entries: gone, ...quiet }).refusals[0]).toMatch(
      /no longer among the activities/,
    );
    const twice = [some, { ...some, id: id(900), day: addDays(some.day, 1) }];
    const { refusals, notes } = check({ entries: twice, ...quiet });
    expect(refusals).toEqual([]);
    expect(notes.join(' ')).toContain('two days running');
  });
});

describe('what is said of a plan', () => {
  it('says why: a skill of each child, and what would stand there instead', () => {
    const week = weekProblem(facts());
    const cards = firstPlan(week.problem);
    for (const card of cards) {
      const { children, instead } = whyCard(
        week,
        card,
        cards.filter((one) => one !== card),
      );
      expect(children.length).toBe(card.takers.length);
      expect(children.every((one) => one.skillId !== null)).toBeTrue();
      expect(instead).toMatch(/^(Next best here: .+ brings .+|Nothing else fits here now)\.$/);
    }
  });

  it('counts the days of every strand, and says why one is missing', () => {
    const week = weekProblem(facts({}, [{ ...juno, id: id(7) }]));
    const [none] = coverageOf(week.problem, []);
    expect(none!.touched).toEqual([]);
    expect(none!.missing.find((one) => one.strand === 'add')!.because).toBe('nothing open yet');
    const [some] = coverageOf(week.problem, firstPlan(week.problem));
    expect(some!.touched.length).toBeGreaterThanOrEqual(4);
    expect(some!.touched.length + some!.missing.length).toBe(11);
  });

  it('offers for five minutes only what fits into them, setting up included', () => {
    const week = weekProblem(facts({ things: [large], now: '10:45', today: MONDAY }));
    const offered = (minutes: number) =>
      rightNow(week.problem, [], [], { day: 0, now: '10:45', minutes });
    for (const minutes of [2, 5, 15]) {
      const found = offered(minutes);
      expect(found.length).toBe(3);
      for (const { activity, moment } of found) {
        const one = week.problem.activities[activity]!;
        expect(one.minutes + one.setUpMinutes).toBeLessThanOrEqual(minutes);
        expect(week.problem.moments[moment]!.id).toBe('snack');
      }
    }
    const [first] = offered(5);
    const card = { ...first!, takers: first!.takers };
    const later = rightNow(week.problem, [], [card], { day: 0, now: '10:45', minutes: 5 });
    expect(later.some((one) => one.activity === card.activity)).toBeFalse();
  });

  it('puts shares and gaps into plain words', () => {
    expect([1.2, 1, 0.9, 0.5, 0.1].map(shareWords)).toEqual([
      'more',
      'just as much',
      'almost as much',
      'half as much',
      'little beside it',
    ]);
    expect(nearnessWords(100, null)).toBe('How near it is to the best plan is not known.');
    expect(nearnessWords(100, 100.05)).toMatch(/more than a hair/);
    expect(nearnessWords(100, 100.42)).toMatch(/^At most 0\.5 %/);
    expect(nearnessWords(100, 102.3)).toMatch(/^At most 3 %/);
  });
});
