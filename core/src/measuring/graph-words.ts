import type { Graph } from '../vocabulary/index.js';
import { dayInWords } from '../vocabulary/index.js';
import type { ChartColumn } from './basket.js';

/** Rows of a graph that is printed empty, where it says nothing of its own height. */
const EMPTY_ROWS = 10;

/** Boxes of a column, each standing for so many; the last one says what it holds where it is not full. */
export function boxesOf(count: number, each: number): string[] {
  const full = Math.floor(count / each);
  const left = count % each;
  return [...Array.from({ length: full }, () => ''), ...(left > 0 ? [String(left)] : [])];
}

/**
 * A graph for printing, with a box for each so many.
 * @param isEmpty whether only its columns are printed, to be filled by hand
 */
export function graphSheet({ title, day, columns, each }: Graph, isEmpty: boolean) {
  const filled = columns.map(({ name, count }) => ({
    name: isEmpty ? name : `${name}: ${count}`,
    items: isEmpty ? [] : boxesOf(count, each),
  }));
  const predicted = columns.filter((one) => one.predicted > 0);
  const said = predicted.map((one) => `${one.name} ${one.predicted}`).join(', ');
  return {
    title,
    about: [
      dayInWords(day),
      ...(said === '' || isEmpty ? [] : [`We thought: ${said}.`.slice(0, 240)]),
    ],
    columns: filled,
    each,
    rows: Math.max(isEmpty ? EMPTY_ROWS : 1, ...filled.map(({ items }) => items.length)),
  };
}

/** Columns of a graph from a sorted basket; what was predicted for a column of the same name stays. */
export const columnsFrom = (
  sorted: readonly ChartColumn[],
  before: Graph['columns'] = [],
): Graph['columns'] =>
  sorted.map(({ name, count }) => ({
    name,
    count,
    predicted: before.find((one) => one.name === name)?.predicted ?? 0,
  }));
