import { randomUUID } from 'node:crypto';
import type { Child, DaySheet, Household, PlanEntry } from '@gumo/core/vocabulary';
import { TODAY, type World, aChild, aSession, openWorld } from '../testing/world.js';

interface ProblemBody {
  readonly errors: { field: string; message: string }[];
}
interface DayBody {
  readonly sheet: DaySheet;
  readonly entries: PlanEntry[];
  readonly open: unknown[];
}

describe('the plan over HTTP', () => {
  let world: World;
  let child: Child;
  let momentId: string;

  beforeAll(async () => {
    world = await openWorld();
    child = (await world.ask('POST', '/children', aChild())).body;
    const household: Household = (await world.ask('GET', '/household')).body;
    momentId = household.moments[0]!.id;
  });
  afterAll(() => world.close());

  const draft = (more: object = {}) => ({
    id: randomUUID(),
    day: TODAY,
    momentId,
    activityId: 'stairs',
    participants: [{ childId: child.id, rangeMax: 5 }],
    minutes: 5,
    with: '',
    ...more,
  });
  const theDay = async (day = TODAY): Promise<DayBody> =>
    (await world.ask('GET', `/days/${day}`)).body;

  it('takes an entry, changes it, and takes it out, each with its version', async () => {
    const posted = await world.ask('POST', '/plan', draft());
    expect(posted.status).toBe(201);
    const entry = posted.body as PlanEntry;
    expect([entry.state, entry.version]).toEqual(['planned', 1]);

    const changed = await world.ask('PUT', `/plan/${entry.id}`, { ...entry, minutes: 9 });
    expect(changed.status).toBe(200);
    expect((changed.body as PlanEntry).version).toBe(2);
    expect((await theDay()).entries).toEqual([changed.body]);

    const late = await world.ask('PUT', `/plan/${entry.id}`, { ...entry, minutes: 2 });
    expect(late.status).toBe(409);
    expect((await world.ask('DELETE', `/plan/${entry.id}?version=1`)).status).toBe(409);
    expect((await theDay()).entries.length).toBe(1);
    expect((await world.ask('DELETE', `/plan/${entry.id}?version=2`)).status).toBe(204);
    expect((await world.ask('DELETE', `/plan/${entry.id}?version=2`)).status).toBe(404);
    expect((await theDay()).entries).toEqual([]);
  });

  it('names what it does not know', async () => {
    const cases: [object, string][] = [
      [draft({ activityId: 'juggling' }), 'activityId'],
      [draft({ momentId: 'midnight' }), 'momentId'],
      [draft({ participants: [{ childId: randomUUID(), rangeMax: 5 }] }), 'participants.0.childId'],
      [draft({ day: '2026-02-30' }), 'day'],
      [draft({ minutes: -1 }), 'minutes'],
      [draft({ minutes: 'five' }), 'minutes'],
    ];
    for (const [body, field] of cases) {
      const answer = await world.ask('POST', '/plan', body);
      expect([400, 422]).withContext(field).toContain(answer.status);
      expect((answer.body as ProblemBody).errors[0]!.field).toBe(field);
    }
    expect((await theDay()).entries).toEqual([]);
    const other = await world.ask('PUT', `/plan/${randomUUID()}`, {
      ...draft(),
      state: 'planned',
      version: 1,
    });
    expect((other.body as ProblemBody).errors[0]!.field).toBe('id');
  });

  it('keeps who is away, for that day only', async () => {
    const mark = (on: boolean, childId = child.id) =>
      world.ask('POST', `/days/${TODAY}/marks`, { what: 'away', childId, on });
    expect((await mark(true)).status).toBe(200);
    // Sent twice, it is so once.
    expect((await mark(true)).body).toEqual(jasmine.objectContaining({ away: [child.id] }));
    expect((await theDay()).sheet.away).toEqual([child.id]);
    expect((await theDay('2026-03-11')).sheet.away).toEqual([]);
    const stranger = await mark(true, randomUUID());
    expect((stranger.body as ProblemBody).errors[0]!.field).toBe('childId');
    await mark(false);
    expect((await theDay()).sheet.away).toEqual([]);
  });

  it('keeps small parts from who is in reach at that moment, and plan and day agree on it', async () => {
    // Parts for children under three: 16 CFR 1501; the day of the third birthday is the first without.
    const young = (
      await world.ask('POST', '/children', aChild({ birthDate: '2023-03-11', name: 'Juno' }))
    ).body as Child;
    const buttons = {
      id: randomUUID(),
      name: 'buttons',
      use: 'counter',
      count: 60,
      colors: [],
      alike: true,
      shape: { kind: 'disc', diameterMm: 12, thicknessMm: 3 },
      box: '',
      consumable: false,
      interests: [],
      hazards: [],
      version: 1,
    };
    await world.ask('POST', '/materials', buttons);
    // With all in the room they stay in their boxes, and no such card is taken.
    const shared = await world.ask(
      'POST',
      '/plan',
      draft({ activityId: 'handfuls', momentId: 'floor' }),
    );
    expect(shared.status).toBe(422);
    expect((shared.body as { title: string }).title).toContain('Juno is in the room');
    // At the table, where the others are elsewhere, an older child may have them.
    const table = draft({ activityId: 'counters-under', momentId: 'table', minutes: 5 });
    const kept = await world.ask('POST', '/plan', table);
    expect(kept.status).toBe(201);
    const { ready, cautions } = (await theDay()) as unknown as {
      ready: { material: { name: string } | null; away: unknown[] }[];
      cautions: Record<string, string[]>;
    };
    const line = ready.find((one) => one.material?.name === 'buttons')!;
    expect(line.away).toEqual([]);
    expect(cautions[(kept.body as PlanEntry).id]).toEqual([
      'Buttons are small parts: put them away before Juno comes near.',
    ]);
    await world.ask('DELETE', `/plan/${(kept.body as PlanEntry).id}?version=1`);
    // From the third birthday on nothing of it applies.
    const later = draft({ activityId: 'handfuls', momentId: 'floor', day: '2026-03-16' });
    expect((await world.ask('POST', '/plan', later)).status).toBe(201);
    await world.ask('DELETE', `/plan/${later.id}?version=1`);
    await world.ask('PUT', `/children/${young.id}`, { ...young, archived: true });
  });

  it('says on the card and on the list what an allergy keeps away, and what can be made', async () => {
    const noor = (
      await world.ask(
        'POST',
        '/children',
        aChild({ name: 'Noor', cautions: { mouths: false, allergies: ['Wheat'], note: '' } }),
      )
    ).body as Child;
    expect(noor.cautions.allergies).toEqual(['wheat']);
    const dough = draft({ activityId: 'dough-digits', momentId: 'floor', minutes: 12 });
    const refused = await world.ask('POST', '/plan', dough);
    expect(refused.status).toBe(422);
    expect((refused.body as { title: string }).title).toContain(
      'free of what Noor has an allergy to',
    );
    // Done as a record already, it is shown with what to do; a wheat-free dough lifts it.
    const free = {
      id: randomUUID(),
      name: 'rice dough',
      use: 'dough',
      count: 10,
      colors: [],
      alike: true,
      shape: { kind: 'unknown' },
      box: '',
      consumable: true,
      interests: [],
      hazards: ['food'],
      allergens: [],
      version: 1,
    };
    await world.ask('POST', '/materials', free);
    const kept = await world.ask('POST', '/plan', dough);
    expect(kept.status).toBe(201);
    await world.ask('PUT', `/materials/${free.id}`, { ...free, allergens: ['wheat'] });
    const { ready, cautions } = (await theDay()) as unknown as {
      ready: { use: string; instead: { name: string } | null }[];
      cautions: Record<string, string[]>;
    };
    expect(ready.find((one) => one.use === 'dough')!.instead!.name).toBe('cornstarch dough');
    expect(cautions[dough.id]).toEqual([
      'Rice dough: holds wheat. Noor has an allergy: wheat. Make cornstarch dough instead: cornstarch, baking soda and water.',
    ]);
    const week = (await world.ask('GET', '/weeks/2026-03-09')).body as { cautions: object };
    expect(week.cautions).toEqual(jasmine.objectContaining({ [dough.id]: cautions[dough.id] }));
    await world.ask('DELETE', `/plan/${dough.id}?version=1`);
    await world.ask('PUT', `/children/${noor.id}`, { ...noor, archived: true });
  });

  it('suggests something for a child in nothing, and nothing for one who is planned', async () => {
    const suggested = async (): Promise<string[]> => {
      const answer = await world.ask('GET', `/days/${TODAY}/suggestions`);
      return (answer.body as { childId: string }[]).map((one) => one.childId);
    };
    expect(await suggested()).toContain(child.id);
    const entry = (await world.ask('POST', '/plan', draft())).body as PlanEntry;
    expect(await suggested()).not.toContain(child.id);
    await world.ask('DELETE', `/plan/${entry.id}?version=1`);
  });

  it('offers each child a range of the activity, and knows no other activity', async () => {
    const answer = await world.ask('GET', `/days/${TODAY}/tops/handfuls`);
    const tops = answer.body as { childId: string; top: number }[];
    expect(tops.find((one) => one.childId === child.id)?.top).toBe(3);
    expect((await world.ask('GET', `/days/${TODAY}/tops/juggling`)).status).toBe(404);
  });

  it('shows a session that was begun until it has ended', async () => {
    const session = aSession(child.id);
    expect((await world.ask('PUT', `/sessions/${session.id}`, session)).status).toBeLessThan(300);
    expect((await theDay()).open.length).toBe(1);
    const ended = await world.ask('POST', `/sessions/${session.id}/end`, {
      endedAt: `${TODAY}T09:09:00.000Z`,
      mood: 'calm',
    });
    expect(ended.status).withContext(JSON.stringify(ended.body)).toBeLessThan(300);
    expect((await theDay()).open).toEqual([]);
  });
});
