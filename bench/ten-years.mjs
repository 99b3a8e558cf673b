/**
 * Ten years of one household: conclusions counted anew in a thread, beside reading the same rows from
 * SQLite; and how fast Today opens there, beside the demo.
 */
import { fork } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium } from '@playwright/test';
import { openDatabase } from '../server/dist/database/open.js';
import { storeIn } from '../server/dist/database/store.js';
import { loadDemo } from '../server/dist/household.js';
import { makeCounting } from '../server/dist/keeping/counting.js';
import { CHROMIUM_FLAGS, chromium as findChromium } from '../scripts/lib/chromium.mjs';
import { ROOT, startServer } from '../scripts/lib/steps.mjs';
import { fillTenYears } from './lib-records.mjs';
import { median, table, timed } from './lib.mjs';

const TRIES = 400_000;
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
    const demo = await opening(join(folder, 'demo.db'));
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
    ].join('\n');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}

if (process.send && process.argv[2]) await countIn(process.argv[2]);
