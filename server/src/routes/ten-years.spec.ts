import { readFileSync } from 'node:fs';
import { replay } from '@gumo/core/evidence';
import type { Child, PlanEntry } from '@gumo/core/vocabulary';
import { Ajv } from 'ajv';
import formats from 'ajv-formats';
import ICAL from 'ical.js';
import Papa from 'papaparse';
import { openDatabase } from '../database/open.js';
import { storeIn } from '../database/store.js';
import { loadDemo } from '../services/household.js';
import { makeCounting } from '../services/keeping/counting.js';
import { fillTenYears } from '../testing/ten-years.js';
import { type Answer, TODAY, type World, openWorld } from '../testing/world.js';

const at = (path: string): URL => new URL(`../../../${path}`, import.meta.url);
/** Ten years of fewer tries a day, so that it does not take long. */
const TRIES = 24_000;

const fill = (path: string): void => {
  const { db } = openDatabase(path);
  const store = storeIn(db);
  loadDemo(store, at('demo/spindle-cottage.json').pathname, TODAY);
  fillTenYears(store, TRIES, TODAY);
  db.close();
};

describe('ten years of one household', () => {
  let world: World;
  let path: string;
  /** What the server said while it was counting. */
  let early: Answer;
  const seen: number[] = [];
  beforeAll(async () => {
    world = await openWorld(null, undefined, (file) => {
      path = file;
      fill(file);
    });
    early = await world.ask('GET', '/children');
    for (;;) {
      const state = (await world.ask('GET', '/counting')).body as { done: number } | null;
      if (state === null) break;
      seen.push(state.done);
    }
  });
  afterAll(() => world.close());

  it('are counted anew in a thread while the server answers, and the same as all at once', async () => {
    expect(early.status).toBe(503);
    expect((early.body as { title: string }).title).toMatch(/counted anew: \d+ percent/);
    expect(Math.max(...seen))
      .withContext('it was seen on its way')
      .toBeGreaterThan(0);
    expect(seen).toEqual([...seen].sort((x, y) => x - y));
    const children = (await world.ask('GET', '/children')).body as Child[];
    const { db } = openDatabase(path);
    const store = storeIn(db);
    for (const one of children.filter(({ name }) => /^(Child 2|Kofi)/.test(name))) {
      const facts = [...store.facts.after(one.id, 0)].map(({ fact }) => fact);
      const kept = store.snapshots.find(one.id)!;
      expect(JSON.parse(kept.body)).toEqual(
        JSON.parse(JSON.stringify(replay(one.id, one.policy, facts))),
      );
    }
    db.close();
  });

  it('go out as one file that meets its schema, into an empty household, and out the same', async () => {
    const fileOf = async (one: World): Promise<string> =>
      (await fetch(`${one.url}/records/household.json`)).text();
    const first = await fileOf(world);
    const schema = JSON.parse(
      readFileSync(at('docs/format/household.schema.json'), 'utf8'),
    ) as object;
    const ajv = new Ajv({ strict: false });
    (formats as unknown as (one: Ajv) => void)(ajv);
    const meets = ajv.compile(schema);
    expect(meets(JSON.parse(first)))
      .withContext(JSON.stringify(meets.errors))
      .toBeTrue();
    const other = await openWorld();
    const taken = await other.ask('POST', '/records/household', first);
    expect(taken.status).toBe(201);
    expect((await fileOf(other)) === first).toBeTrue();
    // What was counted came along, so nobody waits for it there.
    expect((await other.ask('GET', '/children')).status).toBe(200);
    await other.close();
  });

  it('are a table and a calendar that others read', async () => {
    const text = await (await fetch(`${world.url}/records/observations.csv`)).text();
    const { data, errors } = Papa.parse<string[]>(text, { skipEmptyLines: true });
    expect(errors).toEqual([]);
    expect(data.length).toBeGreaterThan(TRIES);
    expect(new Set(data.map((row) => row.length)).size).toBe(1);
    const kept = (await world.ask('GET', `/days/${TODAY}`)).body as { entries: PlanEntry[] };
    const week = await (await fetch(`${world.url}/weeks/2026-03-09/calendar.ics?names=1`)).text();
    const calendar = new ICAL.Component(ICAL.parse(week) as unknown as string);
    const days = calendar
      .getAllSubcomponents('vevent')
      .map((one) => new ICAL.Event(one).startDate.toString().slice(0, 10));
    expect(days.filter((day) => day === TODAY).length).toBe(kept.entries.length);
  });

  it('need no counting a second time', () => {
    expect(makeCounting().isNeeded(path)).toBeFalse();
  });
});
