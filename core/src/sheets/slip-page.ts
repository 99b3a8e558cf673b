import { type SlipRow, slipLay } from '../rounds/index.js';
import { type Mark, type Paper, type Sheet, areaOf, line, pageOf, rect, text } from './page.js';
import { fitted } from './type.js';

/** What is ticked, in the order in which it stands on the page and is typed back. */
const TICKS = ['on their own', 'with help', 'not yet'] as const;
const TICK_MM = 19;
const HEAD_MM = 20;
const HIGHEST_MM = 13;

/** The questions of a day on one page, a line to each, with boxes to tick. */
export function slipPage(paper: Paper, title: string, rows: readonly SlipRow[]): Sheet {
  const area = areaOf(paper, false);
  const right = area.x + area.width;
  const boxes = right - TICKS.length * TICK_MM;
  const tall = Math.min(HIGHEST_MM, (area.height - HEAD_MM) / Math.max(1, rows.length));
  const size = Math.min(4.4, tall * 0.45);
  const marks: Mark[] = [
    text(area.x, area.y + 7, 6.4, title, { anchor: 'start', bold: true }),
    ...TICKS.map((words, i) => text(boxes + (i + 0.5) * TICK_MM, area.y + 16, 3.1, words)),
    line(area.x, area.y + HEAD_MM - 1, right, area.y + HEAD_MM - 1, { width: 0.8 }),
  ];
  rows.forEach(({ name, activity, question }, i) => {
    const y = area.y + HEAD_MM + i * tall;
    const base = y + tall * 0.42;
    const isSame = name === rows[i - 1]?.name && activity.id === rows[i - 1]?.activity.id;
    const who = isSame ? '' : `${name}: ${activity.title}`;
    const head = fitted(who, 62, size, true);
    const wide = boxes - area.x - 74;
    const asked = fitted(question.say, wide, size);
    // What lies there, and what is right.
    const lay = fitted(slipLay(question), wide, size * 0.76);
    marks.push(
      text(area.x + 6, base, size, String(i + 1), { anchor: 'end', ink: 'gray' }),
      text(area.x + 8, base, head.size, head.said, { anchor: 'start', bold: true }),
      text(area.x + 72, base, asked.size, asked.said, { anchor: 'start' }),
      text(area.x + 72, y + tall * 0.84, lay.size, lay.said, { anchor: 'start', ink: 'gray' }),
      ...TICKS.map((_, k) =>
        rect(boxes + (k + 0.5) * TICK_MM - 2.6, y + tall / 2 - 2.6, 5.2, 5.2, {
          round: 1,
          width: 0.5,
        }),
      ),
      line(area.x, y + tall, right, y + tall, { ink: 'light', width: 0.3 }),
    );
  });
  return { title, pages: [pageOf(paper, false, marks, { title })], notes: [] };
}
