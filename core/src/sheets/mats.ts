import type { SheetKind } from './kind.js';
import { cellFor, onePage } from './layout.js';
import { type Mark, areaOf, centered, circle, line, pageOf, rect, text } from './page.js';
import { numbersFrom } from './range.js';

export const BETWEEN_MAT: SheetKind = {
  id: 'between-mat',
  title: 'Between mat',
  about: 'Three places for cards: one less, the number, one more; or what lies between two.',
  asks: [],
  looks: [
    ['neighbors', 'one less, one more'],
    ['between', 'what lies between'],
  ],
  make: ({ paper, seed, look }) => {
    const area = areaOf(paper, true);
    const [w, h] = [64, 84];
    const gap = (area.width - 3 * w) / 2;
    const y = area.y + (area.height - h) / 2;
    const heads =
      look === 'between' ? ['this', 'between', 'that'] : ['one less', 'the number', 'one more'];
    const marks = heads.flatMap((head, i): Mark[] => {
      const x = area.x + i * (w + gap);
      return [
        rect(x, y, w, h, { round: 4, width: i === 1 ? 1 : 0.5 }),
        text(x + w / 2, y - 5, 8, head),
      ];
    });
    const title = 'Between mat';
    return onePage({ paper, seed }, true, title, marks, [
      'The number cards of 60 x 80 mm lie on it.',
    ]);
  },
};

export const CHART_GRID: SheetKind = {
  id: 'chart-grid',
  title: 'Chart grid',
  about: 'Columns from one line, room for names below; to lay, to color, to tally a walk.',
  asks: ['count', 'range'],
  looks: [
    ['columns', 'columns'],
    ['walk', 'a walk: predicted and came'],
  ],
  make: ({ paper, count, high, seed, look }) => {
    const area = areaOf(paper, true);
    const columns = Math.min(10, Math.max(2, count));
    const rows = Math.min(20, Math.max(5, high));
    const title = look === 'walk' ? 'A walk' : 'Chart';
    if (look === 'walk') {
      const step = (area.height - 14) / columns;
      const widths = [0.3, 0.3, 0.4];
      const at = widths.map(
        (_, i) => area.x + area.width * widths.slice(0, i).reduce((a, b) => a + b, 0),
      );
      const heads = ['what we look for', 'we think', 'came'];
      const marks = [
        ...heads.map((head, i) => text((at[i] ?? 0) + 3, area.y + 9, 6, head, { anchor: 'start' })),
        ...Array.from({ length: columns + 1 }, (_, r) =>
          line(area.x, area.y + 14 + r * step, area.x + area.width, area.y + 14 + r * step),
        ),
        ...at.map((x) => line(x, area.y + 14, x, area.y + area.height)),
        line(area.x + area.width, area.y + 14, area.x + area.width, area.y + area.height),
      ];
      return onePage({ paper, seed }, true, title, marks);
    }
    const cell = Math.min(area.width / columns, (area.height - 16) / rows);
    const base = area.y + rows * cell;
    const left = area.x + (area.width - columns * cell) / 2;
    const marks: Mark[] = Array.from({ length: columns * rows }, (_, i) =>
      rect(left + (i % columns) * cell, area.y + Math.floor(i / columns) * cell, cell, cell, {
        ink: 'light',
      }),
    );
    for (let c = 0; c < columns; c++) {
      marks.push(
        line(left + c * cell + 2, base + 12, left + (c + 1) * cell - 2, base + 12, { ink: 'gray' }),
      );
    }
    marks.push(line(left, base, left + columns * cell, base, { width: 1 }));
    return onePage({ paper, seed }, true, title, marks);
  },
};

export const PREDICTION_CHART: SheetKind = {
  id: 'prediction-chart',
  title: 'Prediction chart',
  about: 'Lighter, the same, heavier: things are drawn or laid in their column.',
  asks: [],
  looks: [
    ['weight', 'lighter, the same, heavier'],
    ['length', 'shorter, the same, longer'],
    ['sink', 'floats, sinks'],
  ],
  make: ({ paper, seed, look }) => {
    const heads =
      look === 'length'
        ? ['shorter', 'the same', 'longer']
        : look === 'sink'
          ? ['floats', 'sinks']
          : ['lighter', 'the same', 'heavier'];
    const area = areaOf(paper, true);
    const wide = area.width / heads.length;
    const marks = heads.flatMap((head, i): Mark[] => [
      rect(area.x + i * wide, area.y, wide, area.height, { width: 0.6 }),
      text(area.x + (i + 0.5) * wide, area.y + 13, 9, head),
      line(area.x + i * wide, area.y + 20, area.x + (i + 1) * wide, area.y + 20, { width: 0.4 }),
    ]);
    const title = heads.join(', ');
    return onePage({ paper, seed }, true, title, marks);
  },
};

export const PRESS_COUNT: SheetKind = {
  id: 'press-count',
  title: 'Press and count',
  about: 'A numeral and as many rings to press dough, or a thing, into.',
  asks: ['range', 'material'],
  looks: [],
  make: ({ paper, low, high, materialMm, seed }) => {
    const numbers = numbersFrom(low, high).filter((n) => n >= 1 && n <= 10);
    if (numbers.length === 0)
      throw new RangeError('rings are drawn for one to ten: choose among them');
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const columns = Math.min(5, Math.floor((area.width - 80) / cell));
    const rows = Math.ceil(Math.max(...numbers) / Math.max(1, columns));
    if (columns < 1 || rows * cell > area.height) {
      throw new RangeError(`things of ${materialMm} mm are too large for this paper`);
    }
    const title = `Press and count ${low} to ${high}`;
    const pages = numbers.map((n) =>
      pageOf(
        paper,
        true,
        [
          centered(area.x + 38, area.y + area.height / 2, 90, String(n)),
          ...Array.from({ length: n }, (_, i) =>
            circle(
              area.x + 80 + (i % columns) * cell + cell / 2,
              area.y +
                (area.height - Math.ceil(n / columns) * cell) / 2 +
                Math.floor(i / columns) * cell +
                cell / 2,
              materialMm / 2 + 1,
              { width: 0.6 },
            ),
          ),
        ],
        { title: `Press and count ${n}`, seed },
      ),
    );
    return { title, pages, notes: ['Laminate it for dough.'] };
  },
};
