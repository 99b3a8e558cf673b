import { dominoSet, numberWord, pipsOf, layOut, seeded } from '../numbers/index.js';
import { type CardFace, cardPages, cellFor } from './layout.js';
import { type Mark, centered, circle, dot, line, rect, text } from './page.js';
import type { SheetKind } from './kind.js';
import { rangeOf } from './range.js';

const CARD = { width: 60, height: 80 } as const;
const SMALL = { width: 45, height: 60 } as const;
const MOST_DOTS = 20;

/** Dots in the customary picture to nine, in rows of five beyond. */
function dots(x: number, y: number, side: number, n: number): Mark[] {
  if (n <= 9) {
    return pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, side * 0.075));
  }
  const step = side / 5.4;
  const rows = Math.ceil(n / 5);
  const top = y + (side - (rows - 1) * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    dot(
      x + step * (0.7 + (i % 5)),
      top + step * Math.floor(i / 5),
      Math.min(step * 0.34, side * 0.06),
    ),
  );
}

/** Strokes in bundles of five. */
function tally(x: number, y: number, width: number, n: number): Mark[] {
  const step = Math.min(4.5, width / (n + 1));
  const height = step * 3;
  const left = x + (width - n * step) / 2;
  return Array.from({ length: n }, (_, i) =>
    i % 5 === 4
      ? line(left + (i - 4) * step - 0.5, y + height * 0.8, left + i * step, y + height * 0.2, {
          width: 0.9,
        })
      : line(left + i * step, y, left + i * step, y + height, { width: 0.9 }),
  );
}

/** A small ten frame with n filled. */
function frame(x: number, y: number, width: number, n: number): Mark[] {
  const cell = width / 5;
  return Array.from({ length: 10 }, (_, i): Mark[] => {
    const [cx, cy] = [x + (i % 5) * cell, y + Math.floor(i / 5) * cell];
    const mark = rect(cx, cy, cell, cell);
    return i < n ? [mark, dot(cx + cell / 2, cy + cell / 2, cell * 0.34)] : [mark];
  }).flat();
}

const FACES: Readonly<Record<string, (n: number) => CardFace>> = {
  numeral: (n) => (x, y) => [
    centered(x + CARD.width / 2, y + CARD.height / 2, n < 10 ? 46 : 36, String(n)),
  ],
  dots: (n) => (x, y) =>
    n > MOST_DOTS ? [] : dots(x + 6, y + (CARD.height - CARD.width) / 2 + 6, CARD.width - 12, n),
  tally: (n) => (x, y) => tally(x + 5, y + CARD.height / 2 - 7, CARD.width - 10, n),
  frame: (n) => (x, y) => frame(x + 5, y + CARD.height / 2 - 10, CARD.width - 10, Math.min(10, n)),
  word: (n) => (x, y) => [centered(x + CARD.width / 2, y + CARD.height / 2, 11, numberWord(n))],
};

export const NUMBER_CARDS: SheetKind = {
  id: 'number-cards',
  title: 'Number cards',
  about: 'One card a number; numerals, and the same amounts another way to match them.',
  asks: ['range'],
  looks: [
    ['numeral', 'numerals'],
    ['dots', 'numerals and dots'],
    ['tally', 'numerals and tallies'],
    ['frame', 'numerals and frames'],
    ['word', 'numerals and words'],
  ],
  make: ({ paper, low, high, seed, look }) => {
    const numbers = rangeOf(low, high);
    const other = look !== '' && look !== 'numeral' ? FACES[look] : undefined;
    if (look === 'dots' && high > MOST_DOTS) {
      throw new RangeError(`dots are drawn to ${MOST_DOTS}: end the range there`);
    }
    if (look === 'frame' && high > 10)
      throw new RangeError('a frame holds ten: end the range there');
    const faces = [
      ...numbers.map((n) => (FACES['numeral'] as (n: number) => CardFace)(n)),
      ...(other ? numbers.map(other) : []),
    ];
    const title = `Number cards ${low} to ${high}`;
    return {
      title,
      pages: cardPages(paper, CARD, faces, { title, seed }),
      notes: ['Cut along the gray lines; neighbors share a cut.'],
    };
  },
};

export const COUNTING_CARDS: SheetKind = {
  id: 'counting-cards',
  title: 'Counting cards',
  about: 'A numeral with as many rings to lay a thing on.',
  asks: ['range', 'thing'],
  looks: [],
  make: ({ paper, low, high, thingMm, seed }) => {
    const numbers = rangeOf(Math.max(1, low), high);
    const most = Math.max(...numbers);
    if (most > 10) throw new RangeError('rings are drawn to ten: end the range there');
    const cell = cellFor(thingMm);
    const columns = most > 5 ? 2 : 1;
    const size = {
      width: columns * cell + 34,
      height: Math.max(50, Math.ceil(most / columns) * cell + 8),
    };
    const faces = numbers.map((n): CardFace => (x, y) => [
      centered(x + 16, y + size.height / 2, 26, String(n)),
      ...Array.from({ length: n }, (_, i) =>
        circle(
          x + 30 + (i % columns) * cell + cell / 2,
          y + 4 + Math.floor(i / columns) * cell + cell / 2,
          (thingMm + 2) / 2,
          { ink: 'gray' },
        ),
      ),
    ]);
    const title = `Counting cards to ${high}`;
    return {
      title,
      pages: cardPages(paper, size, faces, { title, seed }),
      notes: [`${numbers.reduce((sum, n) => sum + n, 0)} things lie on all of them together.`],
    };
  },
};

const TILE = { width: 60, height: 30 } as const;

export const DOMINOES: SheetKind = {
  id: 'dominoes',
  title: 'Dominoes',
  about: 'A whole set to double the end of the range, or blank ones to draw on.',
  asks: ['range'],
  looks: [
    ['pips', 'with dots'],
    ['numeral', 'with numerals'],
    ['blank', 'blank'],
  ],
  make: ({ paper, high, seed, look }) => {
    const highest = Math.min(9, high);
    const side = TILE.height;
    const half = (x: number, y: number, n: number): Mark[] =>
      look === 'blank'
        ? []
        : look === 'numeral'
          ? [centered(x + side / 2, y + side / 2, 18, String(n))]
          : pipsOf(n).map(([px, py]) => dot(x + px * side, y + py * side, 2.1));
    const faces = dominoSet(highest).map(([a, b]): CardFace => (x, y) => [
      line(x + side, y + 4, x + side, y + side - 4, { width: 0.5 }),
      ...half(x, y, a),
      ...half(x + side, y, b),
    ]);
    const title = `Dominoes to double ${highest}`;
    return {
      title,
      pages: cardPages(paper, TILE, faces, { title, seed }),
      notes: [`${faces.length} tiles; thin card or a backing makes them stand.`],
    };
  },
};

export const CLIP_STRIPS: SheetKind = {
  id: 'clip-strips',
  title: 'Clip cards',
  about: 'An amount and three numerals; a clothespin goes on the right one.',
  asks: ['range', 'answers'],
  looks: [],
  make: ({ paper, low, high, seed, answers }) => {
    const numbers = rangeOf(low, Math.min(MOST_DOTS, high));
    const random = seeded(seed);
    const size = { width: 84, height: 64 };
    const faces = numbers.map((n): CardFace => {
      const near = [n - 2, n - 1, n + 1, n + 2].filter((one) => one >= 0);
      const first = near.splice(Math.floor(random() * near.length), 1)[0] as number;
      const second = near[Math.floor(random() * near.length)] as number;
      const choices = [n, first, second].sort((a, b) => a - b);
      return (x, y) => [
        ...dots(x + 22, y + 3, 40, n),
        ...choices.flatMap((one, i): Mark[] => {
          const at = x + 14 + i * 28;
          return [
            line(x + i * 28, y + 46, x + i * 28, y + 64, { ink: 'light' }),
            centered(at, y + 55, 12, String(one)),
            ...(answers && one === n ? [circle(at, y + 55, 7, { ink: 'gray' })] : []),
          ];
        }),
      ];
    });
    const title = `Clip cards ${low} to ${high}`;
    return { title, pages: cardPages(paper, size, faces, { title, seed }), notes: [] };
  },
};

export const SCATTER_CARDS: SheetKind = {
  id: 'scatter-cards',
  title: 'Dot cards to glance at',
  about: 'The same amount in a row, in a ring, scattered, on a slant.',
  asks: ['range'],
  looks: [],
  make: ({ paper, low, high, seed }) => {
    const numbers = rangeOf(Math.max(1, low), Math.min(10, high));
    const faces = numbers.flatMap((n) =>
      (['row', 'ring', 'scatter', 'slant'] as const).map((layout, i): CardFace => {
        const { spots, width, height } = layOut(n, layout, seed + 31 * n + i);
        const scale = Math.min((SMALL.width - 8) / width, (SMALL.height - 8) / height, 7);
        return (x, y) =>
          spots.map((spot) =>
            dot(
              x + SMALL.width / 2 + (spot.x - width / 2) * scale,
              y + SMALL.height / 2 + (spot.y - height / 2) * scale,
              scale * 0.42,
            ),
          );
      }),
    );
    const title = `Dot cards ${low} to ${high}`;
    return { title, pages: cardPages(paper, SMALL, faces, { title, seed }), notes: [] };
  },
};

export const STEP_STRIPS: SheetKind = {
  id: 'step-strips',
  title: 'Step strips',
  about: 'Counting in steps, with gaps to fill.',
  asks: ['range', 'count', 'answers'],
  looks: [
    ['2', 'by twos'],
    ['5', 'by fives'],
    ['10', 'by tens'],
    ['1', 'by ones'],
  ],
  make: ({ paper, high, count, seed, answers, look }) => {
    const by = Number(look) || 2;
    const steps = Math.min(10, Math.floor(high / by));
    if (steps < 4) throw new RangeError(`the range is too short for steps of ${by}`);
    const random = seeded(seed);
    const size = { width: 18 * steps, height: 24 };
    const faces = Array.from({ length: count }, (): CardFace => {
      // The first stays, and no two gaps lie side by side, so that every gap has one answer.
      const gaps = new Set<number>();
      while (gaps.size < Math.floor(steps / 3)) {
        const at = 1 + Math.floor(random() * (steps - 1));
        if (!gaps.has(at - 1) && !gaps.has(at + 1)) gaps.add(at);
      }
      return (x, y) =>
        Array.from({ length: steps }, (_, i): Mark[] => [
          rect(x + i * 18 + 1, y + 3, 16, 18, { round: 2 }),
          ...(gaps.has(i)
            ? answers
              ? [centered(x + i * 18 + 9, y + 12, 9, String((i + 1) * by), 'gray')]
              : []
            : [centered(x + i * 18 + 9, y + 12, 9, String((i + 1) * by))]),
        ]).flat();
    });
    const title = `Steps of ${by}`;
    return { title, pages: cardPages(paper, size, faces, { title, seed }), notes: [] };
  },
};

export const BOX_LABELS: SheetKind = {
  id: 'box-labels',
  title: 'Labels for boxes',
  about: 'Numbers for the boxes of the cupboard.',
  asks: ['range'],
  looks: [],
  make: ({ paper, low, high, seed }) => {
    const size = { width: 60, height: 30 };
    const faces = rangeOf(low, high).map((n): CardFace => (x, y) => [
      text(x + 6, y + 19, 9, 'box', { anchor: 'start', ink: 'gray' }),
      centered(x + 42, y + 15, 20, String(n)),
    ]);
    const title = `Labels ${low} to ${high}`;
    return { title, pages: cardPages(paper, size, faces, { title, seed }), notes: [] };
  },
};
