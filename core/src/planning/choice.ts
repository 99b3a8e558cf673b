/** An activity in a class of days, with its columns. */
export interface Choice {
  readonly activity: number;
  /** Index of the class. */
  readonly at: number;
  /** Times it comes. */
  readonly column: number;
  readonly able: readonly number[];
  /** Column by child; null where all who are able take part whenever it comes. */
  readonly takers: ReadonlyMap<number, number> | null;
  /** Most times it can come in the class. */
  readonly most: number;
}
