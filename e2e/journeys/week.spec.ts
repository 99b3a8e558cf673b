import { readFileSync } from 'node:fs';
import type { Locator, Page } from '@playwright/test';
import ICAL from 'ical.js';
import { twiceAndAway } from '../../server/dist/testing/twice.js';
import { plan } from '../plan';
import { expect, test } from '../world';

const cards = (page: Page): Locator => page.locator('gumo-week-card');

/** The column of a weekday, as the cells in it stand across the page. */
async function columnOf(page: Page, weekday: string): Promise<{ x: number; width: number }> {
  const box = await page.locator('.head', { hasText: weekday }).boundingBox();
  if (!box) throw new Error(`${weekday} is not on the board`);
  return box;
}
/** Titles of the cards under a weekday, as they stand at one moment. */
function under(page: Page, weekday: string): Promise<string[]> {
  return page.evaluate((name) => {
    const heads = [...document.querySelectorAll('.head')];
    const column = heads.find((one) => one.textContent?.includes(name))?.getBoundingClientRect();
    return [...document.querySelectorAll('gumo-week-card')]
      .filter((card) => Math.abs(card.getBoundingClientRect().x - (column?.x ?? -999)) < 8)
      .map((card) => card.querySelector('.title')?.textContent?.trim() ?? '');
  }, weekday);
}
async function drag(page: Page, card: Locator, weekday: string): Promise<void> {
  await card.scrollIntoViewIfNeeded();
  const from = await card.boundingBox();
  const to = await columnOf(page, weekday);
  if (!from) throw new Error('the card is not on the board');
  await page.mouse.move(from.x + 30, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y + 26, { steps: 4 });
  await page.mouse.move(to.x + to.width / 2, from.y + 24, { steps: 10 });
  await page.mouse.up();
}

test('a week is planned, pinned, bent by mouse and key, planned again, and taken along', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Week' }).click();
  await expect(cards(page).first()).toBeVisible();
  await plan(page);

  // Two are pinned, one is taken out of the week; planned again, they are where they should be.
  const wednesday = await under(page, 'Wednesday');
  const [first, second] = wednesday as [string, string];
  for (const title of [first, second]) {
    const x = (await columnOf(page, 'Wednesday')).x;
    const pins = page.getByRole('button', { name: `Pin ${title}` });
    for (const pin of await pins.all()) {
      const box = await pin.boundingBox();
      if (box && box.x >= x && box.x < x + 240) await pin.click();
    }
  }
  await expect(page.locator('.pin[aria-pressed="true"]')).toHaveCount(2);
  const [out] = (await under(page, 'Friday')).filter((one) => !wednesday.includes(one));
  await cards(page).filter({ hasText: out! }).last().locator('.open').click();
  const why = page.getByRole('complementary', { name: 'Why it is there' });
  await expect(why.getByRole('heading', { name: 'In focus, and why' })).toBeVisible();
  await expect(why.locator('.children li').first()).toContainText(/to \d+\./);
  await why.getByRole('button', { name: 'Not this week' }).click();
  await expect(page.getByRole('button', { name: `Let ${out} come again` })).toBeVisible();
  await plan(page);
  const again = await under(page, 'Wednesday');
  expect(again).toEqual(expect.arrayContaining([first, second]));
  await expect(cards(page).filter({ hasText: out! })).toHaveCount(0);

  // One goes to another day by mouse, one by key; both are pinned there.
  const loose = cards(page)
    .filter({ has: page.locator('.pin[aria-pressed="false"]') })
    .filter({ hasText: 'Table ·' })
    .first();
  const dragged = ((await loose.locator('.title').textContent()) ?? '').trim();
  const days = ['Tuesday', 'Wednesday', 'Thursday', 'Friday'];
  const holding = await Promise.all(days.map((day) => under(page, day)));
  const target = days[holding.findLastIndex((titles) => !titles.includes(dragged))]!;
  await drag(page, loose, target);
  await expect.poll(() => under(page, target)).toContain(dragged);
  await expect(page.locator('.said')).toContainText(`${dragged} is on ${target} now`);

  const [keyed] = (await under(page, 'Tuesday')).slice(-1);
  const card = cards(page).filter({ hasText: keyed! }).first();
  await card.locator('.open').focus();
  await page.keyboard.press('Shift+ArrowRight');
  await expect(page.locator('.said')).toContainText(/is on Wednesday now/);
  await expect.poll(() => under(page, 'Wednesday')).toContain(keyed!);

  // The calendar file holds the same cards.
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('menuitem', { name: /reminders/ }).click(),
  ]);
  const text = readFileSync(await download.path(), 'utf8');
  const calendar = new ICAL.Component(ICAL.parse(text) as unknown as string);
  const titles = calendar
    .getAllSubcomponents('vevent')
    .map((one) => String(new ICAL.Event(one).summary));
  const shown = await cards(page).filter({ hasNotText: 'left undone' }).locator('.title').all();
  const onBoard = await Promise.all(shown.map((one) => one.textContent()));
  expect(titles.sort()).toEqual(onBoard.map((one) => one?.trim()).sort());
});

test('a child who is away changes the groups and what to lay ready', async ({ page }) => {
  await page.getByRole('link', { name: 'Week' }).click();
  await expect(cards(page).first()).toBeVisible();
  await plan(page);
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  const ready = page.locator('gumo-get-ready');
  await expect(ready).toBeVisible();
  const before = await ready.innerText();
  const withKofi = page.locator('gumo-entry-card', { hasText: 'Kofi' });
  await expect(withKofi.first()).toBeVisible();

  for (const name of ['Kofi', 'Sunniva', 'Mirela']) {
    await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
    await expect(page.locator('gumo-entry-card', { hasText: name })).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Plan the rest of the day' }).click();
  await expect(page.locator('.planned')).toContainText('planned for the rest of the day');
  await expect(withKofi).toHaveCount(0);
  await expect.poll(() => ready.innerText()).not.toBe(before);

  await page.getByRole('button', { name: 'I have five minutes' }).click();
  const offers = page.locator('gumo-five-minutes li');
  await expect(offers).toHaveCount(3);
  await expect(offers.first()).not.toContainText('Kofi');
  await offers
    .first()
    .getByRole('button', { name: /^Start/ })
    .click();
  await expect(page.locator('.sentence')).toBeVisible();
});

test('a plan that takes long is stopped half-way, and another is taken as it is', async ({
  page,
  server,
}) => {
  await twiceAndAway(`${server.url}/api`, '2026-04-13');
  await page.goto(new URL('/week?of=2026-04-13', page.url()).href);
  await expect(page.getByText('Nothing is planned yet')).toBeVisible();
  await page.getByRole('button', { name: 'Plan the week' }).click();
  await page.getByRole('button', { name: 'Stop, keep the old plan' }).click();
  await expect(page.getByText('The plan is as it was before')).toBeVisible();
  await expect(cards(page)).toHaveCount(0);

  await page.getByRole('button', { name: 'Plan the week' }).click();
  await expect(page.locator('gumo-week-card.coming').first()).toBeVisible();
  await page.getByRole('button', { name: 'Use this plan now' }).click();
  await expect(page.getByRole('button', { name: 'Use this plan now' })).toBeHidden();
  await expect(page.locator('gumo-week-card.coming')).toHaveCount(0);
  await expect(cards(page)).not.toHaveCount(0);
});

test('what cannot be planned is said', async ({ page }) => {
  await page.goto(new URL('/week?of=2026-04-08', page.url()).href);
  await expect(page.locator('h1')).toContainText('6 to 10 April');
  await page.getByRole('button', { name: 'The week after' }).click();
  await expect(page.locator('h1')).toContainText('13 to 17 April');
  await expect(page.getByText('Nothing is planned yet')).toBeVisible();
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday']) {
    await page.getByRole('button', { name: `Close ${day}` }).click();
    await expect(page.getByRole('button', { name: `Open ${day}` })).toBeVisible();
  }
  await page.getByRole('button', { name: 'Plan the week' }).click();
  await expect(page.getByRole('alert')).toContainText('Every day of this week is closed');
  await page.getByRole('button', { name: 'Open Thursday' }).click();
  await page.getByRole('button', { name: 'Ilse on Thursday' }).click();
  await plan(page);
  expect((await under(page, 'Thursday')).length).toBeGreaterThan(3);
  await expect(cards(page).first()).not.toContainText('Monday');
});
