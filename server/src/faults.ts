import * as v from 'valibot';

/** One field that was wrong, named by its path in what was sent: `observations.0.record.n`. */
export interface FieldError {
  readonly field: string;
  readonly message: string;
}

/** What kind of thing went wrong, whoever asked. */
export const FAULTS = [
  /** What was sent cannot be read. */
  'unreadable',
  'unknown',
  'forbidden',
  'missing',
  /** It clashes with what is there now. */
  'conflict',
  'too-large',
  'wrong-type',
  /** It can be read and cannot be so. */
  'impossible',
  'locked',
  'too-many',
  /** What is kept is not what it should be. */
  'broken',
  'busy',
  'full',
] as const;
export type FaultKind = (typeof FAULTS)[number];

/** Something that was not done, with a sentence for people and the fields that were wrong. */
export class Fault extends Error {
  constructor(
    readonly kind: FaultKind,
    readonly title: string,
    readonly errors: readonly FieldError[] = [],
    /** The newer row, where a write came with an old version. */
    readonly current: unknown = undefined,
  ) {
    super(title);
  }
}

export const notFound = (what: string): Fault => new Fault('missing', `There is no such ${what}.`);

export const wrongField = (field: string, message: string): Fault =>
  new Fault('impossible', `${field} ${message}`, [{ field, message }]);

/** Something else has this id: told, never dropped. */
export const taken = (what: string): Fault =>
  new Fault('conflict', `Another ${what} has this id already.`, [
    { field: 'id', message: 'is taken' },
  ]);

export const outdated = (current: unknown): Fault =>
  new Fault('conflict', 'This was changed elsewhere in the meantime.', [], current);

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
 * @throws Fault `unreadable` that names every wrong field, at most twenty
 */
export function checked<S extends v.GenericSchema>(schema: S, value: unknown): v.InferOutput<S> {
  if (isTooDeep(value)) {
    throw new Fault('unreadable', 'What was sent is nested too deeply.', [
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
  throw new Fault('unreadable', `${first.field} ${first.message}`, errors);
}

/** The library's own messages name types in code; here they become plain words. */
function wording(issue: v.BaseIssue<unknown>): string {
  if (issue.expected === null || !issue.message.startsWith('Invalid')) return issue.message;
  if (issue.received === 'undefined') return 'is missing';
  return `must be ${issue.expected.replaceAll('"', '')}`;
}
