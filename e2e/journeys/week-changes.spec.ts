import type { Page } from '@playwright/test';
import { plan } from '../plan';
import { expect, test } from '../world';

const cards = (page: Page) => page.locator('gumo-week-card');

test('after a first look, a new child or new materials the week is planned again', async ({
  page,
}) => {
  const week = (of = '2026-03-16') => page.goto(new URL(`/week?of=${of}`, page.url()).href);
  await week();
  await plan(page);
  await expect(page.getByRole('button', { name: 'Plan the rest again' })).toHaveCount(0);

  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await page.getByRole('link', { name: 'Add a child' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
  await page.getByLabel('Birth date').fill('2021-12-01');
  await page.getByRole('button', { name: 'Add the child' }).click();
  await page.getByRole('link', { name: 'First look' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  const noted = page.getByText(/of at most 15 today/);
  for (let t = 0; t < 4; t++) {
    await expect(noted).toContainText(`${t} of at most 15 today`);
    await page.keyboard.press('o');
  }
  await page.getByRole('button', { name: 'Stop for today' }).click();
  await expect(page.getByText('Enough for today')).toBeVisible();

  await week();
  await expect(page.locator('.changed')).toContainText('Wren has joined.');
  await expect(page.locator('.changed')).toContainText('planned before that');
  await expect(cards(page).filter({ hasText: 'Wren' })).toHaveCount(0);
  await plan(page, 'Plan the rest again');
  await expect(page.locator('.changed')).toHaveCount(0);
  await expect(cards(page).filter({ hasText: 'Wren' }).first()).toBeVisible();
});

test('a lighter week has fewer cards, and a fuller one more', async ({ page }) => {
  await page.goto(new URL('/week?of=2026-03-16', page.url()).href);
  const led = cards(page).filter({ hasNotText: 'Invitation' });
  const counts: number[] = [];
  for (const fullness of ['Lighter', 'Fuller']) {
    await page.getByRole('radio', { name: fullness }).click();
    await expect(page.locator('.said')).toContainText('plan it again to see it');
    await plan(page);
    counts.push(await led.count());
  }
  const [lighter, fuller] = counts as [number, number];
  expect(lighter).toBeLessThan(fuller);
});

test('beside what is led an invitation lies out, and the reasons say who minds whom', async ({
  page,
}) => {
  await page.goto(new URL('/week?of=2026-03-16', page.url()).href);
  await plan(page);
  const invitation = cards(page).filter({ hasText: 'Invitation' }).first();
  await invitation.locator('.open').click();
  const why = page.getByRole('complementary', { name: 'Why it is there' });
  await expect(why.locator('.meanwhile')).toContainText(/without you, while you lead .+ with .+\./);
  await page.keyboard.press('Escape');
  await expect(why.getByRole('heading', { name: 'Change it' })).toHaveCount(0);
});

test('on a phone the week shows one day at a time, and its reasons over it', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(new URL('/week?of=2026-03-10', page.url()).href);
  const heads = page.locator('.head');
  await expect(heads).toHaveCount(1);
  await expect(heads).toContainText('Tuesday');
  const tuesday = await cards(page).locator('.title').allTextContents();
  await page.getByRole('radio', { name: 'Thursday' }).click();
  await expect(heads).toContainText('Thursday');
  await expect.poll(() => cards(page).locator('.title').allTextContents()).not.toEqual(tuesday);
  const width = () => page.evaluate(() => document.documentElement.scrollWidth);
  expect(await width()).toBe(390);
  await cards(page).first().locator('.open').click();
  const why = page.getByRole('complementary', { name: 'Why it is there' });
  await expect(why.getByRole('heading', { name: 'Change it' })).toBeVisible();
  expect(await width()).toBe(390);
  await why.getByRole('button', { name: 'Close' }).click();
  await expect(why.getByRole('heading', { name: 'Change it' })).toHaveCount(0);
});

test('five minutes are offered for different children', async ({ page }) => {
  await page.goto(new URL('/today', page.url()).href);
  await page.getByRole('button', { name: 'I have five minutes' }).click();
  const offers = page.locator('gumo-five-minutes li');
  await expect(offers).toHaveCount(3);
  const names = ['Ilse', 'Tomasz', 'Dilara', 'Mirela', 'Kofi', 'Sunniva'];
  const words = await offers.allInnerTexts();
  const met = new Set<string>();
  for (const text of words) {
    const own = names.filter((name) => text.includes(name));
    expect(own.some((name) => !met.has(name))).toBe(true);
    own.forEach((name) => met.add(name));
  }
  expect(met.size).toBeGreaterThan(3);
});
