import { type DigitForms, FIELD, strokesOf } from './index.js';

const VARIANTS: readonly DigitForms[] = (['plain', 'flagged'] as const).flatMap((one) =>
  (['open', 'closed'] as const).flatMap((four) =>
    (['straight', 'slanted', 'curved'] as const).map((nine) => ({ one, four, nine })),
  ),
);
const USUAL: DigitForms = { one: 'plain', four: 'open', nine: 'straight' };

// Order and direction: common practice, no source.
describe('the strokes of the digits', () => {
  it('begin at the top in every form, stay on their field, and each have both cues', () => {
    for (const forms of VARIANTS) {
      for (let digit = 0; digit <= 9; digit++) {
        const strokes = strokesOf(digit, forms);
        const context = `${digit} ${JSON.stringify(forms)}`;
        expect(strokes[0]!.points[0]![1])
          .withContext(context)
          .toBeLessThan(FIELD.height / 2.5);
        for (const { points, move, rhyme } of strokes) {
          expect([move.length > 2, rhyme.length > 5])
            .withContext(context)
            .toEqual([true, true]);
          for (const [x, y] of points) {
            const isOn = x >= 0 && x <= FIELD.width && y >= 0 && y <= FIELD.height;
            if (!isOn) fail(`${context}: ${x}, ${y} is off the field`);
          }
        }
      }
    }
    expect(() => strokesOf(10, USUAL)).toThrowError(RangeError);
  });

  it('lift the pencil where the school says: the flag’s base, the four’s stem, the five’s cap', () => {
    const lifts = (digit: number, more: Partial<DigitForms> = {}): number =>
      strokesOf(digit, { ...USUAL, ...more }).length - 1;
    expect([0, 2, 3, 6, 7, 8, 9].map((digit) => lifts(digit))).toEqual([0, 0, 0, 0, 0, 0, 0]);
    expect([lifts(1), lifts(1, { one: 'flagged' })]).toEqual([0, 2]);
    expect([lifts(4), lifts(4, { four: 'closed' }), lifts(5)]).toEqual([1, 1, 1]);
    const [belly, cap] = strokesOf(5, USUAL);
    expect(cap!.points[0]).toEqual(belly!.points[0]!);
    expect(cap!.points.at(-1)![0]).toBeGreaterThan(cap!.points[0]![0]);
  });

  it('close what is closed, and turn the way that is written', () => {
    const apart = (digit: number): number => {
      const points = strokesOf(digit, USUAL)[0]!.points;
      const [[x, y], [u, w]] = [points[0]!, points.at(-1)!];
      return Math.hypot(x - u, y - w);
    };
    expect(apart(0)).toBeLessThan(0.1);
    expect(apart(8)).toBeLessThan(0.1);
    // Zero goes over to the left, two over to the right.
    expect(strokesOf(0, USUAL)[0]!.points[4]![0]).toBeLessThan(5);
    expect(strokesOf(2, USUAL)[0]!.points[8]![0]).toBeGreaterThan(2);
    const closedFour = strokesOf(4, { ...USUAL, four: 'closed' });
    expect(closedFour[1]!.points[0]).toEqual(closedFour[0]!.points[0]!);
  });
});
