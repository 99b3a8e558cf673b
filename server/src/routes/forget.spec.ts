import { randomUUID } from 'node:crypto';
import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Child } from '@gumo/core/vocabulary';
import { usualWish } from '@gumo/core/sheets';
import Database from 'better-sqlite3';
import { type World, aChild, aSession, aTry, openWorld } from '../testing/world.js';

describe('forgetting a child', () => {
  let world: World;
  let wren: Child;
  let juno: Child;
  beforeEach(async () => {
    world = await openWorld();
    wren = (await world.ask('POST', '/children', aChild({ name: 'Wrennifer' }))).body;
    juno = (await world.ask('POST', '/children', aChild({ name: 'Juno' }))).body;
    const shared = aSession(wren.id, {
      participants: [wren, juno].map(({ id }) => ({ childId: id, rangeMax: 5 })),
    });
    const alone = aSession(wren.id);
    for (const session of [shared, alone])
      await world.ask('PUT', `/sessions/${session.id}`, session);
    const taken = aTry(wren.id, { note: 'wrennifer-secret', sessionId: alone.id });
    await world.ask('POST', '/observations', {
      observations: [
        taken,
        aTry(wren.id, { sessionId: shared.id }),
        aTry(juno.id, { sessionId: shared.id }),
      ],
    });
    await world.ask('POST', '/voidings', {
      voidings: [{ id: randomUUID(), observationId: taken.id, at: taken.at, notedBy: '' }],
    });
    await world.ask('POST', '/notes', {
      id: randomUUID(),
      childId: wren.id,
      day: '2026-03-10',
      at: '2026-03-10T09:00:00.000Z',
      words: 'wrennifer-secret words',
      notedBy: '',
    });
    await world.ask('POST', '/days/2026-03-10/marks', {
      what: 'away',
      childId: wren.id,
      on: true,
    });
    await world.ask('POST', '/plan', {
      id: randomUUID(),
      day: '2026-03-11',
      momentId: 'floor',
      activityId: 'handfuls',
      participants: [wren, juno].map(({ id }) => ({ childId: id, rangeMax: 5 })),
      minutes: 5,
      with: '',
    });
    await world.ask('POST', '/sheets/items', {
      id: randomUUID(),
      kind: 'ten-frame',
      childId: wren.id,
      wish: usualWish(),
      addedOn: '2026-03-10',
      version: 1,
    });
    await world.ask('GET', `/children/${wren.id}/progress`);
  });
  afterEach(() => world.close());

  /** Whether the words stand anywhere in the files of a folder. */
  const holds = (folder: string, words: string): boolean =>
    readdirSync(folder, { withFileTypes: true }).some(
      (one) => one.isFile() && readFileSync(join(folder, one.name)).includes(words),
    );

  it('leaves no byte of it in the records or, where asked, in their copies; others stay whole', async () => {
    await world.ask('POST', '/records/backups');
    const copies = join(world.folder, 'backups');
    for (const where of [world.folder, copies]) {
      expect(holds(where, 'wrennifer-secret')).toBeTrue();
    }
    const forget = (body: object) => world.ask('POST', `/children/${wren.id}/forget`, body);
    expect((await forget({ name: 'Juno', copies: false })).status).toBe(422);
    expect((await forget({ name: 'Wrennifer' })).status).toBe(400);

    const kept = await world.ask('POST', '/records/backups');
    expect(kept.status).toBe(201);
    const answer = await forget({ name: ' wrennifer ', copies: false });
    const { holders } = answer.body as { holders: { name: string; until: string | null }[] };
    expect(holders.map((one) => one.until)).toEqual([null, null]);
    for (const word of [wren.id, 'wrennifer-secret', 'Wrennifer']) {
      expect(holds(world.folder, word)).withContext(word).toBeFalse();
    }
    expect((await world.ask('GET', `/children/${wren.id}/progress`)).status).toBe(404);
    const seen = (await world.ask('GET', `/children/${juno.id}/observations`)).body as {
      observations: unknown[];
    };
    expect(seen.observations.length).toBe(1);
    const { entries } = (await world.ask('GET', '/days/2026-03-11')).body as {
      entries: { participants: unknown[] }[];
    };
    expect(entries[0]!.participants.length).toBe(1);
    // The copies hold the child until they are written anew, or restored and forgotten again.
    const restored = await world.ask('POST', `/records/backups/${holders[0]!.name}/restore`);
    expect(restored.status).toBe(200);
    const again = await forget({ name: 'Wrennifer', copies: true });
    expect((again.body as { holders: unknown[] }).holders).toEqual([]);
    expect(holds(copies, 'wrennifer-secret')).toBeFalse();
    expect(holds(copies, wren.id)).toBeFalse();
    expect((await world.ask('POST', `/records/backups/${holders[0]!.name}/restore`)).status).toBe(
      200,
    );
    const names = ((await world.ask('GET', '/children')).body as Child[]).map((one) => one.name);
    expect(names).toEqual(['Juno']);
  });

  it('is finished at the next start where it was cut off, in the records and in their copies', async () => {
    await world.ask('POST', '/records/backups');
    const copies = join(world.folder, 'backups');
    await world.stop();
    // Killed after it was written down, and half-way through a copy.
    const access = new Database(join(world.folder, 'gumo-access.db'));
    access
      .prepare('INSERT INTO forgetting (child_id, copies, at) VALUES (?, 1, ?)')
      .run(wren.id, '2026-03-10T09:00:00.000Z');
    access.close();
    const [copy] = readdirSync(copies);
    for (const end of ['.part', '.part-journal', '.part-wal']) {
      writeFileSync(join(copies, `${copy}${end}`), 'wrennifer-secret');
    }
    writeFileSync(join(world.folder, 'gumo.db.1.shred'), 'wrennifer-secret');
    await world.start();
    for (const where of [world.folder, copies]) {
      for (const word of [wren.id, 'wrennifer-secret', 'Wrennifer']) {
        expect(holds(where, word)).withContext(`${where}: ${word}`).toBeFalse();
      }
    }
    expect(readdirSync(copies)).toEqual([copy!]);
    const names = ((await world.ask('GET', '/children')).body as Child[]).map((one) => one.name);
    expect(names).toEqual(['Juno']);
    // Asked again, it is not there any more, and nothing is left to be done.
    const again = await world.ask('POST', `/children/${wren.id}/forget`, {
      name: 'Wrennifer',
      copies: true,
    });
    expect(again.status).toBe(404);
  });

  it('goes on where somebody asks again after the records were done and the copies were not', async () => {
    await world.ask('POST', '/records/backups');
    await world.ask('POST', `/children/${wren.id}/forget`, { name: 'Wrennifer', copies: false });
    await world.stop();
    const access = new Database(join(world.folder, 'gumo-access.db'));
    access
      .prepare('INSERT INTO forgetting (child_id, copies, at) VALUES (?, 0, ?)')
      .run(wren.id, '2026-03-10T09:00:00.000Z');
    access.close();
    await world.start();
    // Without copies there is nothing left to do, so it counts as done.
    const asked = await world.ask('POST', `/children/${wren.id}/forget`, {
      name: '',
      copies: true,
    });
    expect(asked.status).toBe(404);
    expect(holds(join(world.folder, 'backups'), 'wrennifer-secret')).toBeTrue();
  });
});
