import { seeded, shuffled, splitsOf } from '../numbers/index.js';
import { drawing } from './drawn.js';
import { frameMarks } from './frames.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, onePage } from './layout.js';
import { dots } from './numeral.js';
import { type Mark, areaOf, centered, circle, line, text } from './page.js';
import { rangeOf } from './range.js';

interface Spot {
  readonly x: number;
  readonly y: number;
}

/** A whole and its parts as circles of a radius, each part joined to the whole by a line. */
const joined = (whole: Spot, parts: readonly Spot[], r: number, width: number): Mark[] => [
  circle(whole.x, whole.y, r, { width: width * 1.3, ink: 'spruce' }),
  ...parts.flatMap(({ x, y }): Mark[] => {
    const far = Math.hypot(x - whole.x, y - whole.y);
    const [ux, uy] = [(x - whole.x) / far, (y - whole.y) / far];
    return [
      line(whole.x + ux * r, whole.y + uy * r, x - ux * r, y - uy * r, { width }),
      circle(x, y, r, { width, ink: 'spruce' }),
    ];
  }),
];

export const PART_WHOLE: SheetKind = {
  id: 'part-whole',
  group: 'frames',
  title: 'Part-whole mat',
  about: 'A whole above, its parts below, or two plates; room for the things in each.',
  asks: [],
  looks: [
    ['two', 'two parts'],
    ['three', 'three parts'],
    ['plates', 'two plates'],
  ],
  each: true,
  make: ({ paper, seed, look }) => {
    const parts = look === 'three' ? 3 : 2;
    const area = areaOf(paper, true);
    const title = 'Part-whole';
    if (look === 'plates') {
      const rim = Math.min(area.width / 4.1, area.height / 2.1);
      const plates = [0.25, 0.75].flatMap((at): Mark[] => {
        const [x, y] = [area.x + area.width * at, area.y + area.height / 2];
        return [
          circle(x, y, rim, { width: 1.6, ink: 'spruce', fill: 'paper' }),
          circle(x, y, rim * 0.78, { ink: 'gray' }),
        ];
      });
      return onePage({ paper, seed }, true, 'Two plates', plates);
    }
    const r = Math.min(area.width / (parts * 2.15), area.height / 4.2);
    const top = { x: area.x + area.width / 2, y: area.y + r + 1 };
    const below = Array.from({ length: parts }, (_, i) => ({
      x: area.x + (area.width * (i + 0.5)) / parts,
      y: area.y + area.height - r - 1,
    }));
    return onePage({ paper, seed }, true, title, joined(top, below, r, 1.6));
  },
};

const CARD = { width: 92, height: 84 } as const;
/** Middle and radius of the whole and of the two parts, from the card's upper left. */
const ROUND = 19;
const WHOLE = { x: CARD.width / 2, y: 22 } as const;
const PARTS = [
  { x: 24, y: 62 },
  { x: CARD.width - 24, y: 62 },
] as const;
const MOST_WHOLE = 20;

/** A whole, its two parts, and which of the three is left open. */
interface Asked {
  readonly amounts: readonly [number, number, number];
  readonly open: number;
}

/** Different ones of a range, every one once before any comes again. */
export function partWholes(low: number, high: number, isPartOpen: boolean, seed: number): Asked[] {
  const random = seeded(seed);
  const all = rangeOf(Math.max(1, low), Math.max(1, high), 1, MOST_WHOLE).flatMap((whole) =>
    splitsOf(whole).map(([a, b]): Asked => ({
      amounts: [whole, a, b],
      open: isPartOpen ? 1 + Math.floor(random() * 2) : 0,
    })),
  );
  return shuffled(all, seed);
}

export const PART_WHOLE_CARDS: SheetKind = {
  id: 'part-whole-cards',
  group: 'frames',
  title: 'Part-whole cards',
  about: 'A whole and its two parts; one of the three is left open.',
  asks: ['range', 'count', 'seed', 'answers', 'laminate', 'outline'],
  looks: [
    ['things', 'with things, the whole open'],
    ['numeral', 'with numerals, the whole open'],
    ['part', 'with numerals, a part open'],
  ],
  suits: { low: 3, high: 5, count: 6 },
  ends: { most: MOST_WHOLE },
  make: (wish) => {
    const { low, high, count, seed, look, answers, picture } = wish;
    const amount = (n: number, x: number, y: number): Mark[] => {
      if (look === 'numeral' || look === 'part') return [centered(x, y, 20, String(n))];
      if (picture === '' || n > 9) return dots(x - 12.5, y - 12.5, 25, n);
      const side = n > 4 ? 8.2 : 11;
      const columns = n > 4 ? 3 : Math.max(1, Math.min(2, n));
      const rows = Math.ceil(n / columns);
      return Array.from({ length: n }, (_, i) =>
        drawing(
          picture,
          x + (-columns / 2 + (i % columns)) * side + 0.3,
          y + (-rows / 2 + Math.floor(i / columns)) * side + 0.3,
          side - 0.6,
        ),
      ).flat();
    };
    const asked = partWholes(low, high, look === 'part', seed).slice(0, count);
    const faces = asked.map(({ amounts, open }): CardFace => (x, y) => {
      const [whole, ...parts] = [WHOLE, ...PARTS].map((spot) => ({
        x: x + spot.x,
        y: y + spot.y,
      })) as [Spot, Spot, Spot];
      return [
        ...joined(whole, parts, ROUND, 1),
        ...[whole, ...parts].flatMap((spot, i): Mark[] => {
          const n = amounts[i] ?? 0;
          if (i !== open) return amount(n, spot.x, spot.y);
          return answers ? [centered(spot.x, spot.y, 20, String(n), 'gray')] : [];
        }),
      ];
    });
    const title = `Part-whole to ${high}`;
    return {
      title,
      pages: cardPages(wish, CARD, faces, title),
      notes: asked.length < count ? [`There are just ${asked.length} different ones.`] : [],
    };
  },
};

export const WAYS_CHART: SheetKind = {
  id: 'ways-chart',
  group: 'frames',
  title: 'Chart of ways',
  about: 'A row for every way to make the number: draw or write both parts as they are found.',
  asks: ['range', 'answers'],
  looks: [
    ['two', 'two parts'],
    ['three', 'three parts'],
  ],
  suits: { low: 1, high: 5 },
  ends: { most: 20 },
  make: ({ paper, seed, high, look, answers }) => {
    const [whole = 1] = rangeOf(high, high, 1, 20);
    const area = areaOf(paper, false);
    const parts = look === 'three' ? 3 : 2;
    const ways = splitsOf(whole);
    const rows = parts === 3 ? Math.min(12, ways.length + 4) : ways.length;
    const head = 26;
    const tall = Math.min(40, (area.height - head) / rows);
    const wide = area.width / parts;
    const marks: Mark[] = [
      text(area.x, area.y + 17, 15, String(whole), { anchor: 'start', bold: true }),
      text(area.x + 24, area.y + 16, 7, 'is', { anchor: 'start' }),
      ...frameMarks(area.x, area.y + head, wide, parts, rows, tall),
    ];
    if (answers && parts === 2) {
      ways.forEach((way, r) =>
        way.forEach((n, c) => {
          const y = area.y + head + (r + 0.5) * tall;
          marks.push(
            centered(area.x + (c + 0.5) * wide, y, Math.min(12, tall * 0.6), String(n), 'gray'),
          );
        }),
      );
    }
    return onePage({ paper, seed }, false, `Ways to make ${whole}`, marks);
  },
};

/** Fingers of a hand to fold: middle from the palm's left, and length, in parts of the palm's width. */
const FINGERS = [
  [0.125, 0.72],
  [0.375, 0.9],
  [0.625, 0.98],
  [0.875, 0.84],
] as const;

/** A hand to cut out, its fingers apart, palm toward you. @param flip 1 with the thumb at the right */
function hand(x: number, y: number, palm: number, flip: 1 | -1): Mark[] {
  const at = (u: number, w: number): string =>
    `${(flip * u * palm).toFixed(2)} ${(w * palm).toFixed(2)}`;
  const r = 0.11;
  const turn = flip === 1 ? 1 : 0;
  const arc = (u: number, w: number, radius = r, sweep = turn): string =>
    `A${(radius * palm).toFixed(2)} ${(radius * palm).toFixed(2)} 0 0 ${sweep} ${at(u, w)}`;
  // From the lower left corner up over the fingers and down by the thumb; the palm is 1 x 1.05.
  const up = FINGERS.map(
    ([middle, long]) =>
      `L${at(middle - r, 0)}L${at(middle - r, -long + r)}${arc(middle + r, -long + r)}L${at(middle + r, 0)}`,
  ).join('');
  const thumb = `L${at(1, 0.3)}L${at(1.34, -0.02)}${arc(1.5, 0.14, 0.113)}L${at(1, 0.66)}`;
  const path = `M${at(0.02, 1.05)}L${at(0.014, 0)}${up}${thumb}L${at(0.9, 1.05)}Z`;
  const folds = FINGERS.map(([middle]) =>
    line(x + flip * (middle - r) * palm, y - 1, x + flip * (middle + r) * palm, y - 1, {
      width: 0.4,
      dash: [1.6, 1.4],
      ink: 'gray',
    }),
  );
  const thumbFold = line(x + flip * palm, y + 0.31 * palm, x + flip * palm, y + 0.65 * palm, {
    width: 0.4,
    dash: [1.6, 1.4],
    ink: 'gray',
  });
  return [
    { kind: 'path', path, x, y, scale: 1, width: 1, ink: 'black', fill: 'straw' },
    ...folds,
    thumbFold,
  ];
}

export const FOLDING_HANDS: SheetKind = {
  id: 'folding-hands',
  group: 'frames',
  title: 'Folding hands',
  about: 'Two hands to cut out; each finger folds down at its dashed line.',
  asks: ['outline'],
  looks: [],
  each: true,
  make: ({ paper, seed }) => {
    const area = areaOf(paper, true);
    const palm = Math.min((area.width - 12) / 3.2, area.height / 2.08);
    const middle = area.x + area.width / 2;
    const y = area.y + palm * 0.99;
    const marks = [
      ...hand(middle - 1.55 * palm, y, palm, 1),
      ...hand(middle + 1.55 * palm, y, palm, -1),
    ];
    return onePage({ paper, seed }, true, 'Folding hands', marks, [
      'On card. Cut between the fingers down to the dashed line, and fold each a few times.',
    ]);
  },
};
