/** Searching and filtering a large library, beside a plain filter of an array in the same run. */
import { LIBRARY, NO_FILTER, indexActivities, searchActivities } from '@gumo/core/activities';
import { median, table } from './lib.mjs';

const OWN = 490;
const ROUNDS = 200;
const FRAME_MS = 1000 / 60;

const QUERIES = [
  { text: 'count' },
  { text: 'ten frame counters' },
  { strand: 'bond', band: 'table' },
  { skillId: 'total-10', mess: 'dry', minutes: 5 },
  { text: 'plates', age: 3.2 },
];

export async function search() {
  const own = Array.from({ length: OWN }, (_, i) => ({
    ...LIBRARY[i % LIBRARY.length],
    id: `own-${i}`,
    title: `${LIBRARY[i % LIBRARY.length].title} ${i}`,
  }));
  const all = [...LIBRARY, ...own];
  const start = performance.now();
  const index = indexActivities(all);
  const prepared = performance.now() - start;
  const rounds = [];
  for (let round = 0; round < ROUNDS; round++) {
    const query = { ...NO_FILTER, ...QUERIES[round % QUERIES.length] };
    const t0 = performance.now();
    searchActivities(index, query);
    const t1 = performance.now();
    all.filter((one) => one.title.toLowerCase().includes(query.text) && one.band !== 'none');
    const t2 = performance.now();
    if (round >= 20) rounds.push({ search: t1 - t0, plain: t2 - t1 });
  }
  const mid = (name) => median(rounds.map((one) => one[name]));
  return [
    '## Searching activities',
    '',
    `${all.length} activities, ${rounds.length} searches of five kinds after some to warm up, median. Goal: within one frame (${FRAME_MS.toFixed(1)} ms).`,
    '',
    table([
      ['preparing the index', 'a search', 'a plain filter by title', 'ratio'],
      [
        `${prepared.toFixed(1)} ms`,
        `${mid('search').toFixed(3)} ms`,
        `${mid('plain').toFixed(3)} ms`,
        median(rounds.map((one) => one.search / one.plain)).toFixed(2),
      ],
    ]),
  ].join('\n');
}
