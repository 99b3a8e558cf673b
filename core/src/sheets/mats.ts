import type { SheetKind } from './kind.js';
import { cellFor, onePage } from './layout.js';
import { numeral } from './numeral.js';
import { type Mark, areaOf, circle, line, pageOf, rect, text } from './page.js';
import { rangeOf } from './range.js';

export const BETWEEN_MAT: SheetKind = {
  id: 'between-mat',
  group: 'frames',
  title: 'Between mat',
  about: 'Three places for cards: one less, the number, one more; or what lies between two.',
  asks: [],
  looks: [
    ['neighbors', 'one less, one more'],
    ['between', 'what lies between'],
  ],
  make: ({ paper, seed, look }) => {
    const area = areaOf(paper, true);
    // The number cards of 60 x 80 mm lie in it, with the things for them below.
    const [w, h] = [66, 86];
    const gap = (area.width - 3 * w) / 2;
    const y = area.y + 14;
    const heads =
      look === 'between' ? ['fewer', 'in between', 'more'] : ['one less', 'the number', 'one more'];
    const marks = heads.flatMap((head, i): Mark[] => {
      const x = area.x + i * (w + gap);
      return [
        text(x + w / 2, area.y + 9, 8, head),
        rect(x, y, w, h, { round: 4, width: i === 1 ? 1.8 : 1, ink: 'spruce' }),
        rect(x, y + h + 6, w, area.height - h - 20, { round: 4, ink: 'gray' }),
      ];
    });
    return onePage({ paper, seed }, true, 'Between mat', marks, [
      'Number cards lie above, as many things below each.',
    ]);
  },
};

export const COMPARE_MAT: SheetKind = {
  id: 'compare-mat',
  group: 'frames',
  title: 'Compare mat',
  about: 'Row against row, a place to a thing, so that more and fewer can be seen.',
  asks: ['material'],
  looks: [
    ['two', 'two rows'],
    ['sign', 'with a place for the sign'],
  ],
  each: true,
  make: ({ paper, seed, materialMm, look }) => {
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const places = Math.min(10, Math.floor(area.width / cell));
    const gap = look === 'sign' ? 40 : 14;
    if (places < 3 || 2 * cell + gap > area.height) {
      throw new RangeError(`things of ${materialMm} mm are too large to compare on this paper`);
    }
    const blocks = Math.max(1, Math.floor((area.height + 14) / (2 * cell + gap + 14)));
    const tall = 2 * cell + gap;
    const left = area.x + (area.width - places * cell) / 2;
    const spare = (area.height - blocks * tall) / blocks;
    const marks = Array.from({ length: blocks }, (_, b) =>
      [0, 1].flatMap((row): Mark[] => {
        const y = area.y + spare / 2 + b * (tall + spare) + row * (cell + gap);
        return [
          ...Array.from({ length: places }, (__, i) =>
            rect(left + i * cell, y, cell, cell, { width: 0.9 }),
          ),
          // From place to place: each thing has its partner across, or none.
          ...(row === 0 && look !== 'sign'
            ? Array.from({ length: places }, (__, i) =>
                line(
                  left + (i + 0.5) * cell,
                  y + cell + 2,
                  left + (i + 0.5) * cell,
                  y + cell + gap - 2,
                  {
                    dash: [1.5, 1.5],
                    ink: 'gray',
                  },
                ),
              )
            : []),
          ...(row === 0 && look === 'sign'
            ? [
                circle(area.x + area.width / 2, y + cell + gap / 2, 17, {
                  width: 1.2,
                  ink: 'spruce',
                }),
              ]
            : []),
        ];
      }),
    ).flat();
    return onePage({ paper, seed }, true, 'Compare mat', marks, [
      `${places} places in a row for things of ${materialMm} mm.`,
    ]);
  },
};

/** Space that a graph's scale takes at the left, and names take below. */
const SCALE_MM = 12;
const NAMES_MM = 22;

export const CHART_GRID: SheetKind = {
  id: 'chart-grid',
  group: 'measuring',
  title: 'Graph grid',
  about: 'Columns from one line with a scale, a cell to a thing, and wide places for names.',
  asks: ['count', 'range', 'material'],
  looks: [
    ['columns', 'columns'],
    ['walk', 'a walk: predicted and came'],
  ],
  suits: { count: 4, high: 5 },
  ends: { most: 5 },
  make: ({ paper, count, high, seed, look, materialMm }) => {
    const turnedArea = areaOf(paper, true);
    if (look === 'walk') {
      const area = turnedArea;
      const rows = Math.min(10, Math.max(2, count));
      const step = (area.height - 14) / rows;
      const widths = [0.3, 0.3, 0.4];
      const at = widths.map(
        (_, i) => area.x + area.width * widths.slice(0, i).reduce((a, b) => a + b, 0),
      );
      const heads = ['what we look for', 'we think', 'came'];
      const marks = [
        ...heads.map((head, i) => text((at[i] ?? 0) + 3, area.y + 9, 6, head, { anchor: 'start' })),
        ...Array.from({ length: rows + 1 }, (_, r) =>
          line(area.x, area.y + 14 + r * step, area.x + area.width, area.y + 14 + r * step, {
            width: 0.8,
          }),
        ),
        ...at.map((x) => line(x, area.y + 14, x, area.y + area.height, { width: 0.8 })),
        line(area.x + area.width, area.y + 14, area.x + area.width, area.y + area.height, {
          width: 0.8,
        }),
      ];
      return onePage({ paper, seed }, true, 'A walk', marks);
    }
    const [least = 1] = rangeOf(high, high, 1, 20);
    const tall = cellFor(materialMm);
    // Across the page where it can be: names are wide.
    const turned = [true, false].find((isTurned) => {
      const area = areaOf(paper, isTurned);
      return count * tall <= area.width - SCALE_MM && least * tall <= area.height - NAMES_MM;
    });
    if (turned === undefined) {
      throw new RangeError(
        `${count} columns of ${least} cells for things of ${materialMm} mm do not fit: choose fewer`,
      );
    }
    const area = areaOf(paper, turned);
    const wide = (area.width - SCALE_MM) / count;
    const rows = Math.min(20, Math.floor((area.height - NAMES_MM) / tall));
    const left = area.x + SCALE_MM;
    const base = area.y + rows * tall;
    const marks: Mark[] = Array.from({ length: count * rows }, (_, i) =>
      rect(left + (i % count) * wide, area.y + Math.floor(i / count) * tall, wide, tall, {
        ink: 'gray',
      }),
    );
    for (let r = 1; r <= rows; r++) {
      marks.push(
        text(left - 3, base - r * tall + tall / 2 + 2, Math.min(6, tall * 0.5), String(r), {
          anchor: 'end',
        }),
      );
    }
    for (let c = 0; c < count; c++) {
      marks.push(
        line(left + c * wide + 3, base + 16, left + (c + 1) * wide - 3, base + 16, { ink: 'gray' }),
      );
    }
    marks.push(line(left, base, left + count * wide, base, { width: 1.6 }));
    return onePage({ paper, seed }, turned, 'Graph grid', marks);
  },
};

export const PREDICTION_CHART: SheetKind = {
  id: 'prediction-chart',
  group: 'measuring',
  title: 'Prediction chart',
  about: 'Lighter, the same, heavier: things are drawn or laid in their column.',
  asks: [],
  looks: [
    ['weight', 'lighter, the same, heavier'],
    ['length', 'shorter, the same, longer'],
    ['sink', 'floats, sinks'],
    ['holds', 'holds less, the same, more'],
  ],
  make: ({ paper, seed, look }) => {
    const heads =
      look === 'length'
        ? ['shorter', 'the same', 'longer']
        : look === 'sink'
          ? ['floats', 'sinks']
          : look === 'holds'
            ? ['holds less', 'the same', 'holds more']
            : ['lighter', 'the same', 'heavier'];
    const area = areaOf(paper, true);
    const wide = area.width / heads.length;
    const marks = heads.flatMap((head, i): Mark[] => [
      rect(area.x + i * wide, area.y, wide, area.height, { width: 1.2, ink: 'spruce' }),
      text(area.x + (i + 0.5) * wide, area.y + 14, 11, head),
      line(area.x + i * wide, area.y + 21, area.x + (i + 1) * wide, area.y + 21, {
        width: 0.8,
        ink: 'spruce',
      }),
    ]);
    return onePage({ paper, seed }, true, heads.join(', '), marks);
  },
};

export const PRESS_COUNT: SheetKind = {
  id: 'press-count',
  group: 'games',
  title: 'Press and count',
  about: 'A numeral and as many rings to press paint, dough, or a thing into.',
  asks: ['range', 'material', 'outline'],
  looks: [],
  suits: { low: 1, high: 5 },
  ends: { most: 10 },
  each: true,
  make: ({ paper, low, high, materialMm, seed }) => {
    const numbers = rangeOf(Math.max(1, low), high, 1, 10);
    const area = areaOf(paper, true);
    const cell = cellFor(materialMm);
    const beside = 88;
    const columns = Math.min(5, Math.floor((area.width - beside) / cell));
    const rows = Math.ceil(Math.max(...numbers) / Math.max(1, columns));
    if (columns < 1 || rows * cell > area.height) {
      throw new RangeError(
        `${Math.max(...numbers)} things of ${materialMm} mm do not fit on one page`,
      );
    }
    const title = `Press and count ${low} to ${high}`;
    const pages = numbers.map((n) => {
      const across = Math.min(columns, n);
      const down = Math.ceil(n / across);
      // The rings lie apart as far as the page lets them.
      const step = Math.min((area.width - beside) / across, area.height / down, cell * 1.7);
      const left = area.x + beside + (area.width - beside - across * step) / 2;
      const top = area.y + (area.height - down * step) / 2;
      return pageOf(
        paper,
        true,
        [
          ...numeral(area.x + beside / 2 - 4, area.y + area.height / 2, 120, beside - 12, n),
          ...Array.from({ length: n }, (_, i) =>
            circle(
              left + ((i % across) + 0.5) * step,
              top + (Math.floor(i / across) + 0.5) * step,
              materialMm / 2 + 1,
              { width: 1, ink: 'spruce' },
            ),
          ),
        ],
        { title: `Press and count ${n}`, seed },
      );
    });
    return { title, pages, notes: ['Laminate it for dough.'] };
  },
};

export const SORTING_MAT: SheetKind = {
  id: 'sorting-mat',
  group: 'frames',
  title: 'Sorting mat',
  about: 'Places for what belongs together, each with a line for its name.',
  asks: [],
  looks: [
    ['2', 'two groups'],
    ['3', 'three groups'],
    ['4', 'four groups'],
    ['rings', 'two rings that meet'],
  ],
  make: ({ paper, seed, look }) => {
    const area = areaOf(paper, true);
    if (look === 'rings') {
      const r = Math.min(area.height / 2 - 8, area.width / 3.4);
      const y = area.y + area.height / 2;
      const [a, b] = [area.x + area.width / 2 - r * 0.62, area.x + area.width / 2 + r * 0.62];
      return onePage({ paper, seed }, true, 'Sorting mat', [
        circle(a, y, r, { width: 1.6, ink: 'blue' }),
        circle(b, y, r, { width: 1.6, ink: 'orange' }),
      ]);
    }
    const groups = Number(look) || 2;
    const [across, down] = groups === 4 ? [2, 2] : [groups, 1];
    const gap = 8;
    const w = (area.width - gap * (across - 1)) / across;
    const h = (area.height - gap * (down - 1)) / down;
    const marks = Array.from({ length: groups }, (_, i): Mark[] => {
      const x = area.x + (i % across) * (w + gap);
      const y = area.y + Math.floor(i / across) * (h + gap);
      return [
        rect(x, y, w, h, { round: 8, width: 1.4, ink: 'spruce' }),
        line(x + 10, y + 16, x + w - 10, y + 16, { ink: 'gray' }),
      ];
    }).flat();
    return onePage({ paper, seed }, true, 'Sorting mat', marks, [
      'The rule is written or drawn on the line, once it is found.',
    ]);
  },
};
