import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { MATERIAL_COLUMNS, TRY_COLUMNS } from '@gumo/core/exchange';
import { SKILLS } from '@gumo/core/skills';
import type { Child, Observation, Material } from '@gumo/core/vocabulary';
import { Ajv } from 'ajv';
import formats from 'ajv-formats';
import Papa from 'papaparse';
import { householdSchema } from '../testing/household-schema.js';
import { type World, DEMO, aChild, aTry, openWorld } from '../testing/world.js';

const file = (path: string): string => fileURLToPath(new URL(`../../../${path}`, import.meta.url));

interface Said {
  readonly added: number;
  readonly changed: number;
  readonly known: number;
  readonly refused: number;
  readonly header: string[];
  readonly mapping: Record<string, string | null>;
  readonly rows: { row: number; what: string; words: string }[];
}

const get = async (world: World, path: string): Promise<string> =>
  (await fetch(`${world.url}/records/${path}`)).text();
const parse = (text: string): Record<string, string>[] =>
  Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true }).data;

describe('tries as a table', () => {
  let world: World;
  let wren: Child;
  beforeEach(async () => {
    world = await openWorld();
    wren = (await world.ask('POST', '/children', aChild({ name: 'Wren' }))).body;
  });
  afterEach(() => world.close());

  const send = async (text: string, more: object = {}): Promise<Said> => {
    const answer = await world.ask('POST', '/records/observations', {
      text,
      mapping: null,
      dry: false,
      ...more,
    });
    expect(answer.status).toBeLessThan(300);
    return answer.body;
  };
  const notedOf = async (): Promise<Observation[]> => {
    const answer = await world.ask('GET', `/children/${wren.id}/observations`);
    const { observations } = answer.body as { observations: { observation: Observation }[] };
    return observations.map((one) => one.observation);
  };

  // RFC 4180: lines end with CRLF, cells with commas, quotes or line breaks are quoted.
  it('go out and come back the same; what begins like a formula is harmless on the way', async () => {
    const notes = ['=1+1', '@here', '-2, she said', 'a "quoted"\nline', '+49', "'plain"];
    const tries = notes.map((note, i) => aTry(wren.id, { note, itemId: `n${1 + (i % 5)}` }));
    await world.ask('POST', '/observations', { observations: tries });
    const text = await get(world, 'observations.csv');
    expect(text.split('\r\n')[0]).toBe(TRY_COLUMNS.join(','));
    const rows = parse(text);
    expect(rows.length).toBe(notes.length);
    for (const row of rows) {
      for (const cell of Object.values(row)) expect(cell).not.toMatch(/^[=+\-@]/);
    }
    const again = await send(text);
    expect([again.added, again.known, again.refused]).toEqual([0, notes.length, 0]);

    const other = await openWorld();
    try {
      await other.ask('POST', '/children', wren);
      const taken = await other.ask('POST', '/records/observations', {
        text,
        mapping: null,
        dry: false,
      });
      expect((taken.body as Said).added).toBe(notes.length);
      expect(await get(other, 'observations.csv')).toBe(text);
    } finally {
      await other.close();
    }
  });

  it('are read from a table of other names by a mapping; a dry run writes nothing', async () => {
    const text = [
      'Who;When;What;How',
      'wren;2026-03-02;touch-5;yes',
      'Wren;2026-03-02;touch-5;maybe',
      'Nobody;2026-03-02;touch-5;no',
      'Wren;2026-13-40;touch-5;no',
      'Wren;2026-03-03;no-such-skill;no',
      'Wren;2026-03-03;touch-5;with help',
    ].join('\n');
    const mapping = { child: 'Who', day: 'When', skill: 'What', outcome: 'How' };
    const dry = await send(text, { mapping, dry: true });
    expect([dry.added, dry.known, dry.refused]).toEqual([2, 0, 4]);
    expect(
      dry.rows
        .filter((one) => one.what === 'refused')
        .map((one) => [one.row, one.words.split(':')[0]]),
    ).toEqual([
      [3, 'outcome'],
      [4, 'child'],
      [5, 'day'],
      [6, 'skill'],
    ]);
    expect(await notedOf()).toEqual([]);
    await send(text, { mapping });
    expect((await notedOf()).map((one) => one.outcome).sort()).toEqual(['help', 'own']);
    // Once more adds nothing: a row without an id has one that follows from what it says.
    const twice = await send(text, { mapping });
    expect([twice.added, twice.known]).toEqual([0, 2]);
  });

  it('that are none, or name a try that says something else, are refused', async () => {
    const known = aTry(wren.id);
    await world.ask('POST', '/observations', { observations: [known] });
    const text = await get(world, 'observations.csv');
    const bent = await send(text.replace(',own,', ',not-yet,'));
    expect([bent.added, bent.refused]).toEqual([0, 1]);
    expect(bent.rows[0]!.words).toContain('never changed');
    for (const wrong of ['just words', 'a,b\n', '']) {
      const answer = await world.ask('POST', '/records/observations', {
        text: wrong,
        mapping: null,
        dry: true,
      });
      expect(answer.status).withContext(wrong).toBe(400);
    }
    const odd = { child: 'constructor', day: '__proto__', skill: 'toString', outcome: null };
    const said = await send('child,day\nWren,2026-03-02\n', { mapping: odd, dry: true });
    expect([said.added, said.refused]).toEqual([0, 1]);
    expect(await notedOf()).toEqual([known]);
  });
});

describe('the household as a table', () => {
  it('goes out and comes back, changes what changed, and refuses what is wrong', async () => {
    const world = await openWorld(DEMO);
    try {
      const text = await get(world, 'materials.csv');
      const send = async (table: string, dry = false): Promise<Said> =>
        (await world.ask('POST', '/records/materials', { text: table, dry })).body;
      const materials = async (): Promise<Material[]> =>
        (await world.ask('GET', '/materials')).body;
      const before = await materials();
      const same = await send(text);
      expect([same.added, same.changed, same.known, same.refused]).toEqual([
        0,
        0,
        before.length,
        0,
      ]);

      const rows = parse(text);
      const changed = rows.map((row, i) => (i === 0 ? { ...row, count: '7' } : row));
      const next = Papa.unparse(
        [
          ...changed,
          { name: 'cork mats', use: 'mat', count: '4', shape: 'disc 90 x 3' },
          { name: 'wrong', use: 'nothing', count: '4' },
          { name: 'also wrong', use: 'counter', count: '4', shape: 'round 9' },
        ],
        { columns: [...MATERIAL_COLUMNS] },
      );
      const dry = await send(next, true);
      expect([dry.added, dry.changed, dry.refused]).toEqual([1, 1, 2]);
      expect(await materials()).toEqual(before);
      await send(next);
      const after = await materials();
      expect(after.length).toBe(before.length + 1);
      expect(after.find((one) => one.name === rows[0]!['name'])!.count).toBe(7);
      expect(after.find((one) => one.name === 'cork mats')!.shape).toEqual({
        kind: 'disc',
        diameterMm: 90,
        thicknessMm: 3,
      });
    } finally {
      await world.close();
    }
  });
});

describe('the open format', () => {
  it('is written down as JSON Schema, which the demo and a written file meet', async () => {
    const written = JSON.parse(
      readFileSync(file('docs/format/household.schema.json'), 'utf8'),
    ) as object;
    expect(written)
      .withContext('npm run schema')
      .toEqual(JSON.parse(JSON.stringify(householdSchema())) as object);
    const ajv = new Ajv({ strict: false });
    (formats as unknown as (one: Ajv) => void)(ajv);
    const meets = ajv.compile(written);
    const demo = JSON.parse(readFileSync(DEMO, 'utf8')) as { children: { birthDate: string }[] };
    expect(meets(demo)).withContext(JSON.stringify(meets.errors)).toBeTrue();
    const world = await openWorld(DEMO);
    try {
      expect(meets(JSON.parse(await get(world, 'household.json')))).toBeTrue();
      const progress = parse(await get(world, 'progress.csv'));
      expect(new Set(progress.map((row) => row['child'])).size).toBe(6);
      const { skills, goals } = JSON.parse(await get(world, 'skills.json')) as {
        skills: { matches: string[] }[];
        goals: unknown[];
      };
      expect(skills.length).toBe(SKILLS.length);
      expect(goals.length).toBeGreaterThan(20);
    } finally {
      await world.close();
    }
    demo.children[0]!.birthDate = 'in spring';
    expect(meets(demo)).toBeFalse();
  });
});
