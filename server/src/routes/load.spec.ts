import type { Child } from '@gumo/core/vocabulary';
import Database from 'better-sqlite3';
import { join } from 'node:path';
import { noting } from '../testing/devices.js';
import { DEMO, openWorld } from '../testing/world.js';

const DEVICES = 8;
/** Five a second for ten minutes. */
const TRIES = 3_000;

describe('eight devices that note for ten minutes', () => {
  it('lose nothing and double nothing while a week is planned and a copy is made', async () => {
    const world = await openWorld(DEMO);
    const children = ((await world.ask('GET', '/children')).body as Child[]).map(({ id }) => id);
    const before = await world.ask('GET', '/records/backups');
    const [{ ids }, planned, copied] = await Promise.all([
      noting(
        world.url,
        children,
        TRIES,
        Array.from({ length: DEVICES }, () => ({})),
      ),
      world.ask('POST', '/weeks/2026-03-16/plan', { steps: 1_000 }),
      world.ask('POST', '/records/backups', {}),
    ]);
    expect(before.status).toBe(200);
    expect([planned.status, copied.status]).toEqual([202, 201]);
    await world.restart();
    const db = new Database(join(world.folder, 'gumo.db'), { readonly: true });
    const kept = db
      .prepare("SELECT id FROM facts WHERE json_extract(body, '$.notedBy') LIKE 'device %'")
      .pluck()
      .all() as string[];
    db.close();
    expect(kept.length).toBe(TRIES);
    expect(new Set(kept)).toEqual(new Set(ids));
    await world.close();
  });
});
