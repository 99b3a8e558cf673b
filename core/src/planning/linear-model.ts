/** A linear model to be maximized, as sparse rows. */
export interface LinearModel {
  readonly cost: Float64Array;
  readonly lower: Float64Array;
  readonly upper: Float64Array;
  /** 1 for a whole number, 0 for any. */
  readonly whole: Uint8Array;
  readonly rowLower: Float64Array;
  readonly rowUpper: Float64Array;
  /** Where each row begins in `columns` and `values`; one longer than there are rows. */
  readonly starts: Int32Array;
  readonly columns: Int32Array;
  readonly values: Float64Array;
}

export type Term = readonly [column: number, value: number];

/** Σ terms ≤ upper. */
export interface Row {
  readonly terms: readonly Term[];
  readonly upper: number;
}

/** A model that says which of its rows a relaxation can do without until a solution breaks them. */
export interface MarkedModel extends LinearModel {
  /** By row: 1 where few solutions would break it. */
  readonly rare: Uint8Array;
  /** Columns that pass on a sum of others, each with the row that says so. */
  readonly passing: readonly {
    readonly column: number;
    readonly row: number;
    readonly terms: readonly Term[];
  }[];
}

export interface ModelBuilder {
  /** Adds a column and says its index. */
  column(cost: number, upper: number, whole: boolean): number;
  /** Adds lower ≤ Σ terms ≤ upper. */
  row(lower: number, terms: readonly Term[], upper: number): void;
  /** Adds Σ terms ≤ upper, which few solutions would break if it were not there. */
  rare(terms: readonly Term[], upper: number): void;
  /** Adds a column that is Σ terms, at most `most`; it may only stand, less than 0, in a row ≤. */
  passing(terms: readonly Term[], most: number): number;
  build(): MarkedModel;
}

export function modelBuilder(): ModelBuilder {
  const cost: number[] = [];
  const upper: number[] = [];
  const whole: number[] = [];
  const rowLower: number[] = [];
  const rowUpper: number[] = [];
  const starts: number[] = [0];
  const columns: number[] = [];
  const values: number[] = [];
  const isRare = new Set<number>();
  const passing: MarkedModel['passing'][number][] = [];
  const column = (c: number, most: number, isWhole: boolean): number => {
    cost.push(c);
    upper.push(most);
    whole.push(isWhole ? 1 : 0);
    return cost.length - 1;
  };
  const row = (lower: number, terms: readonly Term[], most: number): void => {
    for (const [one, value] of terms) {
      columns.push(one);
      values.push(value);
    }
    starts.push(columns.length);
    rowLower.push(lower);
    rowUpper.push(most);
  };
  return {
    column,
    row,
    rare(terms, most) {
      isRare.add(rowLower.length);
      row(-Infinity, terms, most);
    },
    passing(terms, most) {
      const one = column(0, most, false);
      passing.push({ column: one, row: rowLower.length, terms });
      row(-Infinity, [[one, 1], ...terms.map(([of, by]): Term => [of, -by])], 0);
      return one;
    },
    build: () => ({
      cost: Float64Array.from(cost),
      lower: new Float64Array(cost.length),
      upper: Float64Array.from(upper),
      whole: Uint8Array.from(whole),
      rowLower: Float64Array.from(rowLower),
      rowUpper: Float64Array.from(rowUpper),
      starts: Int32Array.from(starts),
      columns: Int32Array.from(columns),
      values: Float64Array.from(values),
      rare: Uint8Array.from(rowLower, (_, r) => (isRare.has(r) ? 1 : 0)),
      passing,
    }),
  };
}
