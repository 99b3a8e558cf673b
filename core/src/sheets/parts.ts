import { seeded, splitsOf } from '../numbers/index.js';
import { drawing } from './drawn.js';
import { dots } from './faces.js';
import type { SheetKind } from './kind.js';
import { type CardFace, cardPages, onePage } from './layout.js';
import { type Mark, areaOf, centered, circle, line } from './page.js';

export const PART_WHOLE: SheetKind = {
  id: 'part-whole',
  title: 'Part-whole mat',
  about: 'A whole above, its parts below, or two plates; room for the things in each.',
  asks: [],
  looks: [
    ['two', 'two parts'],
    ['three', 'three parts'],
    ['plates', 'two plates'],
  ],
  make: ({ paper, seed, look }) => {
    const parts = look === 'three' ? 3 : 2;
    const area = areaOf(paper, true);
    const title = 'Part-whole';
    if (look === 'plates') {
      const rim = Math.min(area.width / 4.1, area.height / 2.1);
      const plates = [0.25, 0.75].flatMap((at): Mark[] => {
        const [x, y] = [area.x + area.width * at, area.y + area.height / 2];
        return [circle(x, y, rim, { width: 0.8 }), circle(x, y, rim * 0.78, { ink: 'gray' })];
      });
      return onePage({ paper, seed }, true, 'Two plates', plates);
    }
    const r = Math.min(area.width / (parts * 2.3), area.height / 4.4);
    const top = { x: area.x + area.width / 2, y: area.y + r + 1 };
    const y = area.y + area.height - r - 1;
    const marks: Mark[] = Array.from({ length: parts }, (_, i): Mark[] => {
      const x = area.x + (area.width * (i + 0.5)) / parts;
      const far = Math.hypot(x - top.x, y - top.y);
      const [ux, uy] = [(x - top.x) / far, (y - top.y) / far];
      return [
        line(top.x + ux * r, top.y + uy * r, x - ux * r, y - uy * r, { width: 0.8 }),
        circle(x, y, r, { width: 0.8 }),
      ];
    }).flat();
    marks.push(circle(top.x, top.y, r, { width: 0.8 }));
    return onePage({ paper, seed }, true, title, marks);
  },
};

const CARD = { width: 92, height: 84 } as const;
/** Middle and radius of the whole and of the two parts, from the card's upper left. */
const ROUND = 17;
const WHOLE = { x: CARD.width / 2, y: 21 } as const;
const PARTS = [
  { x: 24, y: 62 },
  { x: CARD.width - 24, y: 62 },
] as const;
const MOST_WHOLE = 20;

export const PART_WHOLE_CARDS: SheetKind = {
  id: 'part-whole-cards',
  title: 'Part-whole cards',
  about: 'A whole and its two parts; one of the three is left open.',
  asks: ['range', 'count', 'answers'],
  looks: [
    ['things', 'with things, the whole open'],
    ['numeral', 'with numerals, the whole open'],
    ['part', 'with numerals, a part open'],
  ],
  make: (wish) => {
    const { low, high, count, seed, look, answers, picture } = wish;
    if (high < low) throw new RangeError('the range ends before it begins');
    if (low > MOST_WHOLE) throw new RangeError(`wholes go to ${MOST_WHOLE}: choose among them`);
    const random = seeded(seed);
    const pick = (from: number, to: number): number =>
      from + Math.floor(random() * (to - from + 1));
    const amount = (n: number, x: number, y: number): Mark[] => {
      if (look === 'numeral' || look === 'part') return [centered(x, y, 15, String(n))];
      if (picture === '' || n > 9) return dots(x - 11, y - 11, 22, n);
      const side = n > 4 ? 7.4 : 10;
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
    const faces = Array.from({ length: count }, (): CardFace => {
      const whole = pick(Math.max(1, low), Math.min(MOST_WHOLE, Math.max(1, high)));
      const splits = splitsOf(whole);
      const parts = splits[pick(0, splits.length - 1)] ?? [whole, 0];
      const open = look === 'part' ? 1 + pick(0, 1) : 0;
      const amounts = [whole, ...parts];
      return (x, y) =>
        [WHOLE, ...PARTS].flatMap((place, i): Mark[] => {
          const [cx, cy] = [x + place.x, y + place.y];
          const far = Math.hypot(place.x - WHOLE.x, place.y - WHOLE.y);
          const [ux, uy] = [(place.x - WHOLE.x) / (far || 1), (place.y - WHOLE.y) / (far || 1)];
          const n = amounts[i] ?? 0;
          return [
            circle(cx, cy, ROUND, { width: 0.6 }),
            ...(i === 0
              ? []
              : [
                  line(
                    x + WHOLE.x + ux * ROUND,
                    y + WHOLE.y + uy * ROUND,
                    cx - ux * ROUND,
                    cy - uy * ROUND,
                    { width: 0.6 },
                  ),
                ]),
            ...(i !== open
              ? amount(n, cx, cy)
              : answers
                ? [centered(cx, cy, 15, String(n), 'gray')]
                : []),
          ];
        });
    });
    const title = `Part-whole to ${high}`;
    return { title, pages: cardPages(wish, CARD, faces, title), notes: [] };
  },
};
