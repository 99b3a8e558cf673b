import { pipsOf, seeded } from '../numbers/index.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages } from './layout.js';
import { looseNumeral } from './numeral.js';
import { type Mark, areaOf, centered, circle, dot, pageOf, rect } from './page.js';
import { rangeOf } from './range.js';
import { fitted } from './type.js';

export const PAIR_CARDS: SheetKind = {
  id: 'pair-cards',
  group: 'numbers',
  title: 'Dots in pairs',
  about: 'Each amount in partners, and a numeral card to find for it.',
  asks: ['range', 'laminate', 'outline'],
  looks: [
    ['both', 'dots and numerals'],
    ['dots', 'dots alone'],
  ],
  suits: { low: 1, high: 10 },
  ends: { most: 20 },
  make: (wish) => {
    const { low, high, look } = wish;
    const size = { width: 45, height: 80 };
    const numbers = rangeOf(low, high, 0, 20);
    const faces = numbers.map((n): CardFace => (x, y) => {
      const rows = Math.ceil(n / 2);
      const step = Math.min(16, 72 / Math.max(1, rows));
      return Array.from({ length: n }, (_, i) =>
        dot(
          x + size.width / 2 + (i % 2 === 0 ? -9 : 9),
          y + (size.height - (rows - 1) * step) / 2 + Math.floor(i / 2) * step,
          Math.min(6.4, step * 0.44),
          i === n - 1 && n % 2 === 1 ? 'orange' : 'blue',
        ),
      );
    });
    const names = numbers.map(
      (n): CardFace =>
        (x, y) =>
          looseNumeral(x + size.width / 2, y + size.height / 2, 46, size.width - 8, n),
    );
    const title = `Pairs ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, look === 'dots' ? faces : [...faces, ...names], title),
      notes: ['The one that is left over has a color of its own.'],
    };
  },
};

/** Worth of a coin, and how far across it is drawn. */
const COINS = [
  [10, 26],
  [5, 23],
  [1, 18],
] as const;
const MOST_COINS = 8;
const MOST_AMOUNT = 50;

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
  group: 'numbers',
  title: 'Coin cards',
  about: 'Coins of one, five and ten; what they are together is on the back.',
  asks: ['range', 'seed', 'answers', 'laminate', 'outline'],
  looks: [],
  suits: { low: 6, high: 20 },
  ends: { least: 2, most: MOST_AMOUNT },
  make: (wish) => {
    const { low, high, seed, answers } = wish;
    const amounts = rangeOf(Math.max(1, low), high, 1, MOST_AMOUNT).filter(
      (n) => fewest(n).length <= MOST_COINS,
    );
    const size = { width: 92, height: 64 };
    const faces = amounts.map((amount): CardFace => (x, y) => [
      ...coinsFor(amount, seed * 101 + amount).flatMap((worth, i, all): Mark[] => {
        const across = COINS.find(([one]) => one === worth)?.[1] ?? 16;
        const inRow = Math.min(4, all.length);
        const step = 22.5;
        const wide = (4 - inRow) * step;
        const [cx, cy] = [
          x + 12 + wide / 2 + (i % 4) * step,
          y + (all.length > 4 ? 18 : 32) + Math.floor(i / 4) * 28,
        ];
        const r = Math.min(across, step - 1) / 2;
        return [
          circle(cx, cy, r, { width: 0.9, fill: worth === 5 ? 'straw' : 'paper' }),
          ...(worth === 10 ? [circle(cx, cy, r - 1.4, { width: 0.4 })] : []),
          centered(cx, cy, fitted(String(worth), r * 1.1, 10).size, String(worth)),
        ];
      }),
    ]);
    const backs = amounts.map(
      (amount): CardFace =>
        (x, y) =>
          looseNumeral(x + 46, y + 32, 34, 70, amount),
    );
    const title = `Coins ${low} to ${high}`;
    return {
      title,
      pages: cardPages(wish, size, faces, title, answers ? backs : []),
      notes:
        amounts.length < high - Math.max(1, low) + 1
          ? ['Amounts of more than eight coins are left out.']
          : [],
    };
  },
};

/** A page to a number: more than this nobody lays on a floor. */
const MOST_ON_FLOOR = 40;

export const HOP_CARDS: SheetKind = {
  id: 'hop-cards',
  group: 'numbers',
  title: 'Hopping cards',
  about: 'Large numerals to lay on the floor, with the dots of the die.',
  asks: ['range', 'outline'],
  looks: [],
  ends: { most: 20 },
  make: ({ paper, low, high, seed }) => {
    const numbers = rangeOf(low, high);
    if (numbers.length > MOST_ON_FLOOR) {
      throw new RangeError(`a page to a number: choose at most ${MOST_ON_FLOOR} numbers`);
    }
    const title = `Hopping ${low} to ${high}`;
    const area = areaOf(paper, false);
    const pages = numbers.map((n) => {
      const pips =
        n >= 1 && n <= 9
          ? pipsOf(n).map(([px, py]) =>
              dot(
                area.x + area.width - 70 + px * 64,
                area.y + area.height - 70 + py * 64,
                6.4,
                'blue',
              ),
            )
          : [];
      const y = area.y + area.height * (pips.length > 0 ? 0.36 : 0.46);
      return pageOf(
        paper,
        false,
        [
          rect(area.x, area.y, area.width, area.height, { round: 8, width: 2, ink: 'spruce' }),
          ...looseNumeral(area.x + area.width / 2, y, 210, area.width - 24, n),
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
