import { fileURLToPath } from 'node:url';
import type { Child } from '@gumo/core/vocabulary';
import fc from 'fast-check';
import { type World, openWorld } from './testing/world.js';

const DEMO = fileURLToPath(new URL('../../demo/spindle-cottage.json', import.meta.url));

/** Every address that writes, with a place for what is named in it. */
const WRITES = [
  'PUT /household',
  'POST /things',
  'POST /things/batch',
  'PUT /things/*',
  'DELETE /things/*',
  'POST /activities/own',
  'PUT /activities/own/*',
  'POST /songs',
  'PUT /songs/*',
  'DELETE /songs/*',
  'POST /kits',
  'PUT /kits/*',
  'DELETE /kits/*',
  'POST /children',
  'PUT /children/*',
  'POST /children/*/policy',
  'POST /children/*/forget',
  'PUT /sittings/*',
  'POST /sittings/*/end',
  'POST /sittings/*/range',
  'POST /days/*/marks',
  'POST /days/*/left/*',
  'POST /notes',
  'DELETE /notes/*',
  'POST /families',
  'PUT /families/*',
  'DELETE /families/*',
  'POST /samples',
  'DELETE /samples/*',
  'POST /sheets/items',
  'POST /sheets/items/batch',
  'PUT /sheets/items/*',
  'DELETE /sheets/items/*',
  'POST /plan',
  'PUT /plan/*',
  'DELETE /plan/*',
  'POST /observations',
  'POST /voidings',
  'POST /words',
  'POST /pegs',
  'PUT /weeks/*',
  'POST /weeks/*/away',
  'POST /weeks/*/cards/*/move',
  'POST /records/household?replace=1',
  'POST /records/observations',
  'POST /records/cupboard',
  'POST /records/backups/*/restore',
  'DELETE /records/backups/*',
  'PUT /access/sharing',
  'PUT /access/password',
  'PUT /access/lock',
  'POST /access/pairings',
  'DELETE /access/devices/*',
];
const READS = [
  'GET /children/*/observations',
  'GET /children/*/progress',
  'GET /children/*/details/*',
  'GET /days/*',
  'GET /days/*/now',
  'GET /days/*/left',
  'GET /days/*/suggestions',
  'GET /weeks/*',
  'GET /weeks/*/calendar.ics',
  'GET /weeks/*/plan.csv',
  'GET /sheets/*.pdf',
  'GET /sheets/*.svg',
  'GET /sheets/proposed',
  'GET /papers/week/*.pdf',
  'GET /papers/ready/*.pdf',
  'GET /papers/strings/*.pdf',
  'GET /papers/family/*.pdf',
  'GET /families/draft',
  'GET /samples/of/*',
  'GET /samples/*/picture.jpg',
  'GET /needs',
  'GET /access/sharing',
];
const ROUNDS = 3200;

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
      line: fc.constantFrom(...WRITES, ...READS),
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
        return typeof one === 'number' ? known[one]! : encodeURIComponent(one);
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
