import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { UnusableDatabase, openDatabase } from './open.js';

describe('opening a database', () => {
  let folder: string;
  const path = (): string => join(folder, 'gumo.db');
  const sum = (): string => createHash('sha256').update(readFileSync(path())).digest('hex');

  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'gumo-open-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  /** Opening must fail with these words and leave every byte as it was. */
  function refuses(words: string): void {
    const before = sum();
    expect(() => openDatabase(path())).toThrowError(UnusableDatabase, new RegExp(words));
    expect(sum()).toBe(before);
  }

  it('makes a new one with WAL, full synchronous writes and strict tables', () => {
    const { db, isNew } = openDatabase(path());
    expect(isNew).toBeTrue();
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    expect(db.pragma('foreign_keys', { simple: true })).toBe(1);
    const tables = db.pragma('table_list') as { schema: string; name: string; strict: number }[];
    const own = tables.filter((table) => !table.name.startsWith('sqlite_'));
    expect(own.length).toBeGreaterThan(5);
    expect(own.every((table) => table.strict === 1)).toBeTrue();
    db.close();
    const again = openDatabase(path());
    expect(again.isNew).toBeFalse();
    again.db.close();
  });

  it('refuses a text file', () => {
    writeFileSync(path(), 'Dear diary, '.repeat(40));
    refuses('not a Gumo database');
  });

  it('refuses a database of another program', () => {
    const other = new Database(path());
    other.exec('CREATE TABLE recipes (name TEXT)');
    other.close();
    refuses('belongs to another program');
  });

  it('refuses a damaged one', () => {
    openDatabase(path()).db.close();
    const bytes = readFileSync(path());
    bytes.fill(0x5a, 4096, 4096 * 6);
    writeFileSync(path(), bytes);
    refuses('is damaged');
  });

  it('refuses one that was cut off', () => {
    openDatabase(path()).db.close();
    writeFileSync(path(), readFileSync(path()).subarray(0, 9000));
    refuses('is damaged');
  });

  it('refuses one of a newer version', () => {
    const { db } = openDatabase(path());
    db.pragma('user_version = 9999');
    db.close();
    refuses('newer Gumo');
  });

  it('refuses an empty one, and one that left its log behind, with words on what may be missing', () => {
    writeFileSync(path(), '');
    refuses('holds no records.*second file with -wal');
    rmSync(path());
    // As somebody copies it from a running Gumo: the file without its log.
    const db = new Database(path());
    db.pragma('journal_mode = WAL');
    db.close();
    refuses('holds no records');
  });

  it('is there whole or not at all: a first start that was cut off leaves no half of it', () => {
    writeFileSync(`${path()}.making`, 'half of a database');
    const opened = openDatabase(path());
    expect(opened.isNew).toBeTrue();
    opened.db.close();
    expect(readdirSync(folder)).toEqual(['gumo.db']);
  });
});
