import {
  anotherWay,
  placementCount,
  placements,
  shapeOf,
  shapesOf,
  filled,
  FILL_ORDER,
} from './index.js';

describe('placements on a frame of two rows of five', () => {
  // C(10, n), and up to turning and flipping by Burnside; own arithmetic.
  it('are so many, and so many that differ', () => {
    const differ = [1, 3, 15, 32, 60, 66, 60, 32, 15, 3, 1];
    differ.forEach((value, n) => {
      expect(placements(n).length).withContext(`n = ${n}`).toBe(placementCount(n));
      expect(shapesOf(n).length).withContext(`n = ${n}`).toBe(value);
    });
  });

  it('offer another way that is no turned or flipped one, the customary first', () => {
    for (let n = 1; n < 10; n++) {
      const row = filled(n, FILL_ORDER.row);
      let now = row;
      const met = new Set<string>();
      shapesOf(n).forEach(() => {
        const next = anotherWay(now);
        expect(next.filter(Boolean).length).toBe(n);
        expect(shapeOf(next)).not.toBe(shapeOf(now));
        met.add(shapeOf(next));
        now = next;
      });
      expect(met.size).withContext(`n = ${n}`).toBe(shapesOf(n).length);
    }
    expect(anotherWay(filled(6, FILL_ORDER.row))).toEqual(filled(6, FILL_ORDER.pairs));
  });
});
