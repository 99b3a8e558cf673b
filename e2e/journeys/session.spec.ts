import { asked, expect, finish, note, test } from '../world';

/** The side of the tray lists the last few tries. */
const SHOWN = 6;

test('from the morning to the bead: two children, eight tries, one undone', async ({ page }) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Get ready' })).toBeVisible();
  const bobbins = page.getByRole('checkbox', { name: /\d+ wooden bobbins/ }).first();
  await bobbins.check();
  await expect(bobbins).toBeChecked();

  // Two children of different range stay in the activity; the others are away this morning.
  await page.getByRole('button', { name: /Kofi is here/ }).click();
  await page.getByRole('button', { name: /Dilara is here/ }).click();
  const card = page.locator('gumo-entry-card', { hasText: 'A lot and a few' });
  await expect(card).toContainText('Ilse to 3');
  await expect(card).toContainText('Mirela to 10');
  await expect(card).not.toContainText('Kofi');

  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  const child = (name: RegExp) =>
    page.getByRole('radiogroup', { name: 'Children in this session' }).getByRole('radio', { name });
  // One after the other, not by turns.
  await page.getByRole('switch', { name: 'Turns' }).click();
  await child(/Mirela/).click();
  await expect(child(/Mirela/)).toBeChecked();
  const soFar = page.locator('gumo-so-far li button');
  const keep = async (outcome: string, status: number): Promise<void> => {
    await note(page, outcome);
    await expect(soFar).toHaveCount(Math.min(status, SHOWN));
  };
  await keep('On their own', 1);
  await keep('With help', 2);
  // A handful of eight, whatever the range: taken, counted, counted again when asked how many.
  await asked(page);
  await page.getByRole('button', { name: 'counted again when asked' }).click();
  await page.getByRole('button', { name: 'On their own', exact: true }).click();
  await page.getByRole('button', { name: 'Not yet, with this answer' }).click();
  await expect(soFar).toHaveCount(3);
  let count = 3;
  await keep('On their own', ++count);
  await keep('Not today', ++count);
  await page.getByRole('button', { name: 'Undo the last' }).click();
  await expect(soFar).toHaveCount(Math.min(count - 1, SHOWN));

  await child(/Ilse/).click();
  await expect(page.locator('gumo-so-far')).toContainText('Nothing noted yet');
  await keep('On their own', 1);
  await page.getByRole('button', { name: 'Harder' }).click();
  await expect(child(/Ilse/)).toContainText('to 5');
  await keep('On their own', 2);
  await keep('On their own', 3);

  const session = page.url().split('/').at(-1);
  await page.reload();
  await child(/Mirela/).click();
  await expect(soFar).toHaveCount(Math.min(count - 1, SHOWN));

  await finish(page);
  await expect(page.getByText('A lot and a few is noted')).toBeVisible();
  await expect(card).toContainText('Done');

  await page.locator('.ended').getByRole('link', { name: 'Mirela' }).click();
  await expect(page.getByRole('heading', { name: 'Mirela' })).toBeVisible();
  const kept = await page.request.get(new URL(`/api/sessions/${session}`, page.url()).href);
  const { observations } = (await kept.json()) as {
    observations: { voided: boolean; observation: { skillId: string; outcome: string } }[];
  };
  // The bead of the skill that was asked when the slip was noted.
  const missed = observations.find((one) => one.observation.outcome === 'not-yet')!;
  await page.locator(`[data-skill="${missed.observation.skillId}"]`).click();
  const opened = page.locator('gumo-opened-bead');
  await expect(opened.locator('.reason')).toContainText(/on \d+ days/);
  await expect(opened).toContainText('counted again when asked how many');
  expect(observations.filter((one) => one.voided)).toHaveLength(1);
  expect(observations).toHaveLength(count + 3);
  const reason = await opened.locator('.reason').textContent();
  await page.reload();
  await expect(opened.locator('.reason')).toHaveText(reason ?? '');
});

test('a new bead fills from what was noted', async ({ page }) => {
  const strings = page.locator('gumo-bead-strings');
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Ilse/ }).click();
  const bead = strings.locator('[data-skill="total-5"]');
  const before = await bead.getAttribute('data-status');
  expect(['started', 'nearly']).toContain(before);

  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByRole('button', { name: 'Add an activity' }).click();
  await page.getByRole('combobox', { name: 'Activity' }).click();
  await page.getByRole('option', { name: /Tidy-up count/ }).click();
  await page.getByRole('checkbox', { name: 'Ilse' }).click();
  await page.getByRole('radio', { name: 'to 3' }).click();
  await page.getByRole('button', { name: 'Add to today' }).click();
  await page.getByRole('button', { name: 'Start Tidy-up count' }).click();
  const soFar = page.locator('gumo-so-far li button');
  for (let tries = 1; tries <= 6; tries++) {
    await note(page, 'On their own');
    await expect(soFar).toHaveCount(tries);
  }
  await finish(page);
  await page.locator('.ended').getByRole('link', { name: 'Ilse' }).click();
  await bead.click();
  await expect(page.locator('gumo-opened-bead .reason')).toContainText('on their own on');
  await expect(page.locator('gumo-opened-bead .evidence')).toContainText('Tue 10 Mar');
});
