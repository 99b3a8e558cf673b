import { randomUUID } from 'node:crypto';
import type { Household, PlanEntry, PlanEntryDraft, Material } from '@gumo/core/vocabulary';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { DAYS, MONDAY, type ProblemBody, WeekWorld, problemOf } from '../testing/week-world.js';
import { type Answer, aChild } from '../testing/world.js';

const smallDiscs = (): Material => ({
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
});

describe('the cards of a week over HTTP', () => {
  let week: WeekWorld;
  beforeEach(async () => {
    week = await WeekWorld.open();
  });
  afterEach(() => week.close());

  it('says why a card is there, and swaps it for the next best', async () => {
    await week.plan();
    const { entries } = await week.board();
    for (const entry of entries) {
      const path = `/weeks/${MONDAY}/cards/${entry.id}`;
      const why = (await week.ask('GET', `${path}/why`)).body as {
        children: { childId: string; sentence: string }[];
        others: { activityId: string; words: string }[];
        broken: string[];
        instead: string;
      };
      expect(why.children.map((one) => one.childId).sort()).toEqual(
        entry.participants.map((one) => one.childId).sort(),
      );
      expect(why.children.every((one) => one.sentence.endsWith('.'))).toBeTrue();
      expect(why.broken).toEqual([]);
      const [other] = why.others;
      if (!other) {
        expect(why.instead).toBe('Nothing else fits here now.');
        continue;
      }
      const swapped = await week.ask('POST', `${path}/swap`, { version: entry.version });
      expect((swapped.body as PlanEntry).activityId).toBe(other.activityId);
      expect((swapped.body as PlanEntry).day).toBe(entry.day);
      return;
    }
    fail('no card could be swapped');
  });

  it('moves a card: a limit is passed and named, a caution is not', async () => {
    await week.ask('POST', '/materials', smallDiscs());
    const draft = {
      id: randomUUID(),
      day: DAYS[0],
      momentId: 'table',
      activityId: 'layouts',
      participants: [{ childId: week.juno.id, rangeMax: 5 }],
      minutes: 5,
      with: '',
    };
    const dots = { ...draft, id: randomUUID(), activityId: 'two-plates', momentId: 'table' };
    for (const one of [draft, dots, { ...dots, id: randomUUID(), day: DAYS[3] }]) {
      expect((await week.ask('POST', '/plan', one)).status).toBe(201);
    }
    const move = (id: string, version: number, day: string) =>
      week.ask('POST', `/weeks/${MONDAY}/cards/${id}/move`, { version, day });
    const moved = await move(dots.id, 1, DAYS[2]!);
    const { entry, notes } = moved.body as { entry: PlanEntry; notes: string[] };
    expect([entry.day, entry.pinned, entry.version]).toEqual([DAYS[2]!, true, 2]);
    expect(notes.join(' ')).toContain('two days running');
    expect((await move(dots.id, 1, DAYS[1]!)).status).toBe(409);

    // With a child who mouths things in the room, what needs small parts may not come there.
    await week.ask('POST', '/children', aChild({ birthDate: '2024-01-01', name: 'Pip' }));
    const mouthing = {
      ...week.juno,
      cautions: { ...week.juno.cautions, mouths: true },
    };
    await week.ask('PUT', `/children/${week.juno.id}`, mouthing);
    const refused = await move(dots.id, 2, DAYS[1]!);
    expect(refused.status).toBe(422);
    expect(problemOf(refused).errors[0]!.field).toBe('day');
    expect(problemOf(refused).title).toMatch(/small parts/);
    expect((await week.board()).entries.find((one) => one.id === dots.id)!.day).toBe(DAYS[2]!);
  });

  it('takes no card by hand that a caution forbids, from wherever it comes', async () => {
    await week.ask('POST', '/materials', smallDiscs());
    const pip = (await week.ask('POST', '/children', aChild({ birthDate: '2024-01-01' }))).body;
    const { id: pipId } = pip as { id: string };
    const draft = (participants: string[], momentId = 'table'): PlanEntryDraft => ({
      id: randomUUID(),
      day: DAYS[0]!,
      momentId,
      activityId: 'two-plates',
      participants: participants.map((childId) => ({ childId, rangeMax: 5 })),
      minutes: 5,
      with: '',
    });
    const refused = async (answer: Promise<Answer>): Promise<void> => {
      const { status, body } = await answer;
      expect(status).toBe(422);
      expect((body as ProblemBody).errors[0]!.field).toBe('participants');
      expect((body as ProblemBody).title).toMatch(/small parts/);
    };
    await refused(week.ask('POST', '/plan', draft([week.juno.id, pipId])));
    // On the floor the small one is in the room; at the table it is not.
    await refused(week.ask('POST', '/plan', draft([week.juno.id], 'floor')));
    const alone = (await week.ask('POST', '/plan', draft([week.juno.id]))).body as PlanEntry;
    await refused(week.ask('PUT', `/plan/${alone.id}`, { ...alone, momentId: 'floor' }));
    // What was done is a record, and stays as it was.
    const done = { ...alone, momentId: 'floor', state: 'done' };
    expect((await week.ask('PUT', `/plan/${alone.id}`, done)).status).toBe(200);
    // With larger things among the materials nothing is in the way.
    await week.ask('POST', '/materials', {
      ...smallDiscs(),
      shape: { kind: 'block', lengthMm: 50, widthMm: 50, heightMm: 50 },
    });
    const large = draft([week.juno.id, pipId], 'table');
    expect((await week.ask('POST', '/plan', { ...large, day: DAYS[2] })).status).toBe(201);
  });

  it('copies last week’s cards, without children who are away', async () => {
    const next = '2026-03-23';
    await week.plan();
    const { entries } = await week.board();
    await week.ask('POST', `/weeks/${next}/away`, {
      day: '2026-03-23',
      childId: week.juno.id,
      away: true,
    });
    const answer = await week.ask('POST', `/weeks/${next}/copy`, {});
    const { copied } = answer.body as { copied: number };
    const after = (await week.board(next)).entries;
    expect(copied).toBe(after.length);
    expect(copied).toBeGreaterThan(entries.length / 2);
    const monday = after.filter((one) => one.day === '2026-03-23');
    expect(
      monday.every((one) => one.participants.every((t) => t.childId === week.wren.id)),
    ).toBeTrue();
    const empty = await week.ask('POST', '/weeks/2026-06-01/copy', {});
    expect(empty.status).toBe(422);
  });

  it('goes out as a calendar and as a table with the same cards', async () => {
    await week.plan();
    const { entries } = await week.board();
    const text = await (
      await fetch(`${week.world.url}/weeks/${MONDAY}/calendar.ics?alarm=10`)
    ).text();
    const calendar = new ICAL.Component(ICAL.parse(text) as unknown as string);
    const events = calendar.getAllSubcomponents('vevent').map((one) => new ICAL.Event(one));
    expect(events.map((one) => one.uid).sort()).toEqual(
      entries.map((one) => `${one.id}@gumo`).sort(),
    );
    const household: Household = (await week.ask('GET', '/household')).body;
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
    const again = await (
      await fetch(`${week.world.url}/weeks/${MONDAY}/calendar.ics?alarm=10`)
    ).text();
    expect(again).toBe(text);
    expect(
      await (await fetch(`${week.world.url}/weeks/${MONDAY}/calendar.ics?names=1`)).text(),
    ).toContain('Wren');
    // A name cannot begin a line of its own.
    const odd = 'Here, there; and\nBEGIN:VEVENT';
    const known = (await week.world.ask('GET', '/household')).body as object;
    await week.world.ask('PUT', '/household', { ...known, name: odd });
    const named = await (await fetch(`${week.world.url}/weeks/${MONDAY}/calendar.ics`)).text();
    expect(named.match(/^BEGIN:VEVENT/gm)?.length).toBe(entries.length);
    const read = new ICAL.Component(ICAL.parse(named) as unknown as string);
    // Of a property that no standard names the reader gives the text as it stands.
    expect(read.getFirstPropertyValue('x-wr-calname') as string).toBe(
      'Here\\, there\\; and\\nBEGIN:VEVENT',
    );
    const csv = await (await fetch(`${week.world.url}/weeks/${MONDAY}/plan.csv`)).text();
    const { data } = Papa.parse<Record<string, string>>(csv, { header: true });
    expect(data.length).toBe(entries.length);
    expect(new Set(data.map((row) => row['day']))).toEqual(new Set(DAYS));
    expect(data.every((row) => /Wren|Juno/.test(row['children'] ?? ''))).toBeTrue();
  });
});
