import { LIBRARY, findActivity } from '../activities/index.js';
import { evaluate } from '../activities/quantity.js';
import { type Need, type Material, newMaterial } from '../vocabulary/index.js';
import {
  facesOf,
  fits,
  groupLimit,
  isInTheHouse,
  needKey,
  needsOf,
  standInsFor,
  usable,
} from './index.js';

let made = 0;
const material = (name: string, use: Material['use'], more: Partial<Material> = {}): Material => ({
  ...newMaterial(`00000000-0000-4000-8000-${String(++made).padStart(12, '0')}`, {
    name,
    use,
    count: 30,
  }),
  ...more,
});
const needOf = (activity: string, words: string): Need =>
  findActivity(activity)!.needs.find((need) => need.words === words)!;
const CARE = { noSmallParts: false };

describe('what makes a thing fit', () => {
  const numbers = material('number cards 0 to 20', 'card');

  it('is what is on it: number cards are no other cards', () => {
    const others: readonly [activity: string, words: string][] = [
      ['dot-touch', 'dot cards'],
      ['pair-cards', 'cards with dots in pairs'],
      ['match-look', 'look-alike cards'],
      ['road-digits', 'digit road cards'],
      ['name-frame', 'name card'],
      ['doubles', 'doubles cards'],
      ['sticker-cards', 'index cards'],
      ['dot-pairs', 'two-color dot cards'],
      ['tiles-more', 'dominoes'],
    ];
    for (const [activity, words] of others) {
      const need = needOf(activity, words);
      expect(usable(numbers, need)).withContext(words).toBe(0);
      const offered = standInsFor(need, 1, [numbers], CARE);
      expect(offered).withContext(words).toEqual([]);
    }
    expect(usable(numbers, needOf('show-say', 'number cards'))).toBe(30);
    expect(usable(material('dot cards 1 to 10', 'card'), needOf('dot-touch', 'dot cards'))).toBe(
      30,
    );
    expect(
      usable(material('dominoes to double six', 'tile'), needOf('tiles-more', 'dominoes')),
    ).toBe(30);
  });

  it('is what was said to be on it, before its name', () => {
    expect(facesOf({ name: 'playing cards' })).toBeNull();
    expect(facesOf({ name: 'playing cards', faces: 'numerals' })).toBe('numerals');
    expect(
      usable(material('old cards', 'card', { faces: 'dots' }), needOf('dot-touch', 'dot cards')),
    ).toBe(30);
  });

  it('is its size, where that matters: a jar lid hides no frame', () => {
    const cover = needOf('frame-look', 'cover');
    const disc = (diameterMm: number): Material['shape'] => ({
      kind: 'disc',
      diameterMm,
      thicknessMm: 3,
    });
    expect(fits(material('jar lids', 'cover', { shape: disc(80) }), cover)).toBeFalse();
    expect(fits(material('tray lid', 'cover', { shape: disc(200) }), cover)).toBeTrue();
    expect(fits(material('some cover', 'cover'), cover)).toBeTrue();
  });

  it('is not only the use: no die for a card, no rail for tens, no frame in a jar', () => {
    const all = [
      material('large dice', 'die'),
      material('peg rail', 'rail'),
      material('ten frames', 'frame'),
      numbers,
    ];
    for (const { needs } of LIBRARY) {
      for (const need of needs) {
        for (const { material: one } of standInsFor(need, 1, all, CARE)) {
          expect(one.use).withContext(need.words).toBe(need.use);
        }
      }
    }
  });
});

describe('what is in the house without being listed', () => {
  it('is paper and pencil, what every kitchen has, what can be printed, and what was ticked', () => {
    const supposed = (activity: string, words: string, had: readonly string[] = []): boolean =>
      isInTheHouse(findActivity(activity)!, new Set(had))(needOf(activity, words));
    expect(supposed('match-look', 'look-alike cards')).toBeTrue();
    expect(supposed('sticker-cards', 'index cards')).toBeTrue();
    expect(supposed('next-number', 'puppet')).toBeFalse();
    expect(supposed('two-plates', 'plates')).toBeTrue();
    const puppet = needOf('next-number', 'puppet');
    expect(supposed('next-number', 'puppet', [needKey(puppet)])).toBeTrue();
  });
});

describe('getting ready', () => {
  const discs = material('felt discs', 'counter', { count: 60 });
  const snails = material('felt snails', 'counter', { count: 40 });
  const dots = findActivity('dot-touch')!;
  const at = (moment: string, beside: boolean) => ({
    activity: dots,
    sizes: { tops: [5] },
    care: CARE,
    when: { day: '2026-03-10', moment, beside },
  });
  const counters = (...planned: Parameters<typeof needsOf>[0]) =>
    needsOf(planned, [discs, snails]).find(({ use }) => use === 'counter')!;

  it('uses things again from moment to moment, and not for two at once', () => {
    const one = counters(at('table', false)).count;
    expect(counters(at('table', false), at('floor', false)).count).toBe(one);
    expect(counters(at('table', false), at('table', false)).count).toBe(one);
    const both = counters(at('table', false), at('table', true));
    expect(both.count).toBe(2 * one);
    expect(both.sum).toBe(`${one} + ${one} = ${2 * one}`);
    expect(both.moments).toEqual(['table']);
    expect(counters(at('table', false), at('floor', true)).moments).toEqual(['table', 'floor']);
  });

  it('lays out the thing that the card names, where it is enough', () => {
    expect(counters(at('table', false)).material!.name).toBe('felt discs');
    expect(counters({ ...at('table', false), named: 'felt snails' }).material!.name).toBe(
      'felt snails',
    );
    const few = { ...snails, count: 2 };
    const line = needsOf([{ ...at('table', false), named: 'felt snails' }], [discs, few]);
    expect(line.find(({ use }) => use === 'counter')!.material!.name).toBe('felt discs');
  });

  it('gives one thing to one need at a time', () => {
    const change = findActivity('small-change')!;
    const coins = (count: number) => [material('play coins', 'coin', { count })];
    const line = (words: string, materials: readonly Material[]) =>
      needsOf([{ activity: change, sizes: { tops: [5] }, care: CARE }], materials).find(
        (one) => one.words === words,
      )!;
    const wanted = line('play coins: fives', []).count;
    const ones = line('play coins: ones', []).count;
    expect(line('play coins: fives', coins(ones + wanted)).short).toBe(0);
    expect(line('play coins: fives', coins(ones + wanted - 1)).short).toBe(1);
    const all = change.needs
      .filter(({ use }) => use === 'coin')
      .reduce((sum, { must }) => sum + evaluate(must, { tops: [5] }), 0);
    const other = change.needs
      .filter(({ use }) => use !== 'coin')
      .map(({ use, words }) => material(words, use, { count: 99 }));
    const group = (count: number) => groupLimit(change, [5], 1, [...coins(count), ...other], CARE);
    expect(group(all)).toBe(1);
    expect(group(all - 1)).toBe(0);
  });

  it('takes a thing twice in a moment where one thing is led after another', () => {
    const both = (beside: boolean) => {
      const [first, second] = [findActivity('doubles')!, findActivity('layouts')!];
      const planned = [
        { ...at('floor', false), activity: first },
        { ...at('floor', beside), activity: second },
      ];
      const colors = [
        { name: 'red', count: 5 },
        { name: 'blue', count: 5 },
      ];
      return needsOf(planned, [
        material('felt discs', 'counter', { count: 10, colors, alike: true }),
      ])
        .filter(({ use }) => use === 'counter')
        .reduce((sum, { short }) => sum + short, 0);
    };
    expect(both(false)).toBe(0);
    expect(both(true)).toBe(5);
  });
});
