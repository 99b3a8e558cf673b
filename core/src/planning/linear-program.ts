/** A linear program to be maximized, as sparse rows. */
export interface LinearProgram {
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

/** Solves linear programs; the caller brings it, so that the core needs no solver of its own. */
export interface Solver {
  /**
   * @returns the value of each column, null where nothing was found in time; and what no solution is
   * worth more than, Infinity where nothing is known
   */
  solve(
    program: LinearProgram,
    options: { readonly seconds: number; readonly gap: number },
  ): { readonly values: ArrayLike<number> | null; readonly bound: number };
}

/** Collects columns and rows. */
export function programBuilder() {
  const cost: number[] = [];
  const lower: number[] = [];
  const upper: number[] = [];
  const whole: number[] = [];
  const rowLower: number[] = [];
  const rowUpper: number[] = [];
  const starts: number[] = [0];
  const columns: number[] = [];
  const values: number[] = [];
  return {
    /** Adds a column and says its index. */
    column(worth: number, most: number, isWhole = false, least = 0): number {
      cost.push(worth);
      lower.push(least);
      upper.push(Math.max(least, most));
      whole.push(isWhole ? 1 : 0);
      return cost.length - 1;
    },
    /** Adds least ≤ Σ terms ≤ most; a column may stand several times. */
    atMost(terms: readonly Term[], most: number, least = -Infinity): void {
      const sums = new Map<number, number>();
      for (const [column, value] of terms) sums.set(column, (sums.get(column) ?? 0) + value);
      columns.push(...sums.keys());
      values.push(...sums.values());
      starts.push(columns.length);
      rowLower.push(least);
      rowUpper.push(most);
    },
    build: (): LinearProgram => ({
      cost: Float64Array.from(cost),
      lower: Float64Array.from(lower),
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
