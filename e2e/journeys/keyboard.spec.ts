import type { Page } from '@playwright/test';
import { expect, test } from '../world';

/** Goes on with Tab until the element that has the focus is called this. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let presses = 0; presses < 80; presses++) {
    await page.keyboard.press('Tab');
    const found = await page.evaluate(() => {
      const element = document.activeElement;
      const label = (element as HTMLInputElement | null)?.labels?.[0]?.textContent;
      return element?.getAttribute('aria-label') ?? label ?? element?.textContent ?? '';
    });
    if (name.test(found.replace(/\s+/g, ' ').trim())) return;
  }
  throw new Error(`nothing called ${String(name)} was reached with Tab`);
}

test('the whole session by keyboard alone', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await tabTo(page, /^Start Numbers about us/);
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
  await expect(page.getByRole('dialog', { name: 'Children: what can be done here' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.locator('.cdk-overlay-backdrop')).toHaveCount(0);
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
});

/** Types into the field that has the focus, in place of what stands there. */
async function write(page: Page, words: string): Promise<void> {
  await page.keyboard.press('ControlOrMeta+a');
  await page.keyboard.type(words);
}

test('a child is added and changed by keyboard alone', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await page.keyboard.press('c');
  await tabTo(page, /Add a child/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('textbox', { name: 'Name' })).toBeVisible();
  await tabTo(page, /^Name/);
  await write(page, 'Wren');
  await tabTo(page, /^Birth date/);
  await write(page, '1 June 2022');
  await tabTo(page, /^Still mouths things/);
  await page.keyboard.press('Space');
  await expect(page.getByRole('checkbox', { name: /Still mouths/ })).toBeChecked();
  await tabTo(page, /^Add the child$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Wren' })).toBeVisible();
  await expect(page.getByText('3 years 9 months')).toBeVisible();
});

test('the week is planned and a card is moved by keyboard alone', async ({ page }) => {
  // How near the plan is to the best is worked out to its end.
  test.slow();
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await page.keyboard.press('w');
  await expect(page.locator('gumo-week-card').first()).toBeVisible();
  await tabTo(page, /^The week after$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'This week' })).toBeVisible();
  await tabTo(page, /^Plan the week/);
  await page.keyboard.press('Enter');
  await expect(page.locator('header p')).toContainText(/No plan could/, { timeout: 90_000 });
  await expect(page.locator('gumo-week-card.coming')).toHaveCount(0, { timeout: 25_000 });
  const cards = page.locator('gumo-week-card:not(.invitation) .open');
  const title = (await cards.first().locator('.title').innerText()).trim();
  await cards.first().focus();
  await page.keyboard.press('Enter');
  await expect(page.locator('gumo-why-panel h2')).toHaveText(title);
  await page.keyboard.press('Escape');
  await expect(page.locator('gumo-why-panel')).toBeHidden();
});

test('a material is added and a sheet is set by keyboard alone', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await page.keyboard.press('u');
  await tabTo(page, /^Paste a list$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^Lines to add/);
  await page.keyboard.type('12 wooden rings, 60 mm, shelf 3');
  await tabTo(page, /^Add 1 /);
  await page.keyboard.press('Enter');
  await expect(page.getByText('wooden rings').first()).toBeVisible();

  await page.evaluate(() => (document.activeElement as HTMLElement).blur());
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Frames and mats' })).toBeVisible();
  await tabTo(page, /^Number cards$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Number cards' })).toBeVisible();
  await tabTo(page, /^To$/);
  await write(page, '7');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('img', { name: 'Number cards 0 to 7, page 1' })).toBeVisible();
  await expect(page.getByLabel('To', { exact: true })).toHaveValue('7');
});
