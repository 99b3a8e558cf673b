import {
  byTrial,
  chartQuestions,
  estimateCount,
  fillFor,
  fillOf,
  grouped,
  jarHint,
  laidWell,
  leaning,
  rangeWords,
  readAlong,
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
