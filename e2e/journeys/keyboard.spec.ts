import type { Page } from '@playwright/test';
import { expect, test } from '../world';

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
  const child = (name: string) =>
    page.getByRole('radiogroup', { name: 'Children in this session' }).getByRole('radio', { name });
  await expect(child('Dilara')).toBeChecked();
  const sentence = page.locator('.ask .sentence');
  /** A numeral was found: its digit is typed, then how it went, then on to the next. */
  const found = async (digit: string, key: string): Promise<void> => {
    await expect(sentence).toBeVisible();
    await page.keyboard.press(digit);
    await expect(page.getByRole('group', { name: 'How it went' })).toBeVisible();
    await page.keyboard.press(key);
  };

  await found('4', 'o');
  await expect(child('Kofi')).toBeChecked();
  await page.keyboard.press('ArrowLeft');
  await expect(soFar.first()).toContainText('on their own');
  await found('3', 'h');
  await page.keyboard.press('ArrowLeft');
  await expect(soFar).toHaveCount(2);
  await expect(soFar.first()).toContainText('with help');
  await page.keyboard.press('Backspace');
  await expect(soFar).toHaveCount(1);

  await page.keyboard.press('ArrowRight');
  await expect(child('Kofi')).toBeChecked();
  await page.keyboard.press('-');
  await expect(child('Kofi')).toContainText('to 10');
  // Typing a number answers; a wrong one is asked about at once.
  await page.keyboard.press('7');
  await expect(page.getByRole('group', { name: 'How it went' })).toBeVisible();
  await page.keyboard.press('5');
  await page.keyboard.press('o');
  await expect(page.getByRole('alertdialog')).toBeVisible();
  await tabTo(page, /^Not yet, with this answer$/);
  await page.keyboard.press('Enter');
  await page.keyboard.press('ArrowLeft');
  await page.evaluate(() => (document.activeElement as HTMLElement).blur());

  await page.keyboard.press('e');
  await expect(page.getByRole('dialog')).toBeVisible();
  await tabTo(page, /^All calm$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  await tabTo(page, /^Back to the day$/);
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
  await expect(page.locator('.cdk-overlay-backdrop')).toHaveCount(0);
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
});
