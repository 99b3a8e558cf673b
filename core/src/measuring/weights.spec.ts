import convert from 'convert-units';
import {
  balanceItem,
  BalanceOrder,
  MASS_UNITS,
  OFF_AFTER_MS,
  SETTLE_MS,
  fromGrams,
  heldBy,
  isClear,
  isSurprise,
  lengthWords,
  orderOf,
  putOn,
  readingAt,
  roundWeights,
  scaleOff,
  scaleStep,
  sideOf,
  suggestDivider,
  switchOn,
  tareNow,
  toGrams,
  weightWords,
} from './index.js';
import { seeded } from '../numbers/index.js';

describe('units', () => {
  // Reference: the package convert-units; oz, lb and inch also by the agreement of 1959.
  it('turn into each other as the tables say', () => {
    for (const unit of MASS_UNITS) {
      for (const value of [0.1, 1, 7, 250, 1999]) {
        const grams = convert(value).from(unit).to('g');
        expect(Math.abs(toGrams(value, unit) / grams - 1))
          .withContext(unit)
          .toBeLessThan(1e-5);
        expect(fromGrams(toGrams(value, unit), unit)).toBeCloseTo(value, 9);
      }
    }
    expect(toGrams(1, 'oz')).toBe(28.349523125);
    expect(toGrams(1, 'lb')).toBe(16 * toGrams(1, 'oz'));
    expect(parseFloat(lengthWords(127, 'us'))).toBeCloseTo(convert(127).from('mm').to('in'), 5);
    expect([lengthWords(125, 'metric'), weightWords(250, 'oz')]).toEqual(['12.5 cm', '8.8 oz']);
  });
});

describe('lighter or heavier', () => {
  it('offers the round weight that splits best, on 200 baskets, as trying all of them says', () => {
    const random = seeded(9);
    let none = 0;
    for (let basket = 0; basket < 200; basket++) {
      const unit = MASS_UNITS[basket % 4]!;
      const materials = Array.from({ length: 3 + Math.floor(random() * 8) }, (_, i) => ({
        name: `thing ${i}`,
        grams: Math.round(5 * 400 ** random()),
      }));
      const apart = (grams: number): number =>
        Math.abs(materials.filter((one) => one.grams < grams).length * 2 - materials.length);
      const usable = roundWeights(unit).filter(
        (grams) => isClear(materials, grams, unit) && apart(grams) < materials.length,
      );
      const best = suggestDivider(materials, unit);
      if (!best) none++;
      expect(best === null).toBe(usable.length === 0);
      if (!best) continue;
      expect(apart(best.grams)).toBe(Math.min(...usable.map(apart)));
      for (const { grams } of materials) {
        const far = Math.abs(grams - best.grams);
        expect(far).toBeGreaterThanOrEqual(Math.max(0.05 * best.grams, 2 * scaleStep(unit)));
      }
      expect(best.lighter + best.heavier).toBe(materials.length);
    }
    expect(none).toBeLessThan(100);
  });

  it('sorts, puts in order, and names the nearest pair, the surprise and what size hides', () => {
    expect([sideOf(199, 200, 'g'), sideOf(200.4, 200, 'g'), sideOf(201, 200, 'g')]).toEqual([
      'lighter',
      'same',
      'heavier',
    ]);
    const materials = [
      { name: 'pillow', grams: 400 },
      { name: 'stone', grams: 900 },
      { name: 'cup', grams: 350 },
    ];
    const { order, nearest } = orderOf(materials);
    expect(order.map((one) => one.name)).toEqual(['cup', 'pillow', 'stone']);
    expect(nearest!.map((one) => one.name)).toEqual(['cup', 'pillow']);
    expect([isSurprise('lighter', 'heavier'), isSurprise(null, 'heavier')]).toEqual([true, false]);
    expect(orderOf([]).nearest).toBeNull();
  });
});

describe('the scale that stands in', () => {
  const model = { capacity: 2000, step: 1, seed: 7 };
  it('begins at zero, settles, sets back what is on it, and refuses too much', () => {
    let state = switchOn(scaleOff(), 0);
    expect(readingAt(state, model, SETTLE_MS)).toEqual({ kind: 'steady', grams: 0 });
    state = putOn(state, 250.3, 5000);
    expect(readingAt(state, model, 5100).kind).toBe('settling');
    const steady = readingAt(state, model, 5000 + SETTLE_MS) as { grams: number };
    expect(Math.abs(steady.grams - 250.3)).toBeLessThanOrEqual(1);
    state = tareNow(state, 7000);
    expect(readingAt(state, model, 8000)).toEqual({ kind: 'steady', grams: 0 });
    state = putOn(state, 250.3 + 80, 9000);
    const net = readingAt(state, model, 9000 + SETTLE_MS) as { grams: number };
    expect(Math.abs(net.grams - 80)).toBeLessThanOrEqual(1);
    expect(readingAt(putOn(state, 2001, 9500), model, 11_000)).toEqual({ kind: 'over' });
  });

  it('turns itself off when nobody touches it, and reads the same from the same seed', () => {
    const state = putOn(switchOn(scaleOff(), 0), 120, 100);
    expect(readingAt(state, model, 100 + OFF_AFTER_MS - 1).kind).toBe('steady');
    expect(readingAt(state, model, 100 + OFF_AFTER_MS)).toEqual({ kind: 'off' });
    expect(readingAt(scaleOff(), model, 5)).toEqual({ kind: 'off' });
    const at = (seed: number): number[] => {
      let now = state;
      return Array.from({ length: 50 }, (_, i) => {
        now = putOn(now, 100.5 + i, 200 + i);
        const read = readingAt(now, { ...model, seed }, 9000);
        return 'grams' in read ? read.grams : -1;
      });
    };
    expect(at(3)).toEqual(at(3));
    const off = Array.from({ length: 50 }, (_, i) => 100.5 + i);
    expect(at(3).every((grams, i) => Math.abs(grams - off[i]!) <= 1)).toBeTrue();
    // Noise of up to half a step: a weight between two steps is read now as the one, now as the other.
    expect(new Set(at(3).map((grams, i) => grams - off[i]!)).size).toBeGreaterThan(1);
  });
});

describe('the balance', () => {
  // Fewest comparisons to sort 3, 4 and 5: 3, 5, 7 (Ford and Johnson 1959; from memory).
  it('finds the order of 3, 4 and 5 things in as few weighings as can be, whatever it is', () => {
    const all = (rest: number[]): number[][] =>
      rest.length === 0
        ? [[]]
        : rest.flatMap((one) => all(rest.filter((other) => other !== one)).map((p) => [one, ...p]));
    for (const [count, most] of [
      [2, 1],
      [3, 3],
      [4, 5],
      [5, 7],
    ] as const) {
      for (const weights of all(Array.from({ length: count }, (_, i) => i))) {
        const weighings: { left: number; right: number; heavier: 'left' | 'right' }[] = [];
        for (;;) {
          const known = new BalanceOrder(count, weighings);
          const pair = known.nextPair();
          if (!pair) {
            const order = known.order()!.flat();
            expect(order.map((i) => weights[i])).toEqual([...weights].sort((a, b) => a - b));
            break;
          }
          const [left, right] = pair;
          expect(known.known(left, right)).toBeNull();
          weighings.push({
            left,
            right,
            heavier: weights[left]! > weights[right]! ? 'left' : 'right',
          });
        }
        expect(weighings.length).withContext(weights.join()).toBeLessThanOrEqual(most);
      }
    }
  });

  it('knows what follows, takes what weighs the same together, and refuses what cannot be', () => {
    const known = new BalanceOrder(4, [
      { left: 0, right: 1, heavier: 'left' },
      { left: 1, right: 2, heavier: 'same' },
      { left: 3, right: 0, heavier: 'left' },
    ]);
    expect(known.known(3, 2)).toBe('left');
    expect(known.known(2, 1)).toBe('same');
    expect(known.nextPair()).toBeNull();
    expect(known.order()).toEqual([[1, 2], [0], [3]]);
    expect(
      () =>
        new BalanceOrder(2, [
          { left: 0, right: 1, heavier: 'left' },
          { left: 1, right: 0, heavier: 'left' },
        ]),
    ).toThrowError(RangeError);
    expect(new BalanceOrder(9).nextPair()).toEqual([0, 1]);
  });

  it('says how many units hold a thing up', () => {
    expect(heldBy([]).words).toMatch(/one at a time/);
    expect(heldBy([{ units: 3, down: 'material' }]).words).toBe('More than 3.');
    const both = [
      { units: 3, down: 'material' },
      { units: 4, down: 'units' },
    ] as const;
    expect(heldBy(both).words).toBe('3 and a bit more.');
    expect(heldBy([{ units: 5, down: 'even' }])).toEqual(
      jasmine.objectContaining({ least: 5, most: 5, words: 'As heavy as 5.' }),
    );
    expect(() =>
      heldBy([
        { units: 5, down: 'material' },
        { units: 3, down: 'units' },
      ]),
    ).toThrowError(RangeError);
  });
});

describe('the item of a weighing', () => {
  it('is close where the smaller one went down, or neither', () => {
    expect(balanceItem('left', 'small', 'large')).toBe('heavier-close');
    expect(balanceItem('right', 'large', 'small')).toBe('heavier-close');
    expect(balanceItem('same', 'small', 'small')).toBe('heavier-close');
    expect(balanceItem('right', 'small', 'large')).toBe('heavier-clear');
    expect(balanceItem('left', null, undefined)).toBe('heavier-clear');
  });
});
