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

export interface ModelBuilder {
  /** Adds a column and says its index. */
  column(cost: number, upper: number, whole: boolean): number;
  /** Adds lower ≤ Σ terms ≤ upper. */
  row(lower: number, terms: readonly Term[], upper: number): void;
  build(): LinearModel;
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
  return {
    column(c, most, isWhole) {
      cost.push(c);
      upper.push(most);
      whole.push(isWhole ? 1 : 0);
      return cost.length - 1;
    },
    row(lower, terms, most) {
      for (const [column, value] of terms) {
        columns.push(column);
        values.push(value);
      }
      starts.push(columns.length);
      rowLower.push(lower);
      rowUpper.push(most);
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
    }),
  };
}
