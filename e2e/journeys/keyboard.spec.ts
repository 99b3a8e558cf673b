import type { Page } from '@playwright/test';
import { asked, expect, test } from '../world';

/** Goes on with Tab until the element that has the focus is called this. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let presses = 0; presses < 80; presses++) {
    await page.keyboard.press('Tab');
    const found = await page.evaluate(() => {
      const element = document.activeElement;
      return element?.getAttribute('aria-label') ?? element?.textContent ?? '';
    });
    if (name.test(found.trim())) return;
  }
  throw new Error(`nothing called ${String(name)} was reached with Tab`);
}

test('the whole sitting by keyboard alone', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await tabTo(page, /^Begin Numbers about us/);
  await page.keyboard.press('Enter');
  const soFar = page.locator('gumo-so-far li');
  const tab = (name: string) => page.getByRole('tab', { name: new RegExp(name) });
  await expect(tab('Dilara')).toHaveAttribute('aria-selected', 'true');
  const press = async (key: string): Promise<void> => {
    await asked(page);
    await page.keyboard.press(key);
  };

  await press('o');
  await expect(soFar).toHaveCount(1);
  await expect(soFar.first()).toContainText('on own');
  await press('h');
  await expect(soFar.first()).toContainText('with help');
  await press('x');
  await expect(soFar.first()).toContainText('not now');
  await page.keyboard.press('Backspace');
  await expect(soFar).toHaveCount(2);

  await page.keyboard.press('ArrowRight');
  await expect(tab('Kofi')).toHaveAttribute('aria-selected', 'true');
  await page.keyboard.press('-');
  await expect(tab('Kofi')).toContainText('to 10');
  // Typing a number answers; a wrong one turns "on own" off.
  await asked(page);
  const expected = await page.locator('.numbers [aria-pressed="true"]').textContent();
  await page.keyboard.press(expected?.trim() === '0' ? '1' : '0');
  await press('o');
  await expect(soFar.first()).toContainText('Nothing noted yet');
  await press('n');
  await expect(soFar.first()).toContainText('not yet');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('Space');
  await expect(page.getByText('Picture hidden')).toBeVisible();

  await page.keyboard.press('e');
  await expect(page.getByRole('dialog')).toBeVisible();
  await tabTo(page, /^Tired$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Numbers about us is noted')).toBeVisible();

  await page.keyboard.press('c');
  await expect(page.getByRole('heading', { name: 'Children' })).toBeVisible();
  await tabTo(page, /Kofi/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Kofi' })).toBeVisible();
  await expect(page.getByRole('button', { name: /Says the words to five:/ })).toBeVisible();
  await tabTo(page, /Says the words to five:/);
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Enter');
  await expect(page.locator('gumo-opened-bead h2')).toHaveText('Up to five at a glance');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
});
