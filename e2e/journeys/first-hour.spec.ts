import { type Page } from '@playwright/test';
import { expect, test } from '../world';

test.use({ household: 'empty' });

async function addChild(page: Page, name: string, month: string, year: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Name' }).fill(name);
  await page.getByRole('combobox', { name: 'Month of birth' }).press('Enter');
  await page.getByRole('option', { name: month }).click();
  await page.getByRole('combobox', { name: 'Year of birth' }).press('Enter');
  await page.getByRole('option', { name: year }).click();
  await page.getByRole('button', { name: /^Add the (first|next) child$/ }).click();
  await expect(page.locator('gumo-start-children').getByText(name, { exact: true })).toBeVisible();
}

test('the first hour: five steps, left and taken up again, to a week that suits each age', async ({
  page,
  server,
}) => {
  await page.getByRole('link', { name: 'Start the first hour' }).click();
  await addChild(page, 'Wren', 'August', '2023');
  await addChild(page, 'Juna', 'November', '2020');
  await page.getByRole('button', { name: 'That is everybody' }).click();
  await page.getByRole('radio', { name: 'Morning only' }).click();
  await page.getByRole('button', { name: 'Use this day' }).click();
  await expect(page.getByRole('heading', { name: 'Kitchen' })).toBeVisible();

  // Left in the middle, and taken up on Today, where it stands how far it is.
  await page.getByRole('link', { name: 'Leave for now' }).click();
  const strip = page.getByRole('region', { name: 'First hour' });
  await expect(strip).toContainText('2 of 5 steps done');
  await strip.getByRole('link', { name: 'Continue with materials' }).click();
  for (const name of ['plates', 'small bowls', 'wooden cubes', 'large buttons', 'crayons']) {
    await page.getByRole('checkbox', { name, exact: true }).click();
  }
  await page.getByRole('spinbutton', { name: 'About how many wooden cubes' }).fill('60');
  await page.getByRole('button', { name: 'Add 5 materials' }).click();
  await page.getByRole('button', { name: 'Start by age' }).click();
  await page.getByRole('button', { name: 'Plan the first week' }).click();
  await expect(page.getByRole('heading', { name: 'This week is planned' })).toBeVisible({
    timeout: 60_000,
  });
  await page.getByRole('button', { name: 'Done: go to Today' }).click();
  await expect(page.locator('gumo-entry-card').first()).toBeVisible();
  await expect(strip).toHaveCount(0);

  // The older child is given higher ranges than the younger one, and nothing is assumed of either.
  const { entries } = (await (
    await page.request.get(`${server.url}/api/weeks/2026-03-09`)
  ).json()) as {
    entries: { participants: { childId: string; rangeMax: number; skillId?: string }[] }[];
  };
  const children = (await (await page.request.get(`${server.url}/api/children`)).json()) as {
    id: string;
    name: string;
  }[];
  const mean = (name: string): number => {
    const id = children.find((one) => one.name === name)?.id;
    const tops = entries.flatMap(({ participants }) =>
      participants.flatMap((one) =>
        one.childId === id && one.skillId !== undefined ? [one.rangeMax] : [],
      ),
    );
    expect(tops.length).toBeGreaterThan(2);
    return tops.reduce((sum, one) => sum + one, 0) / tops.length;
  };
  expect(mean('Juna')).toBeGreaterThan(mean('Wren'));
  await page.keyboard.press('u');
  await expect(page.locator('gumo-materials .row', { hasText: 'wooden cubes' })).toContainText(
    '60',
  );
  await page.keyboard.press('c');
  await page.getByRole('link', { name: 'Juna' }).click();
  await expect(page.getByRole('heading', { name: 'What now?' })).toBeVisible();
  await expect(page.locator('[data-status="assumed"]')).toHaveCount(0);
});
