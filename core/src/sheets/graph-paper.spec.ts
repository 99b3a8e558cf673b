import fc from 'fast-check';
import * as v from 'valibot';
import { MOST_GRAPH_COLUMNS } from '../vocabulary/index.js';
import { GraphPaper, type Mark, areaOf, graphPage } from './index.js';

const column = fc.record({
  name: fc.string({ maxLength: 40 }),
  items: fc.array(fc.string({ maxLength: 40 }), { maxLength: 40 }),
});
const graph = fc.record({
  title: fc.stringMatching(/^[a-z]{1,80}$/),
  about: fc.array(fc.string({ maxLength: 240 }), { maxLength: 16 }),
  columns: fc.array(column, { minLength: 1, maxLength: MOST_GRAPH_COLUMNS }),
  each: fc.integer({ min: 1, max: 10 }),
  rows: fc.integer({ min: 1, max: 40 }),
});
const boxes = (marks: readonly Mark[]): Extract<Mark, { kind: 'rect' }>[] =>
  marks.flatMap((one) => (one.kind === 'rect' ? [one] : []));

describe('a printed graph', () => {
  it('has a box for each thing, none over another, all on the paper', () => {
    fc.assert(
      fc.property(graph, fc.constantFrom('a4' as const, 'letter' as const), (of, paper) => {
        const [page] = graphPage(paper, v.parse(GraphPaper, of)).pages;
        const area = areaOf(paper, true);
        const rows = Math.max(of.rows, ...of.columns.map(({ items }) => items.length));
        const all = boxes(page!.marks);
        const full = all.filter((one) => one.fill !== null);
        // One more is the key.
        expect(full.length).toBe(of.columns.reduce((sum, { items }) => sum + items.length, 1));
        expect(all.length).toBe(rows * of.columns.length + 1);
        for (const { x, y, w, h } of all) {
          expect(x).toBeGreaterThanOrEqual(area.x);
          expect(x + w).toBeLessThanOrEqual(area.x + area.width + 1e-9);
          expect(y).toBeGreaterThan(area.y);
          expect(y + h).toBeLessThanOrEqual(area.y + area.height);
          expect(h).toBeGreaterThan(1);
        }
        const lefts = [...new Set(all.slice(0, -1).map(({ x }) => x))].sort((a, b) => a - b);
        lefts.slice(1).forEach((x, i) => {
          expect(x - lefts[i]!).toBeGreaterThan(all[0]!.w);
        });
      }),
    );
  });

  it('says what a box stands for, and counts by it at the side', () => {
    const [page] = graphPage('a4', {
      title: 'What we saw',
      about: [],
      columns: [{ name: 'dogs', items: ['', ''] }],
      each: 2,
      rows: 4,
    }).pages;
    const said = page!.marks.flatMap((one) => (one.kind === 'text' ? [one.text] : []));
    expect(said).toContain('stands for two');
    expect(said.filter((one) => /^\d+$/.test(one))).toEqual(['0', '2', '4', '6', '8']);
  });

  it('is refused with a name for what is wrong', () => {
    const wrong = v.safeParse(GraphPaper, { title: ' ', about: [], columns: [], each: 0, rows: 1 });
    const fields = wrong.issues?.map((issue) => `${v.getDotPath(issue)} ${issue.message}`);
    expect(fields).toEqual([
      'title must not be empty',
      'columns must not be empty',
      'each must be at least 1',
    ]);
  });
});
