import * as v from 'valibot';
import { findItem, findSkill } from '../skills/index.js';
import { Day, Observation } from '../vocabulary/index.js';

/** Columns of a table of tries, in their order; a table from elsewhere may have some of them only. */
export const TRY_COLUMNS = [
  'id',
  'child',
  'day',
  'at',
  'skill',
  'item',
  'outcome',
  'activity',
  'session',
  'tried first',
  'answered',
  'reason',
  'materials',
  'noted by',
  'note',
  'record',
] as const;
export type TryColumn = (typeof TRY_COLUMNS)[number];

/** Without these a row says nothing. */
export const NEEDED_COLUMNS: readonly TryColumn[] = ['child', 'day', 'skill', 'outcome'];

/** Which column of a table stands for which of ours; null where it has none. */
export type Mapping = Readonly<Partial<Record<TryColumn, string | null>>>;

export type TryRow = Readonly<Record<TryColumn, string>>;

/** A try as a row of words. @param childName as the household calls the child */
export function tryRow(one: Observation, childName: string): TryRow {
  return {
    id: one.id,
    child: childName,
    day: one.day,
    at: one.at,
    skill: one.skillId,
    item: one.itemId ?? '',
    outcome: one.outcome,
    activity: one.activityId ?? '',
    session: one.sessionId ?? '',
    'tried first': one.triedFirst ? 'yes' : 'no',
    answered: one.answered ?? '',
    reason: one.reason ?? '',
    materials: one.materials.join(' '),
    'noted by': one.notedBy,
    note: one.note,
    record: JSON.stringify(one.record),
  };
}

/** Words that are used for an outcome, besides its own. */
const OUTCOME_WORDS: Readonly<Record<string, Observation['outcome']>> = {
  own: 'own',
  'on their own': 'own',
  yes: 'own',
  help: 'help',
  'with help': 'help',
  'not-yet': 'not-yet',
  'not yet': 'not-yet',
  no: 'not-yet',
  'not-now': 'not-now',
  'not now': 'not-now',
};

export interface TryProblem {
  readonly column: TryColumn;
  readonly message: string;
}

/** The columns of a table that are called as ours are, without regard to capitals. */
export function likelyMapping(header: readonly string[]): Mapping {
  const plain = (name: string): string => name.trim().toLowerCase();
  return Object.fromEntries(
    TRY_COLUMNS.map((column) => [
      column,
      header.find((name) => plain(name) === column) ??
        header.find((name) => (OTHER_NAMES[column] ?? []).includes(plain(name))) ??
        null,
    ]),
  );
}

const OTHER_NAMES: Readonly<Partial<Record<TryColumn, readonly string[]>>> = {
  child: ['name', 'who'],
  day: ['date'],
  at: ['time'],
  skill: ['skill id', 'skillid'],
  item: ['prompt', 'item id'],
  outcome: ['result'],
  note: ['notes', 'comment'],
  session: ['sitting'],
  materials: ['things'],
};

/**
 * A row of a table as a try.
 * @param childIds ids of children by name, in lower case
 * @param idFor an id that follows from what the row says, for rows without one
 */
export function tryOfRow(
  cells: (column: TryColumn) => string,
  childIds: ReadonlyMap<string, string>,
  idFor: (words: string) => string,
): Observation | TryProblem {
  const problem = (column: TryColumn, message: string): TryProblem => ({ column, message });
  const childId = childIds.get(cells('child').toLowerCase());
  if (childId === undefined) {
    return problem('child', `“${cells('child')}” is not a child of this household`);
  }
  const outcome = OUTCOME_WORDS[cells('outcome').toLowerCase()];
  if (outcome === undefined) {
    return problem('outcome', `“${cells('outcome')}” is none of own, help, not yet, not now`);
  }
  const skillId = cells('skill');
  if (!findSkill(skillId)) return problem('skill', `“${skillId}” is not in the skill map`);
  const item = cells('item');
  if (item !== '' && !findItem(skillId, item)) {
    return problem('item', `“${item}” is not an item of ${skillId}`);
  }
  const day = cells('day');
  if (!v.is(Day, day)) return problem('day', `“${day}” is not a day like 2026-03-10`);
  const note = cells('note');
  let record: unknown = { kind: 'note', words: note };
  if (cells('record') !== '') {
    try {
      record = JSON.parse(cells('record'));
    } catch {
      return problem('record', 'cannot be read');
    }
  }
  const at = cells('at') === '' ? `${day}T12:00:00.000Z` : cells('at');
  const read = v.safeParse(Observation, {
    id:
      cells('id') === ''
        ? idFor([childId, at, skillId, item, outcome, note].join('\n'))
        : cells('id'),
    childId,
    sessionId: cells('session') || null,
    activityId: cells('activity') || null,
    skillId,
    itemId: item || null,
    at,
    day,
    outcome,
    triedFirst: cells('tried first') !== 'no',
    answered: cells('answered') || null,
    reason: cells('reason') || null,
    materials: cells('materials') === '' ? [] : cells('materials').split(' '),
    notedBy: cells('noted by'),
    note,
    record,
  });
  if (read.success) return read.output;
  const [issue] = read.issues;
  return problem(columnOf(v.getDotPath(issue) ?? ''), issue.message);
}

/** Our column for a field of a try. */
function columnOf(path: string): TryColumn {
  const field = path.split('.')[0] ?? '';
  const names: Readonly<Record<string, TryColumn>> = {
    sessionId: 'session',
    activityId: 'activity',
    skillId: 'skill',
    itemId: 'item',
    triedFirst: 'tried first',
    notedBy: 'noted by',
    childId: 'child',
  };
  return names[field] ?? TRY_COLUMNS.find((column) => column === field) ?? 'record';
}

export const isTryProblem = (one: Observation | TryProblem): one is TryProblem => 'message' in one;
