import { HouseholdFile } from '@gumo/core/exchange';
import type { Child } from '@gumo/core/vocabulary';
import fc from 'fast-check';
import { addressesOf } from './app.js';
import { openDatabase } from '../database/open.js';
import { storeIn } from '../database/store.js';
import { loadHousehold } from '../services/household.js';
import { Fault, checked } from '../faults.js';
import { bareContext } from '../testing/bare.js';
import { type World, DEMO, aChild, aTry, openWorld } from '../testing/world.js';

/** A stream that never ends, copies that are made whenever they are asked for, and a file that takes long. */
const LEFT_OUT = ['GET /changes', 'POST /records/backups', 'GET /records/household.json'];
/** Every address that there is, with a place for what is named in it. */
const LINES = addressesOf(bareContext(':memory:').context)
  .map((line) => line.replace(/:\w+/g, '*'))
  .filter((line) => !LEFT_OUT.includes(line));
/** Where an empty request for a day or child that is there does something: only odd names are put there. */
const DOES_SOMETHING = /^POST \/(weeks|days)\/\*\/(plan|copy)|^POST \/access\/pairings/;
const ROUNDS = 3_100;

describe('requests that nobody meant', () => {
  let world: World;
  let known: string[];
  beforeAll(async () => {
    world = await openWorld(DEMO);
    const children = (await world.ask('GET', '/children')).body as Child[];
    known = [children[0]!.id, '2026-03-10', '2026-03-09', 'ten-frame', 'writing'];
  });
  afterAll(() => world.close());

  it('are refused without a fault of the server, and change nothing', async () => {
    const file = async (): Promise<string> =>
      (await fetch(`${world.url}/records/household.json`)).text();
    const before = await file();
    const odd = fc.oneof(
      fc.string({ maxLength: 12 }),
      fc.constantFrom(
        '..',
        '%2e%2e',
        '../../etc/passwd',
        '-1',
        'NaN',
        '1e9',
        '2026-02-30',
        '%00',
        "';--",
      ),
      fc.uuid(),
    );
    const word = fc.oneof(
      odd,
      fc.nat({ max: 4 }).map((n) => n),
    );
    const arbitrary = fc.record({
      line: fc.constantFrom(...LINES),
      words: fc.array(word, { minLength: 3, maxLength: 3 }),
      body: fc.oneof(
        fc.jsonValue({ maxDepth: 3 }).map((value) => JSON.stringify(value)),
        fc.string({ maxLength: 40 }),
        fc.constantFrom(
          '{"version":1}',
          '{"id":"__proto__"}',
          '[[[[[[]]]]]]',
          '{"__proto__":{"a":1}}',
        ),
      ),
      query: fc.oneof(
        fc.constant(''),
        fc
          .string({ maxLength: 20 })
          .map((text) => `?low=${encodeURIComponent(text)}&from=${encodeURIComponent(text)}`),
      ),
    });
    const samples = fc.sample(arbitrary, { numRuns: ROUNDS, seed: 20260310 });
    const faults: string[] = [];
    const taken: string[] = [];
    for (const { line, words, body, query } of samples) {
      const [method = 'GET', pattern = ''] = line.split(' ');
      let n = 0;
      const path = pattern.replaceAll('*', () => {
        const one = words[n++ % words.length]!;
        if (typeof one === 'string') return encodeURIComponent(one);
        return DOES_SOMETHING.test(line) ? '~' : known[one]!;
      });
      const address = `${world.url}${path}${path.includes('?') ? '' : query}`;
      const isRead = method === 'GET';
      const answer = await fetch(address, {
        method,
        ...(isRead ? {} : { body, headers: { 'content-type': 'application/json' } }),
      });
      await answer.arrayBuffer();
      if (answer.status >= 500) faults.push(`${answer.status} ${method} ${path}${query} ${body}`);
      if (!isRead && answer.status < 400) taken.push(`${method} ${path} ${body}`);
    }
    expect(faults).toEqual([]);
    // A sheet that leaves everything out, or a note taken away that is not there, is no change.
    expect(await file())
      .withContext(taken.join('\n'))
      .toBe(before);
  });
});

describe('files that nobody meant', () => {
  let world: World;
  const file = async (): Promise<string> =>
    (await fetch(`${world.url}/records/household.json`)).text();
  beforeAll(async () => {
    world = await openWorld();
    const child = (await world.ask('POST', '/children', aChild())).body as Child;
    await world.ask('POST', '/observations', { observations: [aTry(child.id)] });
  });
  afterAll(() => world.close());

  // Each table of tries is read in a thread of its own, which takes its time to begin: a hundred at a time.
  for (const seed of [7, 8, 9]) {
    it(`are read as tables without a fault, and a dry run changes nothing, seed ${seed}`, async () => {
      const cell = fc.oneof(
        fc.string({ maxLength: 20 }),
        fc.constantFrom(
          'Wren',
          '2026-03-10',
          'touch-5',
          'own',
          '=1+1',
          '"',
          '"a""',
          '\r\n',
          '\u0000',
          ',,',
          '9'.repeat(400),
        ),
      );
      const arbitrary = fc.record({
        head: fc.subarray([
          'child',
          'day',
          'skill',
          'outcome',
          'id',
          'name',
          'count',
          'shape',
          'colors',
          '__proto__',
        ]),
        rows: fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 6 }),
        end: fc.constantFrom('\n', '\r\n', '\r'),
        kind: fc.constantFrom('observations', 'materials'),
      });
      const before = await file();
      for (const { head, rows, end, kind } of fc.sample(arbitrary, { numRuns: 100, seed })) {
        const text = [head, ...rows].map((row) => row.join(',')).join(end);
        const mapping = Object.fromEntries(head.map((name) => [name, name]));
        const answer = await world.ask('POST', `/records/${kind}`, { text, mapping, dry: true });
        expect(answer.status).withContext(text).toBeLessThan(500);
      }
      expect(await file()).toBe(before);
    });
  }

  it('make a household whole, or are refused with the field that is wrong', async () => {
    const odd = fc.constantFrom<unknown>(
      undefined,
      null,
      '',
      -1,
      1e9,
      [],
      {},
      'x'.repeat(9000),
      '2026-02-30',
      true,
    );
    const whole = await file();
    let refused = 0;
    for (const [at, value] of fc.sample(fc.tuple(fc.nat(), odd), { numRuns: 300, seed: 9 })) {
      const bent = JSON.parse(whole) as Record<string, unknown>;
      const places = [...placesIn(bent)];
      const { holder, key } = places[at % places.length]!;
      holder[key] = value;
      const { db } = openDatabase(':memory:');
      try {
        loadHousehold(storeIn(db), checked(HouseholdFile, JSON.parse(JSON.stringify(bent))));
      } catch (error) {
        refused++;
        expect(error)
          .withContext(`${key}: ${String(value)}`)
          .toBeInstanceOf(Fault);
      } finally {
        db.close();
      }
    }
    expect(refused).toBeGreaterThan(150);
  });
});

/** Every place in a value where something stands. */
function* placesIn(
  value: unknown,
): IterableIterator<{ holder: Record<string, unknown>; key: string }> {
  if (typeof value !== 'object' || value === null) return;
  for (const key of Object.keys(value)) {
    yield { holder: value as Record<string, unknown>, key };
    yield* placesIn((value as Record<string, unknown>)[key]);
  }
}
