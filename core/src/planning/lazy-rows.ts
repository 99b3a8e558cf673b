import type { LinearModel, MarkedModel, Row, Term } from './linear-model.js';

/** A model without the rows that few solutions break, and those of them that one does break. */
export interface LazyModel {
  /** The same columns; those that only pass on what others count are in no row. */
  readonly model: LinearModel;
  /** Rows to be added, that all solutions of the whole model hold; none where one solves it. */
  broken(values: ArrayLike<number>): Row[];
}

/** A row whose columns that pass on were put in its place: with what each of them passes on at most. */
interface Opened {
  readonly own: readonly Term[];
  readonly upper: number;
  readonly parts: readonly { readonly most: number; readonly terms: readonly Term[] }[];
}

/** What a row must be broken by to be added. */
const BROKEN = 1e-6;

/**
 * Leaves out what few solutions break, as a relaxation is solved the faster the fewer rows it has:
 * rows that are marked so, and columns that pass on a sum of others, no more than so much of it. In
 * their place stands the sum itself, or, in the rows to be added, the most where that is less.
 */
export function lazyRows(model: MarkedModel): LazyModel {
  const passing = new Map(model.passing.map((one) => [one.column, one]));
  const gone = new Set(model.passing.map((one) => one.row));
  const kept: { lower: number; terms: readonly Term[]; upper: number }[] = [];
  const rare: Row[] = [];
  const opened: Opened[] = [];
  for (let r = 0; r < model.rowLower.length; r++) {
    if (gone.has(r)) continue;
    const [lower, upper] = [model.rowLower[r] as number, model.rowUpper[r] as number];
    const terms: Term[] = [];
    for (let i = model.starts[r] as number; i < (model.starts[r + 1] as number); i++)
      terms.push([model.columns[i] as number, model.values[i] as number]);
    if (model.rare[r] === 1) {
      rare.push({ terms, upper });
      continue;
    }
    const own = terms.filter(([column]) => !passing.has(column));
    const parts = terms.flatMap(([column, value]) => {
      const one = passing.get(column);
      const scaled = (one?.terms ?? []).map(([of, by]): Term => [of, by * value]);
      return one ? [{ most: value * (model.upper[column] as number), terms: scaled }] : [];
    });
    if (parts.length > 0) opened.push({ own, upper, parts });
    kept.push({ lower, terms: summed([own, ...parts.map((part) => part.terms)]), upper });
  }

  const broken = (values: ArrayLike<number>): Row[] => {
    const at = (terms: readonly Term[]): number => {
      let sum = 0;
      for (const [column, value] of terms) sum += value * (values[column] as number);
      return sum;
    };
    const rows = rare.filter(({ terms, upper }) => at(terms) > upper + BROKEN);
    for (const { own, upper, parts } of opened) {
      // What is passed on stands with a minus: the most of it is the least there.
      const over = parts.filter((part) => at(part.terms) < part.most - BROKEN);
      if (over.length === 0) continue;
      const rest = summed([
        own,
        ...parts.flatMap((one) => (over.includes(one) ? [] : [one.terms])),
      ]);
      const most = over.reduce((sum, part) => sum - part.most, upper);
      if (at(rest) > most + BROKEN) rows.push({ terms: rest, upper: most });
    }
    return rows;
  };
  const starts = [0];
  for (const { terms } of kept) starts.push((starts.at(-1) as number) + terms.length);
  const all = kept.flatMap(({ terms }) => terms);
  return {
    model: {
      ...model,
      rowLower: Float64Array.from(kept, (row) => row.lower),
      rowUpper: Float64Array.from(kept, (row) => row.upper),
      starts: Int32Array.from(starts),
      columns: Int32Array.from(all, ([column]) => column),
      values: Float64Array.from(all, ([, value]) => value),
    },
    broken,
  };
}

/** The terms of several sums, each column once. */
function summed(sums: readonly (readonly Term[])[]): Term[] {
  const all = new Map<number, number>();
  for (const [column, value] of sums.flat()) all.set(column, (all.get(column) ?? 0) + value);
  return [...all];
}
