import { seeded, shuffled } from '../numbers/index.js';
import { drawing } from './drawn.js';
import type { SheetKind } from './kind.js';
import { cellFor, onePage } from './layout.js';
import { numeral } from './numeral.js';
import { type Mark, areaOf, centered, circle, dot, line, middle, pageOf, rect } from './page.js';
import { numbersFrom, rangeOf } from './range.js';
import { gapsIn } from './strips.js';

/** As many sets of strips as one page takes; one set where it takes more than a page. */
const setsOf = <T>(strips: readonly T[], perPage: number): T[] =>
  Array.from({ length: Math.max(1, Math.floor(perPage / strips.length)) }, () => strips).flat();

export const NUMBER_TRACK: SheetKind = {
  id: 'number-track',
  group: 'numbers',
  title: 'Number track',
  about: 'Cells for a thing to hop along; strips are glued where they meet.',
  asks: ['range', 'material', 'seed'],
  looks: [
    ['full', 'all numerals'],
    ['gaps', 'with gaps'],
    ['blank', 'blank'],
  ],
  make: ({ paper, low, high, materialMm, seed, look }) => {
    const cell = cellFor(materialMm);
    const area = areaOf(paper, true);
    const most = Math.floor((area.width - 8) / cell);
    if (most < 1) throw new RangeError(`things of ${materialMm} mm are too large for a track`);
    const numbers = rangeOf(low, high);
    // Strips of the same length, as near as can be.
    const across = Math.ceil(numbers.length / Math.ceil(numbers.length / most));
    const random = seeded(seed);
    const gaps = new Set(numbers.filter(() => look === 'gaps' && random() < 0.35));
    const aTrack = Array.from({ length: Math.ceil(numbers.length / across) }, (_, i) =>
      numbers.slice(i * across, (i + 1) * across),
    );
    const foot = 14;
    const perPage = Math.max(1, Math.floor((area.height + 6) / (cell + foot + 6)));
    const strips = setsOf(aTrack, perPage);
    const title = `Number track ${low} to ${high}`;
    const pages = Array.from({ length: Math.ceil(strips.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        true,
        strips.slice(p * perPage, (p + 1) * perPage).flatMap((strip, row): Mark[] => {
          const y = area.y + row * (cell + foot + 6);
          return [
            ...strip.flatMap((n, i): Mark[] => [
              rect(area.x + i * cell, y, cell, cell, { width: 0.9, ink: 'spruce' }),
              ...(look === 'blank' || gaps.has(n)
                ? []
                : numeral(area.x + (i + 0.5) * cell, y + cell + 7, 11, cell - 2, n)),
            ]),
            // The tongue that the next strip is glued on.
            ...((p * perPage + row + 1) % aTrack.length !== 0
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
  group: 'numbers',
  title: 'Number line',
  about: 'Marks at equal steps along a line, in strips to glue.',
  asks: ['range', 'side'],
  looks: [
    ['full', 'all numerals'],
    ['fives', 'every fifth'],
    ['blank', 'no numerals'],
  ],
  suits: { low: 0, high: 20, materialMm: 25 },
  ends: { least: 2 },
  make: ({ paper, low, high, seed, look, materialMm }) => {
    if (high <= low) throw new RangeError('the range ends before it begins');
    const area = areaOf(paper, true);
    const step = Math.max(12, materialMm);
    const edge = 8;
    const across = Math.floor((area.width - 2 * edge) / step);
    const tall = 40;
    const perPage = Math.floor(area.height / tall);
    const strips = setsOf(numbersFrom(0, Math.ceil((high - low) / across) - 1), perPage);
    const title = `Number line ${low} to ${high}`;
    const strip = (i: number, y: number): Mark[] => {
      const first = low + i * across;
      const last = Math.min(high, first + across);
      const x = (n: number): number => area.x + edge + (n - first) * step;
      return [
        line(x(first), y + 12, x(last), y + 12, { width: 1.4, ink: 'spruce' }),
        ...Array.from({ length: last - first + 1 }, (_, k): Mark[] => {
          const n = first + k;
          const isNamed = look === 'blank' ? false : look === 'fives' ? n % 5 === 0 : true;
          return [
            line(x(n), y + 6, x(n), y + 18, { width: n % 5 === 0 ? 1.6 : 0.9 }),
            ...(isNamed ? numeral(x(n), y + 26, 12, Math.min(step - 1.5, 15.8), n) : []),
          ];
        }).flat(),
      ];
    };
    const pages = Array.from({ length: Math.ceil(strips.length / perPage) }, (_, p) =>
      pageOf(
        paper,
        true,
        strips
          .slice(p * perPage, (p + 1) * perPage)
          .flatMap((one, r) => strip(one, area.y + r * tall)),
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
  group: 'numbers',
  title: 'Hundred chart',
  about: 'Full, blank, or with gaps to fill; from zero or one.',
  asks: ['answers', 'seed'],
  looks: [
    ['full', 'full'],
    ['gaps', 'with gaps'],
    ['rows', 'a row at a time'],
    ['blank', 'blank'],
    ['zero', 'full, from zero'],
  ],
  each: true,
  make: ({ paper, seed, look, answers }) => {
    const area = areaOf(paper, false);
    const [wide, tall] = [area.width / 10, area.height / 10];
    const first = look === 'zero' ? 0 : 1;
    const numbers = Array.from({ length: 100 }, (_, i) => first + i);
    const hidden = new Set(
      look === 'blank'
        ? numbers
        : look === 'gaps'
          ? shuffled(numbers, seed).slice(0, 30)
          : look === 'rows'
            ? numbers.filter((n) => Math.floor((n - 1) / 10) % 2 === 1)
            : [],
    );
    const size = Math.min(wide, tall) * 0.56;
    const marks = numbers.flatMap((n, i): Mark[] => {
      const [x, y] = [area.x + (i % 10) * wide, area.y + Math.floor(i / 10) * tall];
      const isShown = !hidden.has(n) || answers;
      const ink = hidden.has(n) ? 'gray' : 'black';
      return [
        rect(x, y, wide, tall, { width: 0.7 }),
        ...(isShown
          ? [
              centered(
                x + wide / 2,
                y + tall / 2,
                Math.min(size, (wide - 2) / 1.78),
                String(n),
                ink,
              ),
            ]
          : []),
      ];
    });
    return onePage({ paper, seed }, false, 'Hundred chart', [
      ...marks,
      rect(area.x, area.y, area.width, area.height, { width: 1.4, ink: 'spruce' }),
    ]);
  },
};

/** Points of a ring around a middle, the first at the top. */
const ringPoint = (x: number, y: number, r: number, i: number, many: number): [number, number] => {
  const turn = (i / many) * 2 * Math.PI - Math.PI / 2;
  return [x + r * Math.cos(turn), y + r * Math.sin(turn)];
};

export const RING_SHEET: SheetKind = {
  id: 'ring-of-ones',
  group: 'numbers',
  title: 'Number ring',
  about: 'Numbers in a ring; a thread goes from one to the next in steps.',
  asks: [],
  looks: [
    ['ones', 'zero to nine'],
    ['twelve', 'one to twelve'],
  ],
  make: ({ paper, seed, look }) => {
    const { x, y } = middle(paper);
    const many = look === 'twelve' ? 12 : 10;
    const marks = Array.from({ length: many }, (_, i): Mark[] => {
      const n = many === 12 ? (i === 0 ? 12 : i) : i;
      return [
        dot(...ringPoint(x, y, 70, i, many), 2, 'spruce'),
        centered(...ringPoint(x, y, 84, i, many), 17, String(n)),
      ];
    }).flat();
    return onePage(
      { paper, seed },
      false,
      'Number ring',
      [circle(x, y, 70, { ink: 'light' }), ...marks],
      ['On card, with a hole at each dot, it can be sewn.'],
    );
  },
};

/** Petals of a flower lie in a ring; what a step makes stands outside of each. */
export const TIMES_PETALS: SheetKind = {
  id: 'times-petals',
  group: 'numbers',
  title: 'Times petals',
  about: 'A number in the middle, one to twelve around it; what they make goes on the petals.',
  asks: ['answers', 'outline'],
  looks: [
    ['2', 'twos'],
    ['5', 'fives'],
    ['10', 'tens'],
    ['3', 'threes'],
    ['4', 'fours'],
  ],
  make: ({ paper, seed, look, answers }) => {
    const by = Number(look) || 2;
    const { x, y } = middle(paper);
    const marks = Array.from({ length: 12 }, (_, i): Mark[] => {
      const n = i + 1;
      const turn = (i / 12) * 360;
      const [sin, cos] = [Math.sin((turn * Math.PI) / 180), Math.cos((turn * Math.PI) / 180)];
      const at = (u: number, w: number): string =>
        `${(u * cos - w * sin).toFixed(2)} ${(u * sin + w * cos).toFixed(2)}`;
      return [
        {
          kind: 'path',
          path: `M${at(0, -46)}C${at(-20, -56)} ${at(-19, -90)} ${at(0, -93)}C${at(19, -90)} ${at(20, -56)} ${at(0, -46)}Z`,
          x,
          y,
          scale: 1,
          width: 0.9,
          ink: 'spruce',
          fill: 'paper',
        },
        centered(...ringPoint(x, y, 35, i, 12), 10, String(n)),
        ...(answers ? [centered(...ringPoint(x, y, 74, i, 12), 11, String(n * by), 'gray')] : []),
      ];
    }).flat();
    return onePage({ paper, seed }, false, `Times petals of ${by}`, [
      ...marks,
      circle(x, y, 24, { width: 1.2, ink: 'spruce', fill: 'straw' }),
      centered(x, y, 22, String(by)),
    ]);
  },
};

/** A landing place, and what lies between two of them. */
const STONE_MM = 22;
const STEPS_IN_BETWEEN: Readonly<Record<number, number>> = { 1: 10, 2: 14, 5: 20, 10: 30 };

export const STEP_STRIPS: SheetKind = {
  id: 'step-strips',
  group: 'numbers',
  title: 'Step sheets',
  about: 'Landing places from any start, the steps between them as dots; some can stay open.',
  asks: ['range', 'seed', 'answers', 'outline'],
  looks: [
    ['2', 'by twos'],
    ['5', 'by fives'],
    ['10', 'by tens'],
    ['1', 'by ones'],
  ],
  suits: { low: 0, high: 20 },
  ends: { least: 4 },
  make: ({ paper, low, high, seed, answers, look, picture }) => {
    const by = Number(look) || 2;
    const stones = numbersFrom(0, Math.floor((high - low) / by)).map((i) => low + i * by);
    if (stones.length < 3) throw new RangeError(`the range is too short for steps of ${by}`);
    const area = areaOf(paper, true);
    const between = STEPS_IN_BETWEEN[by] ?? 14;
    const head = picture === '' ? 0 : STONE_MM + 6;
    const pitch = STONE_MM + between;
    const across = Math.max(1, Math.floor((area.width - head + between) / pitch));
    const rows = Math.ceil(stones.length / across);
    const tall = STONE_MM + 14;
    const perPage = Math.max(1, Math.floor((area.height + 14) / tall));
    const random = seeded(seed);
    const walks = Array.from({ length: Math.max(1, Math.floor(perPage / rows)) }, () =>
      gapsIn(stones.length, Math.floor(stones.length / 3), random),
    );
    const title = `Steps of ${by} from ${low}`;
    const stone = (i: number, row: number, gaps: ReadonlySet<number>): Mark[] => {
      const x = area.x + head + (i % across) * pitch + STONE_MM / 2;
      const y = area.y + row * tall + STONE_MM / 2;
      const n = stones[i] ?? 0;
      const isOpen = gaps.has(i);
      const isLast = i === stones.length - 1 || (i + 1) % across === 0;
      return [
        circle(x, y, STONE_MM / 2, { width: 1.2, ink: 'spruce', fill: isOpen ? 'paper' : 'straw' }),
        ...(!isOpen || answers
          ? numeral(x, y, 11, STONE_MM - 6, n, isOpen ? 'gray' : 'black')
          : []),
        ...(isLast
          ? []
          : Array.from({ length: by - 1 }, (_, k) =>
              dot(x + STONE_MM / 2 + ((k + 1) * between) / by, y, 0.8, 'gray'),
            )),
      ];
    };
    const pages = Array.from({ length: Math.ceil((walks.length * rows) / perPage) }, (_, p) =>
      pageOf(
        paper,
        true,
        walks.flatMap((gaps, walk) =>
          stones.flatMap((_, i) => {
            const row = walk * rows + Math.floor(i / across) - p * perPage;
            if (row < 0 || row >= perPage) return [];
            // Who walks stands at the beginning of each row.
            const who =
              i % across === 0 ? drawing(picture, area.x, area.y + row * tall, STONE_MM) : [];
            return [...who, ...stone(i, row, gaps)];
          }),
        ),
        { title, seed },
      ),
    );
    return { title, pages, notes: ['A thing covers each landing place as its word is said.'] };
  },
};
