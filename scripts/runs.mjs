/**
 * npm run runs [-- activity ...]: runs every activity in the browser at two sizes, question by
 * question, and says what is wrong: nothing asked, a key that lies under another thing, an error.
 * The keys of the first questions are looked at in the sizes of other screens, too.
 * The built application must be there (npm run build).
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium as playwright } from '@playwright/test';
import { LIBRARY } from '@gumo/core/activities';
import { CHROMIUM_FLAGS, chromium } from './lib/chromium.mjs';
import { startServer } from './lib/steps.mjs';

const SIZES = [
  [1280, 800],
  [390, 844],
];
const OTHER_SIZES = [
  [1280, 720],
  [1180, 820],
  [1024, 768],
  [820, 1180],
];
/** Questions that are looked at in all sizes. */
const LOOKED_AT = 2;
const QUESTIONS = 9;
const AT_ONCE = 3;
const OUTCOMES = ['On their own', 'With help', 'Not yet'];

/** Keys of the question that stands which cannot be hit where they are drawn. */
const covered = (page) =>
  page
    .locator('gumo-answer-pad button, gumo-came-up button, gumo-outcome-bar button')
    .evaluateAll((keys) =>
      keys.flatMap((key) => {
        const { x, y, width, height } = key.getBoundingClientRect();
        const hit = document.elementFromPoint(x + width / 2, y + height / 2);
        return hit !== null && key.contains(hit) ? [] : [key.textContent.trim() || key.ariaLabel];
      }),
    );

async function answer(page, t) {
  await page.locator(`.tray[data-noted="${t}"]`).waitFor();
  const told = page.getByRole('button', { name: 'Continue', exact: true });
  if (await told.isVisible()) await told.click();
  await page.locator('gumo-told').waitFor({ state: 'detached' });
  await page.locator('.tray:not([aria-busy="true"])').waitFor();
  const bar = page.locator('gumo-outcome-bar');
  const chips = page.locator('gumo-came-up .line button');
  const faults = [];
  const look = async () => {
    const words = (await page.locator('.ask .sentence').textContent()) ?? '';
    if (words.replace(/[“”]/g, '').trim() === '') faults.push('nothing is said');
    for (const key of await covered(page)) faults.push(`“${key}” is covered: ${words}`);
    const size = page.viewportSize();
    if (t >= LOOKED_AT || size.width < 1280) return;
    for (const [width, height] of OTHER_SIZES) {
      await page.setViewportSize({ width, height });
      for (const key of await covered(page))
        faults.push(`“${key}” is covered at ${width}x${height}: ${words}`);
    }
    await page.setViewportSize(size);
  };
  await page.locator('.ask').waitFor();
  await look();
  while (!(await bar.isVisible()) && (await page.locator('gumo-came-up .keys').count()) > 0) {
    const before = await chips.count();
    const keys = page.locator('gumo-came-up .keys button.child-reads');
    await keys.nth((t + before) % Math.min(6, await keys.count())).click();
    await page.waitForFunction(
      (n) => document.querySelectorAll('gumo-came-up .line button').length > n,
      before,
    );
    await page.locator('.tray:not([aria-busy="true"])').waitFor();
    await look();
  }
  if (!(await bar.isVisible())) return [...faults, 'nothing can be noted'];
  const outcome = OUTCOMES[t % OUTCOMES.length];
  const own = page.getByRole('button', { name: 'On their own', exact: true });
  const open = (await own.getAttribute('aria-disabled')) !== 'true';
  const name = outcome === 'On their own' && !open ? 'With help' : outcome;
  await page.getByRole('button', { name, exact: true }).click();
  const doubt = page.getByRole('alertdialog').getByRole('button').first();
  if (await doubt.isVisible()) await doubt.click();
  return faults;
}

async function run(context, url, activity, [width, height]) {
  const page = await context.newPage();
  await page.setViewportSize({ width, height });
  page.setDefaultTimeout(8000);
  await page.clock.install({ time: '2026-03-10T09:20:00' });
  const faults = [];
  page.on('pageerror', (error) => faults.push(error.message));
  page.on('console', (message) => message.type() === 'error' && faults.push(message.text()));
  try {
    await page.goto(`${url}/activities/${activity.id}`);
    const who = page.locator('button').filter({ hasText: 'Kofi' }).first();
    await who.click();
    await page.getByRole('button', { name: /^(Begin|Start)$/ }).click();
    for (let t = 0; t < QUESTIONS; t++) faults.push(...(await answer(page, t)));
    await page.locator(`.tray[data-noted="${QUESTIONS}"]`).waitFor();
    const told = page.getByRole('button', { name: 'Continue', exact: true });
    if (await told.isVisible()) await told.click();
    await page.getByRole('button', { name: 'Finish', exact: true }).first().click();
    await page.getByRole('button', { name: 'All calm' }).click();
    await page.getByRole('button', { name: 'Back to the day' }).click();
    await page.locator('.ended').waitFor();
  } catch (error) {
    faults.push(String(error.message).split('\n')[0]);
  } finally {
    await page.close();
  }
  return [...new Set(faults)].map((fault) => `${activity.id} ${width}x${height}: ${fault}`);
}

const wanted = process.argv.slice(2);
const folder = mkdtempSync(join(tmpdir(), 'gumo-runs-'));
const { url, child } = await startServer({
  GUMO_DATA: join(folder, 'gumo.db'),
  PORT: '0',
  GUMO_TODAY: '2026-03-10',
});
const browser = await playwright.launch({ executablePath: chromium(), args: CHROMIUM_FLAGS });
const open = LIBRARY.filter(({ id }) => wanted.length === 0 || wanted.includes(id)).flatMap(
  (activity) => SIZES.map((size) => ({ activity, size })),
);
const runs = open.length;
const faults = [];
try {
  await Promise.all(
    Array.from({ length: AT_ONCE }, async () => {
      const context = await browser.newContext({ serviceWorkers: 'block' });
      for (let one = open.shift(); one; one = open.shift()) {
        const found = await run(context, url, one.activity, one.size);
        for (const fault of found) process.stdout.write(`${fault}\n`);
        faults.push(...found);
      }
    }),
  );
} finally {
  await browser.close();
  child.kill('SIGTERM');
  rmSync(folder, { recursive: true, force: true });
}
process.stdout.write(`${runs} runs, ${faults.length} faults\n`);
process.exitCode = faults.length > 0 ? 1 : 0;
