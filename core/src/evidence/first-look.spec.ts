import { SKILLS, STRANDS, skillOf } from '../skills/index.js';
import type { PlacementEstimate } from '../vocabulary/index.js';
import { type Look, type LookTry, lookResult, nextLook, levelsByAge } from './first-look.js';
import { type PlaceTry, atLeast, outlook, places } from './place-model.js';

/**
 * Check values: two strands of four skills, guess 0.05, pegs 2 and 3; computed twice by programs
 * that share no code with this one; given to four digits.
 */
describe('places of a first look', () => {
  const four = [0.05, 0.05, 0.05, 0.05];
  const strands = [
    { guesses: four, level: 2 },
    { guesses: four, level: 3 },
  ];
  const after = (tries: readonly PlaceTry[]) => places(strands, [tries, []], false);
  const close = (found: readonly number[] | undefined, wanted: readonly number[]): void => {
    expect(found?.length).toBe(wanted.length);
    wanted.forEach((one, i) => expect(found?.[i]).toBeCloseTo(one, 4));
  };
  const on: PlaceTry = { index: 1, outcome: 'own', guess: 0.05 };
  const not: PlaceTry = { index: 2, outcome: 'not-yet', guess: 0.05 };

  it('start from the pegs', () => {
    const [a = [], b] = after([]);
    close(a, [0.1663, 0.216, 0.2356, 0.216, 0.1663]);
    close(b, [0.1025, 0.166, 0.2257, 0.258, 0.2479]);
    const seen = [0, 1, 2, 3].map((index) => outlook(a, index, 0.05));
    close(
      seen.map((one) => one.chance),
      [0.7969, 0.6915, 0.562, 0.4263],
    );
    close(
      seen.map((one) => one.tells),
      [0.0708, 0.1145, 0.1235, 0.0842],
    );
  });

  it('move with each try, in the other strand too', () => {
    const [a, b] = after([on]);
    close(a, [0.0942, 0.1337, 0.2868, 0.2742, 0.2111]);
    close(b, [0.0962, 0.1601, 0.2236, 0.2621, 0.2579]);
    const [c = [], d] = after([on, not]);
    close(c, [0.1749, 0.2133, 0.4306, 0.1137, 0.0676]);
    close(d, [0.1072, 0.1708, 0.2279, 0.2549, 0.2391]);
    expect([1, 2, 3, 4].filter((k) => atLeast(c, k) >= 0.6).at(-1)).toBe(2);
  });
});

/** So that no age bars a skill. */
const OLD_ENOUGH = 100;

describe('a first look', () => {
  const at = (place: number): PlacementEstimate['levels'] =>
    Object.fromEntries(STRANDS.map((strand) => [strand, place])) as PlacementEstimate['levels'];
  const start: Look = { levels: at(2), byAge: false, since: '2026-03-09', tries: [], seen: [] };

  /** A child who has everything up to a place in each strand, and nothing beyond. */
  function lookAt(place: number): { look: Look; sessions: LookTry[][] } {
    let look = start;
    const sessions: LookTry[][] = [];
    for (let part = 0; part < 3; part++) {
      const session: LookTry[] = [];
      for (;;) {
        const next = nextLook(look, session, OLD_ENOUGH);
        if (!next) break;
        const skill = skillOf(next.skillId);
        const index = SKILLS.filter((one) => one.strand === skill.strand).indexOf(skill);
        const one: LookTry = {
          skillId: skill.id,
          outcome: index < place ? 'own' : 'not-yet',
          guess: 0.05,
        };
        session.push(one);
        look = { ...look, tries: [...look.tries, one] };
      }
      sessions.push(session);
    }
    return { look, sessions };
  }

  it('asks at most fifteen a session and thirty in all, no skill twice running or three times', () => {
    const { look, sessions } = lookAt(4);
    expect(sessions.map((one) => one.length).every((n) => n <= 15)).toBeTrue();
    expect(look.tries.length).toBeGreaterThan(15);
    expect(look.tries.length).toBeLessThanOrEqual(30);
    for (const session of sessions) {
      session.forEach((one, i) => expect(one.skillId).not.toBe(session[i - 1]?.skillId as string));
    }
    const count = (id: string): number => look.tries.filter((one) => one.skillId === id).length;
    expect(Math.max(...look.tries.map((one) => count(one.skillId)))).toBeLessThanOrEqual(2);
  });

  it('raises a child whom the pegs saw too low, and takes as known only from the ground up', () => {
    const { look } = lookAt(5);
    const found = lookResult(look, new Set());
    const sum = STRANDS.reduce((total, strand) => total + found.places[strand], 0);
    expect(sum).toBeGreaterThan(2 * STRANDS.length);
    const taken = new Set(found.taken);
    expect(taken.size).toBeGreaterThan(5);
    for (const id of taken) {
      expect(skillOf(id).buildsOn.every((below) => taken.has(below)))
        .withContext(id)
        .toBeTrue();
    }
  });

  it('takes nothing a child was not yet able to do, unless it was on their own twice', () => {
    const seen = lookAt(0).look;
    const missed = seen.tries.filter((one) => one.outcome === 'not-yet').map((one) => one.skillId);
    const { taken } = lookResult(seen, new Set());
    expect(taken.filter((id) => missed.includes(id))).toEqual([]);
  });

  it('can start from the age alone, more with every year', () => {
    const total = (months: number): number =>
      Object.values(levelsByAge(months)).reduce((sum, one) => sum + one, 0);
    expect(total(20)).toBe(0);
    expect(total(48)).toBeGreaterThan(total(36));
    expect(total(240)).toBe(SKILLS.length);
  });
});
