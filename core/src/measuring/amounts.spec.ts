import fc from 'fast-check';
import {
  byTrial,
  chartQuestions,
  estimateCount,
  farOff,
  fillFor,
  fillOf,
  grouped,
  guessWords,
  isSensible,
  jarHint,
  laidWell,
  leaning,
  nearestOf,
  rangeWords,
  readAlong,
  ruledOut,
  sortedBy,
  targetFor,
  materialMl,
  volumeMl,
} from './index.js';

describe('units along', () => {
  it('marks gaps, overlaps and a beginning that is off; a tenth of a unit is a hand that shakes', () => {
    const good = readAlong(laidWell(5.4));
    expect([good.units, good.gaps, good.words]).toEqual([5, [], '5 and a bit more']);
    const bad = readAlong({ length: 4, starts: [0.2, 1.25, 2.05, 3.05] });
    expect([bad.startOff, bad.gaps, bad.overlaps]).toEqual([true, [], [2]]);
    expect(readAlong({ length: 3, starts: [0, 1.1, 2.25] }).gaps).toEqual([2]);
    expect(readAlong({ length: 4.95, starts: [0, 1, 2, 3, 4] }).words).toBe('5');
    expect(readAlong({ length: 4.7, starts: [0, 1, 2, 3, 4] }).words).toBe('nearly 5');
    expect(readAlong({ length: 3, starts: [] }).words).toBe('nothing laid yet');
  });
});

describe('the jar', () => {
  // Figures of the check: one liter, balls of 25 mm, loose: 73; own arithmetic with Scott 1960.
  it('holds as many as the published packing says, and is filled for a number', () => {
    const ball = { kind: 'ball', diameterMm: 25 } as const;
    const one = materialMl(ball)!;
    expect(one).toBeCloseTo(8.181, 3);
    expect(estimateCount(1000, one, fillOf(ball))).toEqual({ low: 66, high: 73 });
    expect(fillFor(50, one, fillOf(ball))).toEqual({ low: 682, high: 758 });
    expect(byTrial(100, 7, 1000)).toBe(70);
    expect(volumeMl({ kind: 'cylinder', diameterMm: 100, heightMm: 100 })).toBeCloseTo(785.4, 1);
    expect(volumeMl({ kind: 'box', lengthMm: 100, widthMm: 50, heightMm: 20 })).toBe(100);
    expect(materialMl({ kind: 'unknown' })).toBeNull();
    expect([targetFor([20, 10]), targetFor([100, 47]), targetFor([200])]).toEqual([8, 40, 100]);
  });

  it('says where a range lay, how wide it was, and what helps next', () => {
    expect(rangeWords(30, 50, 41)).toBe('41 is inside, and the range was 21 numbers wide.');
    expect(rangeWords(30, 50, 61)).toBe('61 is above the range, by 11; it was 21 numbers wide.');
    expect(leaning(10, 30, 40)).toBe(-0.5);
    const low = { low: 5, high: 20, actual: 40 };
    expect(jarHint([low, low])).toMatch(/bottom layer/);
    expect(jarHint([low])).toBeNull();
    expect(jarHint([low, { low: 38, high: 44, actual: 41 }])).toBeNull();
    expect(grouped(47, 10)).toEqual({ groups: 4, left: 7 });
  });
});

describe('a basket and its chart', () => {
  const basket = ['red', 'red', 'blue', 'red', 'green', 'green', 'green'].map((color, i) => ({
    id: `${i}`,
    name: `thing ${i}`,
    looks: { color, size: i % 2 ? 'small' : 'large' },
  }));
  it('is sorted by one thing and by another, and asked about within the range', () => {
    const columns = sortedBy(basket, 'color');
    expect(columns.map(({ name, count }) => `${name} ${count}`)).toEqual([
      'red 3',
      'blue 1',
      'green 3',
    ]);
    expect(sortedBy(basket, 'size').map((one) => one.count)).toEqual([4, 3]);
    const asked = chartQuestions(columns, 10);
    const answer = (kind: string): string | undefined =>
      asked.find((one) => one.kind === kind)?.answer;
    expect([answer('fewest'), answer('same'), answer('more')]).toEqual(['blue', 'green', '2']);
    // Two columns have most: nobody is asked for the one.
    expect(answer('most')).toBeUndefined();
    expect(asked.every((one) => one.choices.includes(one.answer))).toBeTrue();
    expect(chartQuestions(columns, 1).some((one) => one.kind === 'more')).toBeFalse();
    expect(chartQuestions([], 10)).toEqual([]);
  });
});

describe('guesses at a jar', () => {
  const range = { low: 10, high: 60 };

  it('are ruled out from the end that was chosen, whichever number is tapped', () => {
    const fresh = { low: 1, high: 100 };
    // 51 is too few: the upper half stays, though the middle of the chart lies the other way.
    expect(ruledOut(fresh, 'low', 51)).toEqual({ low: 52, high: 100 });
    expect(ruledOut(fresh, 'high', 51)).toEqual({ low: 1, high: 50 });
    expect(ruledOut(range, 'low', 5)).toEqual({ low: 5, high: 60 });
    expect(ruledOut(range, 'high', 80)).toEqual({ low: 10, high: 80 });
    expect(ruledOut(range, 'low', 60)).toEqual(range);
    expect(ruledOut(range, 'high', 10)).toEqual(range);
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 1, max: 100 }),
        fc.constantFrom('low' as const, 'high' as const),
        fc.integer({ min: 1, max: 100 }),
        (a, b, end, n) => {
          const before = { low: Math.min(a, b), high: Math.max(a, b) };
          const after = ruledOut(before, end, n);
          expect(after.low).toBeLessThanOrEqual(after.high);
          expect(end === 'low' ? after.high === before.high : after.low === before.low).toBeTrue();
        },
      ),
    );
  });

  it('are far off by their number, else by the middle of their range; none is no guess', () => {
    expect(farOff({ range, number: null }, 45)).toBe(10);
    expect(farOff({ range, number: 44 }, 45)).toBe(1);
    expect(farOff({ range: null, number: null }, 45)).toBeNull();
    expect(guessWords({ range: null, number: null }, 45)).toBe('No guess was made.');
    expect(guessWords({ range, number: 40 }, 45)).toBe(
      '45 is inside, and the range was 51 numbers wide. The guess of 40 was 5 too low.',
    );
    expect(guessWords({ range: null, number: 45 }, 45)).toBe('The guess was just 45.');
  });

  it('name whoever lies nearest, several where they are as near, nobody where only one has guessed', () => {
    const of = (number: number | null) => ({ range: null, number });
    expect(
      nearestOf(
        [
          ['k', of(40)],
          ['m', of(50)],
          ['s', of(10)],
        ],
        45,
      ),
    ).toEqual(['k', 'm']);
    expect(
      nearestOf(
        [
          ['k', of(40)],
          ['m', of(null)],
        ],
        45,
      ),
    ).toEqual([]);
  });

  it('are sensible within a quarter, or two', () => {
    expect([30, 34, 46, 51].map((n) => isSensible(n, 40))).toEqual([true, true, true, false]);
    expect([3, 5, 7, 8].map((n) => isSensible(n, 5))).toEqual([true, true, true, false]);
  });
});
