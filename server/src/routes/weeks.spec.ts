import type { Household, PlanEntry } from '@gumo/core/vocabulary';
import { DAYS, MONDAY, WeekWorld, problemOf } from '../testing/week-world.js';

describe('the week over HTTP', () => {
  let week: WeekWorld;
  beforeEach(async () => {
    week = await WeekWorld.open();
  });
  afterEach(() => week.close());

  it('begins empty, is planned, and keeps what the plan is worth', async () => {
    const before = await week.board();
    expect(before.entries).toEqual([]);
    expect(before.words.brings).toBe('Nothing is planned for this week yet.');
    const last = await week.plan();
    expect(last.state).toBe('kept');
    expect(last.bound!).toBeGreaterThanOrEqual(last.worth - 1e-6);
    const after = await week.board();
    expect(after.entries.length).toBe(last.entries.length);
    expect(new Set(after.entries.map((entry) => entry.day))).toEqual(new Set(DAYS));
    expect(after.sheet.worth).toEqual(
      jasmine.objectContaining({ value: last.worth, bound: last.bound, pinned: [] }),
    );
    expect(after.sheet.version).toBe(1);
    expect(after.words.nearness).toMatch(/^No plan could/);
    expect(after.job).toBeNull();
    expect(after.coverage.every((one) => one.touched.length >= 4)).toBeTrue();
  });

  it('keeps pins and leaves out what is taken out, and cards that stay keep their id', async () => {
    await week.plan();
    const { entries } = await week.board();
    const [first, second] = entries as [PlanEntry, PlanEntry];
    expect((await week.pin(first)).status).toBe(200);
    const other = entries.find((one) => one.activityId !== first.activityId && one !== second)!;
    const banned = await week.ask('POST', `/weeks/${MONDAY}/ban`, {
      activityId: other.activityId,
    });
    expect(banned.status).toBe(204);
    expect((await week.plan()).state).toBe('kept');
    const after = await week.board();
    const kept = after.entries.find((one) => one.id === first.id)!;
    expect([kept.day, kept.momentId, kept.participants]).toEqual([
      first.day,
      first.momentId,
      first.participants,
    ]);
    expect(after.sheet.worth?.pinned).toEqual([first.id]);
    // What is pinned stands once, and the week is worth what it was planned for.
    const places = after.entries.map((one) => `${one.day} ${one.activityId}`);
    expect(new Set(places).size).toBe(places.length);
    expect(after.words.nearness).toMatch(/^No plan could/);
    expect(after.entries.some((one) => one.activityId === other.activityId)).toBeFalse();
    const idAt = new Map(entries.map((one) => [`${one.day} ${one.activityId}`, one.id]));
    for (const { id, day, activityId } of after.entries) {
      expect(idAt.get(`${day} ${activityId}`) ?? id).toBe(id);
    }
    // Planned once more from the same facts, every card stays as it is.
    await week.plan();
    const again = await week.board();
    expect(again.entries.length).toBeGreaterThan(1);
    expect(again.entries.map((one) => one.id)).toEqual(after.entries.map((one) => one.id));
  });

  it('leaves closed days and emptied places empty, and children who are away out', async () => {
    await week.putSheet((sheet) => ({ ...sheet, closed: [DAYS[0]!] }));
    await week.away(DAYS[1]!, week.juno);
    await week.plan();
    const { entries, days } = await week.board();
    expect(entries.some((one) => one.day === DAYS[0])).toBeFalse();
    expect(days[1]!.here).toEqual([week.wren.id]);
    const onTuesday = entries.filter((one) => one.day === DAYS[1]);
    expect(onTuesday.length).toBeGreaterThan(0);
    expect(
      onTuesday.every((one) => one.participants.every((t) => t.childId === week.wren.id)),
    ).toBeTrue();

    const out = entries.find((one) => one.day === DAYS[2])!;
    const path = `/weeks/${MONDAY}/cards/${out.id}/empty`;
    expect((await week.ask('POST', path, { version: out.version })).status).toBe(204);
    expect((await week.ask('POST', path, { version: out.version })).status).toBe(404);
    expect((await week.board()).sheet.empty.map((one) => one.day)).toEqual([DAYS[2]!]);
  });

  it('names what stands in the way of a plan, and stays usable', async () => {
    await week.plan();
    const { entries } = await week.board();
    const card = entries.find((one) => one.participants.length === 2) ?? entries[0]!;
    const pinned = (await week.pin(card)).body as PlanEntry;
    await week.putSheet((sheet) => ({ ...sheet, closed: [card.day], banned: [card.activityId] }));
    const refused = await week.begin();
    expect(refused.status).toBe(422);
    const said = problemOf(refused).errors.map((one) => one.message);
    expect(said.some((one) => one.includes('left out of this week'))).toBeTrue();
    expect(said.some((one) => one.includes('is closed or over'))).toBeTrue();
    expect(problemOf(refused).errors.every((one) => one.field === 'plan')).toBeTrue();
    expect((await week.board()).entries.length).toBe(entries.length);

    await week.pin(pinned, false);
    expect((await week.begin({ steps: 0 })).status).toBe(202);
  });

  it('says so where every day is closed, where nobody comes, and where there is no child', async () => {
    await week.putSheet((sheet) => ({ ...sheet, closed: DAYS }));
    expect(problemOf(await week.begin()).title).toMatch(/^Every day of this week is closed/);
    await week.putSheet((sheet) => ({ ...sheet, closed: [] }));
    const household = (await week.ask('GET', '/household')).body as Household;
    const away = { from: DAYS[0]!, to: DAYS[1]!, name: 'Spring break' };
    const kept = await week.ask('PUT', '/household', { ...household, closures: [away] });
    const days = (await week.board()).days;
    expect(days.map(({ closure }) => closure)).toEqual(
      days.map(({ day }) => (away.from <= day && day <= away.to ? 'Spring break' : null)),
    );
    expect(days.slice(0, 3).map(({ open }) => open)).toEqual([false, false, true]);
    const wrong = { ...(kept.body as Household), closures: [{ ...away, to: '2026-01-01' }] };
    const refused = await week.ask('PUT', '/household', wrong);
    expect(problemOf(refused).errors[0]!.field).toBe('closures.0.to');
    await week.ask('PUT', '/household', { ...(kept.body as Household), closures: [] });
    for (const day of DAYS) {
      for (const childId of [week.wren.id, week.juno.id]) {
        await week.ask('POST', `/weeks/${MONDAY}/away`, { day, childId, away: true });
      }
    }
    expect(problemOf(await week.begin()).title).toMatch(/^Nobody is here/);
    for (const child of [week.wren, week.juno]) {
      await week.ask('PUT', `/children/${child.id}`, { ...child, archived: true });
    }
    expect(problemOf(await week.begin()).title).toMatch(/^There is no child/);
    expect((await week.board('2026-03-02')).days.every((day) => !day.open)).toBeTrue();
  });

  it('plans with no materials yet, and keeps the first plan where no more is asked for', async () => {
    expect((await week.board()).notes[0]).toMatch(/^No materials are listed/);
    const last = await week.plan({ steps: 0 });
    expect(last.state).toBe('kept');
    expect((await week.board()).entries.length).toBe(last.entries.length);
  });

  it('refuses a week that does not begin on a Monday, and an old version of its sheet', async () => {
    const tuesday = await week.ask('GET', '/weeks/2026-03-17');
    expect(problemOf(tuesday).errors[0]).toEqual({ field: 'from', message: 'must be a Monday' });
    const { sheet } = await week.board();
    await week.putSheet((one) => ({ ...one, closed: [DAYS[4]!] }));
    expect((await week.ask('PUT', `/weeks/${MONDAY}`, sheet)).status).toBe(409);
    const made = { ...sheet, version: 1, worth: { at: '', value: 1, bound: null, pinned: [] } };
    expect((await week.ask('PUT', `/weeks/${MONDAY}`, made)).status).toBe(400);
  });
});

describe('a week that takes long to plan', () => {
  let week: WeekWorld;
  beforeEach(async () => {
    week = await WeekWorld.openLarge();
  });
  afterEach(() => week.close());

  it('makes one plan at a time; stopped, or cut off by the server’s end, nothing changes', async () => {
    await week.plan({ steps: 0 });
    const before = (await week.board()).entries;
    const { id } = (await week.begin({ steps: 5_000 })).body as { id: string };
    expect((await week.begin()).status).toBe(409);
    expect((await week.board()).job?.id).toBe(id);
    const news = week.follow(id);
    expect((await week.ask('DELETE', `/plans/${id}`)).status).toBe(204);
    expect((await news).at(-1)!.state).toBe('cancelled');
    expect((await week.board()).entries).toEqual(before);

    expect((await week.begin({ steps: 5_000 })).status).toBe(202);
    await week.world.restart();
    const after = await week.board();
    expect([after.entries, after.job]).toEqual([before, null]);
    expect((await week.ask('GET', `/plans/${id}/news`)).status).toBe(404);
  });

  it('takes the best so far when asked, and nothing where the week changed meanwhile', async () => {
    const first = (await week.begin({ steps: 5_000 })).body as { id: string };
    const news = week.follow(first.id);
    while (
      (await week.board()).job &&
      (await week.ask('POST', `/plans/${first.id}/keep`)).status !== 204
    );
    expect(['kept', 'cancelled']).toContain((await news).at(-1)!.state);

    const second = (await week.begin({ steps: 5_000 })).body as { id: string };
    const more = week.follow(second.id);
    const before = (await week.board()).entries;
    await week.away(DAYS[0]!, week.juno);
    await week.ask('POST', `/plans/${second.id}/keep`);
    const last = (await more).at(-1)!;
    expect(['refused', 'cancelled']).toContain(last.state);
    if (last.state === 'refused') expect(last.message).toMatch(/changed while the plan was made/);
    expect((await week.board()).entries).toEqual(before);
  });
});
