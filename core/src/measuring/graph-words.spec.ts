import * as v from 'valibot';
import { GraphPaper } from '../sheets/index.js';
import type { Graph } from '../vocabulary/index.js';
import { boxesOf, columnsFrom, graphSheet } from './index.js';

const graph: Graph = {
  id: '00000000-0000-4000-8000-000000000001',
  day: '2026-03-10',
  title: 'What came by on our walk',
  columns: [
    { name: 'dogs', predicted: 3, count: 7 },
    { name: 'carts', predicted: 0, count: 0 },
  ],
  each: 2,
  version: 1,
};

describe('a graph of the household', () => {
  it('has boxes that stand for so many, the last one saying what is left', () => {
    expect(boxesOf(7, 2)).toEqual(['', '', '', '1']);
    expect(boxesOf(6, 2)).toEqual(['', '', '']);
    expect(boxesOf(0, 5)).toEqual([]);
  });

  it('prints with its counts and what was thought, or empty to be filled', () => {
    const full = graphSheet(graph, false);
    expect(v.parse(GraphPaper, full)).toEqual(full as GraphPaper);
    expect(full.about).toEqual(['10 March', 'We thought: dogs 3.']);
    expect(full.columns.map((one) => one.name)).toEqual(['dogs: 7', 'carts: 0']);
    expect(full.rows).toBe(4);
    const empty = graphSheet(graph, true);
    expect(empty.columns).toEqual([
      { name: 'dogs', items: [] },
      { name: 'carts', items: [] },
    ]);
    expect([empty.rows, empty.about]).toEqual([10, ['10 March']]);
  });

  it('takes its columns from a sorted basket, and keeps what was predicted', () => {
    expect(columnsFrom([{ name: 'dogs', count: 2 }], graph.columns)).toEqual([
      { name: 'dogs', count: 2, predicted: 3 },
    ]);
    expect(columnsFrom([{ name: 'red', count: 4 }])).toEqual([
      { name: 'red', count: 4, predicted: 0 },
    ]);
  });
});
