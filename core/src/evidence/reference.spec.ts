import fc from 'fast-check';
import { GUESS_CHANCE, SKILLS, skillOf } from '../skills/index.js';
import { OUTCOMES, type Outcome } from '../vocabulary/index.js';
import { chanceOfMastery, expectedMastery, priorAbility } from './ability.js';
import { type ChildState, emptyState } from './replay.js';
import { type Asked, nextPrompt, wantedChance } from './prompt.js';
import { type Evidence, afterDay, afterGap } from './update.js';

/**
 * The same rule once more, as plainly as its formulas read: Bayes over a grid of abilities, each
 * chance worked out where it is needed, ends clamped by hand. Nothing is shared with the product.
 */
const POINTS = Array.from({ length: 61 }, (_, i) => -6 + 0.2 * i);
const clamp = (i: number): number => Math.max(0, Math.min(60, i));
const scaled = (weights: number[]): number[] => {
  const sum = weights.reduce((a, b) => a + b, 0);
  return weights.map((one) => one / sum);
};
const bell = (x: number, sd: number): number => Math.exp((-x * x) / (2 * sd * sd));

function chance(theta: number, skillId: string, itemId: string, guess: number): number {
  const item = skillOf(skillId).items.find((one) => one.id === itemId)!;
  return guess + (0.95 - guess) / (1 + Math.exp(-(theta - item.difficulty)));
}

function plainDay(skillId: string, prior: readonly number[], tries: readonly Evidence[]): number[] {
  const guessOf = (one: Evidence): number => one.guess ?? GUESS_CHANCE[skillOf(skillId).answers];
  const likelihood = POINTS.map((theta) =>
    tries.reduce((product, one) => {
      const p = chance(theta, skillId, one.itemId!, guessOf(one));
      if (one.outcome === 'own') return product * p;
      return one.outcome === 'not-now' ? product : product * (1 - p);
    }, 1),
  );
  return scaled(
    POINTS.map((_, i) => {
      let sum = 0;
      for (let d = -8; d <= 8; d++) sum += bell(0.2 * d, 0.5) * likelihood[clamp(i + d)]!;
      return prior[i]! * sum;
    }),
  );
}

function plainGap(belief: readonly number[], days: number, secure: boolean): number[] {
  const sd = Math.sqrt((secure ? 0.02 : 0.09) * Math.min(30, days));
  const radius = Math.min(30, Math.ceil((3 * sd) / 0.2));
  const kernel = scaled(
    Array.from({ length: 2 * radius + 1 }, (_, k) => bell(0.2 * (k - radius), sd)),
  );
  const after = new Array<number>(61).fill(0);
  belief.forEach((weight, i) =>
    kernel.forEach((share, k) => (after[clamp(i + k - radius)]! += weight * share)),
  );
  return after;
}

function plainMastery(skillId: string, belief: readonly number[]): { p: number; mean: number } {
  const { items, answers } = skillOf(skillId);
  const shares = POINTS.map(
    (theta) =>
      items.reduce((sum, item) => sum + chance(theta, skillId, item.id, GUESS_CHANCE[answers]), 0) /
      items.length,
  );
  return {
    p: belief.reduce((sum, weight, i) => sum + (shares[i]! >= 0.75 ? weight : 0), 0),
    mean: belief.reduce((sum, weight, i) => sum + weight * shares[i]!, 0),
  };
}

const aSkill = fc.constantFrom('bond-5', 'touch-5', 'name-10', 'partner-10', 'more-5');
const aDay = fc.record({
  gap: fc.integer({ min: 1, max: 60 }),
  secure: fc.boolean(),
  tries: fc.array(
    fc.record({
      pick: fc.nat(50),
      outcome: fc.constantFrom<Outcome>(...OUTCOMES),
    }),
    { minLength: 1, maxLength: 10 },
  ),
});

describe('the belief beside a plain working-out of its formulas', () => {
  it('agrees to twelve digits over any course of days, and stays a distribution', () => {
    fc.assert(
      fc.property(aSkill, fc.array(aDay, { minLength: 1, maxLength: 8 }), (skillId, days) => {
        const skill = skillOf(skillId);
        let fast = priorAbility();
        let plain: number[] = scaled(POINTS.map((theta) => bell(theta + 0.5, 1.5)));
        for (const { gap, secure, tries } of days) {
          const evidence = tries.map(({ pick, outcome }): Evidence => ({
            itemId: skill.items[pick % skill.items.length]!.id,
            outcome,
            guess: null,
          }));
          fast = afterDay(skill, afterGap(fast, gap, secure), evidence);
          plain = plainGap(plain, gap, secure);
          const says = evidence.some((one) => one.outcome !== 'not-now');
          if (says) plain = plainDay(skillId, plain, evidence);
        }
        fast.forEach((weight, i) => expect(weight).toBeCloseTo(plain[i]!, 12));
        expect(fast.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 12);
        const { p, mean } = plainMastery(skillId, plain);
        expect(chanceOfMastery(skill, fast)).toBeCloseTo(p, 10);
        expect(expectedMastery(skill, fast)).toBeCloseTo(mean, 10);
      }),
      { numRuns: 60 },
    );
  });

  it('never falls with one more on their own, nor rises with one more not yet, for any skill', () => {
    for (const skill of SKILLS) {
      const one = (outcome: Outcome): number => {
        const itemId = skill.items[0]!.id;
        const tries = [{ itemId, outcome, guess: null }];
        return expectedMastery(skill, afterDay(skill, priorAbility(), tries));
      };
      const before = expectedMastery(skill, priorAbility());
      expect(one('own')).withContext(skill.id).toBeGreaterThan(before);
      expect(one('not-yet')).withContext(skill.id).toBeLessThan(before);
      expect(one('help')).withContext(skill.id).toBe(one('not-yet'));
      expect(one('not-now')).withContext(skill.id).toBe(before);
    }
  });
});

describe('what is asked next', () => {
  const DAY = '2026-03-02';
  const pool = (skillId: string) =>
    skillOf(skillId).items.map(({ id }) => ({ skillId, itemId: id, key: id }));

  it('is friendly first, last and after a not yet, and otherwise keeps about 0.78 on their own', () => {
    const after = (...outcomes: Outcome[]): number =>
      wantedChance(
        outcomes.map((outcome, i) => ({ key: String(i), outcome })),
        false,
      );
    expect(wantedChance([], false)).toBe(0.85);
    expect(after('own', 'not-yet')).toBe(0.85);
    expect(wantedChance([{ key: 'a', outcome: 'own' }], true)).toBe(0.85);
    // 0.78 × 2 − 1 = 0.56, lifted to 0.6; 0.78 × 3 − 1 = 1.34, lowered to 0.9.
    expect(after('own')).toBe(0.6);
    expect(after('own', 'help')).toBe(0.9);
    expect(after('own', 'own', 'not-now')).toBe(0.6);
    expect(after('own', 'help', 'own')).toBe(0.9);
  });

  it('is never the same twice running, and comes round to everything before it repeats', () => {
    for (const skillId of ['bond-5', 'touch-5', 'name-10']) {
      const candidates = pool(skillId);
      const asked: Asked[] = [];
      const state = emptyState('c', 'balanced');
      for (let i = 0; i < 3 * candidates.length; i++) {
        const next = nextPrompt(candidates, state, asked, DAY, 'seed')!;
        expect(next.key).not.toBe(asked.at(-1)?.key ?? '');
        asked.push({ key: next.key, outcome: 'own' });
        const counts = candidates.map(({ key }) => asked.filter((one) => one.key === key).length);
        expect(Math.max(...counts) - Math.min(...counts))
          .withContext(skillId)
          .toBeLessThan(3);
      }
    }
  });

  it('is the same for the same seed, and asks the only one there is', () => {
    const candidates = pool('bond-5');
    const state: ChildState = emptyState('c', 'balanced');
    const ask = (seed: string) => nextPrompt(candidates, state, [], DAY, seed);
    expect(ask('a')).toEqual(ask('a'));
    expect(nextPrompt([], state, [], DAY, 'a')).toBeNull();
    const [only] = candidates;
    expect(nextPrompt([only!], state, [{ key: only!.key, outcome: 'own' }], DAY, 'a')).toEqual(
      only!,
    );
  });
});
