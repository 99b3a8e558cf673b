/** How near to the best weeks are planned, how fast, what becomes of them, and what else runs meanwhile. */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout } from 'node:timers/promises';
import { chromium } from '@playwright/test';
import {
  STEPS,
  gapOf,
  greedyPlan,
  improvePlan,
  stepsFor,
  weekProgram,
} from '../core/dist/planning/index.js';
import { highsSolver } from '../server/dist/planning/highs.js';
import { makePlanner } from '../server/dist/planning/planner.js';
import { libraryWeek } from '../server/dist/testing/library-weeks.js';
import { twiceAndAway } from '../server/dist/testing/twice.js';
import { CHROMIUM_FLAGS, chromium as findChromium } from '../scripts/lib/chromium.mjs';
import { startServer } from '../scripts/lib/steps.mjs';
import { median, table } from './lib.mjs';
import { demoWorld, libraryWorld, simulate } from './weeks.mjs';

const SEEDS = [1, 2, 3];
const PAUSE_MS = 300;
const CHILDREN = [1, 3, 6, 8, 12];
const ATTENDANCE = ['all', 'irregular'];
const MATERIALS = ['demo', 'everything', 'ten'];
/** Weeks small enough for the solver to come near the best there is. */
const SMALL = [
  [1, 'all'],
  [2, 'irregular'],
  [3, 'all'],
];
const SOLVER_SECONDS = 120;
const seconds = () => performance.now() / 1000;
const percent = (part) => `${(part * 100).toFixed(1)} %`;

/** Plans one week as the server does, and says how near to the bound it came, and when. */
async function planned(planner, model) {
  // Nobody asks for the next week within a moment of the last: its threads have come to rest.
  await setTimeout(PAUSE_MS);
  const started = seconds();
  let first = null;
  const done = await new Promise((resolve, reject) => {
    const steps = stepsFor(model.children.length);
    planner.begin('a week', { model, steps }).listen((news) => {
      if (news.what === 'ended') {
        reject(new Error('the planning broke off'));
        return;
      }
      first ??= { worth: news.progress.worth, after: seconds() - started };
      if (news.what === 'done') resolve(news.progress);
    });
  });
  return {
    greedy: gapOf(first.worth, done.bound),
    after: first.after,
    gap: gapOf(done.worth, done.bound),
    ended: seconds() - started,
  };
}

async function sizes() {
  const planner = makePlanner();
  const head = ['children', 'attendance', 'first plan: gap', 'after', 'plan: gap, each', 'after'];
  const rows = [head];
  for (const children of CHILDREN) {
    for (const attendance of ATTENDANCE) {
      const runs = [];
      for (const seed of SEEDS) {
        runs.push(await planned(planner, libraryWeek({ seed, children, attendance }).model));
      }
      const worst = (key) => Math.max(...runs.map((run) => run[key]));
      rows.push([
        children,
        attendance,
        percent(worst('greedy')),
        `${worst('after').toFixed(2)} s`,
        runs.map((run) => percent(run.gap)).join(', '),
        `${worst('ended').toFixed(1)} s`,
      ]);
    }
  }
  await planner.close();
  return rows;
}

/** How much better the whole week by its days is, given to the solver for a long time. */
async function distance() {
  const solver = await highsSolver();
  const rows = [['children', 'attendance', 'worth of the plan', 'best of the solver', 'lost']];
  for (const [children, attendance] of SMALL) {
    const { model } = libraryWeek({ seed: 2, children, attendance });
    const { worth } = improvePlan(model, greedyPlan(model), { steps: stepsFor(children) });
    const program = weekProgram(model, { byDay: true });
    const { values } = solver.solve(program, { seconds: SOLVER_SECONDS, gap: 0 });
    const found = values ? program.cost.reduce((sum, cost, i) => sum + cost * values[i], 0) : 0;
    const lost = Math.max(0, found / worth - 1);
    rows.push([children, attendance, worth.toFixed(2), found.toFixed(2), percent(lost)]);
  }
  return rows;
}

/** Twelve weeks of the demo, and of generated households, one column each. */
async function weeks() {
  const solver = await highsSolver();
  const worlds = [
    ['demo', demoWorld()],
    ...CHILDREN.flatMap((children) =>
      MATERIALS.filter((materials) => children === 6 || materials === 'demo').map((materials) => [
        `${children}, ${materials}`,
        libraryWorld({ seed: children, children, materials }),
      ]),
    ),
  ];
  const columns = worlds.map(([name, world]) => [
    name,
    simulate(world, {
      steps: stepsFor(world.children.length),
      solver: name === 'demo' ? solver : null,
    }),
  ]);
  const keys = Object.keys(columns[0][1]);
  return [
    ['', ...columns.map(([name]) => name)],
    ...keys.map((key) => [key, ...columns.map(([, figures]) => figures[key])]),
  ];
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
    const { id } = await (await post('/weeks/2026-03-16/plan', { steps: 5_000 })).json();
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
    const useIt = page.locator('gumo-planning-bar mat-progress-bar');
    await useIt.waitFor();
    await useIt.waitFor({ state: 'detached', timeout: 30_000 });
    await page.waitForLoadState('networkidle').catch(() => undefined);
    return await page.evaluate(() => globalThis.longTasks);
  } finally {
    await chrome.close();
  }
}

export async function plans() {
  const planRows = await sizes();
  const near = await distance();
  const lived = await weeks();
  const { quiet, busy, long } = await beside();
  const longest =
    long.length === 0 ? 'none' : `${long.length}, the longest ${Math.round(Math.max(...long))} ms`;
  return [
    '## The week',
    `Weeks of five days: the built-in activities, the demo's materials, invented children somewhere on the map with some weeks of tries; ${SEEDS.length} seeds each, planned by the server's two threads in ${STEPS} steps, of fewer than four and of more than eight children in more. The gap is how much better any plan could be at most, by one linear program in which days with the same children are one; the worst is shown, of the plan all. Goals: a first plan within 0.5 s, the plan within 3 s for up to eight children, and at most 4 % (irregular 6 %) from the bound.`,
    table(planRows),
    `The whole week by its days, in whole numbers, given to the solver for ${SOLVER_SECONDS} s: goal, at most 1 % lost.`,
    table(near),
    `Twelve weeks one after the other, planned and lived through: each try is on their own the more often the more a skill was asked. The demo, and households of so many invented children with the demo's materials, with everything that is ever needed, and with ten things. Goals for the demo: 4-5 cards a day, 45 (54) minutes, groups of 2 / 3.5 / 2.4, at most 15 % of table cards for one child, at most 7 of 18 activities as last week, 48 different ones or more, at most 6 wants unserved, at most 3 child-weeks without sums, at least 38 newly secure, 5 strands or more.`,
    table(lived),
    `While a week of twelve children is planned: a request takes ${busy.toFixed(2)} ms in the middle, without it ${quiet.toFixed(2)} ms, ${(busy / quiet).toFixed(2)} times as long (goal: at most 1.5); tasks of the page over 50 ms: ${longest} (goal: none).`,
  ].join('\n\n');
}
