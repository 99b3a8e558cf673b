import { chiSquaredDistributionTable, sampleCorrelation } from 'simple-statistics';
import {
  type Opening,
  STANDARD_FACES,
  chanceAbove,
  chanceOfSplit,
  drawCard,
  expectedShakes,
  facesUpTo,
  inRooms,
  nextOpening,
  orderedChances,
  orderedWays,
  seeded,
  shaken,
  unorderedChances,
  waysInRooms,
  waysInto,
} from './index.js';

/** Upper 0.5 % point of chi-square, from the reference library's table. */
const critical = (freedom: number): number =>
  (chiSquaredDistributionTable as unknown as Record<number, Record<number, number>>)[
    freedom
  ]![0.005]!;

describe('the shaken tray', () => {
  it('falls as C(n, k) / 2^n: seeded draws pass a chi-square test (reference: simple-statistics)', () => {
    for (const n of [2, 3, 5, 6, 8]) {
      const draws = 8000;
      const random = seeded(1000 + n);
      const seen = new Array<number>(n + 1).fill(0);
      for (let i = 0; i < draws; i++) seen[inRooms(shaken(n, 2, random), 2)[0]!]!++;
      const chi = seen.reduce((sum, count, k) => {
        const expected = draws * chanceOfSplit(n, k);
        return sum + (count - expected) ** 2 / expected;
      }, 0);
      expect(chi).withContext(`n = ${n}`).toBeLessThan(critical(n));
    }
  });

  it('throws each counter for itself', () => {
    const random = seeded(5);
    const throws = Array.from({ length: 4000 }, () => shaken(2, 2, random));
    const together = sampleCorrelation(
      throws.map((one) => one[0]!),
      throws.map((one) => one[1]!),
    );
    expect(Math.abs(together)).toBeLessThan(0.05);
  });

  it('uses three rooms alike', () => {
    const random = seeded(9);
    const seen = [0, 0, 0];
    for (let i = 0; i < 3000; i++) shaken(3, 3, random).forEach((room) => seen[room]!++);
    const chi = seen.reduce((sum, count) => sum + (count - 3000) ** 2 / 3000, 0);
    expect(chi).toBeLessThan(critical(2));
  });

  // Exact values, own arithmetic: the sum over all sets of splits.
  it('needs so many shakes until every split was seen', () => {
    const ordered = [3, 6.3333, 12.4857, 24.5452, 48.6073, 96.7323];
    const unordered = [1, 3, 4.3333, 8.9238, 16.6121, 32.9823];
    ordered.forEach((value, i) =>
      expect(expectedShakes(orderedChances(i + 1))).toBeCloseTo(value, 3),
    );
    unordered.forEach((value, i) =>
      expect(expectedShakes(unorderedChances(i + 1))).toBeCloseTo(value, 3),
    );
  });

  it('needs as many when it is really shaken', () => {
    for (const n of [2, 4, 6]) {
      const random = seeded(77 * n);
      const runs = 3000;
      let all = 0;
      for (let run = 0; run < runs; run++) {
        const seen = new Set<number>();
        while (seen.size <= n) {
          seen.add(inRooms(shaken(n, 2, random), 2)[0]!);
          all++;
        }
      }
      const expected = expectedShakes(orderedChances(n));
      expect(Math.abs(all / runs / expected - 1))
        .withContext(`n = ${n}`)
        .toBeLessThan(0.04);
    }
  });

  it('shows every ordered split of six within twelve openings, and says which were dealt', () => {
    for (let seed = 0; seed < 300; seed++) {
      const random = seeded(seed);
      const openings: Opening[] = [];
      for (let i = 0; i < 12; i++) openings.push(nextOpening(6, 2, openings, random));
      const seen = new Set(openings.map((one) => one.rooms.join('-')));
      expect(seen.size).withContext(`seed ${seed}`).toBe(7);
      expect(openings.slice(0, 5).some((one) => one.dealt)).toBeFalse();
      openings.forEach((one, i) => {
        const before = openings.slice(0, i).map((other) => other.rooms.join('-'));
        if (one.dealt) expect(before).not.toContain(one.rooms.join('-'));
        expect(one.rooms.reduce((a, b) => a + b, 0)).toBe(6);
      });
    }
  });
});

describe('ways to make a number', () => {
  // Ordered: own arithmetic. Unordered: OEIS A001399(n), published.
  it('are as many as published', () => {
    const ordered = [10, 15, 21, 28, 36, 45, 55, 66];
    const unordered = [3, 4, 5, 7, 8, 10, 12, 14];
    ordered.forEach((value, i) => {
      expect(orderedWays(i + 3, 3)).toBe(value);
      expect(waysInRooms(i + 3, 3).length).toBe(value);
    });
    unordered.forEach((value, i) => expect(waysInto(i + 3, 3).length).toBe(value));
  });
});

describe('dice', () => {
  // Published in any primer of probability: two dice pass ten with 3/36.
  it('pass a top as often as published', () => {
    const two = [STANDARD_FACES, STANDARD_FACES];
    expect(chanceAbove(10, two)).toBeCloseTo(3 / 36, 10);
    expect(chanceAbove(6, two) - chanceAbove(7, two)).toBeCloseTo(6 / 36, 10);
  });

  it('with chosen faces never pass it', () => {
    expect(facesUpTo(5, 2)).toEqual([
      [0, 0, 1, 1, 2, 2],
      [1, 1, 2, 2, 3, 3],
    ]);
    for (const dice of [1, 2]) {
      for (let top = 3; top <= 12; top++) {
        const faces = facesUpTo(top, dice);
        expect(chanceAbove(top, faces)).withContext(`${dice} dice to ${top}`).toBe(0);
        expect(faces.every((one) => one.length === 6 && Math.min(...one) >= 0)).toBeTrue();
      }
    }
  });
});

describe('the number draw', () => {
  it('gives none of the last three again, and every card in time', () => {
    const random = seeded(3);
    const drawn: number[] = [];
    for (let i = 0; i < 400; i++) {
      const card = drawCard(1, 10, drawn, random);
      expect(drawn.slice(-3)).not.toContain(card);
      drawn.push(card);
    }
    expect(new Set(drawn).size).toBe(10);
    expect(drawCard(4, 4, [4, 4, 4], random)).toBe(4);
  });
});
