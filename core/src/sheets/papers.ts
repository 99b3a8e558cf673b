import * as v from 'valibot';
import { STATUS_WORDS, type SkillStatus } from '../evidence/index.js';
import {
  type Mark,
  type Page,
  type Paper,
  type Sheet,
  areaOf,
  circle,
  dot,
  line,
  pageOf,
  rect,
  text,
} from './page.js';
import { linesOf, widthOf } from './type.js';
import { boundedArray, nonEmptyText } from '../vocabulary/index.js';

/** A part of a page of words, one below the other. */
export type Block =
  | { readonly kind: 'title'; readonly words: string }
  | { readonly kind: 'heading'; readonly words: string }
  | { readonly kind: 'text'; readonly words: string; readonly soft?: boolean }
  /** A box to tick, a number, what it is, and where. */
  | {
      readonly kind: 'item';
      readonly lead: string;
      readonly words: string;
      readonly tail: string;
      readonly done: boolean;
    };

const SIZES = { title: 7.5, heading: 5, text: 4, item: 4.4 } as const;
const ABOVE = { title: 0, heading: 5, text: 1.5, item: 1.2 } as const;
const LEADING = 1.42;

/** Pages of words, as many as they need; a heading stays with what follows it. */
export function wordPages(paper: Paper, title: string, blocks: readonly Block[]): Sheet {
  const area = areaOf(paper, false);
  const pages: Page[] = [];
  let marks: Mark[] = [];
  let y: number = area.y;
  const turnPage = (): void => {
    pages.push(pageOf(paper, false, marks, { title }));
    marks = [];
    y = area.y;
  };
  blocks.forEach((block, i) => {
    const size = SIZES[block.kind];
    const indent = block.kind === 'item' ? 24 : 0;
    const tail = block.kind === 'item' ? widthOf(block.tail, size * 0.85) + 4 : 0;
    const lines = linesOf(block.words, size, area.width - indent - tail);
    const height = ABOVE[block.kind] + lines.length * size * LEADING;
    const next = blocks[i + 1];
    const kept = block.kind === 'heading' && next ? SIZES[next.kind] * LEADING * 2 : 0;
    if (y > area.y && y + height + kept > area.y + area.height) turnPage();
    y += y > area.y ? ABOVE[block.kind] : 0;
    lines.forEach((words, n) => {
      const base = y + size;
      if (block.kind === 'item' && n === 0) {
        const box = rect(area.x, base - 3.6, 4, 4, { round: 0.8, width: 0.3 });
        const tick = [
          line(area.x + 0.8, base - 1.6, area.x + 1.8, base - 0.5, { width: 0.5 }),
          line(area.x + 1.8, base - 0.5, area.x + 3.4, base - 3, { width: 0.5 }),
        ];
        marks.push(box, ...(block.done ? tick : []));
        marks.push(text(area.x + 20, base, size, block.lead, { anchor: 'end', bold: true }));
        if (block.tail !== '') {
          marks.push(
            text(area.x + area.width, base, size * 0.85, block.tail, {
              anchor: 'end',
              ink: 'gray',
            }),
          );
        }
      }
      marks.push(
        text(area.x + indent, base, size, words, {
          anchor: 'start',
          ink: block.kind === 'text' && block.soft ? 'gray' : 'black',
          ...(block.kind === 'title' || block.kind === 'heading' ? { bold: true } : {}),
        }),
      );
      y += size * LEADING;
    });
  });
  turnPage();
  return { title, pages, notes: [] };
}

/** What goes home after a game, to be cut apart. */
export const HomePaper = v.object({
  strips: v.pipe(
    v.array(
      v.object({ title: nonEmptyText(80), lines: boundedArray(nonEmptyText(400), 8) }),
      'must be a list',
    ),
    v.minLength(1, 'must not be empty'),
    v.maxLength(12, 'must have at most 12 entries'),
  ),
});
export type HomePaper = v.InferOutput<typeof HomePaper>;

/** One strip a child, one below the other. */
export function homePages(paper: Paper, { strips }: HomePaper): Sheet {
  const blocks = strips.flatMap(({ title, lines }): Block[] => [
    { kind: 'heading', words: title },
    ...lines.map((words): Block => ({ kind: 'text', words })),
  ]);
  return wordPages(paper, 'For home', blocks);
}

export interface WeekDay {
  readonly name: string;
  readonly cards: readonly {
    readonly moment: string;
    readonly title: string;
    readonly about: string;
  }[];
}

/** A week on one page across, a column a day; what does not fit goes on to another. */
export function weekPages(paper: Paper, title: string, days: readonly WeekDay[]): Sheet {
  const area = areaOf(paper, true);
  const gap = 3;
  const wide = (area.width - gap * (days.length - 1)) / Math.max(1, days.length);
  const top = area.y + 20;
  const columns = days.map(({ cards }) => columnsOf(cards, wide, area.height - 20));
  const many = Math.max(1, ...columns.map((column) => column.length));
  const pages = Array.from({ length: many }, (_, p) => {
    const marks: Mark[] = [text(area.x, area.y + 6, 6, title, { anchor: 'start', bold: true })];
    days.forEach((day, d) => {
      const x = area.x + d * (wide + gap);
      marks.push(
        text(x, area.y + 15, 4.2, day.name, { anchor: 'start', bold: true }),
        line(x, area.y + 17, x + wide, area.y + 17, { width: 0.5 }),
      );
      for (const { y, words, size, ink } of columns[d]?.[p] ?? []) {
        marks.push(text(x, top + y, size, words, { anchor: 'start', ink }));
      }
    });
    return pageOf(paper, true, marks, { title });
  });
  return { title, pages, notes: [] };
}

interface Written {
  readonly y: number;
  readonly words: string;
  readonly size: number;
  readonly ink: 'black' | 'gray';
}

/** The cards of a day in columns that are no higher than the height; no card is torn apart. */
function columnsOf(cards: WeekDay['cards'], wide: number, height: number): Written[][] {
  const columns: Written[][] = [[]];
  let y = 0;
  for (const { moment, title, about } of cards) {
    const lines = [
      { words: moment, size: 3.2, ink: 'gray' as const },
      ...linesOf(title, 4.3, wide).map((words) => ({
        words,
        size: 4.3,
        ink: 'black' as const,
      })),
      ...linesOf(about, 3.6, wide).map((words) => ({
        words,
        size: 3.6,
        ink: 'gray' as const,
      })),
    ];
    const tall = lines.reduce((sum, { size }) => sum + size * 1.35, 0);
    if (y > 0 && y + tall > height) {
      columns.push([]);
      y = 0;
    }
    for (const one of lines) {
      y += one.size * 1.35;
      columns.at(-1)?.push({ ...one, y });
    }
    y += 4;
  }
  return columns;
}

/** How a bead is drawn; shape and fill carry what it means, in black and white too. */
type BeadLook = SkillStatus;

const BEAD_R = 3;

function bead(look: BeadLook, x: number, y: number): Mark[] {
  const ring = circle(x, y, BEAD_R, { width: 0.4 });
  const part = (path: string): Mark => ({
    kind: 'path',
    path,
    x,
    y,
    scale: BEAD_R,
    width: 0,
    ink: 'black',
    fill: 'black',
  });
  switch (look) {
    case 'not-started':
      return [circle(x, y, BEAD_R, { width: 0.4, ink: 'gray', fill: 'paper' })];
    case 'started':
      return [circle(x, y, BEAD_R, { width: 0.4, fill: 'paper' }), part('M0 0H-1A1 1 0 0 0 0 1Z')];
    case 'nearly':
      return [circle(x, y, BEAD_R, { width: 0.4, fill: 'paper' }), part('M-1 0A1 1 0 0 0 1 0Z')];
    case 'secure':
      return [dot(x, y, BEAD_R)];
    case 'review':
      return [
        circle(x, y, BEAD_R + 1.1, { width: 0.35, fill: 'paper' }),
        dot(x, y, BEAD_R),
        line(x, y - BEAD_R, x, y + BEAD_R, { width: 0.8, ink: 'paper' }),
      ];
    case 'assumed':
      return [ring, dot(x, y, BEAD_R), dot(x, y, BEAD_R * 0.44, 'paper')];
  }
}

export interface StringRow {
  readonly title: string;
  readonly beads: readonly { readonly short: string; readonly look: BeadLook }[];
}

/** A child's strings of beads: one string a strand, and what the beads mean. */
export function stringPages(
  paper: Paper,
  title: string,
  about: string,
  rows: readonly StringRow[],
): Sheet {
  const area = areaOf(paper, true);
  const named = 26;
  const most = Math.max(1, ...rows.map((row) => row.beads.length));
  const step = Math.min(20, (area.width - named - 6) / most);
  const tall = Math.min(16, (area.height - 34) / Math.max(1, rows.length));
  const marks: Mark[] = [
    text(area.x, area.y + 6, 6.4, title, { anchor: 'start', bold: true }),
    text(area.x, area.y + 12.5, 3.6, about, { anchor: 'start', ink: 'gray' }),
  ];
  rows.forEach((row, r) => {
    const y = area.y + 22 + r * tall;
    const left = area.x + named;
    const last = left + (row.beads.length - 1) * step + 4;
    marks.push(text(area.x, y + 1.3, 3.8, row.title, { anchor: 'start' }));
    marks.push(line(left, y, last, y, { width: 0.3, ink: 'gray' }));
    row.beads.forEach(({ short, look }, i) => {
      const x = left + 4 + i * step;
      const size = Math.min(2.3, (step * 1.9) / Math.max(6, short.length));
      marks.push(...bead(look, x, y), text(x, y + (i % 2 === 0 ? 6.3 : 8.7), size, short));
    });
  });
  let x: number = area.x + 4;
  for (const [look, words] of Object.entries(STATUS_WORDS)) {
    const y = area.y + area.height - 4;
    marks.push(...bead(look as BeadLook, x, y));
    marks.push(text(x + 6, y + 1.2, 3.4, words, { anchor: 'start', ink: 'gray' }));
    x += 20 + words.length * 1.8;
  }
  return { title, pages: [pageOf(paper, true, marks, { title })], notes: [] };
}
