import * as fc from 'fast-check';
import { SKILLS, skillOf } from '../skills/index.js';
import { type Observation, type Outcome, addDays } from '../vocabulary/index.js';
import { type ChildState, type Fact, emptyState, fold, foldAll } from './fold.js';
import { standingOf } from './standing.js';
import { viewOf } from './conclude.js';

const DAY = '2026-03-02';
const CHILD = '00000000-0000-4000-8000-000000000001';
const uuid = (n: number): string => `00000000-0000-4000-8000-${String(n).padStart(12, '0')}`;

function observe(n: number, skillId: string, day: number, more: Partial<Observation>): Fact {
  const item = skillOf(skillId).items[n % skillOf(skillId).items.length]!;
  const on = addDays(DAY, day);
  return {
    kind: 'observation',
    observation: {
      id: uuid(n),
      childId: CHILD,
      sittingId: uuid(900_000 + day),
      activityId: null,
      skillId,
      itemId: item.id,
      at: `${on}T09:00:00.000Z`,
      day: on,
      outcome: 'own',
      triedFirst: true,
      answered: null,
      reason: null,
      things: [],
      notedBy: '',
      note: '',
      record: { kind: 'note', words: '' },
      ...more,
    },
  };
}

const takeBack = (n: number, observationId: string): Fact => ({
  kind: 'voiding',
  voiding: { id: uuid(500_000 + n), observationId, at: `${DAY}T20:00:00.000Z`, notedBy: '' },
});

/** Folds one by one, and from all facts so far whenever the fold asks for it. */
function foldEach(facts: readonly Fact[]): ChildState {
  let state = emptyState(CHILD, 'middle');
  facts.forEach((fact, i) => {
    const next = fold(state, fact);
    state = 'state' in next ? next.state : foldAll(CHILD, 'middle', facts.slice(0, i + 1));
  });
  return state;
}

const some = SKILLS.filter((skill) => ['touch-5', 'name-10', 'same-5'].includes(skill.id));
const outcomes: Outcome[] = ['own', 'own', 'help', 'not-yet', 'not-now'];

const history = fc
  .array(
    fc.record({
      skill: fc.constantFrom(...some.map((skill) => skill.id)),
      gap: fc.integer({ min: 0, max: 2 }),
      minute: fc.integer({ min: 0, max: 59 }),
      outcome: fc.constantFrom(...outcomes),
      sitting: fc.integer({ min: 0, max: 1 }),
      voided: fc.integer({ min: 0, max: 7 }),
    }),
    { maxLength: 24 },
  )
  .map((rows) => {
    let day = 0;
    return rows.flatMap((row, n) => {
      day += Math.max(0, row.gap - 1) * 3;
      const on = addDays(DAY, day);
      const fact = observe(n, row.skill, day, {
        outcome: row.outcome,
        sittingId: uuid(900_000 + day * 2 + row.sitting),
        at: `${on}T09:${String(row.minute).padStart(2, '0')}:00.000Z`,
      });
      return row.voided === 0 ? [fact, takeBack(n, uuid(n))] : [fact];
    });
  });

describe('the fold', () => {
  it('gives the same state fact by fact as from the beginning, with voids, in any order within a day', () => {
    fc.assert(
      fc.property(history, (facts) => {
        expect(foldEach(facts)).toEqual(foldAll(CHILD, 'middle', facts));
      }),
      { numRuns: 500, seed: 7 },
    );
  });

  it('survives JSON', () => {
    const state = foldEach([observe(1, 'touch-5', 0, {}), observe(2, 'touch-5', 3, {})]);
    const again = fold(
      JSON.parse(JSON.stringify(state)) as ChildState,
      observe(3, 'touch-5', 5, {}),
    );
    expect(again).toEqual(fold(state, observe(3, 'touch-5', 5, {})));
  });

  it('asks for a rebuild when a fact of a closed day arrives', () => {
    const late = foldEach([observe(1, 'touch-5', 4, {})]);
    expect(fold(late, observe(2, 'touch-5', 1, {}))).toEqual({ rebuild: true });
    expect(fold(late, takeBack(9, uuid(77)))).toEqual({ rebuild: true });
  });

  it('becomes secure only over two days, and names what is still open', () => {
    const oneDay = Array.from({ length: 15 }, (_, n) => observe(n, 'touch-5', 0, {}));
    const skill = skillOf('touch-5');
    const after = (facts: Fact[]): ChildState => foldAll(CHILD, 'middle', facts);
    const today = addDays(DAY, 3);
    expect(standingOf(skill, after(oneDay).skills['touch-5'], today)).toBe('nearly');
    const twoDays = [...oneDay, ...[20, 21, 22, 23, 24].map((n) => observe(n, 'touch-5', 2, {}))];
    expect(standingOf(skill, after(twoDays).skills['touch-5'], today)).toBe('secure');
    expect(viewOf(skill, after(twoDays), today).reason).toBe(
      'Secure: 20 of 20 on own on 2 days; all 5 asked.',
    );
    const three = viewOf(skill, after(oneDay.slice(0, 3)), today);
    expect(three.reason).toContain('3 of 3 on own on 1 day; not asked yet: four and five');
  });

  it('comes back after a poor sitting, and when fourteen days have passed', () => {
    const skill = skillOf('touch-5');
    const good = [0, 2, 4].flatMap((day) =>
      Array.from({ length: 5 }, (_, n) => observe(day * 10 + n, 'touch-5', day, {})),
    );
    const secure = foldAll(CHILD, 'middle', good).skills['touch-5'];
    expect(standingOf(skill, secure, addDays(DAY, 17))).toBe('secure');
    expect(standingOf(skill, secure, addDays(DAY, 18))).toBe('come-back');
    const poor = Array.from({ length: 4 }, (_, n) =>
      observe(200 + n, 'touch-5', 44, { outcome: 'not-yet' }),
    );
    const after = foldAll(CHILD, 'middle', [...good, ...poor]);
    expect(standingOf(skill, after.skills['touch-5'], addDays(DAY, 44))).toBe('come-back');
    expect(viewOf(skill, after, addDays(DAY, 44)).reason).toContain('it was secure, and then');
  });

  it('gives one try a stretch for a reach, up to the first one not completed', () => {
    const reach = observe(1, 'say-20', 0, {
      record: {
        kind: 'reach',
        language: 'en',
        direction: 'up',
        from: 1,
        to: 20,
        stop: 20,
        leftOut: [15],
        repeated: [],
        swapped: [],
        said: null,
        guess: null,
      },
      outcome: 'not-yet',
    });
    const { skills } = foldAll(CHILD, 'middle', [reach]);
    expect(skills['say-5']!.ledger.own).toBe(2);
    expect(skills['say-10']!.ledger.own).toBe(2);
    expect(skills['say-20']!.ledger.items).toEqual({
      'to-12': { asked: 1, own: 1, last: 'own' },
      'to-14': { asked: 1, own: 1, last: 'own' },
      'to-15': { asked: 1, own: 0, last: 'not-yet' },
    });
    expect(skills['say-50']).toBeUndefined();
  });

  it('keeps a tracking slip apart from knowing that the last word is how many', () => {
    const count = observe(1, 'total-10', 0, {
      outcome: 'not-yet',
      record: {
        kind: 'count',
        language: 'en',
        n: 7,
        layout: 'row',
        words: 9,
        lastWord: 9,
        skipped: 0,
        doubled: 2,
        answer: 9,
        recounted: false,
      },
    });
    const { skills } = foldAll(CHILD, 'middle', [count]);
    expect(skills['touch-10']!.ledger.items['n7']!.last).toBe('not-yet');
    expect(skills['total-10']!.ledger.items['n7']!.last).toBe('own');
  });
});
