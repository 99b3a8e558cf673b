import { seeded, splitsOf } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { dots, looseNumeral } from './numeral.js';
import { type Mark, centered, circle, dot, line } from './page.js';
import { rangeOf } from './range.js';
import { fitted } from './type.js';

/** Two amounts of dots one after the other in rows of five: solid blue, and orange rings. */
function twoColors(x: number, y: number, step: number, a: number, b: number): Mark[] {
  return Array.from({ length: a + b }, (_, i): Mark => {
    const [cx, cy] = [x + (i % 5) * step, y + Math.floor(i / 5) * step];
    return i < a
      ? dot(cx, cy, step * 0.38, 'blue')
      : circle(cx, cy, step * 0.33, { width: step * 0.1, ink: 'orange', fill: 'paper' });
  });
}

const WAY = { width: 90, height: 66 } as const;

export const PAIR_DOTS: SheetKind = {
  id: 'bond-dots',
  group: 'numbers',
  title: 'Two-color dot cards',
  about: 'Every way to make a number of two parts, solid and ringed; its sentence on the back.',
  asks: ['range', 'answers', 'laminate'],
  looks: [],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { high, answers } = wish;
    const [whole = 1] = rangeOf(high, high, 1, 10);
    const splits = splitsOf(whole);
    const step = 15;
    const faces = splits.map(([a, b]): CardFace => (x, y) => {
      const rows = Math.ceil(whole / 5);
      const wide = (Math.min(5, whole) - 1) * step;
      return twoColors(
        x + (WAY.width - wide) / 2,
        y + (WAY.height - (rows - 1) * step) / 2,
        step,
        a,
        b,
      );
    });
    const backs = splits.map(([a, b]): CardFace => (x, y) => [
      centered(x + WAY.width / 2, y + WAY.height / 2, 15, `${a} + ${b} = ${whole}`),
    ]);
    const title = `Ways to make ${whole}`;
    return {
      title,
      pages: cardPages(wish, WAY, faces, title, answers ? backs : []),
      notes: ['Solid and ringed stay apart in black and white too.'],
    };
  },
};

export const DOUBLES_CARDS: SheetKind = {
  id: 'doubles-cards',
  group: 'numbers',
  title: 'Doubles cards',
  about: 'The same amount on both sides of a line, as in a mirror; its sentence on the back.',
  asks: ['range', 'answers', 'laminate', 'outline'],
  looks: [
    ['dots', 'both sides'],
    ['half', 'one side, for a mirror'],
  ],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { low, high, answers, look } = wish;
    const numbers = rangeOf(low, high, 1, 10);
    const size = { width: 90, height: 56 };
    const side = 38;
    const faces = numbers.map((n): CardFace => (x, y) => [
      line(x + 45, y + 5, x + 45, y + 51, { width: 0.8, dash: [2.5, 2], ink: 'spruce' }),
      ...dots(x + 3.5, y + 9, side, n),
      ...(look === 'half'
        ? []
        : dots(x + 3.5, y + 9, side, n, 'orange').map((mark): Mark =>
            mark.kind === 'circle' ? { ...mark, x: 2 * (x + 45) - mark.x } : mark,
          )),
    ]);
    const backs = numbers.map((n): CardFace => (x, y) => [
      centered(x + 45, y + 28, 15, `${n} + ${n} = ${2 * n}`),
    ]);
    const title = `Doubles ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: look === 'half' ? ['Use a safety mirror of acrylic.'] : [],
    };
  },
};

export const SUM_CARDS: SheetKind = {
  id: 'sum-cards',
  group: 'numbers',
  title: 'Sum cards',
  about: 'Sums without pictures, each once; what they make is on the back.',
  asks: ['range', 'count', 'seed', 'answers', 'laminate'],
  looks: [
    ['plus', 'plus'],
    ['minus', 'minus'],
    ['both', 'both'],
  ],
  suits: { low: 2, high: 5, count: 12 },
  ends: { least: 2, most: 20 },
  make: (wish) => {
    const { low, high, count, seed, look, answers } = wish;
    const wholes = rangeOf(low, high, 0, 20);
    const all = wholes.flatMap((whole) =>
      splitsOf(whole).flatMap(([a, b]) => [
        ...(look === 'minus' ? [] : [[`${a} + ${b}`, whole] as const]),
        ...(look === 'plus' ? [] : [[`${whole} − ${a}`, b] as const]),
      ]),
    );
    const random = seeded(seed);
    const sums = all
      .map((sum) => [random(), sum] as const)
      .sort(([a], [b]) => a - b)
      .slice(0, count)
      .map(([, sum]) => sum);
    const size = { width: 60, height: 40 };
    const faces = sums.map(([said]): CardFace => (x, y) => [
      centered(x + 30, y + 20, fitted(said, 50, 17).size, said),
    ]);
    const backs = sums.map(
      ([, makes]): CardFace =>
        (x, y) =>
          looseNumeral(x + 30, y + 20, 24, 50, makes),
    );
    const title = `Sums to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes: sums.length < count ? [`There are just ${sums.length} different ones.`] : [],
    };
  },
};
