import { mkdtempSync, rmSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { foldedAfter } from './replay.js';

const PAGE = 4096;
const PAGES = 3000;

describe('the log of a database after long work', () => {
  it('is folded by a thread, and by commits again from then on', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-fold-'));
    const path = join(folder, 'gumo.db');
    const db = new Database(path);
    db.pragma('journal_mode = WAL');
    db.exec('CREATE TABLE t (body)');
    let during = 0;
    await foldedAfter(db, async () => {
      const add = db.prepare('INSERT INTO t VALUES (?)');
      db.exec('BEGIN');
      for (let i = 0; i < PAGES; i++) add.run('x'.repeat(PAGE));
      db.exec('COMMIT');
      during = statSync(path).size;
    });
    expect(during).toBeLessThan(PAGE * 10);
    expect(statSync(path).size).toBeGreaterThan(PAGE * PAGES);
    expect(db.pragma('wal_autocheckpoint', { simple: true })).toBe(1000);
    db.close();
    rmSync(folder, { recursive: true, force: true });
  });
});
