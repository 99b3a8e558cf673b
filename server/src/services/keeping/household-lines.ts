import { FORMAT, FORMAT_VERSION, LIST_PARTS } from '@gumo/core/exchange';
import { Household } from '@gumo/core/vocabulary';
import type { Database } from 'better-sqlite3';
import * as v from 'valibot';
import { type ListPart, householdRow, rowsOf } from '../../database/whole.js';
import { VERSION } from '../../version.js';

/**
 * The whole household as the lines of one JSON file, a record a line, as its schema has it: the same
 * household gives the same bytes.
 * @param day the household's calendar day on which it is written
 */
export function* householdLines(db: Database, day: string): IterableIterator<string> {
  yield `{\n"format": ${JSON.stringify(FORMAT)},\n"version": ${FORMAT_VERSION},\n"gumo": ${JSON.stringify(VERSION)},\n"day": ${JSON.stringify(day)},\n`;
  yield `"household": ${JSON.stringify(v.parse(Household, householdRow(db)))}`;
  for (const [part, schema] of Object.entries(LIST_PARTS)) {
    yield `,\n${JSON.stringify(part)}: [`;
    let between = '\n';
    for (const row of rowsOf(db, part as ListPart)) {
      yield between + JSON.stringify(v.parse(schema as v.GenericSchema, row));
      between = ',\n';
    }
    yield between === '\n' ? ']' : '\n]';
  }
  yield '\n}\n';
}
