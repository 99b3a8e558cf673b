import type { SkillView } from '@gumo/core/evidence';
import { type World, aChild, aSession, aTry, openWorld, TODAY } from '../testing/world.js';

interface ProblemBody {
  readonly status: number;
  readonly errors: { field: string; message: string }[];
}

describe('the API', () => {
  let world: World;
  const child = aChild();

  beforeAll(async () => {
    world = await openWorld();
    await world.ask('POST', '/children', child);
  });
  afterAll(() => world.close());

  const view = async (skillId: string, id = child.id): Promise<SkillView> => {
    const { body } = await world.ask('GET', `/children/${id}/progress?today=${TODAY}`);
    const { views } = body as { views: SkillView[] };
    return views.find((one) => one.skillId === skillId)!;
  };
  const post = (observations: unknown[]) => world.ask('POST', '/observations', { observations });

  it('keeps an observation once, however often it is posted', async () => {
    const own = aChild({ name: 'Wagtail' });
    await world.ask('POST', '/children', own);
    const one = aTry(own.id);
    expect((await post([one])).status).toBe(201);
    expect((await post([one])).status).toBe(200);
    expect((await view('touch-5', own.id)).scored).toBe(1);
    const changed = await post([{ ...one, outcome: 'not-yet' }]);
    expect(changed.status).toBe(409);
    expect((await view('touch-5', own.id)).own).toBe(1);
  });

  it('takes an observation back without forgetting it', async () => {
    const other = aChild({ name: 'Finch' });
    await world.ask('POST', '/children', other);
    const one = aTry(other.id);
    await post([one, aTry(other.id, { itemId: 'n4' })]);
    const voiding = {
      id: '11111111-1111-4111-8111-111111111111',
      observationId: one.id,
      at: `${TODAY}T09:01:00.000Z`,
      notedBy: '',
    };
    expect((await world.ask('POST', '/voidings', { voidings: [voiding] })).status).toBe(201);
    expect((await world.ask('POST', '/voidings', { voidings: [voiding] })).status).toBe(200);
    expect((await view('touch-5', other.id)).scored).toBe(1);
    const seen = await world.ask('GET', `/children/${other.id}/observations?skill=touch-5`);
    const { observations } = seen.body as { observations: { voided: boolean }[] };
    expect(observations.map((row) => row.voided)).toEqual([false, true]);
  });

  it('keeps a batch whole or not at all', async () => {
    const before = (await view('touch-5')).scored;
    const answer = await post([aTry(child.id), aTry(child.id, { skillId: 'fly-5' })]);
    expect(answer.status).toBe(422);
    expect((answer.body as ProblemBody).errors[0]!.field).toBe('observations.1.skillId');
    expect((await view('touch-5')).scored).toBe(before);
  });

  it('pages observations by key', async () => {
    const many = aChild({ name: 'Lark' });
    await world.ask('POST', '/children', many);
    await post(Array.from({ length: 120 }, () => aTry(many.id)));
    const seen = new Set<number>();
    let path: string | null = `/children/${many.id}/observations`;
    while (path !== null) {
      const { body } = await world.ask('GET', path);
      const page = body as { observations: { seq: number }[]; next: number | null };
      page.observations.forEach((row) => seen.add(row.seq));
      path = page.next === null ? null : `/children/${many.id}/observations?before=${page.next}`;
    }
    expect(seen.size).toBe(120);
  });

  it('begins, notes and ends a session, each step harmless when repeated', async () => {
    const entry = {
      id: '22222222-2222-4222-8222-222222222222',
      day: TODAY,
      momentId: 'floor',
      activityId: 'handfuls',
      participants: [{ childId: child.id, rangeMax: 5 }],
      minutes: 10,
      with: '',
    };
    expect((await world.ask('POST', '/plan', entry)).status).toBe(201);
    const session = aSession(child.id, { planEntryId: entry.id });
    expect((await world.ask('PUT', `/sessions/${session.id}`, session)).status).toBe(201);
    expect((await world.ask('PUT', `/sessions/${session.id}`, session)).status).toBe(200);
    await post([aTry(child.id, { sessionId: session.id })]);
    const end = { endedAt: `${TODAY}T09:10:00.000Z`, mood: 'calm' };
    await world.ask('POST', `/sessions/${session.id}/end`, end);
    await world.ask('POST', `/sessions/${session.id}/end`, end);
    const { body } = await world.ask('GET', `/days/${TODAY}`);
    const day = body as { entries: { state: string }[]; open: unknown[] };
    expect(day.entries[0]!.state).toBe('done');
    expect(day.open).toEqual([]);
    const early = { endedAt: `${TODAY}T08:00:00.000Z`, mood: null };
    expect((await world.ask('POST', `/sessions/${session.id}/end`, early)).status).toBe(422);
  });

  it('refuses a write with an old version and shows the newer row', async () => {
    const own = aChild();
    await world.ask('POST', '/children', own);
    const renamed = await world.ask('PUT', `/children/${own.id}`, { ...own, name: 'Wrenna' });
    expect((renamed.body as { version: number }).version).toBe(2);
    const late = await world.ask('PUT', `/children/${own.id}`, { ...own, name: 'Other' });
    expect(late.status).toBe(409);
    expect((late.body as { current: { name: string } }).current.name).toBe('Wrenna');
  });

  it('rebuilds when the policy of a child changes', async () => {
    const own = aChild({ name: 'Plover' });
    await world.ask('POST', '/children', own);
    await post([aTry(own.id)]);
    await view('touch-5', own.id);
    await world.ask('PUT', `/children/${own.id}`, { ...own, policy: 'follow-child' });
    const { body } = await world.ask('GET', `/children/${own.id}/evidence`);
    expect((body as { policy: string }).policy).toBe('follow-child');
  });

  describe('with bad input', () => {
    const observation = (more: object): object => ({
      observations: [{ ...aTry(child.id), ...more }],
    });
    const count = (n: unknown): object =>
      observation({ record: { kind: 'give', asked: n, given: null } });
    const cases: [string, string, string, unknown, number, string][] = [
      ['a wrong type', 'POST', '/observations', count('three'), 400, 'observations.0.record.asked'],
      ['n of -1', 'POST', '/observations', count(-1), 400, 'observations.0.record.asked'],
      ['n of 1e9', 'POST', '/observations', count(1e9), 400, 'observations.0.record.asked'],
      ['half a thing', 'POST', '/observations', count(2.5), 400, 'observations.0.record.asked'],
      [
        'an unknown child',
        'POST',
        '/observations',
        observation({ childId: '99999999-9999-4999-8999-999999999999' }),
        422,
        'observations.0.childId',
      ],
      [
        'a note of 1 MB',
        'POST',
        '/observations',
        observation({ note: 'x'.repeat(1_000_000) }),
        400,
        'observations.0.note',
      ],
      [
        'an unknown kind',
        'POST',
        '/observations',
        observation({ record: { kind: 'dance' } }),
        400,
        'observations.0.record.kind',
      ],
      [
        'an item of another skill',
        'POST',
        '/observations',
        observation({ itemId: 'n9' }),
        422,
        'observations.0.itemId',
      ],
      ['an empty batch', 'POST', '/observations', { observations: [] }, 400, 'observations'],
      ['nothing at all', 'POST', '/observations', {}, 400, 'observations'],
      ['3 MB', 'POST', '/observations', { x: 'x'.repeat(3_000_000) }, 413, 'body'],
      ['broken JSON', 'POST', '/observations', '{"observations": [', 400, 'body'],
      [
        'an unborn child',
        'POST',
        '/children',
        aChild({ birthDate: '2027-01-01' }),
        422,
        'birthDate',
      ],
      [
        'a day that is none',
        'POST',
        '/children',
        aChild({ birthDate: '2022-02-30' }),
        400,
        'birthDate',
      ],
      ['a nameless child', 'POST', '/children', aChild({ name: '  ' }), 400, 'name'],
      ['a bad day', 'GET', '/days/2026-13-01', undefined, 400, 'body'],
      [
        'an unknown skill',
        'GET',
        `/children/${child.id}/observations?skill=fly`,
        undefined,
        422,
        'skill',
      ],
    ];
    for (const [name, method, path, body, status, field] of cases) {
      it(`answers ${name} with ${status} and names ${field}`, async () => {
        const answer = await world.ask(method, path, body);
        expect(answer.status).toBe(status);
        expect(answer.type).toContain('application/problem+json');
        expect((answer.body as ProblemBody).errors[0]!.field).toBe(field);
      });
    }

    it('answers an unknown child in the address with 404, and a wrong content type with 415', async () => {
      const id = '99999999-9999-4999-8999-999999999999';
      expect((await world.ask('GET', `/children/${id}/progress`)).status).toBe(404);
      expect((await world.ask('GET', '/nowhere')).status).toBe(404);
      const plain = await world.ask('POST', '/children', 'x', { 'content-type': 'text/plain' });
      expect(plain.status).toBe(415);
      expect((plain.body as ProblemBody).errors[0]!.field).toBe('content-type');
    });

    it('does not let another site write', async () => {
      const headers = { 'content-type': 'application/json', origin: 'http://elsewhere.example' };
      expect((await world.ask('POST', '/children', aChild(), headers)).status).toBe(403);
    });
  });
});
