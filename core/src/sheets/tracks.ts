import { seeded, shuffled } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { cellFor, onePage } from './layout.js';
import { type Mark, areaOf, centered, dot, line, pageOf, rect, middle } from './page.js';
import { numbersFrom } from './range.js';

export const NUMBER_TRACK: SheetKind = {
  id: 'number-track',
  title: 'Number track',
  about: 'Cells for a thing to hop along; strips are glued where they meet.',
  asks: ['range', 'material'],
  looks: [
    ['full', 'all numerals'],
    ['gaps', 'with gaps'],
    ['blank', 'blank'],
  ],
  make: ({ paper, low, high, materialMm, seed, look }) => {
    const cell = cellFor(materialMm);
    const area = areaOf(paper, true);
    const across = Math.floor((area.width - 8) / cell);
    if (across < 1) throw new RangeError(`things of ${materialMm} mm are too large for a track`);
    const numbers = numbersFrom(low, Math.max(low, high));
    const random = seeded(seed);
    const gaps = new Set(numbers.filter(() => look === 'gaps' && random() < 0.35));
    const height = cell + 14;
    const perPage = Math.max(1, Math.floor((area.height + 6) / (height + 6)));
    const strips = Array.from({ length: Math.ceil(numbers.length / across) }, (_, i) =>
      numbers.slice(i * across, (i + 1) * across),
    );
    const title = `Number track ${low} to ${high}`;
    const pages = Array.from({ length: Math.ceil(strips.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        true,
        strips.slice(p * perPage, (p + 1) * perPage).flatMap((strip, row): Mark[] => {
          const y = area.y + row * (height + 6);
          return [
            ...strip.flatMap((n, i): Mark[] => [
              rect(area.x + i * cell, y, cell, cell, { width: 0.5 }),
              ...(look === 'blank' || gaps.has(n)
                ? []
                : [centered(area.x + (i + 0.5) * cell, y + cell + 7, 9, String(n))]),
            ]),
            // The tongue that the next strip is glued on.
            ...(p * perPage + row < strips.length - 1
              ? [rect(area.x + strip.length * cell, y, 8, cell, { ink: 'light', width: 0.3 })]
              : []),
          ];
        }),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['Glue each strip onto the tongue of the one before.'] };
  },
};

export const NUMBER_LINE: SheetKind = {
  id: 'number-line',
  title: 'Number line',
  about: 'Marks at equal steps along a line, in strips to glue.',
  asks: ['range'],
  looks: [
    ['full', 'all numerals'],
    ['fives', 'every fifth'],
    ['blank', 'no numerals'],
  ],
  make: ({ paper, low, high, seed, look }) => {
    if (high <= low) throw new RangeError('the range ends before it begins');
    const area = areaOf(paper, true);
    const step = 20;
    const across = Math.floor((area.width - 8) / step);
    const strips = Math.ceil((high - low) / across);
    const tall = 34;
    const perPage = Math.floor(area.height / tall);
    const title = `Number line ${low} to ${high}`;
    const strip = (i: number, y: number): Mark[] => {
      const first = low + i * across;
      const last = Math.min(high, first + across);
      const x = (n: number): number => area.x + 4 + (n - first) * step;
      return [
        line(x(first), y + 12, x(last), y + 12, { width: 0.9 }),
        ...Array.from({ length: last - first + 1 }, (_, k): Mark[] => {
          const n = first + k;
          const isNamed = look === 'blank' ? false : look === 'fives' ? n % 5 === 0 : true;
          return [
            line(x(n), y + 7, x(n), y + 17, { width: n % 5 === 0 ? 0.9 : 0.5 }),
            ...(isNamed ? [centered(x(n), y + 24, 9, String(n))] : []),
          ];
        }).flat(),
      ];
    };
    const pages = Array.from({ length: Math.ceil(strips / perPage) }, (_, p) =>
      pageOf(
        paper,
        true,
        Array.from({ length: Math.min(perPage, strips - p * perPage) }, (__, r) =>
          strip(p * perPage + r, area.y + r * tall),
        ).flat(),
        { title, seed },
      ),
    );
    return {
      title,
      pages,
      notes: ['Lay the first mark of a strip on the last of the one before.'],
    };
  },
};

export const HUNDRED_SHEET: SheetKind = {
  id: 'hundred-chart',
  title: 'Hundred chart',
  about: 'Full, blank, or with gaps to fill; from zero or one.',
  asks: ['answers'],
  looks: [
    ['full', 'full'],
    ['gaps', 'with gaps'],
    ['blank', 'blank'],
    ['zero', 'full, from zero'],
  ],
  make: ({ paper, seed, look, answers }) => {
    const area = areaOf(paper, false);
    const cell = Math.min(area.width, area.height) / 10;
    const first = look === 'zero' ? 0 : 1;
    const numbers = Array.from({ length: 100 }, (_, i) => first + i);
    const hidden = new Set(
      look === 'blank' ? numbers : look === 'gaps' ? shuffled(numbers, seed).slice(0, 30) : [],
    );
    const left = area.x + (area.width - 10 * cell) / 2;
    const marks = numbers.flatMap((n, i): Mark[] => {
      const [x, y] = [left + (i % 10) * cell, area.y + Math.floor(i / 10) * cell];
      const isShown = !hidden.has(n) || answers;
      const ink = hidden.has(n) ? 'gray' : 'black';
      return [
        rect(x, y, cell, cell),
        ...(isShown ? [centered(x + cell / 2, y + cell / 2, cell * 0.42, String(n), ink)] : []),
      ];
    });
    const title = 'Hundred chart';
    return onePage({ paper, seed }, false, title, marks);
  },
};

export const RING_SHEET: SheetKind = {
  id: 'ring-of-ones',
  title: 'Ring of ones',
  about: 'Zero to nine in a ring; a thread goes from one to the next in steps.',
  asks: [],
  looks: [],
  make: ({ paper, seed }) => {
    const { x, y } = middle(paper);
    const marks = Array.from({ length: 10 }, (_, n): Mark[] => {
      const turn = (n / 10) * 2 * Math.PI - Math.PI / 2;
      const [cx, cy] = [x + 78 * Math.cos(turn), y + 78 * Math.sin(turn)];
      return [
        dot(x + 66 * Math.cos(turn), y + 66 * Math.sin(turn), 1.2),
        centered(cx, cy, 14, String(n)),
      ];
    }).flat();
    const title = 'Ring of ones';
    return onePage({ paper, seed }, false, title, marks, [
      'On card, with a hole at each dot, it can be sewn.',
    ]);
  },
};
