import { layOut } from './layouts.js';

describe('layouts', () => {
  // Common practice, no source: scattered counters lie at least 1.6 diameters apart.
  it('never let two counters touch, and lie whole inside the picture', () => {
    for (const layout of ['row', 'ring', 'scatter', 'slant', 'heap'] as const) {
      for (let n = 1; n <= 20; n++) {
        const { spots, width, height } = layOut(n, layout, n * 31);
        const least = layout === 'scatter' ? 1.6 : 1;
        expect(spots.length).toBe(n);
        spots.forEach((one, i) => {
          for (const other of spots.slice(i + 1)) {
            expect(Math.hypot(one.x - other.x, one.y - other.y)).toBeGreaterThanOrEqual(least);
          }
          expect(one.x >= 0.5 && one.x <= width - 0.5 + 1e-9).toBeTrue();
          expect(one.y >= 0.5 && one.y <= height - 0.5 + 1e-9).toBeTrue();
        });
      }
    }
  });
});
