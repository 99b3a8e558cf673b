import { choose, faultUnder } from '../forms';
import { expect, finish, note, test } from '../world';

test.describe('no materials yet', () => {
  test.use({ household: 'empty' });

  test('a pasted list, fifty-five counters under cards, and what is short', async ({ page }) => {
    await page.keyboard.press('u');
    await expect(page.getByText('will appear here')).toBeVisible();
    await page.getByRole('button', { name: 'Paste a list' }).click();
    const lines = page.getByRole('textbox', { name: 'Lines to add' });
    await lines.fill(
      '40 cork discs blue, 60 mm, box 3\n5000 beads\n12 wooden cubes red, 40 mm, box 4',
    );
    await expect(page.getByText('has a count over 1000')).toBeVisible();
    await page.getByRole('button', { name: 'Add 2 materials' }).click();
    const discs = page.getByRole('button', { name: /40 cork discs/ });
    await expect(discs).toContainText('box 3');
    // What could not be read is still there to be mended.
    await expect(lines).toHaveValue('5000 beads');

    await page.keyboard.press('Escape');
    await page.getByRole('link', { name: 'Activities' }).click();
    await page.getByRole('searchbox').fill('counters under');
    await page.getByRole('link', { name: /Counters under cards/ }).click();
    const needs = page.locator('.needs');
    await expect(needs).toContainText('1 + 2 + … + 10 = 55');
    await expect(needs).toContainText('15 short');
    await expect(needs).toContainText('wooden cubes would do');

    // A count changed in its place changes what is short.
    await page.getByRole('link', { name: 'Materials' }).click();
    await discs.click();
    const count = page.getByRole('spinbutton', { name: 'How many' });
    await count.fill('-1');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(faultUnder(page, 'How many')).toHaveText('Must be 0 or more.');
    await count.fill('60');
    await page.getByRole('textbox', { name: /Colors/ }).fill('60 blue');
    await page.getByRole('button', { name: 'Save' }).click();
    await expect(page.getByRole('button', { name: /60 cork discs/ })).toBeVisible();
    await page.goBack();
    await expect(needs).not.toContainText('short');
  });
});

test('no small part comes near Ilse while she is here', async ({ page }) => {
  await page.goto(new URL('/activities/counters-under', page.url()).href);
  const needs = page.locator('.needs');
  await page.getByRole('button', { name: 'Ilse' }).click();
  await page.getByRole('button', { name: 'Mirela' }).click();
  await expect(needs).toContainText('stays away: big beads (small part)');
  await expect(needs.locator('.material').first()).not.toContainText('cork discs');
  await page.getByRole('button', { name: 'Ilse' }).click();
  await expect(needs).not.toContainText('stays away');

  // On Today the list follows who is here: nothing small is offered, whatever the day needs.
  const ready = page.locator('gumo-get-ready');
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(ready.getByRole('checkbox').first()).toBeVisible();
  await expect(ready).not.toContainText('cork discs would do');
  await expect(ready).not.toContainText('big beads would do');
});

test('an activity is found, copied, changed, given, and archived', async ({ page }) => {
  await page.getByRole('link', { name: 'Activities' }).click();
  const found = page.getByRole('status');
  await expect(found).toContainText(/\b\d{2,} activities/);
  await page.getByRole('button', { name: 'Table time' }).click();
  await choose(page, 'Strand', 'Number bonds');
  await page.getByRole('button', { name: 'with what I have' }).click();
  await expect(page.locator('.list li').first()).toContainText('all there');
  await page.getByRole('button', { name: 'Show all again' }).click();
  await page.getByRole('searchbox').fill('two plates');
  await page.getByRole('link', { name: /Two plates/ }).click();
  await page.getByRole('link', { name: 'Copy as your own' }).click();
  const title = page.getByRole('textbox', { name: 'Title' });
  await expect(title).toHaveValue('Two plates (ours)');
  await title.fill('');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(faultUnder(page, 'Title')).toHaveText('Must not be empty.');
  await title.fill('Two leaves');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Two leaves' })).toBeVisible();

  await page.getByRole('button', { name: 'Kofi' }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.sentence')).toContainText('How many on this plate?');
  await note(page, 'On their own');
  await finish(page);
  await page.locator('.ended').getByRole('link', { name: 'Kofi' }).click();
  await page.getByRole('tab', { name: 'Sessions' }).click();
  await expect(page.locator('mat-expansion-panel', { hasText: 'Two leaves' })).toContainText(
    'calm',
  );

  await page.getByRole('link', { name: 'Activities' }).click();
  await page.getByRole('searchbox').fill('leaves');
  await page.getByRole('link', { name: /Two leaves/ }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Archive' }).click();
  await expect(found).toContainText(/\b\d{2,} activities/);
});

test('a song is written, and a kit is packed and checked', async ({ page }) => {
  await page.goto(new URL('/activities/songs', page.url()).href);
  await expect(page.getByText('Snails on the wall')).toBeVisible();
  await page.getByRole('button', { name: 'A song' }).click();
  await page.getByRole('textbox', { name: 'Title' }).fill('Kites in the air');
  await page.getByRole('spinbutton', { name: 'to', exact: true }).fill('9');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(faultUnder(page, 'to')).toHaveText('Must not be above from.');
  await page.getByRole('spinbutton', { name: 'to', exact: true }).fill('0');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('heading', { name: 'Kites in the air' })).toBeVisible();

  await page.getByRole('link', { name: 'Materials' }).click();
  const kits = page.locator('gumo-kits');
  await kits.getByRole('button', { name: 'Pack one' }).click();
  await kits.getByRole('textbox', { name: 'Name' }).fill('Table box');
  await choose(kits, 'Put in', 'cork discs');
  await kits.getByRole('spinbutton', { name: 'cork discs' }).fill('10');
  await kits.getByRole('button', { name: 'Save' }).click();
  await expect(kits).toContainText('10 cork discs');
  await kits.getByRole('button', { name: 'Check' }).click();
  await kits.getByRole('spinbutton', { name: /cork discs/ }).fill('8');
  await kits.getByRole('button', { name: 'After' }).click();
  await expect(kits).toContainText('missing: 2 cork discs');
  // Six weeks later it wants a change.
  await page.clock.setSystemTime('2026-04-21T09:20:00');
  await page.reload();
  await expect(kits).toContainText('time to change');
});

test('a household chooses its schools, and they stay chosen', async ({ page }) => {
  await page.keyboard.press('h');
  const fill = page.getByRole('radiogroup', { name: 'Filling a ten frame' });
  await fill.getByRole('radio', { name: 'pairs downwards' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(faultUnder(page, 'Name')).toHaveText('Must not be empty.');
  await page.getByRole('textbox', { name: 'Name' }).fill('Spindle Cottage');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible();
  await page.reload();
  await expect(fill.getByRole('radio', { name: 'pairs downwards' })).toBeChecked();
});
