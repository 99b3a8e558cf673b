import { choose, faultUnder } from '../forms';
import { expect, finish, note, test } from '../world';

test('an activity of one’s own: copied, mended, found, begun, and put away', async ({ page }) => {
  await page.getByRole('link', { name: 'Activities' }).click();
  await page.getByRole('searchbox').fill('counters under');
  await page.getByRole('link', { name: /Counters under cards/ }).click();
  await page.getByRole('link', { name: 'Copy as your own' }).click();
  const title = page.getByRole('textbox', { name: 'Title' });
  await expect(title).toHaveValue('Counters under cards (ours)');
  await title.fill('');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(faultUnder(page, 'Title')).toHaveText('Must not be empty.');
  await title.fill('Bobbins under cards');
  await page.getByRole('textbox', { name: 'Step 1', exact: true }).fill('Lay the cards in a row.');
  await page.getByRole('button', { name: 'Add', exact: true }).click();

  await expect(page.getByRole('heading', { name: 'Bobbins under cards' })).toBeVisible();
  await expect(page.getByText('Lay the cards in a row.')).toBeVisible();
  await page.getByRole('button', { name: 'Kofi' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await note(page, 'On their own');
  await expect(page.getByRole('button', { name: /^Undo .*on their own/ }).first()).toBeVisible();

  await finish(page);
  await page.getByRole('link', { name: 'Activities' }).click();
  await page.getByRole('searchbox').fill('bobbins under');
  await page.getByRole('link', { name: /Bobbins under cards/ }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await page.getByRole('searchbox').fill('bobbins under');
  await expect(page.getByText('No activity fits all of these filters.')).toBeVisible();
});

test('a song is written, sung from its page, and taken out', async ({ page }) => {
  await page.getByRole('link', { name: 'Activities' }).click();
  await page.getByRole('link', { name: 'Songbook' }).click();
  await page.getByRole('button', { name: 'A song' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Ten drums in the rain');
  await choose(page, 'It counts', 'up');
  await page.getByRole('spinbutton', { name: 'from' }).fill('1');
  await page.getByRole('spinbutton', { name: 'to' }).fill('10');
  await page.getByRole('textbox', { name: 'Your own words' }).fill('One drum in the rain');
  await page.getByRole('button', { name: 'Save' }).click();
  await page.reload();
  const song = page.getByRole('listitem').filter({ hasText: 'Ten drums in the rain' });
  await expect(song).toContainText('up from 1 to 10');
  await expect(song).toContainText('One drum in the rain');
  await song.getByRole('button', { name: 'Change Ten drums in the rain' }).click();
  await page.getByRole('button', { name: 'Remove' }).click();
  await expect(song).toHaveCount(0);
});

test('a household chooses its way, and finds it again', async ({ page }) => {
  await page.getByRole('link', { name: 'Settings' }).click();
  const fill = page.getByRole('radiogroup', { name: 'Filling a ten frame' });
  await fill.getByRole('radio', { name: 'free' }).click();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status')).toContainText('Saved.');
  await page.reload();
  await expect(fill.getByRole('radio', { name: 'free' })).toBeChecked();
  await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
});

test('filters narrow the list together, and a phone folds them away', async ({ page }) => {
  await page.getByRole('link', { name: 'Activities' }).click();
  const count = page.getByRole('status');
  await expect(count).toContainText(/\b\d{2,} activities/);
  await page.getByRole('button', { name: 'Table time' }).click();
  await choose(page, 'Strand', 'Number bonds');
  await page.getByRole('button', { name: '5', exact: true }).click();
  const titles = page.locator('.list .title strong');
  const few = await titles.allTextContents();
  expect(few.length).toBeGreaterThan(1);
  expect(few.length).toBeLessThan(30);

  await page.setViewportSize({ width: 390, height: 844 });
  await expect(page.getByRole('combobox', { name: 'Strand' })).toBeHidden();
  await page.getByRole('button', { name: 'Filters' }).click();
  await expect(page.getByRole('combobox', { name: 'Strand' })).toContainText('Number bonds');
  await page.getByRole('button', { name: 'Show all again' }).click();
  await expect(count).toContainText(/\b\d{2,} activities/);
});
