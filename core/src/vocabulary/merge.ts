interface Row {
  readonly version: number;
}

export interface Merged<T> {
  /** Theirs, with what only I changed; where both changed a field, theirs stands until it is settled. */
  readonly row: T;
  /** Fields that both changed, each to something else. */
  readonly clashes: readonly (keyof T & string)[];
}

const same = (one: unknown, other: unknown): boolean =>
  JSON.stringify(sorted(one)) === JSON.stringify(sorted(other));

/** The value with the keys of its objects in one order. */
function sorted(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(sorted);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, inner]) => inner !== undefined)
      .sort(([a], [b]) => a.localeCompare(b))
      .map(([key, inner]) => [key, sorted(inner)]),
  );
}

/**
 * Two changes of one row put together, field by field.
 * @param base the row that both began with
 */
export function merged<T extends Row>(base: T, mine: T, theirs: T): Merged<T> {
  const row = Object.fromEntries(Object.entries(theirs)) as Record<string, unknown>;
  const clashes: (keyof T & string)[] = [];
  const keys = new Set([base, mine, theirs].flatMap((one) => Object.keys(one)));
  keys.delete('version');
  for (const key of keys as Set<keyof T & string>) {
    if (same(mine[key], base[key]) || same(mine[key], theirs[key])) continue;
    if (same(theirs[key], base[key])) row[key] = mine[key];
    else clashes.push(key);
  }
  return { row: row as unknown as T, clashes };
}
