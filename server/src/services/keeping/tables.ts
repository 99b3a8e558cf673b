import { readFileSync } from 'node:fs';
import {
  type Mapping,
  type TryColumn,
  TRY_COLUMNS,
  isTryProblem,
  likelyMapping,
  tryOfRow,
  tryRow,
} from '@gumo/core/exchange';
import { type Day, type Observation, impossibleDay } from '@gumo/core/vocabulary';
import Papa from 'papaparse';
import * as v from 'valibot';
import { v5 as uuidOf } from 'uuid';
import type { Store } from '../../database/store.js';
import { Fault, checked } from '../../faults.js';

/**
 * Cells that begin like a formula are kept from being one by an apostrophe, and so are cells that
 * begin with apostrophes before such a sign, so that each is read back as it was.
 */
const HARMLESS = /^'(?='*[=+\-@\t\r])/;
const DANGEROUS = /^'*[=+\-@\t\r]/;
const MOST_ROWS = 500_000;
const MOST_SHOWN = 200;
/** Ids of rows without one are made in this name space, so that the same table adds nothing twice. */
const TRIES = '5f0c3a5e-6a1b-4d0e-9c55-0a3f6f9a7c11';

/** RFC 4180, with a line for the names of the columns; no cell can run as a formula. */
export const csvOf = (columns: readonly string[], rows: readonly object[]): string =>
  `${Papa.unparse([...rows], { columns: [...columns], escapeFormulae: DANGEROUS, newline: '\r\n', header: true })}\r\n`;

/** A cell as it was before it was made harmless. */
export const plainCell = (cell: string): string => cell.replace(HARMLESS, '');

/** Columns that hold somebody's words, spaces and all. */
const WORDS: readonly TryColumn[] = ['note', 'noted by', 'record'];

/** A line of the dry run. */
export interface RowSaid {
  readonly row: number;
  readonly what: 'new' | 'known' | 'refused';
  readonly words: string;
}

export interface TableSaid {
  readonly header: readonly string[];
  readonly mapping: Mapping;
  readonly added: number;
  readonly known: number;
  readonly refused: number;
  /** Rows that are refused, and the first of the others. */
  readonly rows: readonly RowSaid[];
  readonly observations: readonly Observation[];
}

/** Every try that stands, as a table. */
export function* tryLines(store: Store, all: Iterable<Observation>): IterableIterator<string> {
  const names = new Map(store.children.all().map((child) => [child.id, child.name]));
  yield `${TRY_COLUMNS.join(',')}\r\n`;
  for (const one of all) {
    yield `${Papa.unparse([tryRow(one, names.get(one.childId) ?? '')], {
      columns: [...TRY_COLUMNS],
      escapeFormulae: DANGEROUS,
      header: false,
    })}\r\n`;
  }
}

const Tries = v.object({
  text: v.pipe(v.string('must be text'), v.nonEmpty('must not be empty')),
  mapping: v.nullable(v.record(v.picklist(TRY_COLUMNS), v.nullable(v.string()))),
  /** Only says what would happen. */
  dry: v.boolean('must be true or false'),
});

/** A table of tries as it was sent, from the file that it was put in. @throws Fault `unreadable` */
export function sentTable(file: string): v.InferOutput<typeof Tries> {
  let sent: unknown;
  try {
    sent = JSON.parse(readFileSync(file, 'utf8'));
  } catch {
    throw new Fault('unreadable', 'The JSON cannot be read.', [
      { field: 'body', message: 'is not valid JSON' },
    ]);
  }
  return checked(Tries, sent);
}

/**
 * What a table of tries would add, knows already, and is refused, row by row; nothing is written.
 * @param chosen which column stands for what; by its name where nothing is said
 * @param today the server's calendar day: nothing lies beyond it
 * @throws Fault `unreadable` where it is no table
 */
export function readTries(
  store: Store,
  text: string,
  chosen: Mapping | null,
  today: Day,
): TableSaid {
  const parsed = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: true,
  });
  const header = parsed.meta.fields ?? [];
  if (header.length < 2 || parsed.data.length === 0) {
    throw new Fault('unreadable', 'This is no table with a line of names and rows below it.', [
      { field: 'file', message: 'must be a CSV table with a header' },
    ]);
  }
  if (parsed.data.length > MOST_ROWS) {
    throw new Fault('too-large', `A table may have ${MOST_ROWS} rows at most.`, [
      { field: 'file', message: `has ${parsed.data.length} rows` },
    ]);
  }
  const mapping = chosen ?? likelyMapping(header);
  const ids = childIds(store);
  const births = new Map(store.children.all().map((one) => [one.id, one.birthDate]));
  const rows: RowSaid[] = [];
  const observations: Observation[] = [];
  const seen = new Set<string>();
  const alike = new Map<string, number>();
  let [known, refused, shown] = [0, 0, 0];
  parsed.data.forEach((data, i) => {
    const cells = (column: TryColumn): string => {
      const name = mapping[column];
      // A column may be called anything, "constructor" too.
      const cell = name && Object.hasOwn(data, name) ? data[name] : '';
      const plain = plainCell(typeof cell === 'string' ? cell : '');
      return WORDS.includes(column) ? plain : plain.trim();
    };
    // Two rows without an id that say the same are two tries.
    const read = tryOfRow(cells, ids, (words) => {
      const times = (alike.get(words) ?? 0) + 1;
      alike.set(words, times);
      return uuidOf(times === 1 ? words : `${words}\n${times}`, TRIES);
    });
    const row = i + 2;
    const say = (what: RowSaid['what'], words: string): void => {
      if (what !== 'refused' && ++shown > MOST_SHOWN) return;
      if (what === 'refused' && refused > MOST_SHOWN) return;
      rows.push({ row, what, words });
    };
    const refuse = (words: string): void => {
      refused++;
      say('refused', words);
    };
    const when = isTryProblem(read)
      ? null
      : impossibleDay(read, births.get(read.childId) ?? null, today);
    if (isTryProblem(read)) refuse(`${read.column}: ${read.message}`);
    else if (when) refuse(`${when.field}: ${when.message}`);
    else if (read.sessionId !== null && !store.sessions.find(read.sessionId)) {
      refuse('session: is not a session here');
    } else {
      const same = store.facts.find(read.id);
      if (same !== undefined || seen.has(read.id)) {
        if (same === undefined || same === JSON.stringify(read)) {
          known++;
          say('known', 'is here already');
        } else refuse('id: another try has this id, and tries are never changed');
      } else {
        seen.add(read.id);
        observations.push(read);
        say('new', `${cells('child')}, ${read.day}: ${read.skillId} ${read.outcome}`);
      }
    }
  });
  return { header, mapping, added: observations.length, known, refused, rows, observations };
}

/** Names that two children share say nothing; they are left out. */
function childIds(store: Store): Map<string, string> {
  const ids = new Map<string, string>();
  const shared = new Set<string>();
  for (const { id, name } of store.children.all()) {
    const key = name.toLowerCase();
    if (ids.has(key)) shared.add(key);
    ids.set(key, id);
  }
  for (const key of shared) ids.delete(key);
  return ids;
}
