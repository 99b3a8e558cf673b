import { randomUUID } from 'node:crypto';
import { readFileSync, readdirSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { HouseholdFile } from '@gumo/core/exchange';
import type { Child } from '@gumo/core/vocabulary';
import { type World, DEMO, aChild, aTry, openWorld } from '../testing/world.js';

const namesOf = async (world: World): Promise<string[]> =>
  ((await world.ask('GET', '/children')).body as Child[]).map((one) => one.name).sort();
const fileOf = async (world: World): Promise<string> =>
  (await fetch(`${world.url}/records/household.json`)).text();
interface State {
  readonly backups: { name: string; kind: string; bytes: number }[];
  readonly notice: string;
}
const stateOf = async (world: World): Promise<State> =>
  (await world.ask('GET', '/records/backups')).body;

describe('copies of the records', () => {
  let world: World;
  beforeEach(async () => {
    world = await openWorld();
    await world.ask('POST', '/children', aChild({ name: 'Wren' }));
  });
  afterEach(() => world.close());

  it('are made on request and restored whole; what was there before is kept as well', async () => {
    const made = await world.ask('POST', '/records/backups');
    expect(made.status).toBe(201);
    const { name } = made.body as { name: string };
    await world.ask('POST', '/children', aChild({ name: 'Juno' }));
    expect(await namesOf(world)).toEqual(['Juno', 'Wren']);
    const restored = await world.ask('POST', `/records/backups/${name}/restore`);
    expect(restored.status).toBe(200);
    expect(await namesOf(world)).toEqual(['Wren']);
    const { before } = restored.body as { before: string };
    expect((await world.ask('POST', `/records/backups/${before}/restore`)).status).toBe(200);
    expect(await namesOf(world)).toEqual(['Juno', 'Wren']);
    await world.restart();
    expect(await namesOf(world)).toEqual(['Juno', 'Wren']);
    expect((await stateOf(world)).notice).toBe('');
    const audit = (await world.ask('GET', '/access/audit')).body as {
      what: string;
      detail: string;
    }[];
    expect(audit[0]).toEqual(jasmine.objectContaining({ what: 'restored', detail: before }));
    expect(JSON.stringify(audit)).not.toMatch(/Wren|Juno/);
    // Nothing is left lying beside the records.
    expect(
      readdirSync(world.folder).filter((one) => /restoring|writing|reading/.test(one)),
    ).toEqual([]);
  });

  it('that are cut off, bent or unknown are refused, and the records stay as they are', async () => {
    const { name } = (await world.ask('POST', '/records/backups')).body as { name: string };
    const file = join(world.folder, 'backups', name);
    const sound = readFileSync(file);
    const restore = () => world.ask('POST', `/records/backups/${name}/restore`);
    truncateSync(file, 5000);
    expect((await restore()).status).toBe(422);
    const bent = Buffer.from(sound);
    // The root page of the schema is where every reading begins.
    bent.fill(0xff, 100, 2000);
    writeFileSync(file, bent);
    expect((await restore()).status).toBe(422);
    writeFileSync(file, 'not a database at all');
    expect((await restore()).status).toBe(422);
    for (const path of ['..%2Fgumo.db', 'gumo.db', `${name}.part`]) {
      expect((await world.ask('POST', `/records/backups/${path}/restore`)).status).toBe(404);
      expect((await world.ask('DELETE', `/records/backups/${path}`)).status).toBe(404);
    }
    expect(await namesOf(world)).toEqual(['Wren']);
    expect(statSync(join(world.folder, 'gumo.db')).size).toBeGreaterThan(0);
  });
});

describe('a household as one file', () => {
  it('goes out, into an empty household, and out again with the same bytes', async () => {
    const [one, two] = await Promise.all([openWorld(DEMO), openWorld()]);
    try {
      const child = ((await one.ask('GET', '/children')).body as Child[])[0]!;
      const taken = aTry(child.id);
      await one.ask('POST', '/observations', { observations: [taken] });
      await one.ask('POST', '/voidings', {
        voidings: [{ id: randomUUID(), observationId: taken.id, at: taken.at, notedBy: '' }],
      });
      await one.ask('GET', '/weeks/2026-03-09');
      const first = await fileOf(one);
      const taken2 = await two.ask('POST', '/records/household', first);
      expect(taken2.status).toBe(201);
      const { counts } = taken2.body as { counts: Record<string, number> };
      const file = JSON.parse(first) as HouseholdFile;
      expect(counts['observations']).toBe(file.observations.length);
      expect(await fileOf(two)).toBe(first);
      // And says the same about the child.
      const progress = async (world: World) =>
        (await world.ask('GET', `/children/${child.id}/progress`)).body as object;
      expect(await progress(two)).toEqual(await progress(one));
    } finally {
      await Promise.all([one.close(), two.close()]);
    }
  });

  it('is refused with the field that is wrong, and changes nothing', async () => {
    const world = await openWorld();
    try {
      await world.ask('POST', '/children', aChild({ name: 'Wren' }));
      const good = JSON.parse(await fileOf(world)) as HouseholdFile;
      const send = (file: unknown) => world.ask('POST', '/records/household?replace=1', file);
      const cases: [unknown, string][] = [
        ['{ "format": ', 'file'],
        [{ ...good, format: 'other' }, 'format'],
        [{ ...good, version: 99 }, 'version'],
        [
          { ...good, children: [{ ...good.children[0], birthDate: '2026-02-30' }] },
          'children.0.birthDate',
        ],
        [
          { ...good, observations: [{ ...aTry(randomUUID()), outcome: 'great' }] },
          'observations.0.outcome',
        ],
      ];
      for (const [file, field] of cases) {
        const answer = await send(file);
        expect(answer.status).withContext(field).toBe(400);
        const { errors } = answer.body as { errors: { field: string }[] };
        expect(errors[0]!.field).toBe(field);
      }
      const stranger = await send({ ...good, observations: [aTry(randomUUID())] });
      expect(stranger.status).toBe(422);
      const twice = { ...good, children: [good.children[0], good.children[0]] };
      expect(
        (
          await send({
            ...twice,
            children: [...twice.children, { ...good.children[0], name: 'Other' }],
          })
        ).status,
      ).toBe(409);
      // Without the word that it may take the place of what is here.
      expect((await world.ask('POST', '/records/household', good)).status).toBe(409);
      expect(await namesOf(world)).toEqual(['Wren']);
    } finally {
      await world.close();
    }
  });
});
