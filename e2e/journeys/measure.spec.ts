/* global document */
import type { Page } from '@playwright/test';
import { openDetail } from '../forms';
import { expect, test } from '../world';

const open = async (page: Page, tool: string, names: readonly string[]): Promise<void> => {
  await page.getByRole('link', { name: 'Measure', exact: true }).click();
  await page.getByRole('link', { name: tool, exact: true }).click();
  await expect(page.getByRole('heading', { name: tool, level: 1 })).toBeVisible();
  for (const name of names) {
    const child = page
      .locator('gumo-measuring-participants')
      .getByRole('button', { name, exact: true });
    await child.click();
    await expect(child).toHaveAttribute('aria-pressed', 'true');
  }
};

const measuringOf = async (page: Page, child: RegExp): Promise<void> => {
  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await page.getByRole('link', { name: child }).click();
  await openDetail(page, 'Measuring');
};

/** What was noted stands among the sessions of the child, under the activity that it belongs to. */
const sessionOf = async (page: Page, child: RegExp, title: string): Promise<void> => {
  await page.getByRole('link', { name: 'Children', exact: true }).click();
  await page.getByRole('link', { name: child }).click();
  await page.getByRole('tab', { name: 'Sessions' }).click();
  await expect(page.getByText(title, { exact: true }).first()).toBeVisible();
};

test('six things are weighed while two children predict; another dividing weight is a new round', async ({
  page,
}) => {
  await open(page, 'Lighter or heavier', ['Kofi', 'Mirela']);
  const materials = ['stone', 'pillow', 'spoon', 'cup', 'book', 'sock'];
  for (const name of materials) {
    await page.getByRole('combobox', { name: 'Object' }).fill(name);
    await page.keyboard.press('Enter');
  }
  // The house has a scale; here the one on screen stands in for it.
  await page.getByRole('radio', { name: 'scale on screen' }).click();
  await page.getByLabel('Lighter or heavier than').fill('nothing');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('The dividing weight must be a weight');
  await page.getByLabel('Lighter or heavier than').fill('300');
  await page.keyboard.press('Tab');

  const say = (child: string, material: string, side: string) =>
    page
      .getByRole('group', { name: `${child} on ${material}` })
      .getByRole('button', { name: side, exact: true })
      .click();
  for (const material of materials) {
    await say(
      'Kofi',
      material,
      material === 'stone' || material === 'book' ? 'heavier' : 'lighter',
    );
    await say(
      'Mirela',
      material,
      material === 'pillow' || material === 'book' ? 'lighter' : 'heavier',
    );
  }
  await page.getByRole('button', { name: 'On', exact: true }).click();
  for (const material of materials) {
    const row = page.getByRole('row', { name: new RegExp(`^${material}`) });
    await row.getByRole('button', { name: /Put on/ }).click();
    await page.clock.runFor(1500);
    await page.getByRole('button', { name: 'Write it down' }).click();
    await expect(row).toContainText(' g');
  }
  // How large each looks is said in one tap; then what was predicted is kept.
  for (const material of materials) {
    const large = ['pillow', 'book', 'cup'].includes(material);
    await page
      .getByRole('radiogroup', { name: `How large is ${material}` })
      .getByRole('radio', { name: large ? 'large' : 'small' })
      .click();
  }
  const columns = page.getByRole('region', { name: 'Columns' });
  await expect(columns.locator('.lighter p')).toHaveCount(3);
  await expect(columns.locator('.heavier p')).toHaveCount(3);
  await expect(page.getByText('The heaviest: stone')).toBeHidden();
  await page
    .getByRole('radiogroup', { name: 'The heaviest' })
    .getByRole('radio', { name: 'pillow' })
    .click();
  await page.getByRole('button', { name: 'Show the order' }).click();
  await expect(page.getByText('Heaviest: you thought pillow; it is stone.')).toBeVisible();
  await expect(page.getByText('The heaviest: stone. The lightest: sock.')).toBeVisible();
  await expect(page.getByText('12 noted')).toBeVisible();
  await expect(page.getByText('a surprise').first()).toBeVisible();

  await page.getByLabel('Lighter or heavier than').fill('400');
  await page.keyboard.press('Tab');
  await expect(columns.locator('p')).toHaveCount(0);
  const first = page.getByRole('region', { name: 'Round 1: 300 g' });
  await expect(first).toContainText('heavier: stone, pillow, book');
  await expect(page.getByText('12 noted')).toBeVisible();

  await measuringOf(page, /Kofi/);
  await expect(page.getByText('5 as predicted, one surprise')).toBeVisible();
  const line = page.getByRole('row', { name: /stone/ });
  await expect(line).toContainText('heavier than 300 g');
  await expect(line).toContainText('from the mark');
  await measuringOf(page, /Mirela/);
  await expect(page.getByText('1 as predicted, 5 surprises')).toBeVisible();
  await page.getByRole('tab', { name: 'Sessions' }).click();
  await expect(page.getByText('Lighter or heavier than this').first()).toBeVisible();
});

test('three guess how many are in the jar: by touch, by drag, by keys', async ({ page }) => {
  await open(page, 'The jar', ['Kofi', 'Mirela', 'Sunniva']);
  const chart = (name: string) => page.getByRole('application', { name: new RegExp(`^${name}`) });
  const cell = (name: string, n: number) =>
    chart(name)
      .locator('span')
      .nth(n - 1);
  await cell('Kofi', 30).click();
  await page
    .getByRole('radiogroup', { name: 'What Kofi rules out' })
    .getByRole('radio', { name: 'too many' })
    .click();
  await cell('Kofi', 80).click();
  await cell('Kofi', 61).click();
  await expect(chart('Kofi')).toHaveAttribute('aria-label', /keeps 31 to 60/);

  const [from, to] = [await cell('Mirela', 5).boundingBox(), await cell('Mirela', 9).boundingBox()];
  if (!from || !to) throw new Error('no chart');
  await page.mouse.move(from.x + 10, from.y + 10);
  await page.mouse.down();
  await page.mouse.move(to.x + 10, to.y + 10, { steps: 8 });
  await page.mouse.up();
  await expect(chart('Mirela')).toHaveAttribute('aria-label', /keeps 10 to 100/);

  await chart('Sunniva').focus();
  for (const key of ['ArrowDown', 'ArrowDown', 'ArrowRight', 'Shift+ArrowUp', 'Shift+ArrowUp']) {
    await page.keyboard.press(key);
  }
  await expect(chart('Sunniva')).toHaveAttribute('aria-label', /keeps 22 to 80/);

  await page.getByRole('textbox', { name: 'Counted' }).fill('a few');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('must be a whole number');
  await page.getByRole('textbox', { name: 'Counted' }).fill('64');
  await page.keyboard.press('Tab');
  await expect(page.getByText('64 is above the range, by 4').first()).toBeVisible();
  await page.getByRole('radio', { name: 'fives', exact: true }).click();
  await expect(page.getByRole('img', { name: '13 groups' })).toBeVisible();
  await page.getByRole('button', { name: 'Note all' }).click();
  await expect(page.getByText('3 noted')).toBeVisible();
  await measuringOf(page, /Sunniva/);
  await expect(page.getByText(/Inside \d+ of \d+ times/)).toBeVisible();
});

test('a basket sorted by two rules makes two charts, and a question is answered', async ({
  page,
}) => {
  await open(page, 'Graphs', ['Kofi']);
  await page.getByRole('radio', { name: 'a sorted basket' }).click();
  const chart = page.locator('gumo-materials-chart svg').first();
  await expect(chart).toHaveAttribute('aria-label', /blue: \d+/);
  await page.getByRole('radio', { name: 'by kind' }).click();
  await expect(chart).not.toHaveAttribute('aria-label', /blue/);
  await page.getByRole('group', { name: 'What Kofi says' }).getByRole('button').first().click();
  await expect(page.getByText('1 noted')).toBeVisible();

  await page.getByRole('radio', { name: 'a walk’s tally' }).click();
  const column = async (name: string): Promise<void> => {
    await page.getByLabel('Column').fill(name);
    await page.keyboard.press('Enter');
  };
  await column('kites');
  await column('dogs');
  await page.getByRole('button', { name: 'More: kites' }).click();
  await page.getByLabel('How many: dogs').fill('31');
  await page.keyboard.press('Tab');
  await expect(chart).toHaveAttribute('aria-label', 'kites: 1, dogs: 31');
  await page.getByLabel('Title').fill('What came by');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Save the graph' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeDisabled();

  // It is there after the place was left, and prints.
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await open(page, 'Graphs', []);
  await expect(chart).toHaveAttribute('aria-label', 'an empty graph');
  await page.getByRole('button', { name: 'What came by', exact: true }).click();
  await expect(chart).toHaveAttribute('aria-label', 'kites: 1, dogs: 31');
  const made = page.waitForResponse(/papers\/graph\.pdf$/);
  await page.getByRole('button', { name: 'Print', exact: true }).click();
  expect((await made).headers()['content-type']).toContain('application/pdf');
  await sessionOf(page, /Kofi/, 'Columns');
});

test('a pattern is gone on with, and its mistake is found', async ({ page }) => {
  await open(page, 'Patterns', ['Dilara']);
  await page.getByRole('radio', { name: 'ABB', exact: true }).click();
  const palette = page.getByRole('group', { name: 'What may come' }).getByRole('button');
  await palette.nth(2).click();
  await expect(page.locator('.told')).toContainText('the first one is another');
  await page.getByRole('button', { name: 'Undo' }).click();
  await palette.nth(0).click();
  await expect(page.locator('.told')).toHaveText('That goes on.');
  await expect(page.getByText('1 noted')).toBeVisible();

  await page.getByRole('radio', { name: 'find the mistake' }).click();
  const row = page.getByRole('group', { name: 'The row' });
  const many = await row.getByRole('button').count();
  for (let at = 0; at < many; at++) {
    await row.getByRole('button').nth(at).focus();
    await page.keyboard.press('Enter');
    const told = (await page.locator('.told').textContent()) ?? '';
    if (told.startsWith('That is the one.')) break;
  }
  await expect(page.locator('.told')).toContainText('That is the one.');
  await expect(page.getByText('2 noted')).toBeVisible();
  await sessionOf(page, /Dilara/, 'Pattern tray');
});

test('a hinge closed from 90 to 60 degrees shows six instead of four, once they were guessed', async ({
  page,
}) => {
  await open(page, 'Mirrors', ['Kofi']);
  await expect(page.locator('.hinge .image')).toHaveCount(0);
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText('you see 4, the thing itself among them').first()).toBeVisible();
  await expect(page.locator('.hinge .image')).toHaveCount(3);
  for (let i = 0; i < 2; i++) await page.getByRole('button', { name: 'Narrower' }).click();
  await expect(page.locator('.hinge .image')).toHaveCount(0);
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: 'More, says Kofi' }).click();
  await page.getByRole('button', { name: 'Look' }).click();
  await expect(page.getByText('Opened 60 degrees: you see 6').first()).toBeVisible();
  await expect(page.locator('.hinge .image')).toHaveCount(5);
  await expect(page.getByText('1 noted')).toBeVisible();
  await measuringOf(page, /Kofi/);
  await expect(page.getByRole('row', { name: /how many pictures \d+ 6/ })).toBeVisible();
  await sessionOf(page, /Kofi/, 'Two mirrors, one hinge');
});

test('two things hang on a real balance: what was thought, what went down, and the child’s page', async ({
  page,
}) => {
  await open(page, 'Balance', ['Mirela']);
  await page.getByRole('radio', { name: 'real balance' }).click();
  for (const name of ['river stone', 'wool sock']) {
    await page.getByRole('combobox', { name: 'Object' }).fill(name);
    await page.keyboard.press('Enter');
  }
  const says = page.getByRole('radiogroup', { name: 'Heavier, says Mirela' });
  await says.getByRole('radio', { name: 'wool sock' }).click();
  const down = page.getByRole('group', { name: 'Which side went down' });
  await down.getByRole('button', { name: 'river stone' }).click();
  await expect(page.getByText('river stone is heavier than wool sock').first()).toBeVisible();
  await expect(page.getByText('1 noted')).toBeVisible();
  await measuringOf(page, /Mirela/);
  await expect(page.getByRole('row', { name: /river stone/ })).toBeVisible();
  await sessionOf(page, /Mirela/, 'Which side goes down?');
});

test('every tool works by keys alone', async ({ page }) => {
  /** Tabs forward until it is focused: every control can be reached. */
  const reach = async (
    name: string | RegExp,
    role: 'button' | 'radio' = 'button',
  ): Promise<void> => {
    const wanted = page.locator('gumo-measure').getByRole(role, { name, exact: true }).first();
    await expect(wanted).toBeVisible();
    for (let presses = 0; presses < 90; presses++) {
      if (await wanted.evaluate((one) => one === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`${String(name)} is not reached by Tab`);
  };
  const tool = async (title: string): Promise<void> => {
    await page.getByRole('link', { name: title, exact: true }).focus();
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: title, level: 1 })).toBeVisible();
  };
  const add = async (name: string): Promise<void> => {
    await page.getByRole('combobox', { name: 'Object' }).focus();
    await page.keyboard.type(name);
    await page.keyboard.press('Enter');
  };

  await page.keyboard.press('m');
  await tool('Lighter or heavier');
  // Who takes part is chosen once for all tools.
  await reach('Kofi');
  await page.keyboard.press('Space');
  await add('stone');
  await reach('heavier');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'heavier' })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await tool('Balance');
  await add('stone');
  await add('sock');
  await reach('balance on screen', 'radio');
  await reach('Weigh them');
  await page.keyboard.press('Enter');
  await expect(page.getByText('stone is heavier than sock').first()).toBeVisible();
  await tool('Units along');
  await reach('Lay one');
  await page.keyboard.press('Enter');
  await reach(/^unit 1/);
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
  await expect(page.getByText('does not start where the object starts').first()).toBeVisible();
  await tool('The jar');
  await page.getByRole('application').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByRole('application')).toHaveAttribute('aria-label', /keeps 11 to 100/);
  await tool('Graphs');
  await page.getByLabel('Column').focus();
  await page.keyboard.type('kites');
  await page.keyboard.press('Enter');
  await reach('More: kites');
  await page.keyboard.press('Enter');
  await expect(page.locator('gumo-materials-chart svg').first()).toHaveAttribute(
    'aria-label',
    /kites: 1/,
  );
  await tool('Patterns');
  // Within a group the arrows choose.
  await reach('AB', 'radio');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('radio', { name: 'AAB', exact: true })).toBeChecked();
  await reach(/^blue round$/);
  await page.keyboard.press('Enter');
  await expect(page.locator('.told')).toHaveText('That goes on.');
  await tool('Mirrors');
  await page.getByRole('slider', { name: 'Opening' }).focus();
  for (let i = 0; i < 2; i++) await page.keyboard.press('ArrowRight');
  await reach('Look');
  await page.keyboard.press('Enter');
  await expect(page.locator('.hinge .image')).toHaveCount(5);
});

test('from the tray to the jar and back: the children are chosen, and the child’s page tells it', async ({
  page,
}) => {
  await page.goto(new URL('/activities/jar-range', page.url()).href);
  await page.getByRole('button', { name: /^Kofi/ }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  const session = page.url().split('/').at(-1) ?? '';
  await page.getByRole('link', { name: 'The jar' }).click();
  await expect(page.getByRole('heading', { name: 'The jar', level: 1 })).toBeVisible();
  await expect(
    page.locator('gumo-measuring-participants').getByRole('button', { name: 'Kofi', exact: true }),
  ).toHaveAttribute('aria-pressed', 'true');
  await page.getByLabel('One number, says Kofi').fill('30');
  await page.keyboard.press('Tab');
  await page.getByRole('textbox', { name: 'Counted' }).fill('34');
  await page.keyboard.press('Tab');
  await expect(page.getByText('The guess of 30 was 4 too low.')).toBeVisible();
  await page.getByRole('button', { name: 'Note all' }).click();
  await expect(page.getByText('1 noted')).toBeVisible();
  // What was noted belongs to the session at the tray, which goes on.
  const kept = async (): Promise<unknown[]> => {
    const answer = await page.request.get(new URL(`/api/sessions/${session}`, page.url()).href);
    return answer.ok() ? ((await answer.json()) as { observations: unknown[] }).observations : [];
  };
  await expect.poll(async () => (await kept()).length).toBe(1);
  await page.getByRole('link', { name: 'Back to the tray' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  // And stands there with what was noted at the table.
  await expect(page.locator('gumo-so-far li')).toHaveCount(1);
  await expect(page.locator('gumo-so-far')).not.toContainText('Nothing noted yet');
  await page.goto(new URL('/today', page.url()).href);
  await measuringOf(page, /Kofi/);
  await expect(page.getByRole('row', { name: /how many 30 34 4 too few/ })).toBeVisible();
});
