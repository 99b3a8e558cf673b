import { type ChildProcess, spawn } from 'node:child_process';
import {
  copyFileSync,
  existsSync,
  mkdtempSync,
  readdirSync,
  rmSync,
  statSync,
  watch,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import type { Child } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { RECORDS, openDatabase } from '../database/open.js';
import { storeIn } from '../database/store.js';
import { startEmpty } from '../services/household.js';
import { bareApi } from '../testing/bare.js';
import { type World, aChild, aTry, ask, openWorld } from '../testing/world.js';

describe('a database that another program holds', () => {
  let world: World;
  let other: ChildProcess;
  let child: Child;
  beforeEach(async () => {
    world = await openWorld();
    child = (await world.ask('POST', '/children', aChild())).body;
    const code = `
      import Database from 'better-sqlite3';
      const db = new Database(${JSON.stringify(join(world.folder, 'gumo.db'))});
      db.exec('BEGIN IMMEDIATE');
      process.stdin.once('end', () => db.close());
      process.stdout.write('held');
      process.stdin.resume();
    `;
    other = spawn(process.execPath, ['--input-type=module', '-e', code], {
      cwd: fileURLToPath(new URL('../', import.meta.url)),
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    await new Promise((resolve) => other.stdout?.once('data', resolve));
  });
  afterEach(async () => {
    await end();
    await world.close();
  });
  const end = async (): Promise<void> => {
    if (other.exitCode !== null || other.signalCode !== null) return;
    const gone = new Promise((resolve) => other.once('exit', resolve));
    other.kill();
    await gone;
  };

  it('is read on, refuses what is written with a sentence, and takes it afterwards', async () => {
    const one = aTry(child.id);
    const refused = await world.ask('POST', '/observations', { observations: [one] });
    expect(refused.status).toBe(503);
    expect((refused.body as { title: string }).title).toContain('in use by another program');
    expect((await world.ask('GET', '/children')).status).toBe(200);
    await end();
    const taken = await world.ask('POST', '/observations', { observations: [one] });
    expect(taken.body).toEqual({ added: 1 } as never);
  });
});

describe('a full disk', () => {
  it('refuses what cannot be kept with a sentence, keeps what was there, and goes on when there is room', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-full-'));
    const { db, url, close } = await bareApi(join(folder, 'gumo.db'));
    const child = (await ask(`${url}/children`, 'POST', aChild())).body as Child;
    const many = Array.from({ length: 200 }, () => aTry(child.id, { note: 'x'.repeat(400) }));
    const send = () => ask(`${url}/observations`, 'POST', { observations: many });
    // The file may grow no further: SQLite then says what it says where the disk is full.
    db.pragma(`max_page_count = ${db.pragma('page_count', { simple: true }) as number}`);
    const refused = await send();
    expect(refused.status).toBe(507);
    expect((refused.body as { title: string }).title).toContain('disk is full');
    expect((await ask(`${url}/children`, 'GET')).body as Child[]).toEqual([child]);
    const counted = await ask(`${url}/children/${child.id}/observations?skill=touch-5`, 'GET');
    expect(JSON.stringify(counted.body)).not.toContain('xxx');
    db.pragma('max_page_count = 1000000');
    expect((await send()).body).toEqual({ added: 200 } as never);
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    await close();
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('a folder that cannot be written any more', () => {
  it('refuses what is noted with a true sentence, and is read and exported on', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-read-only-'));
    const { db, access, url, close } = await bareApi(join(folder, 'gumo.db'));
    startEmpty(storeIn(db));
    const child = (await ask(`${url}/children`, 'POST', aChild())).body as Child;
    await ask(`${url}/observations`, 'POST', { observations: [aTry(child.id)] });
    // SQLite then says what it says where the file system takes nothing.
    for (const one of [db, access]) one.pragma('query_only = ON');
    const refused = await ask(`${url}/observations`, 'POST', { observations: [aTry(child.id)] });
    expect(refused.status).toBe(507);
    expect((refused.body as { title: string }).title).toContain(
      'folder of the records cannot be written',
    );
    for (const path of [
      '/children',
      `/children/${child.id}/progress`,
      '/days/2026-03-10',
      '/weeks/2026-03-09',
    ]) {
      expect((await ask(`${url}${path}`, 'GET')).status)
        .withContext(path)
        .toBe(200);
    }
    for (const path of ['household.json', 'observations.csv', 'progress.csv', 'materials.csv']) {
      const answer = await fetch(`${url}/records/${path}`);
      expect(answer.status).withContext(path).toBe(200);
      expect((await answer.text()).length).toBeGreaterThan(20);
    }
    await close();
    rmSync(folder, { recursive: true, force: true });
  });
});

describe('bringing a database up to date', () => {
  let folder: string;
  beforeEach(() => (folder = mkdtempSync(join(tmpdir(), 'gumo-steps-'))));
  afterEach(() => rmSync(folder, { recursive: true, force: true }));

  /** The steps up to one, and then one that ends half-way, as a power cut would. */
  function stepsWith(last: string, upTo: number): { applicationId: number; folder: string } {
    const steps = mkdtempSync(join(folder, 'steps-'));
    for (const name of readdirSync(RECORDS.folder)) {
      if (Number(name.slice(0, 4)) <= upTo) {
        copyFileSync(join(RECORDS.folder, name), join(steps, name));
      }
    }
    if (last !== '') {
      writeFileSync(join(steps, `${String(upTo + 1).padStart(4, '0')}-broken.sql`), last);
    }
    return { ...RECORDS, folder: steps };
  }

  it('ends in the old form or the new one at every step, and goes on from there', () => {
    const all = readdirSync(RECORDS.folder).length;
    for (let upTo = 1; upTo < all; upTo++) {
      const path = join(folder, `${upTo}.db`);
      openDatabase(path, stepsWith('', upTo)).db.close();
      // Half of the next step is done when it fails.
      const broken = stepsWith('CREATE TABLE half (a TEXT) STRICT; SELECT nothing();', upTo);
      expect(() => openDatabase(path, broken)).toThrow();
      const between = new Database(path, { readonly: true });
      expect(between.pragma('user_version', { simple: true })).toBe(upTo);
      expect(
        between.prepare("SELECT count(*) FROM sqlite_schema WHERE name = 'half'").pluck().get(),
      ).toBe(0);
      between.close();
      const { db } = openDatabase(path);
      expect(db.pragma('user_version', { simple: true })).toBe(all);
      expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
      db.close();
    }
  });

  it('ends in the old form where it is killed half-way, and goes on from there', async () => {
    const path = join(folder, 'killed.db');
    openDatabase(path, stepsWith('', 3)).db.close();
    const endless = stepsWith(
      `CREATE TABLE half (a TEXT NOT NULL) STRICT;
       INSERT INTO half WITH RECURSIVE n (x) AS (VALUES (1) UNION ALL SELECT x + 1 FROM n)
       SELECT hex(randomblob(500)) FROM n;`,
      3,
    );
    const code = `
      import { openDatabase } from ${JSON.stringify(new URL('../database/open.js', import.meta.url).href)};
      openDatabase(${JSON.stringify(path)}, ${JSON.stringify(endless)});
    `;
    const child = spawn(process.execPath, ['--input-type=module', '-e', code]);
    const gone = new Promise((resolve) => child.once('exit', resolve));
    // What does not fit the memory is written to the log beside the file long before the step ends.
    await new Promise<void>((resolve) => {
      const watcher = watch(folder, () => {
        const log = join(folder, 'killed.db-wal');
        if (!existsSync(log) || statSync(log).size < 1_000_000) return;
        watcher.close();
        resolve();
      });
    });
    child.kill('SIGKILL');
    await gone;
    const { db } = openDatabase(path);
    expect(db.prepare("SELECT count(*) FROM sqlite_schema WHERE name = 'half'").pluck().get()).toBe(
      0,
    );
    expect(db.pragma('user_version', { simple: true })).toBe(readdirSync(RECORDS.folder).length);
    expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
    db.close();
  });
});
