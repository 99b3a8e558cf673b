import { randomUUID } from 'node:crypto';
import type { Child, Household, PlanEntry, Thing, WeekSheet } from '@gumo/core/vocabulary';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import type { PlanNews } from './planning/week-plans.js';
import { type World, aChild, openWorld } from './testing/world.js';

/** A week that lies ahead of the household's today. */
const MONDAY = '2026-03-16';
const DAYS = ['2026-03-16', '2026-03-17', '2026-03-18', '2026-03-19', '2026-03-20'];

interface Board {
  readonly sheet: WeekSheet;
  readonly days: { day: string; open: boolean; here: string[] }[];
  readonly entries: PlanEntry[];
  readonly coverage: { childId: string; touched: unknown[]; missing: { because: string }[] }[];
  readonly refusals: string[];
  readonly notes: string[];
  readonly words: { brings: string; nearness: string };
  readonly job: { id: string } | null;
}
interface ProblemBody {
  readonly title: string;
  readonly errors: { field: string; message: string }[];
}

describe('the week over HTTP', () => {
  let world: World;
  let wren: Child;
  let juno: Child;

  beforeEach(async () => {
    world = await openWorld();
    wren = (await world.ask('POST', '/children', aChild())).body;
    juno = (await world.ask('POST', '/children', aChild({ name: 'Juno', birthDate: '2021-05-01' })))
      .body;
  });
  afterEach(() => world.close());

  const board = async (from = MONDAY): Promise<Board> =>
    (await world.ask('GET', `/weeks/${from}`)).body;
  const begin = (body: object = {}, from = MONDAY) =>
    world.ask('POST', `/weeks/${from}/plan`, body);
  const problemOf = (answer: { body: unknown }): ProblemBody => answer.body as ProblemBody;

  /** All news of a plan until it has ended. */
  async function follow(id: string): Promise<PlanNews[]> {
    const response = await fetch(`${world.url}/plans/${id}/news`);
    const text = await response.text();
    return text
      .split('\n\n')
      .filter((line) => line.startsWith('data: '))
      .map((line) => JSON.parse(line.slice(6)) as PlanNews);
  }
  async function plan(body: object = { seconds: 1 }): Promise<PlanNews> {
    const { id } = (await begin(body)).body as { id: string };
    return (await follow(id)).at(-1)!;
  }
  const pin = (entry: PlanEntry, pinned = true) =>
    world.ask('PUT', `/plan/${entry.id}`, { ...entry, pinned });
  const putSheet = async (change: (sheet: WeekSheet) => WeekSheet): Promise<void> => {
    const { sheet } = await board();
    expect((await world.ask('PUT', `/weeks/${MONDAY}`, change(sheet))).status).toBe(200);
  };

  it('begins empty, is planned, and keeps what the plan is worth', async () => {
    const before = await board();
    expect(before.entries).toEqual([]);
    expect(before.words.brings).toBe('Nothing is planned for this week yet.');
    const last = await plan();
    expect(last.state).toBe('kept');
    expect(last.bound!).toBeGreaterThanOrEqual(last.value - 1e-6);
    const after = await board();
    expect(after.entries.length).toBe(last.entries.length);
    expect(new Set(after.entries.map((entry) => entry.day))).toEqual(new Set(DAYS));
    expect(after.sheet.worth).toEqual(
      jasmine.objectContaining({ value: last.value, bound: last.bound, pinned: [] }),
    );
    expect(after.sheet.version).toBe(1);
    expect(after.words.nearness).toMatch(/best|better/);
    expect(after.job).toBeNull();
    expect(after.coverage.every((one) => one.touched.length >= 4)).toBeTrue();
  });

  it('keeps pins and leaves out what is taken out, and cards that stay keep their id', async () => {
    await plan();
    const { entries } = await board();
    const [first, second] = entries as [PlanEntry, PlanEntry];
    expect((await pin(first)).status).toBe(200);
    const other = entries.find((one) => one.activityId !== first.activityId && one !== second)!;
    const banned = await world.ask('POST', `/weeks/${MONDAY}/ban`, {
      activityId: other.activityId,
    });
    expect(banned.status).toBe(204);
    expect((await plan()).state).toBe('kept');
    const after = await board();
    const kept = after.entries.find((one) => one.id === first.id)!;
    expect([kept.day, kept.momentId, kept.takers]).toEqual([
      first.day,
      first.momentId,
      first.takers,
    ]);
    expect(after.sheet.worth?.pinned).toEqual([first.id]);
    expect(after.entries.some((one) => one.activityId === other.activityId)).toBeFalse();
    const before = new Set(entries.map((one) => one.id));
    expect(after.entries.filter((one) => before.has(one.id)).length).toBeGreaterThan(1);
  });

  it('leaves closed days and emptied places empty, and children who are away out', async () => {
    await putSheet((sheet) => ({ ...sheet, closed: [DAYS[0]!] }));
    await world.ask('POST', `/weeks/${MONDAY}/away`, {
      day: DAYS[1],
      childId: juno.id,
      away: true,
    });
    await plan();
    const { entries, days } = await board();
    expect(entries.some((one) => one.day === DAYS[0])).toBeFalse();
    expect(days[1]!.here).toEqual([wren.id]);
    const onTuesday = entries.filter((one) => one.day === DAYS[1]);
    expect(onTuesday.length).toBeGreaterThan(0);
    expect(onTuesday.every((one) => one.takers.every((t) => t.childId === wren.id))).toBeTrue();

    const out = entries.find((one) => one.day === DAYS[2])!;
    const path = `/weeks/${MONDAY}/cards/${out.id}/empty`;
    expect((await world.ask('POST', path, { version: out.version })).status).toBe(204);
    expect((await world.ask('POST', path, { version: out.version })).status).toBe(404);
    expect((await board()).sheet.empty.map((one) => one.day)).toEqual([DAYS[2]!]);
  });

  it('names what stands in the way of a plan, and stays usable', async () => {
    await plan();
    const { entries } = await board();
    const card = entries.find((one) => one.takers.length === 2) ?? entries[0]!;
    const pinned = (await pin(card)).body as PlanEntry;
    await putSheet((sheet) => ({ ...sheet, closed: [card.day], banned: [card.activityId] }));
    const refused = await begin();
    expect(refused.status).toBe(422);
    const said = problemOf(refused).errors.map((one) => one.message);
    expect(said.some((one) => one.includes('taken out of this week'))).toBeTrue();
    expect(said.some((one) => one.includes('is closed or over'))).toBeTrue();
    expect(problemOf(refused).errors.every((one) => one.field === 'plan')).toBeTrue();
    expect((await board()).entries.length).toBe(entries.length);

    await pin(pinned, false);
    expect((await begin({ seconds: 0 })).status).toBe(202);
  });

  it('says so where every day is closed, where nobody comes, and where there is no child', async () => {
    await putSheet((sheet) => ({ ...sheet, closed: DAYS }));
    expect(problemOf(await begin()).title).toMatch(/^Every day of this week is closed/);
    await putSheet((sheet) => ({ ...sheet, closed: [] }));
    for (const day of DAYS) {
      for (const childId of [wren.id, juno.id]) {
        await world.ask('POST', `/weeks/${MONDAY}/away`, { day, childId, away: true });
      }
    }
    expect(problemOf(await begin()).title).toMatch(/^Nobody is here/);
    for (const child of [wren, juno]) {
      await world.ask('PUT', `/children/${child.id}`, { ...child, archived: true });
    }
    expect(problemOf(await begin()).title).toMatch(/^There is no child/);
    expect((await board('2026-03-02')).days.every((day) => !day.open)).toBeTrue();
  });

  it('plans with an empty cupboard, and with no time at all', async () => {
    expect((await board()).notes[0]).toMatch(/^The cupboard is empty/);
    const last = await plan({ seconds: 0 });
    expect([last.state, last.bound]).toEqual(['kept', null]);
    expect((await board()).words.nearness).toBe('How near it is to the best plan is not known.');
  });

  it('makes one plan at a time; stopped, or cut off by the server’s end, nothing changes', async () => {
    await plan({ seconds: 0 });
    const before = (await board()).entries;
    const { id } = (await begin({ seconds: 9 })).body as { id: string };
    expect((await begin()).status).toBe(409);
    expect((await board()).job?.id).toBe(id);
    const news = follow(id);
    expect((await world.ask('DELETE', `/plans/${id}`)).status).toBe(204);
    expect((await news).at(-1)!.state).toBe('cancelled');
    expect((await board()).entries).toEqual(before);

    expect((await begin({ seconds: 9 })).status).toBe(202);
    await world.restart();
    const after = await board();
    expect([after.entries, after.job]).toEqual([before, null]);
    expect((await world.ask('GET', `/plans/${id}/news`)).status).toBe(404);
  });

  it('takes the best so far when asked, and nothing where the week changed meanwhile', async () => {
    const first = (await begin({ seconds: 9 })).body as { id: string };
    const news = follow(first.id);
    while (
      (await board()).job &&
      (await world.ask('POST', `/plans/${first.id}/keep`)).status !== 204
    );
    expect(['kept', 'cancelled']).toContain((await news).at(-1)!.state);

    const second = (await begin({ seconds: 9 })).body as { id: string };
    const more = follow(second.id);
    const before = (await board()).entries;
    await world.ask('POST', `/weeks/${MONDAY}/away`, {
      day: DAYS[0],
      childId: juno.id,
      away: true,
    });
    await world.ask('POST', `/plans/${second.id}/keep`);
    const last = (await more).at(-1)!;
    expect(['refused', 'cancelled']).toContain(last.state);
    if (last.state === 'refused') expect(last.message).toMatch(/changed while the plan was made/);
    expect((await board()).entries).toEqual(before);
  });

  it('says why a card is there, and swaps it for the next best', async () => {
    await plan();
    const { entries } = await board();
    for (const entry of entries.slice(0, 8)) {
      const path = `/weeks/${MONDAY}/cards/${entry.id}`;
      const why = (await world.ask('GET', `${path}/why`)).body as {
        children: { childId: string; sentence: string }[];
        others: { activityId: string; words: string }[];
        broken: string[];
        instead: string;
      };
      expect(why.children.map((one) => one.childId).sort()).toEqual(
        entry.takers.map((one) => one.childId).sort(),
      );
      expect(why.children.every((one) => one.sentence.endsWith('.'))).toBeTrue();
      expect(why.broken).toEqual([]);
      const [other] = why.others;
      if (!other) {
        expect(why.instead).toBe('Nothing else fits here now.');
        continue;
      }
      const swapped = await world.ask('POST', `${path}/swap`, { version: entry.version });
      expect((swapped.body as PlanEntry).activityId).toBe(other.activityId);
      expect((swapped.body as PlanEntry).day).toBe(entry.day);
      return;
    }
    fail('no card could be swapped');
  });

  it('moves a card: a limit is passed and named, a caution is not', async () => {
    const small: Thing = {
      id: randomUUID(),
      name: 'small discs',
      use: 'counter',
      count: 60,
      colors: [],
      alike: true,
      shape: { kind: 'disc', diameterMm: 20, thicknessMm: 4 },
      box: '',
      consumable: false,
      interests: [],
      hazards: [],
      version: 1,
    };
    await world.ask('POST', '/things', small);
    const draft = {
      id: randomUUID(),
      day: DAYS[0],
      momentId: 'table',
      activityId: 'layouts',
      takers: [{ childId: juno.id, top: 5 }],
      minutes: 5,
      with: '',
    };
    const dots = { ...draft, id: randomUUID(), activityId: 'two-plates', momentId: 'table' };
    for (const one of [draft, dots, { ...dots, id: randomUUID(), day: DAYS[3] }]) {
      expect((await world.ask('POST', '/plan', one)).status).toBe(201);
    }
    const move = (id: string, version: number, day: string) =>
      world.ask('POST', `/weeks/${MONDAY}/cards/${id}/move`, { version, day });
    const moved = await move(dots.id, 1, DAYS[2]!);
    const { entry, notes } = moved.body as { entry: PlanEntry; notes: string[] };
    expect([entry.day, entry.pinned, entry.version]).toEqual([DAYS[2]!, true, 2]);
    expect(notes.join(' ')).toContain('two days running');
    expect((await move(dots.id, 1, DAYS[1]!)).status).toBe(409);

    // With a child who mouths things in the room, what needs small parts may not come there.
    await world.ask('POST', '/children', aChild({ birthDate: '2024-01-01', name: 'Pip' }));
    const mouthing = { ...juno, cautions: { ...juno.cautions, mouths: true } };
    await world.ask('PUT', `/children/${juno.id}`, mouthing);
    const refused = await move(dots.id, 2, DAYS[1]!);
    expect(refused.status).toBe(422);
    expect(problemOf(refused).errors[0]!.field).toBe('day');
    expect(problemOf(refused).title).toMatch(/small parts/);
    expect((await board()).entries.find((one) => one.id === dots.id)!.day).toBe(DAYS[2]!);
  });

  it('copies last week’s cards, without children who are away', async () => {
    const next = '2026-03-23';
    await plan();
    const { entries } = await board();
    await world.ask('POST', `/weeks/${next}/away`, {
      day: '2026-03-23',
      childId: juno.id,
      away: true,
    });
    const answer = await world.ask('POST', `/weeks/${next}/copy`, {});
    const { copied } = answer.body as { copied: number };
    const after = (await board(next)).entries;
    expect(copied).toBe(after.length);
    expect(copied).toBeGreaterThan(entries.length / 2);
    const monday = after.filter((one) => one.day === '2026-03-23');
    expect(monday.every((one) => one.takers.every((t) => t.childId === wren.id))).toBeTrue();
    const empty = await world.ask('POST', '/weeks/2026-06-01/copy', {});
    expect(empty.status).toBe(422);
  });

  it('goes out as a calendar and as a table with the same cards', async () => {
    await plan();
    const { entries } = await board();
    const text = await (await fetch(`${world.url}/weeks/${MONDAY}/calendar.ics?alarm=10`)).text();
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown as string);
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    expect(events.map((one) => one.uid).sort()).toEqual(
      entries.map((one) => `${one.id}@gumo`).sort(),
    );
    const household: Household = (await world.ask('GET', '/household')).body;
    for (const event of events) {
      const entry = entries.find((one) => `${one.id}@gumo` === event.uid)!;
      const moment = household.moments.find((one) => one.id === entry.momentId)!;
      expect(event.startDate.toString().slice(0, 10)).toBe(entry.day);
      expect(event.startDate.toString().slice(11, 16) >= moment.time).toBeTrue();
      expect(event.startDate.zone.toString()).toBe('floating');
      expect(event.duration.toSeconds()).toBe(entry.minutes * 60);
      expect(event.component.getAllSubcomponents('valarm').length).toBe(1);
      expect(event.description).not.toContain('Wren');
    }
    const again = await (await fetch(`${world.url}/weeks/${MONDAY}/calendar.ics?alarm=10`)).text();
    expect(again).toBe(text);
    expect(
      await (await fetch(`${world.url}/weeks/${MONDAY}/calendar.ics?names=1`)).text(),
    ).toContain('Wren');
    const csv = await (await fetch(`${world.url}/weeks/${MONDAY}/plan.csv`)).text();
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
    expect(data.length).toBe(entries.length);
    expect(new Set(data.map((row) => row['day']))).toEqual(new Set(DAYS));
    expect(data.every((row) => /Wren|Juno/.test(row['children'] ?? ''))).toBeTrue();
  });

  it('plans the rest of a day around what is pinned and done, and fills five minutes', async () => {
    const today = '2026-03-10';
    const again = (now: string) => world.ask('POST', `/days/${today}/plan`, { now });
    expect((await again('08:00')).status).toBe(200);
    const entriesOf = async (): Promise<PlanEntry[]> =>
      ((await world.ask('GET', `/days/${today}`)).body as { entries: PlanEntry[] }).entries;
    const morning = await entriesOf();
    const kept = morning.find((one) => one.momentId !== 'arriving')!;
    await pin(kept);
    await world.ask('PUT', `/days/${today}`, { day: today, away: [wren.id], laidReady: [] });
    expect((await again('10:00')).status).toBe(200);
    const later = await entriesOf();
    expect(later.some((one) => one.id === kept.id)).toBeTrue();
    const fresh = later.filter((one) => one.state === 'planned' && one.id !== kept.id);
    expect(fresh.every((one) => one.takers.every((t) => t.childId === juno.id))).toBeTrue();
    expect(fresh.some((one) => one.momentId === 'arriving')).toBeFalse();

    const left = (await world.ask('GET', `/days/${today}/left`)).body as PlanEntry[];
    const [undone] = left;
    if (undone) {
      const brought = await world.ask('POST', `/days/${today}/left/${undone.id}`, { now: '10:00' });
      expect((brought.body as PlanEntry).state).toBe('planned');
      expect((brought.body as PlanEntry).momentId).not.toBe('arriving');
    }
    const few = await world.ask('GET', `/days/${today}/now?now=10:45&minutes=5`);
    const { moment, offers } = few.body as {
      moment: { id: string };
      offers: { entry: PlanEntry; because: string }[];
    };
    expect(moment.id).toBe('snack');
    expect(offers.length).toBe(3);
    expect(offers.every((one) => one.entry.minutes <= 5)).toBeTrue();
    expect(offers.every((one) => one.because.startsWith('Juno: '))).toBeTrue();
    const wrong = await world.ask('GET', `/days/${today}/now?now=10:45&minutes=0`);
    expect(problemOf(wrong).errors[0]!.field).toBe('minutes');
  });

  it('refuses a week that does not begin on a Monday, and an old version of its sheet', async () => {
    const tuesday = await world.ask('GET', '/weeks/2026-03-17');
    expect(problemOf(tuesday).errors[0]).toEqual({ field: 'from', message: 'must be a Monday' });
    const { sheet } = await board();
    await putSheet((one) => ({ ...one, closed: [DAYS[4]!] }));
    expect((await world.ask('PUT', `/weeks/${MONDAY}`, sheet)).status).toBe(409);
    const made = { ...sheet, version: 1, worth: { at: '', value: 1, bound: null, pinned: [] } };
    expect((await world.ask('PUT', `/weeks/${MONDAY}`, made)).status).toBe(400);
  });
});
