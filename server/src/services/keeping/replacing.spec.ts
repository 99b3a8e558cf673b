import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import type { HouseholdFile } from '@gumo/core/exchange';
import Database from 'better-sqlite3';
import { type World, aChild, aTry, openWorld } from '../../testing/world.js';

const ROUNDS = 20;
const CLIENTS = 3;

/** Ids of what was noted in a database. */
const notedIn = (path: string): Set<string> => {
  const db = new Database(path, { readonly: true });
  const ids = db.prepare("SELECT id FROM facts WHERE kind = 'observation'").pluck().all();
  db.close();
  return new Set(ids as string[]);
};

describe('records that are replaced while three devices note', () => {
  let world: World;
  beforeEach(async () => (world = await openWorld()));
  afterEach(() => world.close());

  it('lose nothing that was answered for: it stands in the new records or in the copy', async () => {
    const child = aChild();
    await world.ask('POST', '/children', child);
    const { name } = (await world.ask('POST', '/records/backups', {})).body as { name: string };
    const file = (await (
      await fetch(`${world.url}/records/household.json`)
    ).json()) as HouseholdFile;
    const found = new Set<string>();
    for (let round = 0; round < ROUNDS; round++) {
      let isOver = false;
      const answered: string[] = [];
      const client = async (): Promise<void> => {
        while (!isOver) {
          const one = aTry(child.id);
          const { status } = await world.ask('POST', '/observations', { observations: [one] });
          expect(status).toBe(201);
          answered.push(one.id);
        }
      };
      const clients = Array.from({ length: CLIENTS }, client);
      const replaced =
        round % 2 === 0
          ? await world.ask('POST', `/records/backups/${name}/restore`, {})
          : await world.ask('POST', '/records/household?replace=1', file);
      expect(replaced.status).toBeLessThan(300);
      isOver = true;
      await Promise.all(clients);
      const { before } = replaced.body as { before: string };
      for (const id of notedIn(join(world.folder, 'backups', before))) found.add(id);
      for (const id of notedIn(join(world.folder, 'gumo.db'))) found.add(id);
      const lost = answered.filter((id) => !found.has(id));
      expect(lost).withContext(`round ${round}`).toEqual([]);
      expect(answered.length).toBeGreaterThan(CLIENTS);
    }
  });

  it('answer nothing with a fault of the server while a week is planned', async () => {
    for (let i = 0; i < 3; i++) await world.ask('POST', '/children', aChild({ name: `Wren ${i}` }));
    const { name } = (await world.ask('POST', '/records/backups', {})).body as { name: string };
    const planned = world.ask('POST', '/days/2026-03-10/plan', {});
    const week = world.ask('POST', '/weeks/2026-03-16/plan', { steps: 5_000 });
    const answers = await Promise.all([
      planned,
      week,
      world.ask('POST', `/records/backups/${name}/restore`, {}),
      world.ask('GET', '/weeks/2026-03-16'),
      world.ask('POST', '/weeks/2026-03-16/copy', {}),
    ]);
    for (const { status } of answers) expect(status).not.toBe(500);
    expect((await world.ask('GET', '/children')).status).toBe(200);
  });
});

describe('a copy that is made while much is written', () => {
  it('is done although each write would begin it anew', async () => {
    const world = await openWorld();
    try {
      const child = aChild();
      await world.ask('POST', '/children', child);
      const note = 'x'.repeat(1900);
      for (let i = 0; i < 40; i++) {
        const observations = Array.from({ length: 200 }, () => aTry(child.id, { note }));
        await world.ask('POST', '/observations', { observations });
      }
      let copied: number | null = null;
      const copying = world
        .ask('POST', '/records/backups', {})
        .then(({ status }) => (copied = status));
      // A copy in small steps begins anew with each of these.
      let writes = 0;
      for (; copied === null && writes < 4_000; writes++) {
        await world.ask('POST', '/observations', { observations: [aTry(child.id)] });
      }
      expect(copied).toBe(201 as never);
      await copying;
    } finally {
      await world.close();
    }
  });
});

describe('a table that comes in', () => {
  it('is put in while others are answered, all of it or nothing', async () => {
    const world = await openWorld();
    try {
      await world.ask('POST', '/children', aChild({ name: 'Wren' }));
      const row = (i: number): string => `Wren,2026-03-0${1 + (i % 9)},touch-5,own,${randomUUID()}`;
      const many = Array.from({ length: 20_000 }, (_, i) => row(i)).join('\n');
      const text = `child,day,skill,outcome,note\n${many}\n`;
      let said: number | null = null;
      const importing = world
        .ask('POST', '/records/observations', { text, mapping: null, dry: false })
        .then(({ status, body }) => {
          said = status;
          expect((body as { added: number }).added).toBe(20_000);
        });
      let answered = 0;
      while (said === null) {
        expect((await world.ask('GET', '/health')).status).toBe(200);
        answered++;
      }
      await importing;
      expect(said).toBe(201 as never);
      // On one thread with the work, one or two would slip through before and after it.
      expect(answered).toBeGreaterThan(20);
    } finally {
      await world.close();
    }
  });
});
