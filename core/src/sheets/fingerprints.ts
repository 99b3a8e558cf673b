import type { SheetKind } from './kind.js';
import { numeral } from './numeral.js';
import { type Ink, type Mark, areaOf, circle, line, pageOf, text } from './page.js';
import { rangeOf } from './range.js';
import { numbered } from '../numbers/index.js';

/** Where a finger presses, in parts of the picture. */
type Spot = readonly [x: number, y: number];

/** A picture to finish with fingerprints, on a field of 100 x 100. */
interface PrintPicture {
  readonly id: string;
  readonly words: string;
  /** What the prints become: one, several. */
  readonly prints: readonly [string, string];
  readonly spots: readonly Spot[];
  readonly parts: readonly { readonly path: string; readonly fill: Ink | null }[];
}

/** Own drawings, each with ten places for prints, in the order in which they are filled. */
export const PRINT_PICTURES: readonly PrintPicture[] = [
  {
    id: 'tree',
    words: 'a tree with apples',
    prints: ['apple', 'apples'],
    spots: [
      [50, 22],
      [34, 34],
      [66, 34],
      [50, 44],
      [24, 50],
      [76, 50],
      [40, 60],
      [62, 60],
      [40, 12],
      [62, 12],
    ],
    parts: [
      { path: 'M44 96L46 66H54L56 96Z', fill: 'straw' },
      {
        path: 'M50 2C66 -2 78 8 78 20C94 24 96 44 88 52C90 66 74 76 60 70C52 78 36 76 34 70C18 74 8 62 13 50C4 40 10 24 22 20C22 6 36 -2 50 2Z',
        fill: null,
      },
    ],
  },
  {
    id: 'ladybird',
    words: 'a ladybird and its spots',
    prints: ['spot', 'spots'],
    spots: [
      [32, 44],
      [68, 44],
      [32, 64],
      [68, 64],
      [40, 82],
      [60, 82],
      [22, 56],
      [78, 56],
      [40, 54],
      [60, 54],
    ],
    parts: [
      {
        path: 'M50 30C80 30 92 54 86 74C80 92 64 98 50 98C36 98 20 92 14 74C8 54 20 30 50 30Z',
        fill: null,
      },
      { path: 'M50 8C64 8 70 20 68 32C58 29 42 29 32 32C30 20 36 8 50 8Z', fill: 'spruce' },
      { path: 'M50 31V97', fill: null },
      { path: 'M40 11C36 6 34 4 30 3M60 11C64 6 66 4 70 3', fill: null },
    ],
  },
  {
    id: 'flower',
    words: 'a sunflower and its petals',
    prints: ['petal', 'petals'],
    spots: Array.from({ length: 10 }, (_, i): Spot => {
      const turn = (((i * 3) % 10) / 10) * 2 * Math.PI - Math.PI / 2;
      return [50 + 27 * Math.cos(turn), 34 + 27 * Math.sin(turn)];
    }),
    parts: [
      { path: 'M50 68C51 80 50 90 50 99', fill: null },
      { path: 'M50 88C62 70 74 74 80 76C76 90 62 94 50 92Z', fill: 'straw' },
      { path: 'M50 94C40 80 28 82 22 84C26 96 38 100 50 98Z', fill: 'straw' },
      { path: 'M50 20A14 14 0 1 1 49.9 20Z', fill: 'straw' },
    ],
  },
  {
    id: 'fish',
    words: 'a fish and its bubbles',
    prints: ['bubble', 'bubbles'],
    spots: [
      [16, 44],
      [28, 34],
      [14, 28],
      [30, 18],
      [16, 10],
      [44, 26],
      [44, 8],
      [58, 18],
      [60, 4],
      [74, 12],
    ],
    parts: [
      { path: 'M24 66C36 44 66 44 80 64L96 52V82L80 70C66 90 36 90 24 66Z', fill: 'straw' },
      { path: 'M36 62A3 3 0 1 1 35.900 62Z', fill: 'black' },
      { path: 'M4 97C14 92 22 99 32 96C44 92 56 99 66 96C76 92 86 99 96 95', fill: null },
    ],
  },
  {
    id: 'caterpillar',
    words: 'a caterpillar on its leaf',
    prints: ['part of it', 'parts of it'],
    spots: [
      [78, 50],
      [67, 42],
      [56, 50],
      [45, 58],
      [34, 50],
      [23, 42],
      [12, 50],
      [12, 64],
      [23, 70],
      [34, 66],
    ],
    parts: [
      { path: 'M3 74C26 84 74 80 97 62C94 88 44 104 3 74ZM3 74C34 90 70 84 97 62', fill: null },
      { path: 'M86 31A9 9 0 1 1 85.900 31Z', fill: 'straw' },
      { path: 'M82 32C78 25 78 21 80 17M90 32C92 26 92 21 90 17', fill: null },
    ],
  },
];

export const FINGERPRINTS: SheetKind = {
  id: 'fingerprints',
  group: 'games',
  title: 'Fingerprint pictures',
  about: 'A picture to finish: as many fingerprints as the numeral says.',
  asks: ['range', 'answers', 'outline'],
  looks: PRINT_PICTURES.map(({ id, words }): [string, string] => [id, words]),
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  each: true,
  make: ({ paper, low, high, seed, look, answers }) => {
    const numbers = rangeOf(Math.max(1, low), high, 1, 10);
    const picture = PRINT_PICTURES.find(({ id }) => id === look) ?? PRINT_PICTURES[0];
    if (!picture) throw new RangeError('there is no such picture');
    const area = areaOf(paper, false);
    const side = Math.min(area.width, area.height - 56);
    const scale = side / 100;
    const [x, y] = [area.x + (area.width - side) / 2, area.y + 54];
    const title = `Fingerprints ${low} to ${high}`;
    const pages = numbers.map((n) => {
      const marks: Mark[] = [
        ...numeral(area.x + 24, area.y + 24, 58, 46, n),
        text(area.x + 56, area.y + 30, 9, numbered(n, ...picture.prints), { anchor: 'start' }),
        line(area.x, area.y + 49, area.x + area.width, area.y + 49, { ink: 'light' }),
        ...picture.parts.map(({ path, fill }): Mark => ({
          kind: 'path',
          path,
          x,
          y,
          scale,
          width: 1.2,
          ink: 'black',
          fill,
        })),
        ...(answers
          ? picture.spots
              .slice(0, n)
              .map(([px, py]) => circle(x + px * scale, y + py * scale, 7.5, { ink: 'gray' }))
          : []),
      ];
      return pageOf(paper, false, marks, { title: `Fingerprints ${n}`, seed });
    });
    return { title, pages, notes: ['Washable paint, and a damp cloth beside it.'] };
  },
};
