import { SKILLS, skillOf, skillsOfStrand } from '../skills/index.js';
import { STRANDS, addDays } from '../vocabulary/index.js';
import { aTry } from '../vocabulary/testing.js';
import { chanceKnown } from './expectation.js';
import {
  believedKnown,
  firstSeenAround,
  levelsByAge,
  lookResult,
  nextLook,
  seenOn,
} from './first-look.js';
import type { Look, LookTry } from './first-look.js';
import { type Askable, nextPrompt } from './prompt.js';
import { readySkills } from './ready-skills.js';
import { type ChildState, type Fact, applyFacts, emptyState, replay } from './replay.js';
import { statusOf } from './status.js';
import { FIRST_SESSIONS } from './tries.js';

const DAY = '2026-03-09';
const byAge = (months: number): Fact => ({
  kind: 'placement',
  placement: {
    id: 'p',
    childId: 'c',
    at: `${DAY}T08:00:00Z`,
    day: DAY,
    levels: levelsByAge(months),
    byAge: true,
    notedBy: '',
  },
});
let made = 0;
const own = (skillId: string, day = DAY, outcome: 'own' | 'not-yet' = 'own'): Fact => {
  made += 1;
  const [item] = skillOf(skillId).items;
  const at = `${day}T09:00:${String(made % 60).padStart(2, '0')}Z`;
  const observation = aTry({ id: `o${made}`, childId: 'c', day, at, skillId, outcome });
  return { kind: 'observation', observation: { ...observation, itemId: item!.id } };
};
const placed = (months: number, ...facts: Fact[]): ChildState =>
  replay('c', 'balanced', [byAge(months), ...facts]);
const highest = (state: ChildState): number =>
  Math.max(...readySkills(state, DAY).map(({ skillId }) => skillOf(skillId).to));

describe('a child placed by age', () => {
  it('is assumed to know nothing, and is open to what fits: a five-year-old to more than a two-year-old', () => {
    const [young, old] = [placed(30), placed(63)];
    for (const state of [young, old]) {
      expect(state.assumed).toEqual({});
      expect(SKILLS.every((skill) => statusOf(skill, state) === 'not-started')).toBeTrue();
    }
    expect(highest(young)).toBeLessThanOrEqual(10);
    expect(highest(old)).toBeGreaterThanOrEqual(20);
    const worth = (state: ChildState, id: string): number =>
      readySkills(state, DAY).find(({ skillId }) => skillId === id)?.value ?? 0;
    expect(worth(young, 'say-5')).toBeGreaterThan(worth(old, 'say-5'));
  });

  it('is believed to know less and less along a strand, and between none and all', () => {
    const look = placed(48).look!;
    for (const strand of STRANDS) {
      const chances = skillsOfStrand(strand).map((skill) => believedKnown(look, skill));
      expect(chances.every((one) => one > 0 && one < 1))
        .withContext(strand)
        .toBeTrue();
      expect([...chances].sort((a, b) => b - a)).toEqual(chances);
    }
  });

  it('is known by the first sessions: three tries in a strand, and what lies below is assumed', () => {
    const tries = ['touch-10', 'give-10', 'total-10'].map((id) => own(id));
    expect(placed(60, ...tries.slice(0, 2)).assumed['say-5']).toBeUndefined();
    const state = placed(60, ...tries, own('say-10'), own('say-20'), own('say-10'));
    expect(state.assumed['say-5']).toEqual(
      jasmine.objectContaining({ from: FIRST_SESSIONS, state: 'checking', since: DAY }),
    );
    // Weighed anew each day, and due when it first was.
    const next = applyFacts(state, [own('touch-10', addDays(DAY, 3))]);
    expect('state' in next && next.state.assumed['say-5']!.since).toBe(DAY);
    expect(lookResult(placed(60).look!, new Set()).taken).toEqual([]);
  });

  it('is told by the first two tries of a skill, in the first four weeks', () => {
    const look = placed(48).look!;
    const one: LookTry = { skillId: 'say-5', outcome: 'own', guess: 0.05 };
    const seen = seenOn(look, DAY, [one, one, one, { ...one, outcome: 'not-now' }]);
    expect(seen.seen.length).toBe(2);
    expect(seenOn(seen, DAY, [one])).toBe(seen);
    expect(seenOn(look, addDays(DAY, 28), [one]).seen.length).toBe(1);
    expect(seenOn(look, addDays(DAY, 29), [one])).toBe(look);
  });
});

describe('what is expected of a skill', () => {
  it('is nothing while nothing is known of a child, else what the ground allows', () => {
    expect(chanceKnown(skillOf('bond-10'), emptyState('c', 'balanced'))).toBeNull();
    const begun = replay('c', 'balanced', [own('say-5')]);
    expect(chanceKnown(skillOf('bond-10'), begun)).toBeLessThan(0.1);
    expect(chanceKnown(skillOf('say-5'), begun)).toBeNull();
  });

  it('finds a friendly question where nothing was seen yet', () => {
    const ask = (id: string): Askable => ({
      skillId: id,
      itemId: skillOf(id).items[0]!.id,
      key: id,
    });
    const asked = [{ key: 'x', outcome: 'not-yet' as const }];
    const pool = [ask('say-back-20'), ask('join-20'), ask('say-5')];
    const first = (state: ChildState) => nextPrompt(pool, state, asked, DAY, 's')?.skillId;
    expect(first(placed(30))).toBe('say-5');
  });
});

describe('a first look by age', () => {
  it('asks for nothing that is often first seen more than two years later', () => {
    const look = (months: number): Look => placed(months).look!;
    for (const months of [24, 30, 48]) {
      let state = look(months);
      const session: LookTry[] = [];
      for (;;) {
        const next = nextLook(state, session, months);
        if (!next) break;
        expect(firstSeenAround(skillOf(next.skillId)))
          .withContext(next.skillId)
          .toBeLessThanOrEqual(months + 24);
        const one: LookTry = { skillId: next.skillId, outcome: 'own', guess: 0.05 };
        session.push(one);
        state = { ...state, tries: [...state.tries, one] };
      }
      expect(session.length).toBeGreaterThan(0);
    }
    expect(firstSeenAround(skillOf('partner-10'))).toBeGreaterThan(30 + 24);
  });
});

describe('checks', () => {
  it('settle what they build on, in every strand, and are wanted in its place', () => {
    const says = (skillId: string): Fact => ({
      kind: 'override',
      override: {
        ...{ id: skillId, childId: 'c', skillId, at: `${DAY}T08:00:00Z`, day: DAY },
        ...{ says: 'secure', note: '', notedBy: '' },
      },
    });
    const state = replay('c', 'balanced', [says('total-10')]);
    const wanted = readySkills(state, DAY).filter(({ why }) => why === 'check');
    expect(wanted.map(({ skillId }) => skillId).sort()).toEqual(['total-5', 'touch-10']);
    const later = addDays(DAY, 2);
    const checked = applyFacts(state, [own('touch-10', later), own('touch-10', later)]);
    if (!('state' in checked)) throw new Error('out of order');
    const { assumed } = checked.state;
    expect(['touch-10', 'touch-5', 'say-10', 'say-5'].map((id) => assumed[id]!.state)).toEqual(
      new Array(4).fill('known'),
    );
    expect(assumed['total-5']!.state).toBe('checking');
  });
});
