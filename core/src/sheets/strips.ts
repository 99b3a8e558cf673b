import { seeded, shuffled } from '../numbers/index.js';
import { MOST_DOTS, dots, looseNumeral, numeral } from './numeral.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { type Mark, circle, line, rect } from './page.js';
import { rangeOf } from './range.js';

/** Numerals that stand beside the right one, near it. */
const NEAR = [-3, -2, -1, 1, 2, 3] as const;
const CHOICES = 3;

/**
 * Three numerals near each other, just one of them right, at the place that is given.
 * @param at place of the right one, from 0
 */
export function clipChoices(n: number, at: number, random: () => number): number[] {
  const near = NEAR.map((by) => n + by).filter((one) => one >= 0);
  const others = near.sort(() => random() - 0.5).slice(0, CHOICES - 1);
  return [...others.slice(0, at), n, ...others.slice(at)];
}

/** A place for each of so many cards, every place as often as near as can be, in no order. */
export const evenPlaces = (many: number, seed: number): number[] =>
  shuffled(
    Array.from({ length: many }, (_, i) => (i + seed) % CHOICES),
    seed * 7 + 1,
  );

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
  group: 'games',
  title: 'Clip cards',
  about: 'An amount and three numerals; a clothespin goes on the right one.',
  asks: ['range', 'seed', 'answers', 'laminate', 'outline'],
  looks: [],
  ends: { most: MOST_DOTS },
  make: (wish) => {
    const { low, high, seed, answers } = wish;
    const numbers = rangeOf(Math.max(1, low), high, 1, MOST_DOTS);
    const random = seeded(seed);
    const size = { width: 90, height: 84 };
    const places = evenPlaces(numbers.length, seed);
    const faces = numbers.map((n, k): CardFace => {
      const choices = clipChoices(n, places[k] ?? 0, random);
      return (x, y) => [
        ...dots(x + 17, y + 2, 56, n),
        line(x, y + 60, x + 90, y + 60, { width: 0.7 }),
        ...choices.flatMap((one, i): Mark[] => {
          const at = x + 15 + i * 30;
          return [
            ...(i > 0 ? [line(x + i * 30, y + 60, x + i * 30, y + 84, { width: 0.7 })] : []),
            ...numeral(at, y + 72, 17, 22, one),
          ];
        }),
      ];
    });
    // Turned over, the dot on the back lies behind the right numeral: the card checks itself.
    const backs = numbers.map((_, k): CardFace => (x, y) => [
      circle(x + 90 - 15 - (places[k] ?? 0) * 30, y + 72, 5, { fill: 'spruce', width: 0 }),
    ]);
    const title = `Clip cards ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: answers
        ? ['Printed on both sides, the dot on the back lies behind the right one.']
        : [],
    };
  },
};

/** A place on a strip that a clothespin goes on, and how many lie on one strip. */
const PIN = { width: 26, height: 34, aStrip: 7 } as const;
const LABEL = { width: 12, height: 40 } as const;

export const CLIP_STRIPS: SheetKind = {
  id: 'clip-strips',
  group: 'games',
  title: 'Clip strips and peg labels',
  about: 'Strips of numbers, and labels for the clothespins that go on them.',
  asks: ['range', 'seed', 'answers', 'laminate'],
  looks: [
    ['same', 'the same numeral'],
    ['dots', 'dots'],
    ['gaps', 'with gaps'],
  ],
  make: (wish) => {
    const { low, high, seed, answers, look } = wish;
    const numbers = rangeOf(low, high, 0, look === 'dots' ? MOST_DOTS : 100);
    const random = seeded(seed);
    const strips = Array.from({ length: Math.ceil(numbers.length / PIN.aStrip) }, (_, i) =>
      numbers.slice(i * PIN.aStrip, (i + 1) * PIN.aStrip),
    );
    const onStrip = (n: number, isOpen: boolean, x: number, y: number): Mark[] => {
      const [cx, cy] = [x + PIN.width / 2, y + PIN.height / 2];
      if (isOpen) {
        const place = rect(x + 4, y + 5, PIN.width - 8, PIN.height - 10, {
          round: 3,
          ink: 'spruce',
          width: 0.9,
        });
        return answers ? [place, ...numeral(cx, cy, 12, PIN.width - 10, n, 'gray')] : [place];
      }
      return look === 'dots' ? dots(x + 1, y + 5, 24, n) : numeral(cx, cy, 20, PIN.width - 6, n);
    };
    const faces = strips.map((strip): CardFace => {
      const many = look === 'gaps' ? Math.floor((strip.length - 1) / 2) : 0;
      const gaps = gapsIn(strip.length, many, random);
      return (x, y) =>
        strip.flatMap((n, i): Mark[] => [
          ...(i > 0
            ? [line(x + i * PIN.width, y, x + i * PIN.width, y + PIN.height, { ink: 'gray' })]
            : []),
          ...onStrip(n, gaps.has(i), x + i * PIN.width, y),
        ]);
    });
    const labels = numbers.map(
      (n): CardFace =>
        (x, y) =>
          looseNumeral(x + LABEL.width / 2, y + 10, 13, LABEL.width - 3, n),
    );
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
