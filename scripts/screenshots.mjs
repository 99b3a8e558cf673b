/** npm run screenshots [-- names]: the main views from the demo with a fixed clock, into docs/screenshots/. */
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM_FLAGS, chromium as findChromium } from './lib/chromium.mjs';
import { ROOT, build, install, main, say, startServer } from './lib/steps.mjs';

const DAY = '2026-03-10';
const DESK = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

/** One try, once the next question stands; what comes up is tapped first. */
async function note(page, key) {
  const goOn = page.getByRole('button', { name: 'Continue', exact: true });
  if (await goOn.isVisible()) await goOn.click();
  await page.locator('.tray:not([aria-busy="true"])').waitFor();
  const keys = page.locator('gumo-came-up .keys button');
  for (let i = 0; i < 3 && (await keys.count()) > 0; i++) {
    const chips = await page.locator('gumo-came-up .line button').count();
    await keys.nth(5 - i).click();
    await page.locator('gumo-came-up .line button').nth(chips).waitFor();
  }
  const outcomes = page.getByRole('group', { name: 'How it went' });
  await outcomes.waitFor();
  if (!key) return;
  await page.keyboard.press(key);
  await goOn.waitFor();
}
async function beginAt(page, activity, child) {
  await page.goto(new URL(`/activities/${activity}`, page.url()).href);
  await page.getByRole('button', { name: new RegExp(`^${child}`) }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await page.locator('.ask .sentence').waitFor();
}
/** A walk through the ways of a number. */
async function walk(page) {
  await beginAt(page, 'two-plates', 'Kofi');
  for (const key of ['o', 'o', 'h']) await note(page, key);
  await page.getByRole('button', { name: 'Continue', exact: true }).click();
}
/** What two cards brought. */
async function sum(page) {
  await beginAt(page, 'peg-rail', 'Kofi');
  await note(page, '');
}
async function sit(page) {
  await beginAt(page, 'two-plates', 'Kofi');
  for (const key of ['h', 'h', 'h', 'h']) await note(page, key);
}
async function calm(page) {
  await page.getByRole('button', { name: 'Finish', exact: true }).first().click();
  await page.getByRole('button', { name: 'All calm' }).click();
  await page.getByRole('button', { name: 'Back to the day' }).click();
}
/** Two sessions, a note in words, one left open: the evening of a day. */
async function dayEnd(page) {
  await sit(page);
  await calm(page);
  await beginAt(page, 'next-number', 'Ilse');
  for (const key of ['h', 'h', 'h']) await note(page, key);
  await page.locator('gumo-so-far li button').first().waitFor();
  await page.goto(new URL('/today', page.url()).href);
  await page.keyboard.press('j');
  await page.getByRole('radio', { name: /Kofi/ }).click();
  await page.getByRole('textbox').fill('Drummed the numbers up to twelve on the shed door.');
  await page.getByRole('button', { name: 'Save the words' }).click();
  await page.getByRole('link', { name: 'End of day' }).click();
  await page.locator('article').first().waitFor();
  await page.clock.runFor(7000);
}
async function openChild(page, name, skill) {
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await page.locator(`[data-skill="${skill}"]`).click();
  await page.locator('.evidence li').first().waitFor();
}

async function openTab(page, name, tab) {
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: new RegExp(name) }).click();
  await page.getByRole('tab', { name: tab, exact: true }).click();
  await page.locator('gumo-child-page .sheet').first().waitFor();
  await page.waitForLoadState('networkidle');
}

async function openPlace(page, place, ready) {
  await page.getByRole('link', { name: place, exact: true }).click();
  await page.locator(ready).first().waitFor();
  await page.waitForLoadState('networkidle');
}

async function planWeek(page) {
  await openPlace(page, 'Week', 'gumo-week-card');
  const kept = page
    .waitForRequest(/\/plans\/[^/]+\/news/)
    .then(() => page.waitForResponse(/\/api\/weeks\/[^/]+$/));
  await page.getByRole('button', { name: 'Plan the week' }).click();
  await kept;
  await page.locator('gumo-week-card.coming').first().waitFor({ state: 'detached' });
}

/** Why a card is there, and what could stand in its place. */
async function whyCard(page) {
  await planWeek(page);
  const tables = page
    .locator('gumo-week-card')
    .filter({ hasText: 'Table ·', hasNotText: 'Invitation' });
  await tables.nth(1).locator('.open').click();
  await page.locator('gumo-why-panel .children li').first().waitFor();
}

async function openTool(page, tool) {
  await openPlace(page, 'Measure', 'gumo-weigh');
  await page.getByRole('link', { name: tool, exact: true }).click();
  for (const name of ['Kofi', 'Mirela']) {
    await page.locator('gumo-measuring-participants').getByRole('button', { name }).click();
  }
}

/** Six things, two children who predict, four weighings. */
async function weigh(page) {
  await openTool(page, 'Lighter or heavier');
  const materials = ['pillow', 'stone', 'cup', 'spoon', 'felt balls', 'shoe'];
  for (const name of materials) {
    await page.getByRole('combobox', { name: 'Object' }).fill(name);
    await page.keyboard.press('Enter');
  }
  await page.getByRole('radio', { name: 'scale on screen' }).click();
  await page.getByLabel('Lighter or heavier than').fill('300');
  await page.keyboard.press('Tab');
  const say = (child, material, side) =>
    page
      .getByRole('group', { name: `${child} on ${material}` })
      .getByRole('button', { name: side, exact: true })
      .click();
  for (const material of materials.slice(0, 5)) {
    await say(
      'Kofi',
      material,
      material === 'stone' || material === 'pillow' ? 'heavier' : 'lighter',
    );
    await say(
      'Mirela',
      material,
      material === 'pillow' || material === 'spoon' ? 'lighter' : 'heavier',
    );
  }
  await page.getByRole('button', { name: 'On', exact: true }).click();
  for (const material of materials.slice(0, 4)) {
    const row = page.getByRole('row', { name: new RegExp(`^${material}`) });
    await row.getByRole('button', { name: /Put on/ }).click();
    await page.clock.runFor(1500);
    await page.getByRole('button', { name: 'Write it down' }).click();
  }
  await page.evaluate('scrollTo(0, 0)');
}

/** The gallery of sheets, from the frames on. */
async function sheets(page) {
  await openPlace(page, 'Print', 'gumo-print-gallery li a');
  await page.getByRole('heading', { name: 'Frames and mats' }).scrollIntoViewIfNeeded();
  await page.evaluate('scrollTo(0, 0)');
}

/** [file, size, theme, what to do first] */
const VIEWS = [
  ['today', DESK, 'light', async (page) => void (await page.getByRole('checkbox').nth(1).click())],
  ['today-evening', DESK, 'dark', async () => {}],
  ['run', DESK, 'light', walk],
  ['run-phone', PHONE, 'light', sum],
  ['child', DESK, 'light', (page) => openChild(page, 'Kofi', 'bond-5')],
  ['family', DESK, 'light', (page) => openTab(page, 'Kofi', 'Family report')],
  ['measure-weigh', DESK, 'light', weigh],
  ['print', DESK, 'light', sheets],
  ['week-why', DESK, 'light', whyCard],
  ['week', DESK, 'light', planWeek],
  [
    'first-look',
    DESK,
    'light',
    async (page) => {
      await openTab(page, 'Dilara', 'Progress');
      await page.getByRole('link', { name: 'First look' }).click();
      await page.getByRole('slider', { name: 'Rote counting' }).waitFor();
    },
  ],
  ['activities', DESK, 'light', (page) => openPlace(page, 'Activities', '.list a')],
  [
    'activity',
    DESK,
    'light',
    async (page) => {
      await openPlace(page, 'Activities', '.list a');
      await page.getByRole('link', { name: /Counters under cards/ }).click();
      await page.getByRole('button', { name: /Kofi/ }).click();
      await page.getByText(/= 55/).waitFor();
    },
  ],
  ['materials', DESK, 'light', (page) => openPlace(page, 'Materials', 'gumo-materials .row')],
  [
    'manipulatives',
    DESK,
    'light',
    async (page) => {
      await openPlace(page, 'Manipulatives', 'gumo-shelf a');
      await page.getByRole('link', { name: 'Plates', exact: true }).click();
      await page.getByRole('radio', { name: 'Two colors' }).click();
    },
  ],
  [
    'settings',
    DESK,
    'light',
    async (page) => {
      await page.goto(new URL('/settings/day', page.url()).href);
      await page.getByRole('heading', { name: 'The day' }).waitFor();
    },
  ],
  [
    'quick-note',
    DESK,
    'light',
    async (page) => {
      await page.keyboard.press('j');
      await page.getByRole('radio', { name: /Mirela/ }).click();
      await page.locator('.skills li').first().waitFor();
    },
  ],
  ['day-end', DESK, 'light', dayEnd],
  ['children', DESK, 'light', (page) => page.getByRole('link', { name: 'Children' }).click()],
];

await main(async () => {
  install();
  build();
  const { chromium } = await import('@playwright/test');
  const folder = join(ROOT, 'docs/screenshots');
  mkdirSync(folder, { recursive: true });
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });
  const only = process.argv.slice(2);
  for (const [name, viewport, colorScheme, act] of VIEWS) {
    if (only.length > 0 && !only.includes(name)) continue;
    const data = mkdtempSync(join(tmpdir(), 'gumo-pictures-'));
    const env = { GUMO_DATA: join(data, 'gumo.db'), PORT: '0', GUMO_TODAY: DAY };
    const { child, url } = await startServer(env);
    try {
      const page = await browser.newPage({ serviceWorkers: 'block', viewport, colorScheme });
      page.setDefaultTimeout(15_000);
      await page.clock.install({ time: `${DAY}T09:20:00` });
      await page.goto(url);
      await page.getByRole('heading', { name: 'Get ready' }).waitFor();
      await act(page);
      await page.waitForLoadState('networkidle');
      await page.evaluate(() => document.fonts.ready);
      // Small pictures are drawn one after the other, when nothing else is to do.
      await page.waitForTimeout(1000);
      await page.clock.runFor(400);
      await page.mouse.move(0, 0);
      await page.screenshot({ path: join(folder, `${name}.png`) });
      await page.close();
    } catch (error) {
      say(`${name}: ${error.message}`);
      process.exitCode = 1;
    } finally {
      child.removeAllListeners('exit');
      child.kill('SIGTERM');
      rmSync(data, { recursive: true, force: true });
    }
  }
  await browser.close();
});
