import * as v from 'valibot';

/** One field that was wrong, named by its path in what was sent: `observations.0.record.n`. */
export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** An answer that says what was wrong, as problem details (RFC 9457). */
export class Problem extends Error {
  constructor(
    readonly status: number,
    readonly title: string,
    readonly errors: readonly FieldError[] = [],
    /** The newer row, where a write came with an old version. */
    readonly current: unknown = undefined,
  ) {
    super(title);
  }

  toJSON(): Record<string, unknown> {
    return {
      type: 'about:blank',
      title: this.title,
      status: this.status,
      ...(this.errors.length > 0 ? { errors: this.errors } : {}),
      ...(this.current === undefined ? {} : { current: this.current }),
    };
  }
}

export const notFound = (what: string): Problem => new Problem(404, `There is no such ${what}.`);

export const wrongField = (field: string, message: string): Problem =>
  new Problem(422, `${field} ${message}`, [{ field, message }]);

/** Something else has this id: told, never dropped. */
export const taken = (what: string): Problem =>
  new Problem(409, `Another ${what} has this id already.`, [{ field: 'id', message: 'is taken' }]);

export const outdated = (current: unknown): Problem =>
  new Problem(409, 'This was changed elsewhere in the meantime.', [], current);

const MOST_NAMED = 20;
/** Nothing that is kept is nested deeper. */
const DEEPEST = 40;

/** Looks level by level, so that no depth is too much for looking. */
function isTooDeep(value: unknown): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST) return true;
    const next: unknown[] = [];
    for (const one of level) {
      if (typeof one !== 'object' || one === null) continue;
      for (const inner of Object.values(one)) if (typeof inner === 'object') next.push(inner);
    }
    level = next;
  }
  return false;
}

/**
 * The value as the schema wants it.
 * @throws Problem 400 that names every wrong field, at most twenty
 */
export function checked<S extends v.GenericSchema>(schema: S, value: unknown): v.InferOutput<S> {
  if (isTooDeep(value)) {
    throw new Problem(400, 'What was sent is nested too deeply.', [
      { field: 'body', message: `must be nested at most ${DEEPEST} deep` },
    ]);
  }
  const result = v.safeParse(schema, value);
  if (result.success) return result.output;
  const errors = result.issues.slice(0, MOST_NAMED).map((issue) => ({
    field: v.getDotPath(issue) ?? 'body',
    message: wording(issue),
  }));
  const first = errors[0] as FieldError;
  throw new Problem(400, `${first.field} ${first.message}`, errors);
}

/** The library's own messages name types in code; here they become plain words. */
function wording(issue: v.BaseIssue<unknown>): string {
  if (issue.expected === null || !issue.message.startsWith('Invalid')) return issue.message;
  if (issue.received === 'undefined') return 'is missing';
  return `must be ${issue.expected.replaceAll('"', '')}`;
}
