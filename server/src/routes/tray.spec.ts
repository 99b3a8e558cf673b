import { randomUUID } from 'node:crypto';
import type { Child, ChildNote, DaySheet, Session } from '@gumo/core/vocabulary';
import { TODAY, type World, aChild, aSession, aTry, openWorld } from '../testing/world.js';

interface ProblemBody {
  readonly errors: { field: string; message: string }[];
}
interface Seen {
  readonly sessions: Session[];
  readonly skills: { childId: string; skillId: string; outcomes: string[] }[];
  readonly notes: ChildNote[];
  readonly notSeen: string[];
}

describe('what comes from the tray, over HTTP', () => {
  let world: World;
  let wren: Child;
  let finn: Child;

  beforeAll(async () => {
    world = await openWorld();
    wren = (await world.ask('POST', '/children', aChild())).body;
    finn = (await world.ask('POST', '/children', aChild({ name: 'Finn' }))).body;
  });
  afterAll(() => world.close());

  const note = (more: Partial<ChildNote> = {}): ChildNote => ({
    id: randomUUID(),
    childId: wren.id,
    at: `${TODAY}T10:00:00.000Z`,
    day: TODAY,
    words: 'counts the stairs',
    notedBy: '',
    ...more,
  });
  const notesOf = async (child: Child): Promise<ChildNote[]> =>
    (await world.ask('GET', `/children/${child.id}/notes`)).body;

  describe('the last time', () => {
    const played = (sessionId: string, outcome: 'own' | 'not-yet' | 'not-now') =>
      aTry(wren.id, {
        sessionId,
        outcome,
        round: { kind: 'count-out', part: 0, lap: 0, key: 'took-3', cameUp: [3], lay: [3] },
        counts: [{ skillId: 'touch-5', itemId: 'n3' }],
        record: { kind: 'give', asked: 3, given: outcome === 'own' ? 3 : 4 },
      });
    const lastTime = async (activity: string): Promise<string | null> => {
      const path = `/children/${wren.id}/last-time?activity=${activity}`;
      const { words }: { words: string | null } = (await world.ask('GET', path)).body;
      return words;
    };

    it('is told of the last session in the same activity in which something was asked', async () => {
      expect(await lastTime('handfuls')).toBeNull();
      const session = aSession(wren.id);
      expect((await world.ask('PUT', `/sessions/${session.id}`, session)).status).toBeLessThan(300);
      const hard = played(session.id, 'not-yet');
      await world.ask('POST', '/observations', {
        observations: [played(session.id, 'own'), hard],
      });
      expect(await lastTime('handfuls')).toMatch(/^Last time this one was hard: give 3/);
      expect(await lastTime('two-plates')).toBeNull();
      const voiding = { id: randomUUID(), observationId: hard.id, at: hard.at, notedBy: '' };
      await world.ask('POST', '/voidings', { voidings: [voiding] });
      expect(await lastTime('handfuls')).toMatch(/every one on your own/);
    });

    it('leaves out what was played beside it with the same things', async () => {
      const activityId = 'tidy-count';
      const session = aSession(wren.id, { activityId });
      await world.ask('PUT', `/sessions/${session.id}`, session);
      const beside = { ...played(session.id, 'not-yet'), activityId: 'layouts' };
      const own = { ...played(session.id, 'own'), activityId };
      await world.ask('POST', '/observations', { observations: [beside, own] });
      expect(await lastTime(activityId)).toMatch(/every one on your own/);
    });

    it('names the field that is missing or wrong', async () => {
      for (const query of ['', '?activity=']) {
        const answer = await world.ask('GET', `/children/${wren.id}/last-time${query}`);
        expect(answer.status).withContext(query).toBe(400);
        expect((answer.body as ProblemBody).errors[0]!.field).toBe('activity');
      }
    });
  });

  describe('a turn that the adult took', () => {
    it('is kept, and told neither of the child nor of the day', async () => {
      const session = aSession(finn.id, { startedAt: `${TODAY}T12:00:00.000Z` });
      await world.ask('PUT', `/sessions/${session.id}`, session);
      const mine = aTry(finn.id, {
        sessionId: session.id,
        skillId: 'estimate-20',
        itemId: 'n6',
        outcome: 'not-now',
        adultTurn: true,
        record: { kind: 'range', low: 3, high: 9, actual: 6 },
      });
      await world.ask('POST', '/observations', { observations: [mine] });
      const kept = await world.ask('GET', `/sessions/${session.id}`);
      const { observations }: { observations: unknown[] } = kept.body;
      expect(observations.length).toBe(1);
      const seen: Seen = (await world.ask('GET', `/days/${TODAY}/seen`)).body;
      expect(seen.skills.filter(({ childId }) => childId === finn.id)).toEqual([]);
      expect(seen.notSeen).toContain(finn.id);
      const path = `/children/${finn.id}/details/measuring`;
      const measured: { ranges: unknown[] } = (await world.ask('GET', path)).body;
      expect(measured.ranges).toEqual([]);
    });
  });

  describe('words about a child', () => {
    it('are kept once, newest first, and taken away again', async () => {
      const [first, second] = [note(), note({ at: `${TODAY}T11:00:00.000Z`, words: 'hums' })];
      expect((await world.ask('POST', '/notes', { notes: [first, second] })).status).toBe(201);
      const again = await world.ask('POST', '/notes', { notes: [first] });
      expect(again.status).toBe(200);
      expect(again.body).toEqual({ added: 0 } as never);
      expect((await notesOf(wren)).map((one) => one.words)).toEqual(['hums', 'counts the stairs']);
      for (const id of [first.id, second.id, second.id]) {
        expect((await world.ask('DELETE', `/notes/${id}`)).status).toBe(204);
      }
      expect(await notesOf(wren)).toEqual([]);
    });

    it('are refused whole, with the field named, where one of them is wrong', async () => {
      for (const [wrong, field] of [
        [{ childId: randomUUID() }, 'notes.1.childId'],
        [{ words: '' }, 'notes.1.words'],
        [{ day: 'yesterday' }, 'notes.1.day'],
      ] as const) {
        const answer = await world.ask('POST', '/notes', { notes: [note(), note(wrong)] });
        expect([400, 422]).withContext(field).toContain(answer.status);
        expect((answer.body as ProblemBody).errors[0]!.field).toBe(field);
      }
      expect((await world.ask('POST', '/notes', { notes: [] })).status).toBeGreaterThanOrEqual(400);
      expect(await notesOf(wren)).toEqual([]);
    });

    it('are there after a restart', async () => {
      const kept = note();
      await world.ask('POST', '/notes', { notes: [kept] });
      await world.restart();
      expect(await notesOf(wren)).toEqual([kept]);
      await world.ask('DELETE', `/notes/${kept.id}`);
    });
  });

  describe('a range that moves', () => {
    it('is kept with the ranges before it; said twice it moves once', async () => {
      const session = aSession(wren.id);
      await world.ask('PUT', `/sessions/${session.id}`, session);
      const move = (top: number, childId = wren.id) =>
        world.ask('POST', `/sessions/${session.id}/range`, { childId, rangeMax: top });
      for (const top of [10, 10, 5]) expect((await move(top)).status).toBe(200);
      const { body } = await world.ask('GET', `/sessions/${session.id}`);
      const { participants } = (body as { session: Session }).session;
      expect(participants).toEqual([{ childId: wren.id, rangeMax: 5, earlier: [5, 10] }]);

      const stranger = await move(5, finn.id);
      expect(stranger.status).toBe(422);
      expect((stranger.body as ProblemBody).errors[0]!.field).toBe('childId');
      expect(
        (
          await world.ask('POST', `/sessions/${randomUUID()}/range`, {
            childId: wren.id,
            rangeMax: 5,
          })
        ).status,
      ).toBe(404);
      await world.ask('POST', `/sessions/${session.id}/end`, {
        endedAt: session.startedAt,
        mood: null,
      });
    });
  });

  describe('minutes at the table', () => {
    const sat = async (day: string, mood: Session['mood'], activityId = 'build-frame') => {
      const session = aSession(finn.id, { day, startedAt: `${day}T09:00:00.000Z`, activityId });
      await world.ask('PUT', `/sessions/${session.id}`, session);
      await world.ask('POST', `/sessions/${session.id}/end`, {
        endedAt: `${day}T09:05:00.000Z`,
        mood,
      });
    };
    const pace = async (): Promise<{ minutes: number; reason: string; restOn: string | null }> =>
      (await world.ask('GET', `/children/${finn.id}/pace`)).body;

    it('follow the sessions at the table, in the order of their days, and no others', async () => {
      expect((await pace()).minutes).toBe(3);
      await sat('2026-03-04', 'calm');
      await sat('2026-03-02', 'great');
      expect(await pace()).toEqual(
        jasmine.objectContaining({
          minutes: 5,
          reason: '5 minutes: went well on 2 March and 4 March.',
        }),
      );
      await sat('2026-03-05', 'tense', 'handfuls');
      expect((await pace()).minutes)
        .withContext('on the floor')
        .toBe(5);
      await sat('2026-03-06', 'tense');
      expect(await pace()).toEqual(jasmine.objectContaining({ minutes: 3, restOn: '2026-03-07' }));
    });
  });

  describe('a day that is over', () => {
    const DAY = '2026-02-03';
    const seen = async (): Promise<Seen> => (await world.ask('GET', `/days/${DAY}/seen`)).body;
    const on = { day: DAY, at: `${DAY}T09:00:00.000Z` };

    it('tells what was noted by child and skill, what was undone left out, and who was not seen', async () => {
      expect((await seen()).notSeen).toEqual(jasmine.arrayWithExactContents([wren.id, finn.id]));
      const tries = [
        aTry(wren.id, { ...on, skillId: 'give-3', itemId: 'n2' }),
        aTry(wren.id, { ...on, skillId: 'give-3', itemId: 'n3', outcome: 'not-yet' }),
        aTry(wren.id, { ...on, skillId: 'touch-5', itemId: 'n2', outcome: 'help' }),
      ];
      await world.ask('POST', '/observations', { observations: tries });
      const voiding = { id: randomUUID(), observationId: tries[2]!.id, at: on.at, notedBy: '' };
      await world.ask('POST', '/voidings', { voidings: [voiding] });
      expect((await seen()).skills).toEqual([
        { childId: wren.id, skillId: 'give-3', outcomes: ['own', 'not-yet'] },
      ]);
      expect((await seen()).notSeen).toEqual([finn.id]);

      await world.ask('POST', '/notes', { notes: [note({ childId: finn.id, ...on })] });
      expect((await seen()).notSeen).toEqual([]);
      expect((await seen()).notes.map((one) => one.childId)).toEqual([finn.id]);
    });

    it('does not miss a child who was away, and keeps the words about the day', async () => {
      const address = '/days/2026-02-04';
      const mark = (what: object) => world.ask('POST', `${address}/marks`, what);
      await mark({ what: 'away', childId: finn.id, on: true });
      expect((await mark({ what: 'words', before: '', words: 'Snow.' })).status).toBe(200);
      const { body } = await world.ask('GET', `${address}/seen`);
      expect((body as Seen).notSeen).toEqual([wren.id]);
      const day = (await world.ask('GET', address)).body as { sheet: DaySheet };
      expect(day.sheet.words).toBe('Snow.');
      const long = await mark({ what: 'words', before: 'Snow.', words: 'x'.repeat(4001) });
      expect((long.body as ProblemBody).errors[0]!.field).toBe('words');
      // Words that were begun before others were kept take nothing from them.
      const late = await mark({ what: 'words', before: '', words: 'Rain.' });
      expect(late.status).toBe(409);
      expect((late.body as { current: DaySheet }).current.words).toBe('Snow.');
    });
  });
});
