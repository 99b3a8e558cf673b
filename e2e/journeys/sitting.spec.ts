import { asked, expect, test } from '../world';

/** The side of the tray lists the last few tries. */
const SHOWN = 6;

test('from the morning to the bead: two children, eight tries, one taken back', async ({
  page,
}) => {
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await expect(page.getByText('Lay ready')).toBeVisible();
  const bobbins = page.getByRole('checkbox', { name: /wooden bobbins/ });
  await bobbins.click();
  await expect(bobbins).toHaveAttribute('aria-checked', 'true');

  // Two children of different range stay in the activity; the others are away this morning.
  await page.getByRole('button', { name: /Kofi is here/ }).click();
  await page.getByRole('button', { name: /Dilara is here/ }).click();
  const card = page.locator('gumo-entry-card', { hasText: 'A lot and a few' });
  await expect(card).toContainText('Ilse to 5');
  await expect(card).toContainText('Mirela to 10');
  await expect(card).not.toContainText('Kofi');

  await page.getByRole('button', { name: 'Begin A lot and a few' }).click();
  const mirela = page.getByRole('tab', { name: /Mirela/ });
  await mirela.click();
  await expect(mirela).toHaveAttribute('aria-selected', 'true');
  const soFar = page.locator('gumo-so-far li button');
  const note = async (name: string, standing: number): Promise<void> => {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(soFar).toHaveCount(Math.min(standing, SHOWN));
    await asked(page);
  };
  await expect(page.locator('.sentence')).toBeVisible();
  await note('On own', 1);
  await note('With help', 2);
  // A wrong answer is one tap away, and then "on own" is no longer offered.
  const strip = page.locator('gumo-answer-pad .numbers').first();
  const slip = page.getByRole('button', { name: 'counted again when asked' });
  let count = 2;
  while (!(await slip.isVisible())) await note('On own', ++count);
  await slip.click();
  await expect(strip).toBeVisible();
  await expect(page.getByRole('button', { name: 'On own', exact: true })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  await note('Not yet', ++count);
  while (count < 4) await note('On own', ++count);
  await note('Not now', ++count);
  await page.getByRole('button', { name: 'Take back the last' }).click();
  await expect(soFar).toHaveCount(Math.min(count - 1, SHOWN));

  await page.getByRole('tab', { name: /Ilse/ }).click();
  await expect(page.locator('gumo-so-far')).toContainText('Nothing noted yet');
  await note('On own', 1);
  await page.getByRole('button', { name: 'Easier' }).click();
  await expect(page.getByRole('tab', { name: /Ilse/ })).toContainText('to 3');
  await note('On own', 2);
  await note('On own', 3);

  const sitting = page.url().split('/').at(-1);
  await page.reload();
  await page.getByRole('tab', { name: /Mirela/ }).click();
  await expect(soFar).toHaveCount(Math.min(count - 1, SHOWN));

  await page.getByRole('button', { name: 'End here' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Calm' }).click();
  await expect(page.getByText('A lot and a few is noted')).toBeVisible();
  await expect(card).toContainText('Done');

  await page.locator('.ended').getByRole('link', { name: 'Mirela' }).click();
  await expect(page.getByRole('heading', { name: 'Mirela' })).toBeVisible();
  const kept = await page.request.get(new URL(`/api/sittings/${sitting}`, page.url()).href);
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
  const before = await bead.getAttribute('data-standing');
  expect(['started', 'nearly']).toContain(before);

  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await page.getByRole('button', { name: 'Add an activity' }).click();
  await page.getByRole('combobox', { name: 'Activity' }).click();
  await page.getByRole('option', { name: /Tidy-up count/ }).click();
  await page.getByRole('checkbox', { name: 'Ilse' }).click();
  await page.getByRole('radio', { name: 'to 3' }).click();
  await page.getByRole('button', { name: 'Add to today' }).click();
  await page.getByRole('button', { name: 'Begin Tidy-up count' }).click();
  const soFar = page.locator('gumo-so-far li button');
  for (let tries = 1; tries <= 6; tries++) {
    await page.getByRole('button', { name: 'On own', exact: true }).click();
    await expect(soFar).toHaveCount(tries);
  }
  await page.getByRole('button', { name: 'End here' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Great' }).click();
  await page.locator('.ended').getByRole('link', { name: 'Ilse' }).click();
  await bead.click();
  await expect(page.locator('gumo-opened-bead .reason')).toContainText('on own on');
  await expect(page.locator('gumo-opened-bead .evidence')).toContainText('Tue 10 Mar');
});
