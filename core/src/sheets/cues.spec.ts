import {
  type DigitForms,
  cueOf,
  digitsOf,
  seenInNumber,
  strokesOf,
  strokesOfNumber,
} from './index.js';

const FORMS: DigitForms = { one: 'plain', four: 'open', nine: 'straight' };
type P = readonly [x: number, y: number];
const lines = (number: number): (readonly P[])[] =>
  strokesOfNumber(number, FORMS).map(({ points }) => points);

describe('what is said while a number is written', () => {
  it('is the way of each digit, the left one first, in the household’s words where it has any', () => {
    expect(cueOf(7, FORMS, 'movement')).toBe('across, slant, and stop');
    expect(cueOf(10, FORMS, 'movement')).toBe(
      'down, and stop; then over, down, round and up, and stop',
    );
    expect(cueOf(7, FORMS, 'rhyme')).toBe('Along the sky and down, good-bye');
    const own = ['', 'a stick'];
    expect(cueOf(1, FORMS, 'own', own)).toBe('a stick');
    // Without words of its own those of movement stand.
    expect(cueOf(10, FORMS, 'own', own)).toBe('a stick; then over, down, round and up, and stop');
    expect(cueOf(1, FORMS, 'movement', own)).toBe('down, and stop');
    expect(cueOf(4, FORMS, 'none', own)).toBe('');
  });
});

describe('a number of two digits', () => {
  it('has the strokes of both, side by side', () => {
    expect(digitsOf(20)).toEqual([2, 0]);
    const [two, zero] = [strokesOf(2, FORMS), strokesOf(0, FORMS)];
    expect(strokesOfNumber(20, FORMS).length).toBe(two.length + zero.length);
    expect(Math.max(...lines(20)[0]!.map(([x]) => x))).toBeLessThan(10);
    expect(Math.min(...lines(20)[1]!.map(([x]) => x))).toBeGreaterThan(10);
  });

  it('is seen digit by digit: right, turned, the right one first, another one, one missing', () => {
    for (let number = 10; number <= 20; number++) {
      expect(seenInNumber(number, FORMS, lines(number)))
        .withContext(`${number}`)
        .toBe('right');
    }
    const [two, zero] = [lines(20).slice(0, 1), lines(20).slice(1)];
    expect(seenInNumber(20, FORMS, [...zero, ...two])).toBe('digits');
    expect(seenInNumber(20, FORMS, two)).toBe('other-shape');
    const turned = two.map((line) => line.map(([x, y]): P => [10 - x, y]));
    expect(seenInNumber(20, FORMS, [...turned, ...zero])).toBe('reversed');
    // Both digits are right, and the number is another one.
    expect(seenInNumber(12, FORMS, lines(21))).toBe('other-shape');
    expect(seenInNumber(3, FORMS, lines(3))).toBe('right');
  });
});
