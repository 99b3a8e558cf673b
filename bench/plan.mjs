/** How near to the best weeks are planned, how fast, and what else runs while they are. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import { gapOf, greedyPlan, valueOf } from '../core/dist/planning/index.js';
import { makePlanner } from '../server/dist/planning/planner.js';
import { libraryWeek } from '../server/dist/testing/library-weeks.js';
import { twiceAndAway } from '../server/dist/testing/twice.js';
import { inventedWeek } from '../server/dist/testing/weeks.js';
import { CHROMIUM_FLAGS, chromium as findChromium } from '../scripts/lib/chromium.mjs';
import { startServer } from '../scripts/lib/steps.mjs';
import { median, table } from './lib.mjs';

const SEEDS = [1, 2, 3];
const SECONDS = 10;
const PAUSE_MS = 300;
const SIZES = [
  [1, 80, 'all'],
  [1, 80, 'irregular'],
  [3, 80, 'all'],
  [3, 80, 'irregular'],
  [6, 80, 'all'],
  [6, 80, 'simple'],
  [6, 80, 'irregular'],
  [8, 80, 'all'],
  [8, 80, 'simple'],
  [8, 80, 'irregular'],
  [12, 80, 'all'],
  [12, 80, 'simple'],
  [12, 80, 'irregular'],
  [6, 200, 'all'],
  [6, 200, 'irregular'],
  [12, 200, 'irregular'],
];
const HARD_SIZES = [
  [6, 80, 'all'],
  [6, 80, 'simple'],
  [6, 80, 'irregular'],
  [12, 80, 'all'],
  [12, 80, 'irregular'],
];
const seconds = () => performance.now() / 1000;
const percent = (part) => (part === null ? '–' : `${(part * 100).toFixed(2)} %`);
const part = (value) => value.toFixed(3);

/** Plans one week as the server does, and says how near to the best it was when. */
async function planned(planner, problem) {
  // Nobody asks for the next week within a moment of the last: its threads have come to rest.
  await setTimeout(PAUSE_MS);
  const started = seconds();
  let first = null;
  let early = null;
  const done = await new Promise((resolve, reject) => {
    planner.begin('a week', { problem, seconds: SECONDS }).listen((news) => {
      if (news.what === 'ended') {
        reject(new Error('the planning broke off'));
        return;
      }
      const { value, bound } = news.progress;
      const after = seconds() - started;
      first ??= { value, after };
      if (after <= 2) early = gapOf(value, bound);
      if (news.what === 'done') resolve(news.progress);
    });
  });
  const late = gapOf(done.value, done.bound);
  return {
    greedy: valueOf(problem, greedyPlan(problem)) / done.value,
    first: first.value / done.value,
    after: first.after,
    early,
    late,
    ended: seconds() - started,
  };
}

async function sizes(sizesOf, weekOf) {
  const planner = makePlanner();
  const rows = [
    [
      'children',
      'activities',
      'attendance',
      'greedy / best found',
      'first plan / best found',
      'first plan after',
      'proven gap after 2 s',
      'after 10 s, each',
      'ended after',
    ],
  ];
  const firsts = [];
  const waits = [];
  for (const [children, activities, attendance] of sizesOf) {
    const runs = [];
    for (const seed of SEEDS) {
      runs.push(await planned(planner, weekOf({ seed, children, activities, attendance })));
    }
    firsts.push(...runs.map((run) => run.first));
    waits.push(...runs.map((run) => run.after));
    const worst = (key) => Math.max(...runs.map((run) => run[key] ?? Infinity));
    const shown = (gap) => percent(Number.isFinite(gap) ? gap : null);
    rows.push([
      children,
      activities,
      attendance,
      part(Math.min(...runs.map((run) => run.greedy))),
      part(Math.min(...runs.map((run) => run.first))),
      `${worst('after').toFixed(2)} s`,
      shown(worst('early')),
      runs.map((run) => shown(run.late ?? Infinity)).join(', '),
      `${worst('ended').toFixed(1)} s`,
    ]);
  }
  await planner.close();
  return { rows, middle: median(firsts), wait: median(waits) };
}

/** Milliseconds that a request takes in the middle, asked one after the other for a while. */
async function requests(url, forSeconds) {
  const times = [];
  const end = seconds() + forSeconds;
  while (seconds() < end) {
    const start = performance.now();
    await (await fetch(`${url}/api/children`)).text();
    times.push(performance.now() - start);
  }
  return median(times);
}

async function beside() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-bench-'));
  const env = { GUMO_DATA: join(folder, 'gumo.db'), PORT: '0', GUMO_TODAY: '2026-03-10' };
  const { child, url } = await startServer({ ...env, GUMO_REQUESTS_A_MINUTE: '100000000' });
  const post = (path, body) =>
    fetch(`${url}/api${path}`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    });
  try {
    // Twelve children, the household's six and as many again: that takes the time it may.
    await twiceAndAway(`${url}/api`, '2026-03-16');
    const quiet = await requests(url, 2);
    const { id } = await (await post('/weeks/2026-03-16/plan', { seconds: 9 })).json();
    const busy = await requests(url, 4);
    await fetch(`${url}/api/plans/${id}`, { method: 'DELETE' });
    return { quiet, busy, long: await longTasks(url) };
  } finally {
    child.removeAllListeners('exit');
    child.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}

/** The longest task of the page while a week of twelve children is planned on screen, in ms. */
async function longTasks(url) {
  const chrome = await chromium.launch({
    executablePath: findChromium(),
    args: CHROMIUM_FLAGS,
  });
  try {
    const page = await chrome.newPage({
      serviceWorkers: 'block',
      viewport: { width: 1280, height: 800 },
    });
    await page.goto(`${url}/week?of=2026-03-16`);
    await page.getByRole('heading', { name: /Week/ }).waitFor();
    await page.waitForLoadState('networkidle').catch(() => undefined);
    await page.evaluate(() => {
      globalThis.longTasks = [];
      new globalThis.PerformanceObserver((list) =>
        globalThis.longTasks.push(...list.getEntries().map((one) => one.duration)),
      ).observe({ type: 'longtask' });
    });
    await page.getByRole('button', { name: 'Plan the week' }).click();
    // Asked for by role, each look at the page would take longer than what it is to measure.
    const useIt = page.locator('gumo-planning-bar .filled');
    await useIt.waitFor();
    await useIt.waitFor({ state: 'detached', timeout: 30_000 });
    await page.waitForLoadState('networkidle').catch(() => undefined);
    return await page.evaluate(() => globalThis.longTasks);
  } finally {
    await chrome.close();
  }
}

export async function plans() {
  const { rows, middle, wait } = await sizes(SIZES, libraryWeek);
  const hard = await sizes(HARD_SIZES, inventedWeek);
  const { quiet, busy, long } = await beside();
  const longest =
    long.length === 0 ? 'none' : `${long.length}, the longest ${Math.round(Math.max(...long))} ms`;
  return [
    '## The week',
    `Weeks of five days as households have them: the activities that are built in (for 200, with more made from them), the demo's cupboard, invented children somewhere on the map with some weeks of tries; ${SEEDS.length} seeds each, planned by the server's two threads. The worst of them is shown, and for the gap after ten seconds all. The gap is what a plan may fall short of the best by proof, as a part of its worth; a plan within 0.1 % ends the planning. Goals: with the same children every day, or a simple pattern, 1 % after 2 s and 0.1 % after 10 s; six children irregularly 4 % and 0.1 %, twelve 0.2 % after 10 s; a first plan within 0.5 s and worth 0.97 of the best in the middle; 200 activities with six children proven within 5 s.`,
    table(rows),
    `In the middle the first plan is there after ${wait.toFixed(2)} s and worth ${part(middle)} of the best found.`,
    `Harder weeks, invented from numbers alone: no two children share more than chance gives them, so that hardly any card serves a whole group, and what is worth most lies evenly over all of them.`,
    table(hard.rows),
    `While a week of twelve children is planned: a request takes ${busy.toFixed(2)} ms in the middle, without it ${quiet.toFixed(2)} ms, ${(busy / quiet).toFixed(2)} times as long (goal: at most 1.5); tasks of the page over 50 ms: ${longest} (goal: none).`,
  ].join('\n\n');
}
