import { type Page } from '@playwright/test';
import { expect, test } from '../world';

test.use({ household: 'empty' });

/** Answers so many tries of a first look: on their own up to a count, then not yet. */
async function tries(page: Page, count: number, own: number): Promise<void> {
  const noted = page.getByText(/of at most 15 today/);
  for (let t = 0; t < count; t++) {
    await expect(noted).toContainText(`${t} of at most 15 today`);
    await page.keyboard.press(t < own ? 'o' : 'n');
  }
}

test('a new child is first looked at in two parts, and the day suggests what fits', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Add the first child' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
  await page.getByLabel('Birth date').fill('2021-12-01');
  await page.getByRole('button', { name: 'Add the child' }).click();
  await page.getByRole('link', { name: 'First look', exact: true }).click();

  // The age sets the pegs; one is moved by hand.
  const say = page.getByRole('slider', { name: 'Rote counting' });
  await expect(say).not.toHaveValue('0');
  await say.fill('2');
  await expect(page.getByText('up to “Says the words to ten”')).toBeVisible();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await tries(page, 6, 5);
  await page.keyboard.press('Backspace');
  await expect(page.getByText('5 of at most 15 today')).toBeVisible();
  await page.getByRole('button', { name: 'Stop for today' }).click();
  await expect(page.getByText('Enough for today')).toBeVisible();
  await page.getByRole('link', { name: 'See the strings' }).click();
  // Nothing is concluded of a strand before three tries in it.
  const known = page.locator('[data-status="assumed"]');
  await expect(known).toHaveCount(0);

  // Another day: it goes on where it stood.
  await page.clock.setSystemTime('2026-03-11T09:20:00');
  await page.reload();
  await page.getByRole('link', { name: 'First look', exact: true }).click();
  await expect(page.getByText('Begun, with 5 tries so far')).toBeVisible();
  await page.getByRole('button', { name: 'Continue' }).click();
  await tries(page, 15, 12);
  await expect(page.getByText('After 20 tries')).toBeVisible();
  await page.getByRole('link', { name: 'See the strings' }).click();
  await expect(known.first()).toBeVisible();
  await known.first().click();
  await expect(page.locator('.reason')).toContainText(/^Assumed from the first look on 1/);
  await page.getByRole('button', { name: 'Close this bead' }).click();

  // What the day suggests is the first of the next steps, and it is not yet known.
  const first = page.locator('section', { hasText: 'Next steps' }).locator('li .title').first();
  const title = (await first.textContent())?.trim() ?? '';
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  const line = page.locator('gumo-suggestions li');
  await expect(line).toContainText('Wren');
  await expect(line).toContainText(title);
  await line.getByRole('button').click();
  await expect(page.locator('gumo-entry-card')).toContainText('Wren to');
  await expect(page.locator('gumo-suggestions li')).toHaveCount(0);
});
