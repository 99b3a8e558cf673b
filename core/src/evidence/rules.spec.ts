import type { Item, Skill } from '../skills/index.js';
import type { Outcome } from '../vocabulary/index.js';
import { chanceOfMastery, expectedMastery, priorAbility } from './ability.js';
import { type Evidence, afterDay, afterGap, counts } from './update.js';

/**
 * Check values: six items at -1.5 -0.9 -0.3 0.3 0.9 1.5, guess 0.05, computed twice by programs
 * that share no code with this one; given to four digits.
 */
const skillWith = (difficulties: number[], answers: Skill['answers']): Skill => ({
  id: 'check',
  strand: 'count',
  title: '',
  short: '',
  families: '',
  watchFor: '',
  buildsOn: [],
  matches: [],
  answers,
  to: 6,
  items: difficulties.map((difficulty, i): Item => ({
    id: `n${i}`,
    label: '',
    number: i,
    first: i,
    parts: [],
    form: null,
    difficulty,
  })),
});

const six = skillWith([-1.5, -0.9, -0.3, 0.3, 0.9, 1.5], 'spoken');
const tried = (item: number, outcome: Outcome, triedFirst = true): Evidence => ({
  itemId: `n${item}`,
  outcome,
  triedFirst,
  guess: null,
});
const own = (...items: number[]): Evidence[] => items.map((item) => tried(item, 'own'));

/** p and E[M] after each day of [day, tries]. */
function course(skill: Skill, days: [number, Evidence[]][]): [p: number, m: number][] {
  let belief = priorAbility();
  let last: number | null = null;
  return days.map(([day, tries]) => {
    if (last !== null) belief = afterGap(belief, day - last);
    last = day;
    belief = afterDay(skill, belief, tries);
    return [chanceOfMastery(skill, belief), expectedMastery(skill, belief)];
  });
}

const closeTo = (found: [number, number], p: number, m: number): void => {
  expect(found[0]).toBeCloseTo(p, 4);
  expect(found[1]).toBeCloseTo(m, 4);
};

describe('the evidence rule', () => {
  it('starts from the prior', () => {
    const prior = priorAbility();
    closeTo([chanceOfMastery(six, prior), expectedMastery(six, prior)], 0.0911, 0.4289);
  });

  it('weighs one try by outcome and item', () => {
    const after = (one: Evidence): [number, number] =>
      course(six, [[0, [one]]])[0] as [number, number];
    closeTo(after(tried(0, 'own')), 0.1292, 0.4972);
    closeTo(after(tried(0, 'help')), 0.059, 0.3994);
    closeTo(after(tried(0, 'not-yet')), 0.0202, 0.3021);
    closeTo(after(tried(5, 'own')), 0.2547, 0.5813);
  });

  it('grows over three days of all on own', () => {
    const all = own(0, 1, 2, 3, 4, 5);
    const found = course(six, [
      [0, all],
      [2, all],
      [4, all],
    ]);
    closeTo(found[0]!, 0.5945, 0.755);
    closeTo(found[1]!, 0.8679, 0.8341);
    closeTo(found[2]!, 0.9587, 0.8684);
  });

  it('follows a mixed course', () => {
    const mixed = [...own(0, 1, 2, 3), tried(4, 'help'), tried(5, 'not-yet')];
    const all = own(0, 1, 2, 3, 4, 5);
    const found = course(six, [
      [0, mixed],
      [3, mixed],
      [5, all],
      [8, all],
    ]);
    const p = [0.1998, 0.269, 0.6237, 0.8477];
    found.forEach(([seen], i) => expect(seen).toBeCloseTo(p[i]!, 4));
    expect(found[3]![1]).toBeCloseTo(0.819, 4);
  });

  it('asks more of a skill that can be guessed', () => {
    const three = skillWith([-1, 0, 1], 'pick-3');
    const all = [...own(0, 1, 2), ...own(0, 1, 2)];
    const found = course(three, [
      [0, all],
      [1, all],
      [3, all],
    ]);
    [0.6075, 0.8607, 0.9525].forEach((p, i) => expect(found[i]![0]).toBeCloseTo(p, 4));
  });

  it('learns nothing from not now, nor from help given at once', () => {
    expect(counts(tried(0, 'not-now'))).toBeFalse();
    expect(counts(tried(0, 'help', false))).toBeFalse();
    const prior = priorAbility();
    expect(afterDay(six, prior, [tried(0, 'not-now'), tried(1, 'help', false)])).toBe(prior);
  });

  it('keeps all belief on the grid however long the gap', () => {
    const spread = afterGap(afterDay(six, priorAbility(), own(5, 5, 5, 5)), 400);
    expect(spread.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
  });
});
