import { faultUnder } from '../forms';
import { expect, finish, note, test } from '../world';

test.describe('an empty household', () => {
  test.use({ household: 'empty' });

  test('the first child, the first activity, the first session', async ({ page }) => {
    await page.getByRole('link', { name: 'Add the first child' }).click();

    // What is missing is said beside its field, and what was typed stays.
    await page.getByRole('button', { name: 'Add the child' }).click();
    await expect(faultUnder(page, 'Name')).toHaveText('Must not be empty.');
    await expect(faultUnder(page, 'Birth date')).toHaveText(
      'Must be a day such as 24 November 2022.',
    );
    await expect(page.getByRole('textbox', { name: 'Name' })).toBeFocused();
    await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
    await page.getByRole('textbox', { name: 'Birth date' }).fill('2030-01-01');
    await page.getByRole('button', { name: 'Add the child' }).click();
    await expect(faultUnder(page, 'Birth date')).toHaveText('Must not be after today.');
    await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Wren');
    await page.getByRole('textbox', { name: 'Birth date' }).fill('2022-06-01');
    await page.getByLabel('Likes').fill('snails, kites');
    await page.getByRole('checkbox', { name: 'Still mouths things' }).click();
    await page.getByRole('button', { name: 'Add the child' }).click();

    await expect(page.getByRole('heading', { name: 'Wren' })).toBeVisible();
    await expect(page.getByText('3 years 9 months · likes snails and kites')).toBeVisible();
    await expect(page.getByRole('heading', { name: 'What now?' })).toBeVisible();
    await expect(page.getByText('still mouths things: no small parts')).toBeVisible();

    await page.keyboard.press('t');
    await expect(page.getByText('Nothing is planned for today')).toBeVisible();
    await page.getByRole('button', { name: 'Add an activity' }).click();
    await page.getByRole('button', { name: 'Add to today' }).click();
    await expect(page.getByText('Choose an activity')).toBeVisible();
    await page.getByRole('combobox', { name: 'Activity' }).click();
    await page.getByRole('option', { name: /A lot and a few/ }).click();
    await page.getByRole('button', { name: 'Add to today' }).click();
    await expect(page.getByText('Choose at least one child.')).toBeVisible();
    await page.getByRole('checkbox', { name: 'Wren' }).click();
    await page.getByRole('button', { name: 'Add to today' }).click();
    await expect(page.locator('gumo-entry-card')).toContainText('Wren to 3');
    await expect(page.locator('gumo-get-ready')).toContainText('like counters');

    await page.getByRole('button', { name: 'Start A lot and a few' }).click();
    await note(page, 'On their own');
    await finish(page);
    await page.locator('.ended').getByRole('link', { name: 'Wren' }).click();
    // What was asked is chosen by the seed of the session; whatever it was has started.
    await page.locator('[data-status="started"]').first().click();
    await expect(page.locator('.reason')).toHaveText(/^Started: 1 of 1 on their own on 1 day/);
  });
});

test('a child is changed, archived and brought back', async ({ page }) => {
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Tomasz/ }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Tomasz');
  await page.getByLabel('Likes').fill('drums');
  await page.getByRole('radio', { name: 'follow the child' }).check();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('likes drums')).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'When to go on' })).toContainText(
    'follow the child',
  );

  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(page.getByRole('heading', { name: 'Children' })).toBeVisible();
  await expect(page.locator('.cards').getByText('Tomasz')).toHaveCount(0);
  await page.getByRole('button', { name: 'Show archived (1)' }).click();
  await page.getByRole('link', { name: 'Tomasz' }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Bring back from the archive' }).click();
  await expect(page.getByText('likes drums')).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'When to go on' })).toContainText(
    'follow the child',
  );
});

test('a message of the server stands beside its field, and nothing typed is lost', async ({
  page,
}) => {
  await page.goto(new URL('/children/new', page.url()).href);
  await page.getByRole('textbox', { name: 'Name' }).fill('Wren');
  await page.getByRole('textbox', { name: 'Birth date' }).fill('2022-06-01');
  await page.route('**/api/children', (route) =>
    route.fulfill({
      status: 400,
      contentType: 'application/problem+json',
      body: JSON.stringify({
        title: 'name must have at most 40 characters',
        errors: [{ field: 'name', message: 'must have at most 40 characters' }],
      }),
    }),
  );
  await page.getByRole('button', { name: 'Add the child' }).click();
  await expect(faultUnder(page, 'Name')).toHaveText('Must have at most 40 characters.');
  await expect(page.getByRole('textbox', { name: 'Birth date' })).toHaveValue('1 June 2022');
});
