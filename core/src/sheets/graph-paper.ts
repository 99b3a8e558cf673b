import * as v from 'valibot';
import { numberWord } from '../numbers/index.js';
import {
  MOST_GRAPH_COLUMNS,
  boundedArray,
  nonEmptyText,
  text as words,
} from '../vocabulary/index.js';
import { type Mark, type Paper, type Sheet, areaOf, line, pageOf, rect, text } from './page.js';
import { fitted } from './type.js';

const MOST_ITEMS = 40;
const whole = (least: number, most: number) =>
  v.pipe(
    v.number('must be a number'),
    v.integer('must be a whole number'),
    v.minValue(least, `must be at least ${least}`),
    v.maxValue(most, `must be at most ${most}`),
  );

/** A graph as it lies on the table, for printing. */
export const GraphPaper = v.object({
  title: nonEmptyText(80),
  /** Lines under the title: the mark, what was predicted, what was found. */
  about: boundedArray(words(240), 16),
  columns: v.pipe(
    v.array(
      v.object({
        name: words(40),
        /** One entry a box, with what is written in it; the lowest first. */
        items: boundedArray(words(40), MOST_ITEMS),
      }),
    ),
    v.minLength(1, 'must not be empty'),
    v.maxLength(MOST_GRAPH_COLUMNS, `must have at most ${MOST_GRAPH_COLUMNS} entries`),
  ),
  /** How many one box stands for. */
  each: whole(1, 10),
  /** Boxes drawn in a column, full or empty. */
  rows: whole(1, MOST_ITEMS),
});
export type GraphPaper = v.InferOutput<typeof GraphPaper>;

const TITLE_MM = 7;
const ABOUT_MM = 4;
const LEADING = 1.45;
const NAME_MM = 4.6;
const WIDEST_MM = 52;
const HIGHEST_MM = 16;
/** Room at the left for the numbers of the scale, and below for names. */
const SCALE_MM = 12;
const FOOT_OF_GRAPH_MM = 10;
/** Columns of boxes from one line, with a scale at the left and a key. */
export function graphPage(paper: Paper, graph: GraphPaper): Sheet {
  const area = areaOf(paper, true);
  const marks: Mark[] = [
    text(area.x, area.y + TITLE_MM, TITLE_MM, graph.title, { anchor: 'start', bold: true }),
  ];
  let y = area.y + TITLE_MM * LEADING + 1;
  for (const about of graph.about) {
    const { size, said } = fitted(about, area.width, ABOUT_MM);
    y += ABOUT_MM * LEADING;
    marks.push(text(area.x, y, size, said, { anchor: 'start' }));
  }
  const base = area.y + area.height - FOOT_OF_GRAPH_MM - ABOUT_MM * LEADING;
  const rows = Math.max(graph.rows, ...graph.columns.map(({ items }) => items.length));
  const pitch = Math.min(WIDEST_MM, (area.width - SCALE_MM) / graph.columns.length);
  const wide = pitch * 0.84;
  const high = Math.min(HIGHEST_MM, wide, (base - y - 4) / rows);
  const left = area.x + SCALE_MM;
  graph.columns.forEach(({ name, items }, c) => {
    const x = left + c * pitch + (pitch - wide) / 2;
    for (let r = 0; r < rows; r++) {
      const top = base - (r + 1) * high;
      const said = items[r];
      marks.push(
        said === undefined
          ? rect(x, top, wide, high, { width: 0.25, ink: 'light' })
          : rect(x, top, wide, high, { width: 0.6, fill: 'light' }),
      );
      if (said) {
        const type = fitted(said, wide - 2, Math.min(4.6, high * 0.6));
        marks.push(text(x + wide / 2, top + high / 2 + type.size * 0.34, type.size, type.said));
      }
    }
    const type = fitted(name, pitch - 1, NAME_MM);
    marks.push(text(x + wide / 2, base + 6, type.size, type.said, { bold: true }));
  });
  for (let r = 0; r <= rows; r++) {
    if (rows > 20 && r % 5 !== 0) continue;
    marks.push(
      text(left - 3, base - r * high + 1.2, 3.4, String(r * graph.each), {
        anchor: 'end',
        ink: 'gray',
      }),
    );
  }
  marks.push(
    line(left - 2, base, left + pitch * graph.columns.length, base, { width: 0.8 }),
    rect(area.x, area.y + area.height - 4.2, 4, 4, { width: 0.5, fill: 'light' }),
    text(area.x + 6, area.y + area.height - 0.9, ABOUT_MM, `stands for ${numberWord(graph.each)}`, {
      anchor: 'start',
    }),
  );
  return {
    title: graph.title,
    pages: [pageOf(paper, true, marks, { title: graph.title })],
    notes: [],
  };
}
