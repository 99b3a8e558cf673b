import { randomUUID } from 'node:crypto';
import type { HouseholdFile } from '@gumo/core/exchange';
import { type Child, addDays } from '@gumo/core/vocabulary';
import { TODAY, type World, aChild, aSession, aTry, openWorld } from '../testing/world.js';

describe('what cannot have happened', () => {
  let world: World;
  let child: Child;
  beforeEach(async () => {
    world = await openWorld();
    child = (await world.ask('POST', '/children', aChild())).body;
  });
  afterEach(() => world.close());

  const fieldOf = (answer: { status: number; body: unknown }): string =>
    `${answer.status} ${(answer.body as { errors?: { field: string }[] }).errors?.[0]?.field}`;

  it('is refused with its field: other days, other times, ends before beginnings, births', async () => {
    const tries: [object, string][] = [
      [{ day: '2099-01-01', at: '2099-01-01T09:00:00.000Z' }, '422 observations.0.day'],
      [{ day: addDays(TODAY, 2), at: `${TODAY}T09:00:00.000Z` }, '422 observations.0.day'],
      [{ day: '0000-01-01', at: '0000-01-01T09:00:00.000Z' }, '422 observations.0.day'],
      [{ day: '2022-04-30', at: '2022-04-30T09:00:00.000Z' }, '422 observations.0.day'],
      [{ at: '2024-03-10T09:00:00.000Z' }, '422 observations.0.at'],
      [{ day: '2026-02-30' }, '400 observations.0.day'],
      [{ at: '2026-02-30T09:00:00.000Z' }, '400 observations.0.at'],
    ];
    for (const [more, wanted] of tries) {
      const answer = await world.ask('POST', '/observations', {
        observations: [aTry(child.id, more)],
      });
      expect(fieldOf(answer)).withContext(JSON.stringify(more)).toBe(wanted);
    }
    const early = aSession(child.id, { endedAt: `${TODAY}T08:00:00.000Z` });
    expect(fieldOf(await world.ask('PUT', `/sessions/${early.id}`, early))).toBe('422 endedAt');
    for (const birthDate of [addDays(TODAY, 1), '1990-01-01']) {
      const answer = await world.ask('POST', '/children', aChild({ birthDate }));
      expect(fieldOf(answer)).toBe('422 birthDate');
    }
    const far = { day: '2099-01-01', at: '2099-01-01T09:00:00.000Z' };
    const note = { id: randomUUID(), childId: child.id, words: 'w', notedBy: '', ...far };
    expect(fieldOf(await world.ask('POST', '/notes', { notes: [note] }))).toBe('422 notes.0.day');
  });

  it('lets a device be a day ahead, and brings other offsets to one order', async () => {
    const ahead = aTry(child.id, {
      day: addDays(TODAY, 1),
      at: '2026-03-11T00:30:00+13:00',
    });
    expect((await world.ask('POST', '/observations', { observations: [ahead] })).status).toBe(201);
    const { body } = await world.ask('GET', `/children/${child.id}/observations`);
    const [kept] = (body as { observations: { observation: { at: string } }[] }).observations;
    expect(kept!.observation.at).toBe('2026-03-10T11:30:00.000Z');
    // Sent again as it was, it is the same one.
    expect((await world.ask('POST', '/observations', { observations: [ahead] })).status).toBe(200);
  });

  it('is left out of a file that comes in, and named; what hangs on it goes too', async () => {
    const file = (await (
      await fetch(`${world.url}/records/household.json`)
    ).json()) as HouseholdFile;
    const good = aTry(child.id);
    const bad = aTry(child.id, { day: '2099-01-01', at: '2099-01-01T09:00:00.000Z' });
    const voiding = {
      id: randomUUID(),
      observationId: bad.id,
      at: `${TODAY}T10:00:00.000Z`,
      notedBy: '',
    };
    const sent = { ...file, observations: [good, bad], voidings: [voiding] };
    const taken = await world.ask('POST', '/records/household?replace=1', sent);
    expect(taken.status).toBe(201);
    expect((taken.body as { leftOut: object }).leftOut).toEqual({
      count: 1,
      words: ['A try on 2099-01-01 of Wren: day is in the future.'],
    });
    const { body } = await world.ask('GET', `/children/${child.id}/observations`);
    expect((body as { observations: unknown[] }).observations.length).toBe(1);
    const table = 'child,day,skill,outcome\nWren,2099-01-01,touch-5,own\n';
    const said = await world.ask('POST', '/records/observations', {
      text: table,
      mapping: null,
      dry: true,
    });
    expect((said.body as { rows: { words: string }[] }).rows[0]!.words).toContain(
      'day: is in the future',
    );
  });

  it('never moves a review to another century', async () => {
    const good = ['2026-03-01', '2026-03-03', '2026-03-05'].flatMap((day) =>
      ['n1', 'n2', 'n3', 'n4', 'n5'].map((itemId) =>
        aTry(child.id, { itemId, day, at: `${day}T09:00:00.000Z`, sessionId: null }),
      ),
    );
    await world.ask('POST', '/observations', { observations: good });
    const poisoned = aTry(child.id, { day: '2099-01-01', at: '2099-01-01T09:00:00.000Z' });
    await world.ask('POST', '/observations', { observations: [poisoned] });
    const { body } = await world.ask('GET', `/children/${child.id}/progress`);
    const views = (body as { views: { skillId: string; due: string | null }[] }).views;
    for (const { due } of views) expect((due ?? '') < '2027').toBeTrue();
  });
});

describe('other content under a known id', () => {
  let world: World;
  let child: Child;
  beforeEach(async () => {
    world = await openWorld();
    child = (await world.ask('POST', '/children', aChild())).body;
  });
  afterEach(() => world.close());

  it('is told, never dropped', async () => {
    const note = {
      id: randomUUID(),
      childId: child.id,
      day: TODAY,
      at: `${TODAY}T09:00:00.000Z`,
      words: 'One.',
      notedBy: '',
    };
    const send = (words: string) => world.ask('POST', '/notes', { notes: [{ ...note, words }] });
    expect([(await send('One.')).status, (await send('One.')).status]).toEqual([201, 200]);
    expect((await send('Another.')).status).toBe(409);
    const session = aSession(child.id);
    const put = (more: object) =>
      world.ask('PUT', `/sessions/${session.id}`, { ...session, ...more });
    expect([(await put({})).status, (await put({})).status]).toEqual([201, 200]);
    // Another range is the same beginning; another activity is not.
    expect((await put({ participants: [{ childId: child.id, rangeMax: 10 }] })).status).toBe(200);
    expect((await put({ activityId: 'count-together' })).status).toBe(409);
  });

  it('comes twice where two rows of a table without an id say the same', async () => {
    const text =
      'child,day,skill,outcome\nWren,2026-03-09,touch-5,own\nWren,2026-03-09,touch-5,own\n';
    const send = (dry: boolean) =>
      world.ask('POST', '/records/observations', { text, mapping: null, dry });
    expect((await send(false)).body).toEqual(jasmine.objectContaining({ added: 2, known: 0 }));
    expect((await send(false)).body).toEqual(jasmine.objectContaining({ added: 0, known: 2 }));
  });

  it('goes out and comes in as it was, with leading spaces and apostrophes', async () => {
    const notes = ['  two spaces', "'=1+1", "''-x", '=SUM(A1)', "it's", "'"];
    const observations = notes.map((note) => aTry(child.id, { note }));
    await world.ask('POST', '/observations', { observations });
    const text = await (await fetch(`${world.url}/records/observations.csv`)).text();
    expect(text).not.toMatch(/(^|,)"?[=+\-@]/m);
    const said = await world.ask('POST', '/records/observations', {
      text,
      mapping: null,
      dry: true,
    });
    expect(said.body).toEqual(jasmine.objectContaining({ known: notes.length, refused: 0 }));
  });
});

describe('a plan', () => {
  let world: World;
  let child: Child;
  beforeEach(async () => {
    world = await openWorld();
    child = (await world.ask('POST', '/children', aChild())).body;
  });
  afterEach(() => world.close());

  const entry = (more: object = {}) => ({
    id: randomUUID(),
    day: TODAY,
    momentId: 'floor',
    activityId: 'handfuls',
    participants: [{ childId: child.id, rangeMax: 5 }],
    minutes: 10,
    with: '',
    ...more,
  });
  const fieldOf = (answer: { status: number; body: unknown }): string =>
    `${answer.status} ${(answer.body as { errors?: { field: string }[] }).errors?.[0]?.field}`;

  it('holds no child twice, no more minutes than its moment, and leaves on its day what was done', async () => {
    const twice = entry({ participants: [1, 2].map(() => ({ childId: child.id, rangeMax: 5 })) });
    expect(fieldOf(await world.ask('POST', '/plan', twice))).toBe('400 participants');
    expect(fieldOf(await world.ask('POST', '/plan', entry({ minutes: 240 })))).toBe('422 minutes');
    const kept = (await world.ask('POST', '/plan', entry())).body as object & { id: string };
    const done = { ...kept, state: 'done' };
    const after = (await world.ask('PUT', `/plan/${kept.id}`, done)).body as object;
    const moved = await world.ask('PUT', `/plan/${kept.id}`, { ...after, day: '2026-03-11' });
    expect(fieldOf(moved)).toBe('422 day');
  });

  it('names no stranger in a file that comes in', async () => {
    const file = (await (
      await fetch(`${world.url}/records/household.json`)
    ).json()) as HouseholdFile;
    const send = (more: object) =>
      world.ask('POST', '/records/household?replace=1', {
        ...file,
        plan: [{ ...entry(more), state: 'planned', version: 1 }],
      });
    const stranger = [{ childId: randomUUID(), rangeMax: 5 }];
    expect(fieldOf(await send({ participants: stranger }))).toBe(
      '422 plan.0.participants.0.childId',
    );
    expect(fieldOf(await send({ activityId: 'juggling' }))).toBe('422 plan.0.activityId');
    expect((await send({})).status).toBe(201);
  });

  it('keeps its moment until its cards are moved or canceled', async () => {
    await world.ask('POST', '/plan', entry());
    const household = (await world.ask('GET', '/household')).body as { moments: { id: string }[] };
    const without = { ...household, moments: household.moments.filter(({ id }) => id !== 'floor') };
    const refused = await world.ask('PUT', '/household', without);
    expect(fieldOf(refused)).toBe('422 moments');
    expect((refused.body as { title: string }).title).toContain(
      'one card to come in it (A lot and a few',
    );
    expect((await world.ask('GET', '/household/moments/floor/cards')).body as unknown[]).toHaveSize(
      1,
    );
    const to = { to: 'outdoors' };
    expect((await world.ask('POST', '/household/moments/floor/clear', to)).status).toBe(200);
    expect((await world.ask('PUT', '/household', without)).status).toBe(200);
    const { entries } = (await world.ask('GET', `/days/${TODAY}`)).body as {
      entries: { momentId: string }[];
    };
    expect(entries.map((one) => one.momentId)).toEqual(['outdoors']);
    await world.ask('POST', '/household/moments/outdoors/clear', { to: null });
    expect((await world.ask('GET', '/household/moments/outdoors/cards')).body).toEqual([] as never);
  });
});

describe('records that nobody meant', () => {
  it('are refused, and stop neither planning nor printing', async () => {
    const world = await openWorld();
    try {
      const child = (await world.ask('POST', '/children', aChild())).body as Child;
      const activities = (await world.ask('GET', '/activities')).body as { needs: object[] }[];
      const own = (must: unknown) => ({
        ...activities.find((one) => one.needs.length > 0),
        id: randomUUID(),
        archived: false,
        version: 1,
        needs: [{ ...activities.find((one) => one.needs.length > 0)!.needs[0], must }],
      });
      const nested = `${'{"half":'.repeat(20_000)}1${'}'.repeat(20_000)}`;
      const whole = JSON.stringify(own(0)).replace('"must":0', `"must":${nested}`);
      expect((await world.ask('POST', '/activities/own', whole)).status).toBe(400);
      const cube = { times: [1000, 1000, 1000] };
      for (const [must, wanted] of [
        [{ upTo: cube }, 201],
        [{ upTo: { upTo: cube } }, 201],
        [{ times: Array.from({ length: 9 }, () => 2) }, 400],
        [{ add: [] }, 400],
        [10_000, 400],
        [1e308, 400],
      ] as const) {
        const answer = await world.ask('POST', '/activities/own', own(must));
        expect(answer.status).withContext(JSON.stringify(must).slice(0, 60)).toBe(wanted);
      }
      for (const version of [1e308, 2 ** 53, -1, 0.5]) {
        expect(
          (await world.ask('PUT', `/children/${child.id}`, { ...child, version })).status,
        ).toBe(400);
      }
      for (const name of ['Wren\ud800', '\udc00']) {
        expect((await world.ask('POST', '/children', aChild({ name }))).status).toBe(400);
      }
      expect((await world.ask('GET', '/weeks/2026-03-09')).status).toBe(200);
      expect((await world.ask('POST', `/days/${TODAY}/plan`, {})).status).toBe(200);
      const paper = await fetch(`${world.url}/papers/strings/${child.id}.pdf`);
      expect(paper.status).toBe(200);
    } finally {
      await world.close();
    }
  });
});
