import type { SheetKind } from './kind.js';
import { type Mark, areaOf, dot, pageOf, text } from './page.js';

/** Lines and shapes that come before digits, on a field of 10 x 10, and the way that is said. */
const FIGURES: readonly (readonly [
  id: string,
  path: string,
  start: readonly [number, number],
  said: string,
])[] = [
  ['down', 'M5 0.5V9.5', [5, 0.5], 'down'],
  ['across', 'M0.5 5H9.5', [0.5, 5], 'across'],
  ['circle', 'M5 0.5A4.5 4.5 0 1 0 5.01 0.5', [5, 0.5], 'over, down, round and up, and stop'],
  ['cross', 'M5 0.5V9.5M0.5 5H9.5', [5, 0.5], 'down, then across'],
  ['slant', 'M8.5 0.5L1.5 9.5', [8.5, 0.5], 'slant down to the left'],
  ['triangle', 'M5 0.5L0.5 9.5H9.5Z', [5, 0.5], 'slant down, across, and up again'],
];

export const LINES: SheetKind = {
  id: 'lines',
  group: 'writing',
  title: 'Lines before digits',
  about:
    'Lines and shapes to go over and to draw: down, across, round, a cross, a slant, a triangle.',
  asks: [],
  looks: [
    ['dotted', 'dotted'],
    ['hollow', 'hollow'],
  ],
  each: true,
  make: ({ paper, seed, look }) => {
    const area = areaOf(paper, false);
    const tall = area.height / FIGURES.length;
    const side = Math.min(tall - 14, 31);
    const many = Math.floor(area.width / (side + 8));
    const step = area.width / many;
    const marks = FIGURES.flatMap(([, path, [sx, sy], said], row): Mark[] => {
      const y = area.y + row * tall + 1;
      return [
        ...Array.from({ length: many }, (_, i): Mark[] => {
          const x = area.x + i * step + (step - side) / 2;
          const placed = { x, y, scale: side / 10 };
          const drawn = (
            width: number,
            ink: 'black' | 'gray' | 'paper' | 'light',
            dash = false,
          ): Mark => ({
            kind: 'path',
            path,
            ...placed,
            width,
            ink,
            fill: null,
            ...(dash ? { dash: [0.1, 2.6] as const } : {}),
          });
          const shown =
            i === 0
              ? [drawn(1.8, 'black')]
              : i === many - 1
                ? []
                : look === 'hollow'
                  ? [drawn(4.6, 'gray'), drawn(3.4, 'paper')]
                  : [drawn(1.2, 'gray', true)];
          return [...shown, dot(x + (sx * side) / 10, y + (sy * side) / 10, 1.6, 'spruce')];
        }).flat(),
        text(area.x, y + side + 8, 4.4, said, { anchor: 'start' }),
      ];
    });
    const title = 'Lines before digits';
    return { title, pages: [pageOf(paper, false, marks, { title, seed })], notes: [] };
  },
};
