import { numberWord } from '../numbers/index.js';
import { MOST_WRITTEN } from './digits.js';
import { frameMarks } from './frames.js';
import type { SheetKind } from './kind.js';
import { cellFor } from './layout.js';
import { areaOf, pageOf, rect, text } from './page.js';
import { rangeOf } from './range.js';
import { fitted } from './type.js';
import { hollow } from './written.js';

export const DOUGH_MAT: SheetKind = {
  id: 'dough-mat',
  group: 'writing',
  title: 'Dough mat',
  about: 'A hollow digit to form, a frame to fill, and room to draw as many.',
  asks: ['range', 'material'],
  looks: [],
  suits: { low: 0, high: 9 },
  ends: { most: 9 },
  each: true,
  make: (wish) => {
    const { paper, low, high, seed, materialMm } = wish;
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const beside = area.width - 5 * cell - 10;
    if (beside < 42 || 2 * cell + 40 > area.height) {
      throw new RangeError(`a frame for things of ${materialMm} mm leaves no room for the digit`);
    }
    const title = 'Dough mat';
    const pages = rangeOf(low, high, 0, 9).map((digit) => {
      const x = area.x + area.width - 5 * cell;
      const below = area.y + 2 * cell + 8;
      const room = area.y + area.height - below;
      return pageOf(
        paper,
        true,
        [
          ...hollow(digit, wish, { x: area.x, y: area.y, w: beside, h: area.height }),
          ...frameMarks(x, area.y, cell, 5, 2),
          rect(x, below, 5 * cell, room, { round: 6, ink: 'gray' }),
          text(x + 6, below + 8, 4.4, `Draw ${numberWord(digit)}.`, {
            anchor: 'start',
            ink: 'gray',
          }),
        ],
        { title: `${title} ${digit}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it, or put it into a clear sleeve.'] };
  },
};

export const TRACE_BUILD_DRAW: SheetKind = {
  id: 'trace-build-draw',
  group: 'writing',
  title: 'Trace, build, draw',
  about: 'A number to trace, its word, a frame to build it on, and room to draw as many.',
  asks: ['range', 'material'],
  looks: [],
  suits: { low: 1, high: 10, materialMm: 18 },
  ends: { most: MOST_WRITTEN },
  each: true,
  make: (wish) => {
    const { paper, low, high, seed, materialMm } = wish;
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const frames = high > 10 ? 2 : 1;
    const built = frames * 2 * cell + (frames - 1) * 6;
    const beside = area.width - 5 * cell - 10;
    if (beside < 70 || built > area.height) {
      throw new RangeError(`frames for things of ${materialMm} mm do not fit on this paper`);
    }
    const title = `Trace, build, draw ${low} to ${high}`;
    const pages = rangeOf(low, high, 0, MOST_WRITTEN).map((n) => {
      const x = area.x + area.width - 5 * cell;
      const left = area.height - built - 8;
      const isBelow = left >= 40;
      const traced = {
        x: area.x,
        y: area.y,
        w: beside,
        h: isBelow ? area.height - 24 : area.height / 2,
      };
      const word = numberWord(n);
      const wordAt = traced.y + traced.h + 16;
      return pageOf(
        paper,
        true,
        [
          ...hollow(n, wish, traced),
          text(area.x + beside / 2, wordAt, fitted(word, beside - 8, 16).size, word),
          ...Array.from({ length: frames }, (_, i) =>
            frameMarks(x, area.y + i * (2 * cell + 6), cell, 5, 2),
          ).flat(),
          isBelow
            ? rect(x, area.y + built + 8, 5 * cell, left, { round: 6, ink: 'gray' })
            : rect(area.x, wordAt + 8, beside, area.y + area.height - wordAt - 8, {
                round: 6,
                ink: 'gray',
              }),
        ],
        { title: `Trace, build, draw ${n}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it, or put it into a clear sleeve.'] };
  },
};
