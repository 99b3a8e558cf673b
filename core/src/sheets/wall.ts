import { FACE_CARD, faceOf } from './faces.js';
import type { SheetKind } from './kind.js';
import { type Mark, areaOf, pageOf, rect } from './page.js';
import { numeral } from './numeral.js';
import { rangeOf } from './range.js';
import type { Face } from './wish.js';

const FORMS: readonly Face[] = ['dots', 'tally', 'fingers', 'sum'];

export const FORMS_WALL: SheetKind = {
  id: 'forms-wall',
  group: 'numbers',
  title: 'Wall of forms',
  about: 'One number in many forms, a row to a number; a note with the numeral goes on each.',
  asks: ['range', 'seed', 'answers', 'outline'],
  looks: [],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  make: (wish) => {
    const { paper, low, high, seed, answers } = wish;
    const numbers = rangeOf(low, high, 0, 10);
    const area = areaOf(paper, true);
    const [w, h] = [area.width / FORMS.length, area.height / 2];
    const title = `Wall of forms ${low} to ${high}`;
    const pages = Array.from({ length: Math.ceil(numbers.length / 2) }, (_, p) =>
      pageOf(
        paper,
        true,
        numbers.slice(2 * p, 2 * p + 2).flatMap((n, row) =>
          FORMS.flatMap((face, i): Mark[] => {
            const [x, y] = [area.x + i * w, area.y + row * h];
            return [
              rect(x + 1, y + 1, w - 2, h - 2, { round: 4, width: 1, ink: 'spruce' }),
              ...faceOf(
                face,
                n,
                wish,
              )(x + (w - FACE_CARD.width) / 2, y + (h - FACE_CARD.height) / 2),
              // Under the note that is stuck on it.
              ...(answers ? numeral(x + 9, y + 10, 9, 12, n, 'gray') : []),
            ];
          }),
        ),
        { title, seed },
      ),
    );
    return {
      title,
      pages,
      notes: ['A self-sticking note lies over each numeral: lift it to check.'],
    };
  },
};
