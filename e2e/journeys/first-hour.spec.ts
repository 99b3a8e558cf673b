import { type Locator, type Page } from '@playwright/test';
import { expect, test } from '../world';

test.use({ household: 'empty' });

/** At most so many taps and typed fields from the empty start to a planned week. */
const MOST_TAPS = 60;
const MOST_TYPED = 16;

/** A hand that counts what it does. */
class Hand {
  taps = 0;
  typed = 0;

  async tap(what: Locator): Promise<void> {
    await what.click();
    this.taps++;
  }
  async type(where: Locator, words: string): Promise<void> {
    await where.fill(words);
    this.typed++;
  }
  async choose(page: Page, field: string, option: string): Promise<void> {
    await page.getByRole('combobox', { name: field }).press('Enter');
    await page.getByRole('option', { name: option }).click();
    this.taps += 2;
  }
}

async function addChild(
  page: Page,
  name: string,
  month: string,
  year: string,
  hand = new Hand(),
): Promise<void> {
  await hand.type(page.getByRole('textbox', { name: 'Name' }), name);
  await hand.choose(page, 'Month of birth', month);
  await hand.choose(page, 'Year of birth', year);
  await hand.tap(page.getByRole('button', { name: /^Add the (first|next) child$/ }));
  await expect(page.locator('gumo-start-children').getByText(name, { exact: true })).toBeVisible();
}

test('four children by mouse, in sixty taps and sixteen typed fields at most', async ({ page }) => {
  const hand = new Hand();
  const button = (name: string | RegExp): Locator => page.getByRole('button', { name });
  await expect(page.getByText('Your day will appear here.')).toBeVisible();
  await hand.tap(page.getByRole('link', { name: 'Start the first hour' }));
  await expect(page.getByText('Five steps to a first week.')).toBeVisible();
  const family = [
    ['Wren', 'August', '2023'],
    ['Juna', 'November', '2020'],
    ['Pip', 'March', '2022'],
    ['Oona', 'June', '2021'],
  ] as const;
  for (const [name, month, year] of family) await addChild(page, name, month, year, hand);
  await hand.tap(button('That is everybody'));
  await hand.tap(page.getByRole('radio', { name: 'Morning only' }));
  await hand.tap(button('Use this day'));
  await expect(page.getByRole('heading', { name: 'Kitchen' })).toBeVisible();
  const things = ['plates', 'small bowls', 'cups', 'wooden cubes', 'large buttons', 'crayons'];
  for (const name of [...things, 'index cards', 'clothespins', 'picture books', 'hand puppet']) {
    await hand.tap(page.getByRole('checkbox', { name, exact: true }));
  }
  await hand.type(page.getByRole('spinbutton', { name: 'About how many wooden cubes' }), '40');
  await hand.tap(button('Add 10 materials'));
  await hand.tap(button('Start by age'));
  await hand.tap(button('Plan the first week'));
  await expect(page.getByRole('heading', { name: 'This week is planned' })).toBeVisible({
    timeout: 60_000,
  });
  await hand.tap(button('Done: go to Today'));
  await expect(page.locator('gumo-entry-card').first()).toBeVisible();
  expect(hand.taps).toBeLessThanOrEqual(MOST_TAPS);
  expect(hand.typed).toBeLessThanOrEqual(MOST_TYPED);
});

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('the first hour by keyboard alone', async ({ page }) => {
    const press = async (...keys: string[]): Promise<void> => {
      for (const key of keys) await page.keyboard.press(key);
    };
    const go = async (to: Locator, key = 'Enter'): Promise<void> => {
      await to.focus();
      await press(key);
    };
    await go(page.getByRole('link', { name: 'Start the first hour' }));
    await page.getByRole('textbox', { name: 'Name' }).focus();
    await page.keyboard.type('Wren');
    // From field to field by Tab alone; the first letters choose.
    await press('Tab');
    await page.keyboard.type('Aug');
    await expect(page.getByRole('combobox', { name: 'Month of birth' })).toHaveText('August');
    await press('Tab');
    await page.keyboard.type('2021');
    await expect(page.getByRole('combobox', { name: 'Year of birth' })).toHaveText('2021');
    await press('Tab', 'Tab', 'Enter');
    const added = page.locator('gumo-start-children .cards');
    await expect(added).toContainText('Wren');
    await expect(added).toContainText('4 years 6 months');
    await go(page.getByRole('button', { name: 'That is everybody' }));
    await go(page.getByRole('button', { name: 'Use this day' }));
    await go(page.getByRole('checkbox', { name: 'plates', exact: true }), 'Space');
    await go(page.getByRole('button', { name: 'Add 1 material' }));
    await go(page.getByRole('button', { name: 'Start by age' }));
    await go(page.getByRole('button', { name: 'Plan the first week' }));
    await expect(page.getByRole('heading', { name: 'This week is planned' })).toBeVisible({
      timeout: 60_000,
    });
    await go(page.getByRole('button', { name: 'Done: go to Today' }));
    await expect(page.locator('gumo-entry-card').first()).toBeVisible();
  });
});

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
