import * as v from 'valibot';
import { Material } from '../vocabulary/index.js';
import { materialForInterest, readPasted } from './index.js';
import {
  findActivity,
  indexActivities,
  LIBRARY,
  NO_FILTER,
  searchActivities,
} from '../activities/index.js';

describe('a pasted list', () => {
  const draft = (line: string) => {
    const [one] = readPasted(line);
    if (!one || !('draft' in one)) throw new Error(`not read: ${line}`);
    return one.draft;
  };

  it('is read line by line: how many, what, color, measures, box', () => {
    expect(draft('24 cork discs blue, 30 mm, box 3')).toEqual(
      jasmine.objectContaining({
        count: 24,
        name: 'cork discs',
        use: 'counter',
        colors: [{ name: 'blue', count: 24 }],
        shape: { kind: 'disc', diameterMm: 30, thicknessMm: 6 },
        box: 'box 3',
      }),
    );
    expect(draft('12 wooden cubes red, 25 mm, box 4').shape).toEqual({
      kind: 'block',
      lengthMm: 25,
      widthMm: 25,
      heightMm: 25,
    });
    expect(draft('6 felt balls, 50 mm').shape).toEqual({ kind: 'ball', diameterMm: 50 });
    expect(draft('3 x large dice').use).toBe('die');
    expect(draft('8 different shells').alike).toBeFalse();
    expect(draft('4 glass jars').hazards).toEqual(['glass']);
  });

  it('gives things that the vocabulary takes, and says what is wrong with the rest', () => {
    const lines = readPasted('24 cork discs\n\nkitchen balance\n5000 beads\n7\n2 magnets, 10 mm');
    expect(lines.map((line) => ('fault' in line ? line.fault : 'ok'))).toEqual([
      'ok',
      'ok',
      'has a count over 1000',
      'names no material',
      'ok',
    ]);
    // Without a number it is one.
    const [, balance] = lines;
    expect(balance).toEqual(
      jasmine.objectContaining({ draft: jasmine.objectContaining({ count: 1, use: 'balance' }) }),
    );
    for (const line of lines) {
      if (!('draft' in line)) continue;
      const row = { ...line.draft, id: '00000000-0000-4000-8000-000000000001', version: 1 };
      expect(v.safeParse(Material, row).success).withContext(line.line).toBeTrue();
    }
  });
});

describe('interests', () => {
  it('clothe an activity in things a child likes, safe ones only', () => {
    const row = { ...(readPasted('8 felt snails, 52 mm')[0] as { draft: object }).draft };
    const snails = v.parse(Material, {
      ...row,
      id: '00000000-0000-4000-8000-000000000002',
      version: 1,
      use: 'counter',
      shape: { kind: 'ball', diameterMm: 52 },
      interests: ['Snails'],
    });
    const small = { ...snails, shape: { kind: 'ball', diameterMm: 20 } as const };
    const child = { id: 'c', name: 'Ilse', interests: ['snails', 'soup'] };
    const care = { noSmallParts: true };
    const handfuls = findActivity('handfuls')!;
    expect(
      materialForInterest(handfuls, [child], [snails], care).map((one) => one.interest),
    ).toEqual(['snails']);
    expect(materialForInterest(handfuls, [child], [small], care)).toEqual([]);
  });
});

describe('searching', () => {
  const index = indexActivities(LIBRARY);
  const ids = (filter: Partial<typeof NO_FILTER>): string[] =>
    searchActivities(index, { ...NO_FILTER, ...filter }).map((one) => one.activity.id);

  it('finds by words in any order, skill, strand, band, minutes, mess and age', () => {
    expect(ids({ text: 'PLATES two' })).toContain('two-plates');
    expect(ids({ skillId: 'estimate-20' })).toEqual(['waiting', 'jar-range', 'guess-line']);
    expect(ids({ band: 'anytime', strand: 'beyond' })).toContain('in-pairs');
    expect(ids({ mess: 'paint' })).toEqual(['press-count']);
    expect(ids({ minutes: 3, band: 'play' })).toEqual([]);
    expect(ids({ age: 2.5 })).not.toContain('fold-cut');
    expect(ids({ text: 'nothing of the kind' })).toEqual([]);
    expect(ids({}).length).toBe(LIBRARY.length);
  });
});
