/**
 * Ten years of one household: conclusions counted anew in a thread, beside reading the same rows from
 * SQLite; and how fast Today opens there, beside the demo.
 */
import { fork } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { openDatabase } from '../server/dist/database/open.js';
import { storeIn } from '../server/dist/database/store.js';
import { loadDemo } from '../server/dist/household.js';
import { makeCounting } from '../server/dist/keeping/counting.js';
import { serve } from '../server/dist/serve.js';
import { CHROMIUM_FLAGS, chromium as findChromium } from '../scripts/lib/chromium.mjs';
import { ROOT, startServer } from '../scripts/lib/steps.mjs';
import { fillTenYears } from './invented-records.mjs';
import { median, table, timed } from './lib.mjs';

const TRIES = 300_000;
const DAY = '2026-03-10';
const ROUNDS = 5;
const SELF = fileURLToPath(import.meta.url);

/** In a process of its own, so that its memory is that of the counting alone. */
async function countIn(path) {
  const counting = makeCounting();
  let most = 0;
  let news = 0;
  let last = 0;
  const look = setInterval(() => {
    most = Math.max(most, process.memoryUsage().rss);
    const done = counting.state?.done ?? last;
    if (done > last) news++;
    last = done;
  }, 50);
  const took = await timed(() => counting.run(path));
  clearInterval(look);
  process.send({ took, most, news });
}

/** Reading the same rows, and making objects of them, which is the least that any counting does. */
async function reading(path) {
  const { db } = openDatabase(path);
  const store = storeIn(db);
  const took = await timed(() => {
    for (const { id } of store.children.all())
      for (const fact of store.facts.after(id, 0)) void fact;
  });
  db.close();
  return took;
}

/** Milliseconds from the address to the cards of Today, and to the day's own answer. */
async function opening(databasePath) {
  const { url, child } = await startServer({ GUMO_DATA: databasePath, PORT: '0', GUMO_TODAY: DAY });
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });
  try {
    const times = [];
    const asked = [];
    for (let round = 0; round <= ROUNDS; round++) {
      const page = await browser.newPage({ serviceWorkers: 'block' });
      await page.clock.install({ time: `${DAY}T09:20:00` });
      const shown = await timed(async () => {
        await page.goto(`${url}/today`);
        await page.locator('gumo-entry-card').first().waitFor();
      });
      const answered = await timed(async () => (await fetch(`${url}/api/days/${DAY}`)).json());
      if (round > 0) (times.push(shown), asked.push(answered));
      await page.close();
    }
    return { shown: median(times), answered: median(asked) };
  } finally {
    await browser.close();
    child.kill('SIGTERM');
  }
}

/** Serves in a process of its own, and tells the longest pause of its event loop since it was last asked. */
async function serveIn(databasePath) {
  const loop = monitorEventLoopDelay({ resolution: 5 });
  const began = performance.now();
  const running = await serve({
    databasePath,
    port: 0,
    demoPath: null,
    webFolder: null,
    today: () => DAY,
  });
  process.send({ port: running.port, took: performance.now() - began });
  loop.enable();
  process.on('message', async (word) => {
    if (word === 'stop') {
      await running.stop();
      process.exit(0);
    }
    const most = loop.max / 1e6;
    loop.reset();
    process.send({ most });
  });
}

const TABLE_BYTES = 10_000_000;

/** A table of tries of about ten million bytes. */
function bigTable(name) {
  const rows = ['child,day,skill,outcome,note'];
  for (let bytes = 0, i = 0; bytes < TABLE_BYTES; i++) {
    const row = `${name},2026-0${1 + (i % 2)}-1${i % 10},touch-5,own,${randomUUID()} ${'x'.repeat(60)}`;
    bytes += row.length + 1;
    rows.push(row);
  }
  return JSON.stringify({ text: rows.join('\n'), mapping: null, dry: false });
}

/** Long work on some records: how long each takes, and the longest pause of the event loop meanwhile. */
async function longWork(path) {
  const child = fork(SELF, ['serve', path], { stdio: 'inherit' });
  const word = () => new Promise((resolve) => child.once('message', resolve));
  const { port, took } = await word();
  const url = `http://127.0.0.1:${port}/api`;
  const json = { 'content-type': 'application/json' };
  const ask = async (way, method = 'GET', body) => {
    const answer = await fetch(`${url}${way}`, { method, headers: json, body });
    await answer.arrayBuffer();
    if (!answer.ok) throw new Error(`${way} answered ${answer.status}`);
  };
  const pause = async () => {
    child.send('most');
    return (await word()).most;
  };
  // Counting anew goes first.
  while ((await (await fetch(`${url}/counting`)).json()) !== null);
  const [one] = await (await fetch(`${url}/children`)).json();
  const body = bigTable(one.name);
  const many = (await (await fetch(`${url}/children`)).json()).map(({ id }) => id);
  const noting = (id) => {
    const observations = [
      {
        id: randomUUID(),
        childId: id,
        sessionId: null,
        activityId: null,
        skillId: 'touch-5',
        itemId: 'n3',
        at: `${DAY}T09:00:00.000Z`,
        day: DAY,
        outcome: 'own',
        triedFirst: true,
        answered: null,
        reason: null,
        materials: [],
        notedBy: '',
        note: '',
        record: { kind: 'note', words: '' },
      },
    ];
    return ask('/observations', 'POST', JSON.stringify({ observations }));
  };
  const works = {
    week: () => ask('/weeks/2026-03-09'),
    export: () => ask('/records/household.json'),
    'a copy': () => ask('/records/backups', 'POST', '{}'),
    'a copy, five tries a second beside it': async () => {
      const writes = setInterval(() => void noting(many[0]), 200);
      await ask('/records/backups', 'POST', '{}');
      clearInterval(writes);
    },
    'a table of 10 MB comes in': () => ask('/records/observations', 'POST', body),
    'forget, with the copies': () =>
      ask(`/children/${one.id}/forget`, 'POST', JSON.stringify({ name: one.name, copies: true })),
  };
  const found = { start: { took, most: 0 } };
  for (const [name, work] of Object.entries(works)) {
    await pause();
    const lasted = await timed(work);
    found[name] = { took: lasted, most: await pause() };
  }
  child.send('stop');
  await new Promise((resolve) => child.once('exit', resolve));
  return found;
}

export async function tenYears() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-years-'));
  const path = join(folder, 'gumo.db');
  try {
    const { db } = openDatabase(path);
    const store = storeIn(db);
    loadDemo(store, join(ROOT, 'demo/spindle-cottage.json'), DAY);
    fillTenYears(store, TRIES, DAY);
    db.close();
    await reading(path);
    const read = await reading(path);
    const { took, most, news } = await new Promise((resolve, reject) => {
      const child = fork(SELF, [path], { stdio: 'inherit' });
      child.once('message', resolve).once('error', reject);
    });
    const years = await opening(path);
    const demo = await opening(join(folder, 'other', 'demo.db'));
    const long = await longWork(path);
    const short = await longWork(join(folder, 'other', 'demo.db'));
    return [
      '## Ten years',
      '',
      `${TRIES.toLocaleString('en')} observations of 24 children beside the demo household. Conclusions are counted anew in a thread; its progress was heard ${news} times. Goals: under 500 MB, and Today within 1.5 times the demo's time.`,
      '',
      table([
        ['reading the rows', 'counting them anew', 'ratio', 'memory of the process'],
        [
          `${(read / 1000).toFixed(1)} s`,
          `${(took / 1000).toFixed(1)} s`,
          (took / read).toFixed(2),
          `${Math.round(most / 1e6)} MB`,
        ],
      ]),
      '',
      table([
        ['', 'demo', 'ten years', 'ratio'],
        ...[
          ['Today, from its address to its cards', 'shown'],
          ['the answer about the day', 'answered'],
        ].map(([name, key]) => [
          name,
          `${demo[key].toFixed(0)} ms`,
          `${years[key].toFixed(0)} ms`,
          (years[key] / demo[key]).toFixed(2),
        ]),
      ]),
      '',
      'Long work, and the longest pause of the event loop meanwhile (goal: at most 200 ms; a copy under load at most twice as long as at rest):',
      '',
      table([
        ['', 'demo', 'longest pause', 'ten years', 'longest pause'],
        ...Object.keys(long).map((name) => [
          name,
          ...[short, long].flatMap((some) => [
            `${some[name].took.toFixed(0)} ms`,
            name === 'start' ? '–' : `${some[name].most.toFixed(0)} ms`,
          ]),
        ]),
      ]),
    ].join('\n');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

if (process.send && process.argv[2] === 'serve') await serveIn(process.argv[3]);
else if (process.send && process.argv[2]) await countIn(process.argv[2]);
