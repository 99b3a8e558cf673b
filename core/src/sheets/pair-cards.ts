import { pipsOf, seeded, splitsOf } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { type Mark, areaOf, centered, circle, dot, line, pageOf, rect } from './page.js';
import { numbersFrom, rangeOf } from './range.js';

export const PAIR_CARDS: SheetKind = {
  id: 'pair-cards',
  title: 'Dots in pairs',
  about: 'Each amount in partners: one is left over, or none.',
  asks: ['range'],
  looks: [],
  make: (wish) => {
    const { low, high } = wish;
    const size = { width: 45, height: 75 };
    if (high < low) throw new RangeError('the range ends before it begins');
    const numbers = numbersFrom(low, Math.min(20, high));
    if (numbers.length === 0)
      throw new RangeError('pairs are drawn to twenty: end the range there');
    const faces = numbers.map((n): CardFace => (x, y) => {
      const rows = Math.ceil(n / 2);
      const step = Math.min(14, 66 / Math.max(1, rows));
      return Array.from({ length: n }, (_, i) =>
        dot(
          x + size.width / 2 + (i % 2 === 0 ? -8 : 8),
          y + (size.height - (rows - 1) * step) / 2 + Math.floor(i / 2) * step,
          Math.min(5, step * 0.38),
          i === n - 1 && n % 2 === 1 ? 'gray' : 'black',
        ),
      );
    });
    const title = `Pairs ${low} to ${high}`;
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

export const PAIR_DOTS: SheetKind = {
  id: 'bond-dots',
  title: 'Two-color dots',
  about: 'Every way to make a number of two parts, solid and ringed; the sum on the back half.',
  asks: ['range', 'answers'],
  looks: [],
  make: (wish) => {
    const { high, answers } = wish;
    const whole = Math.min(10, high);
    const size = { width: 60, height: 40 };
    const faces = splitsOf(whole).map(([a, b]): CardFace => (x, y) => [
      ...Array.from({ length: whole }, (_, i): Mark => {
        const cx = x + 10 + (i % 5) * 10;
        const cy = y + (whole > 5 ? 9 : 14) + Math.floor(i / 5) * 11;
        return i < a ? dot(cx, cy, 3.6) : circle(cx, cy, 3.4, { width: 0.9 });
      }),
      ...(answers ? [centered(x + 30, y + 33, 7, `${a} + ${b} = ${whole}`, 'gray')] : []),
    ]);
    const title = `Ways to make ${whole}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title),
      notes: ['Solid and ringed stay apart in black and white too.'],
    };
  },
};

/** Worth of a coin, and how far across it is drawn. */
const COINS = [
  [10, 24],
  [5, 21],
  [1, 16],
] as const;
const MOST_COINS = 8;

/** Coins that make an amount, few of them and not always the fewest. */
export function coinsFor(amount: number, seed: number): number[] {
  const random = seeded(seed);
  const coins: number[] = [];
  let left = amount;
  for (const [worth] of COINS) {
    while (left >= worth && (worth === 1 || random() < 0.85)) {
      coins.push(worth);
      left -= worth;
    }
  }
  return coins.length <= MOST_COINS ? coins : fewest(amount);
}

function fewest(amount: number): number[] {
  const coins: number[] = [];
  let left = amount;
  for (const [worth] of COINS) {
    for (; left >= worth; left -= worth) coins.push(worth);
  }
  return coins;
}

export const COIN_CARDS: SheetKind = {
  id: 'coin-cards',
  title: 'Coin cards',
  about: 'Coins of one, five and ten, and what they are together.',
  asks: ['range', 'answers'],
  looks: [],
  make: (wish) => {
    const { low, high, seed, answers } = wish;
    const amounts = numbersFrom(low, Math.min(50, high))
      .filter((n) => n > 0 && fewest(n).length <= MOST_COINS)
      .slice(0, 24);
    if (amounts.length === 0)
      throw new RangeError('coins are drawn for 1 to 50: choose among them');
    const size = { width: 110, height: 64 };
    const faces = amounts.map((amount): CardFace => (x, y) => [
      ...coinsFor(amount, seed * 101 + amount).flatMap((worth, i): Mark[] => {
        const across = COINS.find(([one]) => one === worth)?.[1] ?? 16;
        const [cx, cy] = [x + 16 + (i % 4) * 26, y + 15 + Math.floor(i / 4) * 26];
        return [
          circle(cx, cy, across / 2, { width: 0.6, fill: worth === 5 ? 'light' : 'paper' }),
          centered(cx, cy, across * 0.45, String(worth)),
        ];
      }),
      ...(answers
        ? [centered(x + 55, y + 57, 8, String(amount), 'gray')]
        : [line(x + 40, y + 60, x + 70, y + 60, { ink: 'gray' })]),
    ]);
    const title = `Coins ${low} to ${high}`;
    return { title, pages: cardPages(wish, size, faces, title), notes: [] };
  },
};

export const HOP_CARDS: SheetKind = {
  id: 'hop-cards',
  title: 'Hopping cards',
  about: 'Large numerals to lay on the floor, with the dots of the die.',
  asks: ['range'],
  looks: [],
  make: ({ paper, low, high, seed }) => {
    const numbers = rangeOf(low, high).slice(0, 24);
    const title = `Hopping ${low} to ${high}`;
    const area = areaOf(paper, false);
    const pages = numbers.map((n) => {
      const pips =
        n <= 9
          ? pipsOf(n).map(([px, py]) =>
              dot(area.x + area.width - 62 + px * 60, area.y + area.height - 62 + py * 60, 4),
            )
          : [];
      return pageOf(
        paper,
        false,
        [
          rect(area.x, area.y, area.width, area.height, { round: 8, width: 1, ink: 'gray' }),
          centered(
            area.x + area.width / 2,
            area.y + area.height * 0.42,
            n < 10 ? 170 : 130,
            String(n),
          ),
          ...pips,
        ],
        { title: `Hopping ${n}`, seed },
      );
    });
    return {
      title,
      pages,
      notes: ['On a smooth floor they need tape: paper slides under a foot.'],
    };
  },
};
