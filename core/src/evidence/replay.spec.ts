import * as fc from 'fast-check';
import { SKILLS, STRANDS, skillOf } from '../skills/index.js';
import {
  type Observation,
  type Outcome,
  type EducatorOverride,
  type PlacementEstimate,
  addDays,
} from '../vocabulary/index.js';
import { type ChildState, type Fact, emptyState, applyFact, replay, applyFacts } from './replay.js';
import { readySkills } from './ready-skills.js';
import { markOf, statusOf } from './status.js';
import { viewOf } from './conclude.js';
import { FIRST_LOOK } from './tries.js';

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
      sessionId: uuid(900_000 + day),
      activityId: null,
      skillId,
      itemId: item.id,
      at: `${on}T09:00:00.000Z`,
      day: on,
      outcome: 'own',
      triedFirst: true,
      answered: null,
      reason: null,
      materials: [],
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
  let state = emptyState(CHILD, 'balanced');
  facts.forEach((fact, i) => {
    const next = applyFact(state, fact);
    state = 'state' in next ? next.state : replay(CHILD, 'balanced', facts.slice(0, i + 1));
  });
  return state;
}

const word = (n: number, skillId: string, day: number, says: EducatorOverride['says']): Fact => {
  const on = addDays(DAY, day);
  return {
    kind: 'override',
    override: {
      id: uuid(700_000 + n),
      childId: CHILD,
      skillId,
      at: `${on}T09:30:00.000Z`,
      day: on,
      says,
      note: '',
      notedBy: '',
    },
  };
};

const pegs = (n: number, day: number, place: number): Fact => {
  const on = addDays(DAY, day);
  const all = Object.fromEntries(
    STRANDS.map((strand) => [strand, place]),
  ) as PlacementEstimate['levels'];
  return {
    kind: 'placement',
    placement: {
      id: uuid(800_000 + n),
      childId: CHILD,
      at: `${on}T08:00:00.000Z`,
      day: on,
      levels: all,
      byAge: false,
      notedBy: '',
    },
  };
};

// Skills that build on one another, so that what becomes secure reaches the others.
const IDS = ['say-5', 'touch-5', 'total-5', 'give-3', 'more-clear'];
const some = SKILLS.filter((skill) => IDS.includes(skill.id));
const outcomes: Outcome[] = ['own', 'own', 'help', 'not-yet', 'not-now'];

const history = fc
  .array(
    fc.record({
      skill: fc.constantFrom(...some.map((skill) => skill.id)),
      gap: fc.integer({ min: 0, max: 2 }),
      minute: fc.integer({ min: 0, max: 59 }),
      outcome: fc.constantFrom(...outcomes),
      session: fc.integer({ min: 0, max: 1 }),
      look: fc.boolean(),
      extra: fc.integer({ min: 0, max: 11 }),
    }),
    { maxLength: 40 },
  )
  .map((rows) => {
    let day = 0;
    return rows.flatMap((row, n): Fact[] => {
      day += Math.max(0, row.gap - 1) * 3;
      const on = addDays(DAY, day);
      const fact = observe(n, row.skill, day, {
        outcome: row.outcome,
        sessionId: uuid(900_000 + day * 2 + row.session),
        activityId: row.look ? FIRST_LOOK : null,
        at: `${on}T09:${String(row.minute).padStart(2, '0')}:00.000Z`,
      });
      if (row.extra === 0) return [fact, takeBack(n, uuid(n))];
      if (row.extra === 1) return [fact, word(n, row.skill, day, 'secure')];
      if (row.extra === 2) return [fact, word(n, row.skill, day, 'not-there')];
      if (row.extra === 3) return [pegs(n, day, n % 4), fact];
      if (row.extra === 5) return [fact, word(n, row.skill, day, 'go-on')];
      if (row.extra === 4)
        return [word(n, row.skill, day, 'secure'), takeBack(n, uuid(700_000 + n))];
      return [fact];
    });
  });

/** Folds some at once, cut in two wherever `at` says, and from all so far where the fold asks for it. */
function foldInTwo(facts: readonly Fact[], at: number): ChildState {
  const cut = Math.round(at * facts.length);
  const first = applyFacts(emptyState(CHILD, 'balanced'), facts.slice(0, cut));
  const begun = 'state' in first ? first.state : replay(CHILD, 'balanced', facts.slice(0, cut));
  const second = applyFacts(begun, facts.slice(cut));
  return 'state' in second ? second.state : replay(CHILD, 'balanced', facts);
}

describe('the fold', () => {
  it('gives the same state for many facts at once as for all from the beginning', () => {
    fc.assert(
      fc.property(history, fc.float({ min: 0, max: 1, noNaN: true }), (facts, at) => {
        expect(foldInTwo(facts, at)).toEqual(replay(CHILD, 'balanced', facts));
      }),
      { numRuns: 2000, seed: 8 },
    );
  });

  it('gives the same state fact by fact as from the beginning, with voids, in any order within a day', () => {
    fc.assert(
      fc.property(history, (facts) => {
        expect(foldEach(facts)).toEqual(replay(CHILD, 'balanced', facts));
      }),
      { numRuns: 2000, seed: 7 },
    );
  });

  it('survives JSON', () => {
    const state = foldEach([observe(1, 'touch-5', 0, {}), observe(2, 'touch-5', 3, {})]);
    const again = applyFact(
      JSON.parse(JSON.stringify(state)) as ChildState,
      observe(3, 'touch-5', 5, {}),
    );
    expect(again).toEqual(applyFact(state, observe(3, 'touch-5', 5, {})));
  });

  it('asks for a rebuild when a fact of a closed day arrives', () => {
    const late = foldEach([observe(1, 'touch-5', 4, {})]);
    expect(applyFact(late, observe(2, 'touch-5', 1, {}))).toEqual({ rebuild: true });
    expect(applyFact(late, takeBack(9, uuid(77)))).toEqual({ rebuild: true });
  });

  it('becomes secure only over two days, and names what is still open', () => {
    const oneDay = Array.from({ length: 15 }, (_, n) => observe(n, 'touch-5', 0, {}));
    const skill = skillOf('touch-5');
    const after = (facts: Fact[]): ChildState => replay(CHILD, 'balanced', facts);
    const today = addDays(DAY, 3);
    expect(statusOf(skill, after(oneDay))).toBe('nearly');
    const twoDays = [...oneDay, ...[20, 21, 22, 23, 24].map((n) => observe(n, 'touch-5', 2, {}))];
    expect(statusOf(skill, after(twoDays))).toBe('secure');
    expect(viewOf(skill, after(twoDays), today).reason).toBe(
      'Secure: 20 of 20 on their own on 2 days; all 5 asked.',
    );
    const three = viewOf(skill, after(oneDay.slice(0, 3)), today);
    expect(three.reason).toContain('3 of 3 on their own on 1 day; not asked yet: four and five');
  });

  it('is due for review after fourteen days, looked at again when unsure, and lost the second time', () => {
    const skill = skillOf('touch-5');
    const good = [0, 2, 4].flatMap((day) =>
      Array.from({ length: 5 }, (_, n) => observe(day * 10 + n, 'touch-5', day, {})),
    );
    const secure = replay(CHILD, 'balanced', good);
    expect(markOf(skill, secure, addDays(DAY, 17))).toBeNull();
    expect(markOf(skill, secure, addDays(DAY, 18))).toBe('due');
    expect(statusOf(skill, secure)).toBe('secure');
    const poor = (day: number): Fact[] =>
      Array.from({ length: 4 }, (_, n) =>
        observe(200 + day * 10 + n, 'touch-5', day, { outcome: 'not-yet' }),
      );
    const unsure = replay(CHILD, 'balanced', [...good, ...poor(44)]);
    expect(markOf(skill, unsure, addDays(DAY, 44))).toBe('look-again');
    expect(viewOf(skill, unsure, addDays(DAY, 44)).reason).toContain('look again by 22 April');
    const lost = replay(CHILD, 'balanced', [...good, ...poor(44), ...poor(46)]);
    expect(statusOf(skill, lost)).toBe('review');
    expect(viewOf(skill, lost, addDays(DAY, 46)).reason).toContain('it was secure, but then');
  });

  it('rests what hardly ever comes, and asks it again at one tap of the educator', () => {
    const skill = skillOf('touch-5');
    const poor = [0, 2, 4].flatMap((day) =>
      Array.from({ length: 4 }, (_, n) =>
        observe(day * 10 + n, 'touch-5', day, { outcome: 'help' }),
      ),
    );
    const resting = replay(CHILD, 'balanced', poor);
    const today = addDays(DAY, 5);
    expect(markOf(skill, resting, today)).toBe('resting');
    const view = viewOf(skill, resting, today);
    expect(view.reason).toContain('Resting until 20 March');
    expect(view.change).toContain('Instead: “Says the words to five”');
    expect(readySkills(resting, today).map((one) => one.skillId)).not.toContain('touch-5');
    expect(readySkills(resting, today).find((one) => one.skillId === 'say-5')!.why).toBe('open');
    const lifted = replay(CHILD, 'balanced', [...poor, word(1, 'touch-5', 5, 'go-on')]);
    expect(markOf(skill, lifted, today)).toBeNull();
    expect(lifted.overrides).toEqual({});
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
    const { skills } = replay(CHILD, 'balanced', [reach]);
    expect(skills['say-5']!.ledger.own).toBe(2);
    expect(skills['say-10']!.ledger.own).toBe(2);
    expect(skills['say-20']!.ledger.items).toEqual({
      'to-12': { asked: 1, own: 1, last: 'own' },
      'to-14': { asked: 1, own: 1, last: 'own' },
      'to-15': { asked: 1, own: 0, last: 'not-yet' },
    });
    expect(skills['say-50']).toBeUndefined();
  });

  it('leaves what lies before it on their own where help came late in a long count', () => {
    const helped = (leftOut: number[]): ChildState =>
      replay(CHILD, 'balanced', [
        observe(1, 'say-20', 0, {
          record: {
            kind: 'reach',
            language: 'en',
            direction: 'up',
            from: 1,
            to: 20,
            stop: 20,
            leftOut,
            repeated: [],
            swapped: [],
            said: null,
            guess: null,
          },
          outcome: 'help',
        }),
      ]);
    const { skills } = helped([15]);
    expect(skills['say-5']!.ledger.own).toBe(2);
    expect(skills['say-10']!.ledger.own).toBe(2);
    expect(skills['say-20']!.ledger.items['to-15']!.last).toBe('help');
    expect(skills['say-20']!.ledger.items['to-19']).toBeUndefined();
    // Nobody noted where: only the last stretch is known to have had help.
    const nowhere = helped([]).skills;
    expect(nowhere['say-5']).toBeUndefined();
    expect(nowhere['say-20']!.ledger.items).toEqual({
      'to-20': { asked: 1, own: 0, last: 'help' },
    });
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
    const { skills } = replay(CHILD, 'balanced', [count]);
    expect(skills['touch-10']!.ledger.items['n7']!.last).toBe('not-yet');
    expect(skills['total-10']!.ledger.items['n7']!.last).toBe('own');
  });
});
