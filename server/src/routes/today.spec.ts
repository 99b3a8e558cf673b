import { randomUUID } from 'node:crypto';
import type { PlanEntry } from '@gumo/core/vocabulary';
import { WeekWorld, problemOf } from '../testing/week-world.js';

describe('a day that runs, over HTTP', () => {
  let week: WeekWorld;
  beforeEach(async () => {
    week = await WeekWorld.open();
  });
  afterEach(() => week.close());

  it('plans the rest of a day around what is pinned and done, and fills five minutes', async () => {
    const today = '2026-03-10';
    const again = (now: string) => week.ask('POST', `/days/${today}/plan`, { now });
    expect((await again('08:00')).status).toBe(200);
    const entriesOf = async (): Promise<PlanEntry[]> =>
      ((await week.ask('GET', `/days/${today}`)).body as { entries: PlanEntry[] }).entries;
    const morning = await entriesOf();
    const kept = morning.find((one) => one.momentId !== 'arriving')!;
    await week.pin(kept);
    await week.ask('POST', `/days/${today}/marks`, {
      what: 'away',
      childId: week.wren.id,
      on: true,
    });
    expect((await again('10:00')).status).toBe(200);
    const later = await entriesOf();
    expect(later.some((one) => one.id === kept.id)).toBeTrue();
    const fresh = later.filter((one) => one.state === 'planned' && one.id !== kept.id);
    expect(
      fresh.every((one) => one.participants.every((t) => t.childId === week.juno.id)),
    ).toBeTrue();
    expect(fresh.some((one) => one.momentId === 'arriving')).toBeFalse();

    const few = await week.ask('GET', `/days/${today}/now?now=10:45&minutes=5`);
    const { moment, offers } = few.body as {
      moment: { id: string };
      offers: { entry: PlanEntry; because: string }[];
    };
    expect(moment.id).toBe('snack');
    expect(offers.length).toBe(3);
    expect(offers.every((one) => one.entry.minutes <= 5)).toBeTrue();
    expect(offers.every((one) => one.because.startsWith('Juno: '))).toBeTrue();
    const wrong = await week.ask('GET', `/days/${today}/now?now=10:45&minutes=0`);
    expect(problemOf(wrong).errors[0]!.field).toBe('minutes');
  });

  it('brings up what was left undone, and gives it a moment that is still to come', async () => {
    const today = '2026-03-10';
    const undone = {
      id: randomUUID(),
      day: '2026-03-09',
      momentId: 'arriving',
      activityId: 'stairs',
      participants: [{ childId: week.juno.id, rangeMax: 5 }],
      minutes: 5,
      with: '',
    };
    expect((await week.ask('POST', '/plan', undone)).status).toBe(201);
    const left = async (): Promise<string[]> => {
      const entries = (await week.ask('GET', `/days/${today}/left`)).body as PlanEntry[];
      return entries.map((one) => one.id);
    };
    expect(await left()).toEqual([undone.id]);
    const brought = await week.ask('POST', `/days/${today}/left/${undone.id}`, { now: '10:00' });
    const { day, state, pinned, momentId } = brought.body as PlanEntry;
    expect([day, state, pinned]).toEqual([today, 'planned', true]);
    expect(momentId).not.toBe('arriving');
    expect(await left()).toEqual([]);
    const unknown = await week.ask('POST', `/days/${today}/left/${randomUUID()}`, {});
    expect(unknown.status).toBe(404);
  });
});
