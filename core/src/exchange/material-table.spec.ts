import fc from 'fast-check';
import {
  ALLERGENS,
  type Allergen,
  type Shape,
  type Material,
  USES,
  newMaterial,
} from '../vocabulary/index.js';
import {
  MATERIAL_COLUMNS,
  type MaterialColumn,
  shapeOfWords,
  shapeWords,
  materialOfRow,
  materialRow,
} from './index.js';

const ID = '00000000-0000-4000-8000-000000000100';
const mm = fc.integer({ min: 1, max: 900 });
const shape: fc.Arbitrary<Shape> = fc.oneof(
  mm.map((diameterMm): Shape => ({ kind: 'ball', diameterMm })),
  fc.tuple(mm, mm).map(([diameterMm, thicknessMm]): Shape => ({
    kind: 'disc',
    diameterMm,
    thicknessMm,
  })),
  fc.tuple(mm, mm).map(([lengthMm, diameterMm]): Shape => ({ kind: 'rod', lengthMm, diameterMm })),
  fc.tuple(mm, mm, mm).map(([lengthMm, widthMm, heightMm]): Shape => ({
    kind: 'block',
    lengthMm,
    widthMm,
    heightMm,
  })),
  fc.constant<Shape>({ kind: 'unknown' }),
);
const read = (cells: Partial<Record<MaterialColumn, string>>) =>
  materialOfRow((column) => cells[column] ?? '', ID);

describe('the shape of a material in words', () => {
  it('comes back as it was', () => {
    fc.assert(fc.property(shape, (one) => expect(shapeOfWords(shapeWords(one))).toEqual(one)));
  });

  it('is read as people write it, and is nothing where a measure is missing or over', () => {
    expect(shapeOfWords(' disc  30x6 ')).toEqual({ kind: 'disc', diameterMm: 30, thicknessMm: 6 });
    expect(shapeOfWords('ball 12.5')).toEqual({ kind: 'ball', diameterMm: 12.5 });
    expect(shapeOfWords('')).toEqual({ kind: 'unknown' });
    for (const words of [
      'ball',
      'ball 20 x 3',
      'disc 30',
      'block 3 x 4',
      'rod 1 x 2 x 3',
      'star 5',
    ]) {
      expect(shapeOfWords(words)).withContext(words).toBeNull();
    }
    expect(shapeOfWords('block 1 x 2 x 3 x 4')).toBeNull();
    expect(shapeOfWords('ball large')).toBeNull();
  });
});

describe('a table of the materials', () => {
  const word = fc.constantFrom('snails', 'kites', 'drums', 'soup');
  const material: fc.Arbitrary<Material> = fc
    .record({
      use: fc.constantFrom(...USES),
      colors: fc.constantFrom<Material['colors']>(
        [],
        [{ name: 'light blue', count: 20 }],
        [
          { name: 'blue', count: 10 },
          { name: 'orange', count: 5 },
        ],
      ),
      alike: fc.boolean(),
      shape,
      box: fc.constantFrom('', 'shelf 2, left'),
      consumable: fc.boolean(),
      interests: fc.uniqueArray(word),
      allergens: fc.option(
        fc.uniqueArray(fc.constantFrom(...(Object.keys(ALLERGENS) as Allergen[]))),
        { nil: undefined },
      ),
    })
    .map(({ allergens, ...more }) => ({
      ...newMaterial(ID, { name: 'bobbins', use: 'counter', count: 40 }),
      ...more,
      ...(allergens === undefined ? {} : { allergens }),
    }));

  it('comes back as it went out', () => {
    fc.assert(
      fc.property(material, (one) => {
        const row = materialRow(one);
        expect(Object.keys(row)).toEqual([...MATERIAL_COLUMNS]);
        expect(read(row)).toEqual(one);
      }),
    );
  });

  it('needs a name only', () => {
    expect(read({ name: 'spoons' })).toEqual(
      jasmine.objectContaining({ id: ID, name: 'spoons', use: 'loose', count: 1, alike: true }),
    );
  });

  it('tells nothing said of allergens from none in it', () => {
    expect('allergens' in read({ name: 'flour', holds: '' })).toBeFalse();
    expect(read({ name: 'flour', holds: 'None' })).toEqual(
      jasmine.objectContaining({ allergens: [] }),
    );
  });

  it('says of which column a row is wrong', () => {
    for (const [cells, column] of [
      [{ name: '' }, 'name'],
      [{ name: 'beads', shape: 'round' }, 'shape'],
      [{ name: 'beads', colors: 'blue' }, 'colors'],
      [{ name: 'beads', count: 'many' }, 'count'],
      [{ name: 'beads', count: '-2' }, 'count'],
      [{ name: 'beads', use: 'toy' }, 'use'],
      [{ name: 'beads', holds: 'x'.repeat(300) }, 'holds'],
      [{ name: 'beads', id: 'seven' }, 'id'],
    ] as const) {
      const found = read(cells);
      expect('column' in found ? found.column : 'a material')
        .withContext(JSON.stringify(cells))
        .toBe(column);
      expect('column' in found ? found.message : '').not.toMatch(/^Invalid|^$/);
    }
  });
});
