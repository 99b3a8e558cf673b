import { randomUUID } from 'node:crypto';
import { findActivity } from '@gumo/core/activities';
import type { NeedLine } from '@gumo/core/materials';
import type { Graph, Kit, OwnActivity, Song, Material } from '@gumo/core/vocabulary';
import { type World, aChild, openWorld, TODAY } from '../testing/world.js';

interface ProblemBody {
  readonly errors: { field: string }[];
}

const aMaterial = (more: Partial<Material> = {}): Material => ({
  id: randomUUID(),
  name: 'cork discs',
  use: 'counter',
  count: 40,
  colors: [],
  alike: true,
  shape: { kind: 'disc', diameterMm: 60, thicknessMm: 6 },
  box: 'box 3',
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
  ...more,
});
const anActivity = (more: Partial<OwnActivity> = {}): OwnActivity => ({
  ...findActivity('two-plates')!,
  id: randomUUID(),
  title: 'Two leaves',
  archived: false,
  version: 1,
  ...more,
});
const aSong = (more: Partial<Song> = {}): Song => ({
  id: randomUUID(),
  title: 'Snails on the wall',
  direction: 'down',
  from: 5,
  to: 0,
  words: '',
  version: 1,
  ...more,
});

const NEXT_WEEK = '2026-03-16';

describe('materials and the library over HTTP', () => {
  let world: World;
  beforeAll(async () => {
    world = await openWorld();
  });
  afterAll(() => world.close());

  const refused = async (method: string, path: string, body: unknown): Promise<string> => {
    const answer = await world.ask(method, path, body);
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(answer.status).toBeLessThan(500);
    return (answer.body as ProblemBody).errors[0]?.field ?? '';
  };

  it('keeps, changes and takes out a thing, each write with its version', async () => {
    const one = aMaterial();
    expect((await world.ask('POST', '/materials', one)).status).toBe(201);
    const more = await world.ask('PUT', `/materials/${one.id}`, { ...one, count: 41 });
    expect((more.body as Material).version).toBe(2);
    expect((await world.ask('PUT', `/materials/${one.id}`, { ...one, count: 42 })).status).toBe(
      409,
    );
    expect((await world.ask('DELETE', `/materials/${one.id}?version=1`)).status).toBe(409);
    expect((await world.ask('DELETE', `/materials/${one.id}?version=2`)).status).toBe(204);
    expect((await world.ask('DELETE', `/materials/${one.id}?version=2`)).status).toBe(404);
  });

  it('adds a pasted list whole or not at all', async () => {
    const before = ((await world.ask('GET', '/materials')).body as Material[]).length;
    const rows = [aMaterial(), aMaterial({ count: -1 })];
    expect(await refused('POST', '/materials/batch', { rows })).toBe('rows.1.count');
    const colored = aMaterial({ colors: [{ name: 'blue', count: 99 }] });
    expect(await refused('POST', '/materials/batch', { rows: [aMaterial(), colored] })).toBe(
      'colors',
    );
    expect(((await world.ask('GET', '/materials')).body as Material[]).length).toBe(before);
    const good = [aMaterial(), aMaterial()];
    expect((await world.ask('POST', '/materials/batch', { rows: good })).status).toBe(201);
    expect(((await world.ask('GET', '/materials')).body as Material[]).length).toBe(before + 2);
  });

  it('offers an own activity like a built-in one until it is archived', async () => {
    const own = anActivity();
    expect((await world.ask('POST', '/activities/own', own)).status).toBe(201);
    const titles = async (): Promise<string[]> =>
      ((await world.ask('GET', '/activities')).body as OwnActivity[]).map((one) => one.title);
    expect(await titles()).toContain('Two leaves');
    const child = aChild();
    await world.ask('POST', '/children', child);
    const entry = {
      id: randomUUID(),
      day: TODAY,
      momentId: 'table',
      activityId: own.id,
      participants: [{ childId: child.id, rangeMax: 5 }],
      minutes: 5,
      with: '',
    };
    expect((await world.ask('POST', '/plan', entry)).status).toBe(201);
    const needs = (await world.ask('GET', `/needs?from=${TODAY}`)).body as NeedLine[];
    expect(needs.find((line) => line.use === 'counter')!.for).toEqual(['Two leaves']);
    await world.ask('PUT', `/activities/own/${own.id}`, { ...own, archived: true });
    expect(await titles()).not.toContain('Two leaves');
    expect(await refused('POST', '/activities/own', anActivity({ skills: ['fly-5'] }))).toBe(
      'skills.0',
    );
  });

  it('counts as missing what is on no list, until it was ticked as lying ready', async () => {
    await world.ask('POST', '/materials', aMaterial({ name: 'bowl', use: 'bowl' }));
    const child = aChild();
    await world.ask('POST', '/children', child);
    const entry = {
      id: randomUUID(),
      day: NEXT_WEEK,
      momentId: 'table',
      activityId: 'next-number',
      participants: [{ childId: child.id, rangeMax: 5 }],
      minutes: 5,
      with: '',
    };
    expect((await world.ask('POST', '/plan', entry)).status).toBe(201);
    const missing = async (): Promise<number> => {
      const lines = (await world.ask('GET', `/needs?from=${NEXT_WEEK}`)).body as NeedLine[];
      return lines.find((line) => line.use === 'puppet')!.short;
    };
    expect(await missing()).toBe(1);
    const tick = { what: 'ready', key: 'puppet/puppet/any', on: true };
    expect((await world.ask('POST', `/days/${NEXT_WEEK}/marks`, tick)).status).toBe(200);
    expect(await missing()).toBe(0);
  });

  it('keeps graphs, takes them along in the household file, and prints one without keeping it', async () => {
    const graph: Graph = {
      id: randomUUID(),
      day: TODAY,
      title: 'What came by',
      columns: [{ name: 'dogs', predicted: 3, count: 7 }],
      each: 2,
      version: 1,
    };
    expect((await world.ask('POST', '/graphs', graph)).body).toEqual(graph);
    expect(await refused('POST', '/graphs', { ...graph, id: randomUUID(), each: 3 })).toBe('each');
    const more = { ...graph, columns: [{ name: 'dogs', predicted: 3, count: 8 }] };
    expect((await world.ask('PUT', `/graphs/${graph.id}`, more)).body).toEqual({
      ...more,
      version: 2,
    });
    expect((await world.ask('PUT', `/graphs/${graph.id}`, more)).status).toBe(409);
    const file = (await world.ask('GET', '/records/household.json')).body as { graphs: Graph[] };
    expect(file.graphs).toEqual([{ ...more, version: 2 }]);
    expect((await world.ask('DELETE', `/graphs/${graph.id}?version=2`)).status).toBe(204);
    expect((await world.ask('GET', '/graphs')).body).toEqual([]);
    const page = { title: 'Ours', about: [], columns: [], each: 1, rows: 1 };
    expect(await refused('POST', '/papers/graph.pdf', page)).toBe('columns');
    expect(await refused('POST', '/papers/home.pdf', { strips: [] })).toBe('strips');
  });

  it('names the wrong field of a song, a kit and the household', async () => {
    expect((await world.ask('POST', '/songs', aSong())).status).toBe(201);
    expect(await refused('POST', '/songs', aSong({ to: 9 }))).toBe('to');
    expect(await refused('POST', '/songs', aSong({ title: ' ' }))).toBe('title');
    const kit: Kit = {
      id: randomUUID(),
      title: 'Table box',
      activityId: null,
      contents: [{ materialId: randomUUID(), count: 3 }],
      changedOn: TODAY,
      changeAfterWeeks: 4,
      checked: null,
      version: 1,
    };
    expect(await refused('POST', '/kits', kit)).toBe('contents.0.materialId');
    const household = (await world.ask('GET', '/household')).body as object;
    expect(await refused('PUT', '/household', { ...household, tablePerWeek: 9 })).toBe(
      'tablePerWeek',
    );
    const kept = await world.ask('PUT', '/household', { ...household, frameFill: 'pairs' });
    expect((kept.body as { version: number }).version).toBe(2);
    expect((await world.ask('GET', '/needs?from=someday')).status).toBe(400);
  });
});
