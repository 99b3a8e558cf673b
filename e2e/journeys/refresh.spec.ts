import type { Page } from '@playwright/test';
import { expect, test } from '../world';

/** What is asked of the server from now on, as "GET /days/2026-03-10"; how devices are kept in step apart. */
function watch(page: Page): string[] {
  const asked: string[] = [];
  page.on('request', (request) => {
    const { pathname } = new URL(request.url());
    if (!pathname.startsWith('/api/') || /\/(changes|health|counting|access)/.test(pathname))
      return;
    asked.push(
      `${request.method()} ${pathname.slice(4).replace(/[0-9a-f]{8}-[0-9a-f-]{27}/g, ':id')}`,
    );
  });
  return asked;
}

test('after six visits to Today a note is one write and one load', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  for (let visit = 0; visit < 5; visit++) {
    await page.keyboard.press('p');
    await expect(page.getByRole('heading', { name: 'Frames and mats' })).toBeVisible();
    await page.keyboard.press('t');
    await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  }
  await page.keyboard.press('j');
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Kofi' }).click();
  await dialog.getByRole('textbox').fill('counts the stairs');
  const asked = watch(page);
  await dialog.getByRole('button', { name: 'Save the words' }).click();
  await expect.poll(() => asked).toContain('GET /days/2026-03-10');
  // Time for whatever else would come of it: another device's view goes through the same line.
  await page.waitForLoadState('networkidle');
  expect(asked).toEqual(['POST /notes', 'GET /days/2026-03-10']);
});

test('pinning a card is one write and one load, and another device sees it at once', async ({
  page,
  context,
}) => {
  await page.keyboard.press('w');
  const card = page.locator('gumo-week-card:not(.invitation):has(.pin:enabled)').first();
  await expect(card).toBeVisible();
  const other = await context.newPage();
  await other.clock.install({ time: '2026-03-10T09:20:00' });
  await other.goto(page.url());
  const there = other.locator('gumo-week-card:not(.invitation):has(.pin:enabled)').first();
  await expect(there).toBeVisible();
  const before = await there.locator('.pin').getAttribute('aria-pressed');
  await page.bringToFront();
  const asked = watch(page);
  await card.locator('.pin').click();
  await expect(there.locator('.pin')).not.toHaveAttribute('aria-pressed', before ?? '');
  await page.waitForLoadState('networkidle');
  expect(asked.map((one) => one.replace(/\d{4}-\d\d-\d\d/, ':monday'))).toEqual([
    'PUT /plan/:id',
    'GET /weeks/:monday',
  ]);
});
