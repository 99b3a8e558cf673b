import { type ItemSeed, named, range, strand } from './build.js';

/** Units from the easiest to the hardest (common practice, no source). */
const UNITS = ['AB', 'AAB', 'ABB', 'ABC', 'AABB', 'ABAC'] as const;

const lengths: (readonly [string, string])[] = range(3, 6).map((n) => [
  `length-${n}`,
  `a row of ${n}`,
]);

const nextOf: ItemSeed[] = range(1, 3).flatMap((ahead) =>
  UNITS.map((unit) => ({
    id: `${unit.toLowerCase()}-${ahead}`,
    label: `${unit}, ${ahead === 1 ? 'the next' : `the next ${ahead}`}`,
    number: 0,
    parts: [ahead],
    form: unit,
  })),
);

export const PATTERN = strand('pattern', [
  [
    'pattern match',
    'Finds the same row of colors',
    'match',
    named(lengths),
    'alike',
    'pick-4',
    'HS 7',
    'finds the row of colors that is the same',
    'Going place by place helps.',
  ],
  [
    'mirror see',
    'Sees what a mirror does',
    'mirror',
    named([
      ['front', 'in front of a mirror'],
      ['half', 'a half thing made whole'],
      ['hinged', 'between two mirrors'],
    ]),
    '',
    'judged',
    '',
    'finds out what a mirror does to a thing',
    'Nearer, farther, turned: what does the picture do?',
  ],
  [
    'pattern copy',
    'Copies a row, a grid',
    'copy',
    named([...lengths, ['grid-2', 'a grid of 2 by 2'], ['grid-3', 'a grid of 3 by 3']]),
    'pattern-match',
    'placed',
    'HS 7',
    'copies a row or a grid of colors',
    'Where the first wrong place is.',
  ],
  [
    'mirror spot',
    'Spots what is the same on both sides',
    'both sides',
    named([
      ['things', 'a thing'],
      ['faces', 'a face'],
      ['leaves', 'a leaf'],
      ['pictures', 'a picture'],
      ['not', 'one that is not'],
    ]),
    'mirror-see',
    'pick-2',
    '4.G.A.3 (idea)',
    'sees whether a thing is the same on both sides',
    'Where is the middle?',
  ],
  [
    'pattern next',
    'Goes on with a pattern',
    'next',
    nextOf,
    'pattern-copy',
    'pick-3',
    'HS 7',
    'goes on with a pattern',
    'The last one is repeated instead of the unit.',
  ],
  [
    'pattern fix',
    'Finds what is wrong in it',
    'fix',
    named(range(2, 6).map((n) => [`place-${n}`, `wrong at place ${n}`])),
    'pattern-next',
    'pick-5',
    'HS 7',
    'finds the mistake in a pattern',
    'Saying it aloud makes it plain.',
  ],
  [
    'mirror make',
    'Makes both sides the same',
    'make sides',
    named([
      ['figure', 'a figure of its own'],
      ...range(2, 6).map((n): readonly [string, string] => [
        `pieces-${n}`,
        `${n} pieces over the line`,
      ]),
    ]),
    'mirror-spot pattern-copy',
    'placed',
    '4.G.A.3 (idea)',
    'lays the other side of a figure so that both sides are the same',
    'Copied the same way round instead of turned over.',
  ],
  [
    'mirror fold',
    'Cuts on the fold, says what opens',
    'fold, cut',
    named([
      ['hole', 'a hole'],
      ['heart', 'a heart'],
      ['leaf', 'a leaf'],
      ['house', 'a house'],
    ]),
    'mirror-spot',
    'judged',
    '4.G.A.3 (idea)',
    'says what a shape cut on a fold will be when it opens',
    'Cut along the open edge, it falls in two.',
  ],
  [
    'pattern unit',
    'Says what repeats; makes an own one',
    'what repeats',
    named([
      ...UNITS.slice(0, 5).map((unit): readonly [string, string, string] => [
        unit.toLowerCase(),
        unit,
        unit,
      ]),
      ['own', 'a pattern of its own'],
    ]),
    'pattern-next',
    'judged',
    'HS 7',
    'says what repeats in a pattern and makes a pattern of its own',
    '“Red, blue, and again”: the unit in words.',
  ],
]);
