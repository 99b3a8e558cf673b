import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { HouseholdFile, renamedFile, FORMAT_VERSION } from '@gumo/core/exchange';
import Database from 'better-sqlite3';
import * as v from 'valibot';
import { loadHousehold } from '../services/household.js';
import { householdLines } from '../services/keeping/household-lines.js';
import { APPLICATION_ID, openDatabase } from './open.js';
import { storeIn } from './store.js';

const MIGRATIONS = new URL('../../migrations/', import.meta.url);
/** The steps that a database of the release before the names were changed had taken. */
const STEPS = 8;

type Row = Readonly<Record<string, unknown>>;
type Earlier = Readonly<Record<string, readonly Row[]>> & { readonly household: Row };

/** The demo as the release before wrote it: a household file of version 4. */
const earlier = (): Earlier =>
  JSON.parse(
    gunzipSync(
      readFileSync(new URL('../../src/testing/household-v4.json.gz', import.meta.url)),
    ).toString('utf8'),
  ) as Earlier;

/** A database of that release, made by its own steps and filled with its own words. */
function earlierDatabase(path: string, file: Earlier): void {
  const db = new Database(path);
  const steps = readdirSync(MIGRATIONS).sort().slice(0, STEPS);
  for (const step of steps) db.exec(readFileSync(new URL(step, MIGRATIONS), 'utf8'));
  db.pragma(`application_id = ${APPLICATION_ID}`);
  db.pragma(`user_version = ${STEPS}`);
  const put = (table: string, row: Row): void => {
    const columns = Object.keys(row);
    db.prepare(
      `INSERT INTO ${table} (${columns.join()}) VALUES (${columns.map((one) => `@${one}`).join()})`,
    ).run(row);
  };
  const json = (one: unknown): string => JSON.stringify(one);
  const all = (list: string, into: (one: Row) => void): void => (file[list] ?? []).forEach(into);
  db.transaction(() => {
    const { id, version } = file.household;
    put('household', { id, version, body: json(file.household) });
    const archived = (one: Row): number => (one['archived'] === true ? 1 : 0);
    for (const table of ['children', 'things', 'songs', 'kits', 'activities'] as const) {
      all(table, (one) =>
        put(table, {
          id: one['id'],
          version: one['version'],
          body: json(one),
          ...(table === 'children' || table === 'things'
            ? { name: one['name'] }
            : { title: one['title'] }),
          ...(table === 'children' || table === 'activities' ? { archived: archived(one) } : {}),
        }),
      );
    }
    all('plan', ({ id, day, state, version, ...more }) =>
      put('plan_entries', {
        id,
        day,
        state,
        version,
        body: json({ id, day, ...more, state, version }),
      }),
    );
    all('days', (one) => put('day_sheets', { day: one['day'], body: json(one) }));
    all('weeks', (one) =>
      put('weeks', { from_day: one['from'], version: one['version'], body: json(one) }),
    );
    all('notes', (one) =>
      put('notes', {
        id: one['id'],
        child_id: one['childId'],
        day: one['day'],
        at: one['at'],
        body: json(one),
      }),
    );
    all('sittings', (one) => {
      const takers = one['takers'] as Row[];
      put('sittings', {
        id: one['id'],
        activity_id: one['activityId'],
        plan_entry_id: one['planEntryId'],
        day: one['day'],
        started_at: one['startedAt'],
        ended_at: one['endedAt'],
        mood: one['mood'],
        takers: json(takers),
        adult: one['adult'] ?? null,
      });
      for (const { childId } of takers)
        put('sitting_children', { sitting_id: one['id'], child_id: childId });
    });
    const fact = (kind: string, one: Row, more: Row = {}): void =>
      put('facts', {
        id: one['id'],
        kind,
        child_id: one['childId'],
        sitting_id: one['sittingId'] ?? null,
        skill_id: one['skillId'] ?? null,
        voids: null,
        day: one['day'] ?? String(one['at']).slice(0, 10),
        body: json(one),
        ...more,
      });
    const childOf = new Map((file['observations'] ?? []).map((one) => [one['id'], one['childId']]));
    all('pegs', (one) => fact('pegs', one));
    all('words', (one) => fact('word', one));
    all('observations', (one) => fact('observation', one));
    all('voidings', (one) =>
      fact('voiding', one, {
        child_id: childOf.get(one['observationId']),
        voids: one['observationId'],
      }),
    );
    all('prints', (one) =>
      put('print_items', { id: one['id'], version: one['version'], body: json(one) }),
    );
    for (const [list, table] of [
      ['families', 'family_letters'],
      ['samples', 'work_samples'],
    ] as const) {
      all(list, (one) =>
        put(table, {
          id: one['id'],
          child_id: one['childId'],
          version: one['version'],
          body: json(one),
          ...(list === 'samples' ? { day: one['day'] } : {}),
        }),
      );
    }
  })();
  db.close();
}

const written = (db: Database.Database, day: string): string =>
  [...householdLines(db, day)].join('');

describe('records of the release before', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'gumo-names-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  it('come in as a file and go out byte for byte as the same household of today', () => {
    const file = v.parse(HouseholdFile, renamedFile(earlier()));
    const { db } = openDatabase(join(folder, 'from-file.db'));
    loadHousehold(storeIn(db), file);
    const once = written(db, file.day);
    db.close();
    expect(JSON.parse(once)).toEqual(
      jasmine.objectContaining({ version: FORMAT_VERSION, day: file.day }),
    );
    const second = openDatabase(join(folder, 'again.db')).db;
    loadHousehold(storeIn(second), v.parse(HouseholdFile, JSON.parse(once)));
    expect(written(second, file.day)).toBe(once);
    second.close();
  });

  it('as a database are brought up to date, and say the same as its file', () => {
    const before = earlier();
    const path = join(folder, 'gumo.db');
    earlierDatabase(path, before);
    const { db, isNew } = openDatabase(path);
    expect(isNew).toBeFalse();
    expect(db.pragma('foreign_key_check')).toEqual([]);
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    const found = JSON.parse(written(db, '2026-03-10')) as Record<string, readonly unknown[]>;
    const file = v.parse(HouseholdFile, renamedFile(before)) as unknown as Record<string, unknown>;
    for (const [list, records] of Object.entries(found)) {
      if (Array.isArray(records))
        expect(records)
          .withContext(list)
          .toEqual(file[list] as unknown[]);
    }
    expect(found['sessions']!.length).toBeGreaterThan(100);
    expect(found['observations']!.length).toBeGreaterThan(2000);
    expect(found['placements']!.length).toBeGreaterThan(0);
    db.close();
  });
});
