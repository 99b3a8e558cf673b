import { choose } from '../forms';
import { expect, test } from '../world';

test('an allergy is chosen, keeps things away with its reason, and what can be made is said', async ({
  page,
}) => {
  // Mirela must not meet wheat.
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Mirela/ }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('combobox', { name: 'Allergies' }).fill('whe');
  await page.getByRole('option', { name: 'wheat' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Allergies: wheat.')).toBeVisible();

  // Dough says what it usually holds, and what can be made in its place.
  await page.goto(new URL('/activities/dough-digits', page.url()).href);
  const caution = page.locator('.caution');
  await expect(caution).toContainText('Dough: holds wheat. Mirela has an allergy: wheat.');
  await expect(caution).toContainText(
    'Make cornstarch dough instead: cornstarch, baking soda and water.',
  );
  await page.getByRole('button', { name: 'Mirela' }).click();
  await page.getByRole('button', { name: 'Add to today' }).click();
  await expect(page.getByRole('alert')).toContainText('Mirela has an allergy');

  // A dough of which nobody has said what it holds is kept away until somebody does.
  await page.getByRole('link', { name: 'Materials' }).click();
  await page.getByRole('button', { name: 'Add a material' }).click();
  await page.getByLabel('What', { exact: true }).fill('our own dough');
  await choose(page, 'Used as', 'dough');
  await expect(page.getByText('Say what it holds')).toBeVisible();
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  const row = page.locator('.row').filter({ hasText: 'our own dough' });
  await expect(row).toContainText('what does it hold?');
  await page.goto(new URL('/activities/dough-digits', page.url()).href);
  await expect(caution).toContainText('Our own dough: may hold wheat');

  await page.getByRole('link', { name: 'Materials' }).click();
  await row.click();
  await page.getByRole('checkbox', { name: 'holds none of them' }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(row).not.toContainText('what does it hold?');
  await page.goto(new URL('/activities/dough-digits', page.url()).href);
  await expect(page.locator('.needs')).toContainText('our own dough');
  await expect(caution).toHaveCount(0);
});

test('a moment with cards goes only once they are moved', async ({ page }) => {
  await page.goto(new URL('/settings/day', page.url()).href);
  await page.getByRole('button', { name: 'Remove Snack' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Snack still has cards');
  await expect(dialog).toContainText('Numbers about us');
  await dialog.getByRole('radio', { name: 'Move them to Floor' }).check();
  await dialog.getByRole('button', { name: 'Remove Snack' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(
    page.locator('gumo-entry-card').filter({ hasText: 'Numbers about us' }),
  ).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Snack' })).toHaveCount(0);
});
