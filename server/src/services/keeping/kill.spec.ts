import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { HouseholdFile } from '@gumo/core/exchange';
import { seeded } from '@gumo/core/numbers';
import type { Child } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { KilledServer } from '../../testing/killed-server.js';
import { DEMO, ask } from '../../testing/world.js';

const MOST_CHANGES = 200;
/** Sixteen servers start one after the other, beside other checks. */
const STARTS_MS = 300_000;

describe('a server that is killed while all records change', () => {
  const server = new KilledServer(DEMO);
  const { folder, databasePath: path } = server;
  afterAll(() => server.remove());

  const childrenAt = async (url: string): Promise<number> =>
    ((await ask(`${url}/children`, 'GET')).body as Child[]).length;

  it(
    'has the old records or the new ones, whole, whenever it ends',
    async () => {
      const random = seeded(7);
      let url = await server.start();
      const whole = (await ask(`${url}/records/household.json`, 'GET')).body as HouseholdFile;
      expect(Object.keys(whole)).toContain('children');
      const one = whole.children[0]!;
      const alone = {
        ...whole,
        children: [one],
        sessions: [],
        observations: [],
        voidings: [],
        overrides: [],
        placements: [],
        notes: [],
        families: [],
        samples: [],
        prints: [],
        plan: [],
      };
      const copy = (await ask(`${url}/records/backups`, 'POST', {})).body as { name: string };
      const works: (() => Promise<unknown>)[] = [
        () => ask(`${url}/records/household?replace=1`, 'POST', alone),
        () => ask(`${url}/records/backups/${copy.name}/restore`, 'POST', {}),
        () => ask(`${url}/records/backups`, 'POST', {}),
      ];
      const seen = new Set<number>();
      for (let round = 0; round < 16; round++) {
        const moment = server.changes(1 + Math.floor(random() * MOST_CHANGES));
        const work = works[round % works.length]!().catch(() => null);
        // Somewhere on the way: after so many changes to the files of the household, drawn by chance.
        // Every fourth is let finish.
        await (round % 4 === 3 ? work : Promise.race([moment, work]));
        await server.kill();
        const db = new Database(path);
        expect(db.pragma('integrity_check', { simple: true })).toBe('ok');
        db.close();
        url = await server.start();
        const many = await childrenAt(url);
        expect([1, whole.children.length]).toContain(many);
        seen.add(many);
        const left = readdirSync(folder).filter((name) => /restoring|reading|writing/.test(name));
        expect(left).toEqual([]);
      }
      expect(seen.size).toBe(2);
      const { backups } = (await ask(`${url}/records/backups`, 'GET')).body as {
        backups: { name: string }[];
      };
      for (const { name } of backups) {
        const db = new Database(join(folder, 'backups', name), { readonly: true });
        expect(db.pragma('quick_check', { simple: true }))
          .withContext(name)
          .toBe('ok');
        db.close();
      }
    },
    STARTS_MS,
  );
});

describe('a server that is killed while a child is forgotten', () => {
  const server = new KilledServer(DEMO);
  afterAll(() => server.remove());

  it('finishes it at the next start, in the records and in the copies, whenever it ended', async () => {
    const random = seeded(11);
    let url = await server.start();
    const copies = join(server.folder, 'backups');
    for (let round = 0; round < 4; round++) {
      const [child] = (await ask(`${url}/children`, 'GET')).body as Child[];
      await ask(`${url}/records/backups`, 'POST', {});
      const moment = server.changes(1 + Math.floor(random() * 60));
      const forgetting = ask(`${url}/children/${child!.id}/forget`, 'POST', {
        name: child!.name,
        copies: true,
      }).catch(() => null);
      await Promise.race([moment, forgetting]);
      await server.kill();
      url = await server.start();
      const left = (await ask(`${url}/children`, 'GET')).body as Child[];
      const isGone = !left.some((one) => one.id === child!.id);
      // Killed before it was written down, nothing was done; afterwards, all of it.
      for (const name of readdirSync(copies)) {
        expect(name.endsWith('.db')).withContext(name).toBeTrue();
        const db = new Database(join(copies, name), { readonly: true });
        const holds =
          db.prepare('SELECT 1 FROM children WHERE id = ?').get(child!.id) !== undefined;
        db.close();
        expect(holds).withContext(`${name}, round ${round}`).toBe(!isGone);
      }
    }
  });
});
