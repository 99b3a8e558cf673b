import { seeded } from '../numbers/index.js';
import { MOST_DOTS, dots } from './faces.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { type Mark, centered, circle, line, rect } from './page.js';
import { rangeOf } from './range.js';

/** Three numerals that stand near each other, just one of them right, the least first. */
export function clipPreferences(n: number, random: () => number): number[] {
  const near = [n - 2, n - 1, n + 1, n + 2].filter((one) => one >= 0);
  const first = near.splice(Math.floor(random() * near.length), 1)[0] as number;
  const second = near[Math.floor(random() * near.length)] as number;
  return [n, first, second].sort((a, b) => a - b);
}

/**
 * Places of a row that are left open. The first stays, and no two lie side by side, so that a number
 * before each tells it.
 */
export function gapsIn(places: number, many: number, random: () => number): ReadonlySet<number> {
  const gaps = new Set<number>();
  const open = Array.from({ length: Math.max(0, places - 1) }, (_, i) => i + 1);
  while (gaps.size < many && open.length > 0) {
    const [at] = open.splice(Math.floor(random() * open.length), 1) as [number];
    if (!gaps.has(at - 1) && !gaps.has(at + 1)) gaps.add(at);
  }
  return gaps;
}

export const CLIP_CARDS: SheetKind = {
  id: 'clip-cards',
  title: 'Clip cards',
  about: 'An amount and three numerals; a clothespin goes on the right one.',
  asks: ['range', 'answers'],
  looks: [],
  make: (wish) => {
    const { low, high, seed, answers } = wish;
    const numbers = rangeOf(low, Math.min(MOST_DOTS, high));
    const random = seeded(seed);
    const size = { width: 84, height: 64 };
    const faces = numbers.map((n): CardFace => {
      const choices = clipPreferences(n, random);
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
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

/** A place on a strip that a clothespin goes on, and how many lie on one strip. */
const PIN = { width: 26, height: 34, aStrip: 7 } as const;
const LABEL = { width: 12, height: 40 } as const;

export const CLIP_STRIPS: SheetKind = {
  id: 'clip-strips',
  title: 'Clip strips and peg labels',
  about: 'Strips of numbers, and labels for the clothespins that go on them.',
  asks: ['range', 'answers'],
  looks: [
    ['same', 'the same numeral'],
    ['dots', 'dots'],
    ['gaps', 'with gaps'],
  ],
  make: (wish) => {
    const { low, high, seed, answers, look } = wish;
    const numbers = rangeOf(low, look === 'dots' ? Math.min(MOST_DOTS, high) : high);
    const random = seeded(seed);
    const strips = Array.from({ length: Math.ceil(numbers.length / PIN.aStrip) }, (_, i) =>
      numbers.slice(i * PIN.aStrip, (i + 1) * PIN.aStrip),
    );
    const onStrip = (n: number, isOpen: boolean, x: number, y: number): Mark[] => {
      const [cx, cy] = [x + PIN.width / 2, y + PIN.height / 2];
      if (isOpen) {
        const place = rect(x + 5, y + 6, PIN.width - 10, PIN.height - 12, {
          round: 3,
          ink: 'gray',
        });
        return answers ? [place, centered(cx, cy, 12, String(n), 'gray')] : [place];
      }
      return look === 'dots' ? dots(x + 3, y + 7, 20, n) : [centered(cx, cy, 15, String(n))];
    };
    const faces = strips.map((strip): CardFace => {
      const many = look === 'gaps' ? Math.floor((strip.length - 1) / 2) : 0;
      const gaps = gapsIn(strip.length, many, random);
      return (x, y) =>
        strip.flatMap((n, i): Mark[] => [
          ...(i > 0
            ? [line(x + i * PIN.width, y, x + i * PIN.width, y + PIN.height, { ink: 'light' })]
            : []),
          ...onStrip(n, gaps.has(i), x + i * PIN.width, y),
        ]);
    });
    const labels = numbers.map((n): CardFace => (x, y) => [
      centered(x + LABEL.width / 2, y + 9, n < 10 ? 11 : 8, String(n)),
    ]);
    const wide = Math.min(PIN.aStrip, numbers.length) * PIN.width;
    const title = `Clip strips ${low} to ${high}`;
    return {
      title,
      pages: [
        ...cardPages(wish, { width: wide, height: PIN.height }, faces, title),
        ...cardPages(wish, LABEL, labels, `Peg labels ${low} to ${high}`),
      ],
      notes: ['The last page has a label for each clothespin; it is glued along the wood.'],
    };
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
  make: (wish) => {
    const { high, count, seed, answers, look } = wish;
    const by = Number(look) || 2;
    const steps = Math.min(10, Math.floor(high / by));
    if (steps < 4) throw new RangeError(`the range is too short for steps of ${by}`);
    const random = seeded(seed);
    const size = { width: 18 * steps, height: 24 };
    const faces = Array.from({ length: count }, (): CardFace => {
      const gaps = gapsIn(steps, Math.floor(steps / 3), random);
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
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};
