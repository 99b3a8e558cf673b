import fc from 'fast-check';
import {
  type WeighRound,
  type WeighedThing,
  divideItem,
  lastSaid,
  looked,
  markCorrected,
  newRound,
  predicted,
  readWeight,
  seenSide,
  sizeMisleads,
  surprises,
  toGrams,
  withMark,
  without,
} from './index.js';

const thing = (
  name: string,
  grams: number | null,
  size: WeighedThing['size'] = null,
): WeighedThing => ({ name, grams, size });

describe('a weight as it is typed', () => {
  // 1 oz = 28.349523125 g, 1 lb = 453.59237 g (international yard and pound agreement of 1959).
  const cases: [string, 'g' | 'kg' | 'oz' | 'lb', number | null][] = [
    ['250', 'g', 250],
    ['7,9', 'oz', 7.9 * 28.349523125],
    ['7.9', 'oz', 7.9 * 28.349523125],
    ['7 1/2', 'oz', 7.5 * 28.349523125],
    ['7½', 'oz', 7.5 * 28.349523125],
    ['1/4', 'lb', 113.3980925],
    ['12.9 oz', 'g', 12.9 * 28.349523125],
    ['12.9oz', 'g', 12.9 * 28.349523125],
    ['1 lb 4 oz', 'g', 453.59237 + 4 * 28.349523125],
    ['1 lb 4', 'lb', 453.59237 + 4 * 28.349523125],
    ['2 pounds', 'g', 907.18474],
    ['1,2 kg', 'g', 1200],
    ['1,200', 'g', 1200],
    ['1,200', 'kg', 1200],
    ['.5', 'kg', 500],
    [' 0 ', 'g', 0],
    ['', 'g', null],
    ['heavy', 'g', null],
    ['7 stone', 'g', null],
    ['-3', 'g', null],
    ['1/0', 'g', null],
    ['4 oz 1 lb', 'g', null],
    ['3 4', 'g', null],
  ];
  for (const [text, unit, grams] of cases) {
    it(`“${text}” on a scale in ${unit} is ${grams === null ? 'none' : `${grams} g`}`, () => {
      const read = readWeight(text, unit);
      if (grams === null) expect(read).toBeNull();
      else expect(read).toBeCloseTo(grams, 9);
    });
  }

  it('is any number that is written plainly, in every unit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 99999 }),
        fc.constantFrom('g' as const, 'kg' as const, 'oz' as const, 'lb' as const),
        (tenths, unit) => {
          const read = readWeight(`${tenths / 10} ${unit}`, 'g');
          expect(read).toBeCloseTo(toGrams(tenths / 10, unit), 6);
        },
      ),
    );
  });
});

describe('a round of weighing', () => {
  const things = [thing('stone', 620, 'small'), thing('pillow', 180, 'large'), thing('cup', 310)];
  const say = (round: WeighRound, name: string, side: 'lighter' | 'heavier'): WeighRound =>
    predicted(round, things, 'g', 'kofi', name, side);

  it('changes a prediction before a surprise, and puts a second beside it after one', () => {
    let round = say(say(newRound(300), 'stone', 'heavier'), 'stone', 'lighter');
    round = say(round, 'pillow', 'heavier');
    expect(round.predictions['kofi/stone']).toEqual({ first: 'lighter', again: null });
    round = looked(round, 'stone');
    expect(seenSide(round, things[0]!, 'g')).toBe('heavier');
    expect(surprises(round, 'kofi', things[0]!, 'g')).toBeTrue();
    round = say(round, 'pillow', 'lighter');
    expect(round.predictions['kofi/pillow']).toEqual({ first: 'heavier', again: 'lighter' });
    expect(lastSaid(round, 'kofi', 'pillow')).toBe('lighter');
    // What was seen is predicted no more.
    expect(say(round, 'stone', 'heavier')).toBe(round);
  });

  it('begins anew with another mark, and keeps the old round', () => {
    const first = looked(say(newRound(300), 'stone', 'heavier'), 'stone');
    const rounds = withMark([first], 400);
    expect(rounds).toEqual([first, newRound(400)]);
    expect(seenSide(rounds[1]!, things[0]!, 'g')).toBeNull();
    // Nothing is predicted for good before it is looked at again.
    expect(say(rounds[1]!, 'stone', 'lighter').predictions['kofi/stone']?.first).toBe('lighter');
    expect(withMark(rounds, 500)).toEqual([first, newRound(500)]);
    expect(withMark([newRound()], 300)).toEqual([newRound(300)]);
  });

  it('takes a mistyped mark into the round that it was meant for', () => {
    const first = looked(say(newRound(300), 'stone', 'heavier'), 'stone');
    const [only, ...rest] = markCorrected(withMark([first], 700));
    expect(rest).toEqual([]);
    expect(only).toEqual({ ...first, mark: 700 });
    expect(surprises(only!, 'kofi', things[0]!, 'g')).toBeTrue();
    const begun = [first, looked(newRound(700), 'cup')];
    expect(markCorrected(begun)).toEqual(begun);
  });

  it('forgets what is on the table no more', () => {
    const round = looked(say(say(newRound(300), 'stone', 'heavier'), 'cup', 'lighter'), 'stone');
    expect(without(round, 'stone')).toEqual({
      mark: 300,
      seen: [],
      predictions: { 'kofi/cup': { first: 'lighter', again: null } },
    });
  });

  it('names an item only where the size was said, or the thing lies near the mark', () => {
    expect(divideItem(thing('stone', 620, 'small'), 300)).toBe('heavy-small');
    expect(divideItem(thing('pillow', 180, 'large'), 300)).toBe('light-large');
    expect(divideItem(thing('cup', 310), 300)).toBe('near');
    expect(divideItem(thing('stone', 620), 300)).toBeNull();
    expect(divideItem(thing('stone', null, 'small'), 300)).toBeNull();
  });

  it('says where size misleads, of what was seen only', () => {
    let round = looked(newRound(300), 'stone');
    expect(sizeMisleads(round, things, 'g')).toBe('Small but heavy: stone.');
    round = looked(round, 'pillow');
    expect(sizeMisleads(round, things, 'g')).toBe(
      'Small but heavy: stone. Large but light: pillow.',
    );
    expect(sizeMisleads(newRound(300), things, 'g')).toBe('');
  });
});
