import { RING_OF_ONES, onesOf, ringOfOnesScene } from './ring-of-ones.js';

// Own arithmetic: the ones of the multiples come round after 10 / gcd(by, 10) steps.
describe('the ring of ones', () => {
  it('comes round after as many steps as the common divisor with ten says', () => {
    const gcd = (a: number, b: number): number => (b === 0 ? a : gcd(b, a % b));
    for (let by = 1; by <= 9; by++) {
      const passed = onesOf(by);
      expect(passed.length - 1)
        .withContext(`${by}`)
        .toBe(10 / gcd(by, 10));
      expect([passed[0], passed.at(-1)]).toEqual([0, 0]);
      const threads = ringOfOnesScene(passed).under.filter((one) => one.look === 'string');
      expect(threads.length).toBe(passed.length - 1);
    }
    expect(onesOf(4)).toEqual([0, 4, 8, 2, 6, 0]);
  });

  it('is threaded by hand: the right next one goes on, another is left alone', () => {
    const tap = (state: { by: number; steps: number }, digit: number) =>
      RING_OF_ONES.tap(state, `one-${digit}`, () => 0);
    const start = { by: 3, steps: 0 };
    expect(tap(start, 3)).toEqual({ by: 3, steps: 1 });
    expect(tap(start, 4)).toBe(start);
    expect(RING_OF_ONES.sentence(start).words).toBe('Where does the thread go first?');
    const two = { by: 3, steps: 2 };
    expect(RING_OF_ONES.sentence(two).words).toBe('In steps of 3: 3, 6. The ones: 3, 6.');
  });
});
