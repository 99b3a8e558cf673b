import type { LinearModel, Term } from './linear-model.js';

/** What a solver found. */
export interface Solved {
  /** Value of each column; null where nothing was found in time. */
  readonly values: ArrayLike<number> | null;
  /** No solution is worth more; Infinity where nothing is known. */
  readonly bound: number;
}

/** The best solution of a relaxation. */
export interface Relaxed {
  /** -Infinity where there is no solution. */
  readonly worth: number;
  readonly values: ArrayLike<number>;
}

/** A model without its whole numbers, kept and solved again after small changes from where it stood. */
export interface Relaxation {
  /** Null where time ran out. */
  solve(seconds: number): Relaxed | null;
  setBounds(column: number, lower: number, upper: number): void;
  /** Adds Σ terms ≤ upper, and says the index of the row. */
  addRow(terms: readonly Term[], upper: number): number;
  setRow(row: number, lower: number, upper: number): void;
  /** Where it stands, to come back to. */
  standing(): unknown;
  comeBack(standing: unknown): void;
  close(): void;
}

/** Solves linear models; the caller brings it, so that the core needs no solver of its own. */
export interface Engine {
  solve(
    model: LinearModel,
    options: {
      readonly seconds: number;
      /** Relative gap at which it is good enough. */
      readonly gap: number;
      /** Whole columns of a solution to begin from. */
      readonly start?: readonly Term[];
      /** The best worth known so far and the bound, in the model's own measure. */
      readonly tell?: (worth: number, bound: number) => void;
    },
  ): Solved;
  relax(model: LinearModel): Relaxation;
}
