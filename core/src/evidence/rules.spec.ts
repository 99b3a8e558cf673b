import type { Item, Skill } from '../skills/index.js';
import { type Outcome, type Policy, addDays } from '../vocabulary/index.js';
import { chanceOfMastery, expectedMastery, priorAbility } from './ability.js';
import { EMPTY_EVIDENCE } from './day.js';
import { EMPTY_LEDGER, type Ledger, isResting, itemsSuffice, replaySkill } from './ledger.js';
import { computedStatus, markOf } from './status.js';
import type { SkillState } from './state.js';
import type { Try } from './tries.js';
import { afterDay, afterGap, counts } from './update.js';

/**
 * Check values: six items a to f at -1.5 -0.9 -0.3 0.3 0.9 1.5, guess 0.05, computed twice by
 * programs that share no code with this one; given to four digits.
 */
const skillWith = (difficulties: number[], answers: Skill['answers']): Skill => ({
  id: 'check',
  family: 'touch',
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
    id: 'abcdef'.charAt(i),
    label: '',
    number: i + 1,
    first: i + 1,
    parts: [],
    form: null,
    difficulty,
  })),
});

const SIX = skillWith([-1.5, -0.9, -0.3, 0.3, 0.9, 1.5], 'spoken');
const FIRST = '2026-03-02';

/** "abcd own, e help, f not-yet": the tries of a day. */
function tries(words: string, day: number, session = 's'): Try[] {
  return words.split(', ').flatMap((part) => {
    const [items = '', outcome = ''] = part.split(' ');
    return [...items].map((itemId, i): Try => ({
      observationId: `${words}-${itemId}-${i}`,
      skillId: 'check',
      itemId,
      outcome: outcome as Outcome,
      guess: null,
      at: '',
      day: addDays(FIRST, day),
      session: `${session}${day}`,
      materials: [],
      slips: [],
      firstLook: false,
    }));
  });
}

interface Seen {
  readonly p: number;
  readonly mean: number;
  readonly is: string;
  readonly ledger: Ledger;
}

/** What stands after each day of [day, tries]. */
function course(
  days: readonly (readonly [number, string])[],
  skill = SIX,
  policy: Policy = 'balanced',
): Seen[] {
  let state: SkillState | null = null;
  return days.map(([n, words]) => {
    const day = addDays(FIRST, n);
    const before: SkillState | null = state;
    const gap = before ? n - days[days.findIndex(([one]) => one === n) - 1]![0] : 0;
    const prior = before
      ? afterGap(before.belief, gap, before.ledger.verdict === 'secure')
      : priorAbility();
    state = {
      day,
      ...replaySkill(skill, prior, before?.ledger ?? EMPTY_LEDGER, tries(words, n), policy),
    };
    const core = { ...EMPTY_EVIDENCE, skills: { check: state } };
    return {
      p: chanceOfMastery(skill, state.belief),
      mean: expectedMastery(skill, state.belief),
      is: markOf(skill, core, day) ?? computedStatus(skill, core),
      ledger: state.ledger,
    };
  });
}

function expectCourse(
  found: readonly Seen[],
  wanted: readonly (readonly [p: number, mean: number, is?: string])[],
): void {
  expect(found.length).toBe(wanted.length);
  wanted.forEach(([p, mean, is], i) => {
    expect(found[i]!.p).withContext(`p of day ${i}`).toBeCloseTo(p, 4);
    expect(found[i]!.mean).withContext(`mean of day ${i}`).toBeCloseTo(mean, 4);
    if (is) expect(found[i]!.is).withContext(`day ${i}`).toBe(is);
  });
}

const ALL = 'abcdef own';

describe('the evidence rule', () => {
  it('starts from the prior', () => {
    expect(chanceOfMastery(SIX, priorAbility())).toBeCloseTo(0.0911, 4);
    expect(expectedMastery(SIX, priorAbility())).toBeCloseTo(0.4289, 4);
  });

  it('decides nothing from one try', () => {
    expectCourse(course([[0, 'e own']]), [[0.2257, 0.5711, 'started']]);
  });

  it('grows over three days of all on their own', () => {
    const days = [0, 2, 4].map((day) => [day, ALL] as const);
    expectCourse(course(days), [
      [0.5945, 0.755, 'nearly'],
      [0.8713, 0.8363, 'secure'],
      [0.9622, 0.8698, 'secure'],
    ]);
  });

  it('follows a mixed course', () => {
    const mixed = 'abcd own, e help, f not-yet';
    const days = [
      [0, mixed],
      [3, mixed],
      [5, ALL],
      [8, ALL],
      [10, ALL],
    ] as const;
    expectCourse(course(days), [
      [0.1181, 0.5665, 'started'],
      [0.1383, 0.6071, 'started'],
      [0.5135, 0.7376, 'nearly'],
      [0.8079, 0.8101, 'nearly'],
      [0.9296, 0.8501, 'secure'],
    ]);
  });

  it('never calls a child secure who has half of it with help, however long', () => {
    const days = [0, 2, 4, 6].map((day) => [day, 'ace own, bdf help'] as const);
    expectCourse(course(days, SIX, 'follow-child'), [
      [0.0385, 0.466, 'started'],
      [0.0217, 0.48, 'started'],
      [0.0153, 0.487, 'started'],
      [0.0128, 0.4912, 'started'],
    ]);
  });

  it('asks more of a skill that can be guessed', () => {
    const three = skillWith([-1, 0, 1], 'pick-3');
    const days = [0, 1, 3].map((day) => [day, 'abcabc own'] as const);
    expectCourse(course(days, three, 'secure-first'), [
      [0.6075, 0.7687, 'nearly'],
      [0.8617, 0.8401, 'nearly'],
      [0.9516, 0.8732, 'secure'],
    ]);
  });

  it('looks again where a secure skill becomes unsure, and loses it the second time running', () => {
    const until = [0, 2, 4].map((day) => [day, ALL] as const);
    const then = [
      ...until,
      [18, 'a own, c not-yet, e help'],
      [25, 'b help, d own, f not-yet'],
    ] as const;
    const found = course(then);
    expectCourse(found.slice(3), [
      [0.6936, 0.7854, 'secure'],
      [0.4304, 0.7133, 'look-again'],
    ]);
    expect(found[4]!.ledger.lookAgain).toBe(addDays(FIRST, 25 + 7));
    const lost = course([...then, [30, 'abc not-yet']]).at(-1)!;
    expect([lost.is, lost.ledger.revisit, lost.ledger.lookAgain]).toEqual(['review', null, null]);
    const glanced = course([...then, [30, 'a not-yet']]).at(-1)!;
    expect(glanced.is).toBe('look-again');
    const cleared = course([...then, [27, 'abcdef own']]).at(-1)!;
    expect([cleared.is, cleared.ledger.lookAgain]).toEqual(['secure', null]);
    // A doubt that clears is no step further.
    expect(cleared.ledger.revisit!.step).toBe(found[3]!.ledger.revisit!.step);
  });

  it('weighs help, early or late, as not yet, and what was not for today not at all', () => {
    const after = (words: string): number[] => [...afterDay(SIX, priorAbility(), tries(words, 0))];
    expect(after('a own, b help')).toEqual(after('a own, b not-yet'));
    expect(counts({ outcome: 'not-now' })).toBeFalse();
    expect(afterDay(SIX, priorAbility(), tries('ab not-now', 0))).toEqual(priorAbility());
  });

  it('lets what is secure drift less, and keeps all belief on the grid however long the gap', () => {
    const belief = afterDay(SIX, priorAbility(), tries('ffff own', 0));
    for (const secure of [true, false]) {
      const spread = afterGap(belief, 400, secure);
      expect(spread.reduce((sum, weight) => sum + weight, 0)).toBeCloseTo(1, 12);
    }
    const variance = (secure: boolean): number => {
      const spread = afterGap(belief, 10, secure);
      const mean = spread.reduce((sum, weight, i) => sum + weight * i, 0);
      return spread.reduce((sum, weight, i) => sum + weight * (i - mean) ** 2, 0);
    };
    expect(variance(true)).toBeLessThan(variance(false));
  });
});

describe('what is asked of a decision', () => {
  const zeroes: Skill = {
    ...SIX,
    items: SIX.items.map((item, i) => ({ ...item, parts: [i, 5 - i] })),
  };

  it('does not call secure what was seen of nothing and of all only', () => {
    const seen = (own: string): Ledger => course([[0, `${own} own`]], zeroes)[0]!.ledger;
    // a is 0 and 5, f is 5 and 0; b to e lie between.
    expect(itemsSuffice(zeroes, seen('abcf'))).toBeTrue();
    expect(itemsSuffice(zeroes, seen('abc'))).toBeFalse();
    const few = skillWith([-1, 0, 1], 'spoken');
    const ends = { ...few, items: few.items.map((item, i) => ({ ...item, parts: [i, 2 - i] })) };
    // Of a, b and c only b is neither nothing nor all.
    expect(itemsSuffice(ends, course([[0, 'ac own']], ends)[0]!.ledger)).toBeFalse();
    expect(itemsSuffice(ends, course([[0, 'ab own']], ends)[0]!.ledger)).toBeTrue();
  });
});

describe('reviews', () => {
  const until = [
    [0, ALL],
    [2, ALL],
  ] as const;
  const due = (days: readonly (readonly [number, string])[]): string =>
    course(days).at(-1)!.ledger.revisit!.due;

  it('come after 14, 30, 60 and 90 days where three in four were on their own', () => {
    const days: (readonly [number, string])[] = [...until];
    let day = 2;
    for (const wait of [14, 30, 60, 90, 90]) {
      expect(due(days)).toBe(addDays(FIRST, day + wait));
      day += wait;
      days.push([day, 'abcd own']);
    }
  });

  it('are not put off by a session before they are due, nor settled by a try or two', () => {
    expect(due([...until, [10, ALL]])).toBe(addDays(FIRST, 16));
    expect(due([...until, [16, 'ab own']])).toBe(addDays(FIRST, 16));
    expect(due([...until, [16, 'abc own']])).toBe(addDays(FIRST, 16 + 30));
    expect(due([...until, [10, ALL], [16, 'abcd own, ef help']])).toBe(addDays(FIRST, 16 + 14));
  });
});

describe('a step back', () => {
  const hopeless = 'abcd not-yet';

  it('rests a skill for two weeks after twelve tries on three days with hardly one on their own', () => {
    const found = course([
      [0, hopeless],
      [2, hopeless],
      [4, 'a own, bcd help'],
    ]);
    expect(found[1]!.ledger.restUntil).toBeNull();
    expect(found[2]!.is).toBe('resting');
    expect(found[2]!.ledger.restUntil).toBe(addDays(FIRST, 4 + 14));
    expect(isResting(found[2]!.ledger, addDays(FIRST, 17))).toBeTrue();
    expect(isResting(found[2]!.ledger, addDays(FIRST, 18))).toBeFalse();
  });

  it('wants three days, and counts anew afterwards', () => {
    expect(
      course([
        [0, 'abcdef not-yet'],
        [2, 'abcdef not-yet'],
      ]).at(-1)!.ledger.restUntil,
    ).toBeNull();
    const again = course([
      [0, hopeless],
      [2, hopeless],
      [4, hopeless],
      [20, hopeless],
      [22, hopeless],
    ]);
    expect(again.at(-1)!.is).toBe('started');
  });

  it('looks at the latest sessions only, and leaves three in ten alone', () => {
    const some = [
      [0, ALL],
      [2, hopeless],
      [4, hopeless],
      [6, 'abcd own'],
      [8, 'ab own, cd not-yet'],
    ];
    expect(course(some as [number, string][]).at(-1)!.ledger.restUntil).toBeNull();
    const late = [
      [0, ALL],
      [2, hopeless],
      [4, hopeless],
      [6, hopeless],
    ];
    expect(course(late as [number, string][]).at(-1)!.is).toBe('resting');
  });
});
