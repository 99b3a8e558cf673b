import type { Locator, Page } from '@playwright/test';
import { expect, test } from '../world';

const MEASURING = ['weigh', 'balance', 'along', 'jar', 'charts', 'patterns', 'mirrors'];
const DETAILS = [
  'numerals',
  'bonds',
  'saying',
  'glancing',
  'writing',
  'comparing',
  'measuring',
  'slips',
];

/** Every place there is, as an owner sees it. The household is last: it asks before it is left. */
async function places(page: Page): Promise<string[]> {
  const children = (await (await page.request.get('/api/children')).json()) as {
    readonly id: string;
    readonly name: string;
  }[];
  const child = `/children/${children.find((one) => one.name === 'Kofi')!.id}`;
  return [
    '/today',
    '/today/end',
    '/week',
    '/children',
    child,
    ...[...DETAILS, 'sessions', 'work', 'family', 'first-look'].map((tab) => `${child}/${tab}`),
    '/activities',
    '/activities/two-plates',
    '/activities/songs',
    ...MEASURING.map((tool) => `/measure/${tool}`),
    '/manipulatives',
    '/manipulatives/trace',
    '/materials',
    '/start',
    '/print/list',
    '/print/number-cards',
    '/settings/backup',
    '/settings/sharing',
    '/settings/day',
    '/children/new',
    '/activities/new',
    '/settings',
  ];
}

async function goTo(page: Page, path: string): Promise<void> {
  await page.goto(new URL(path, page.url()).href);
  await expect(page.locator('h1, h2').first()).toBeVisible();
}

/** Which of a group has the focus; -1 where none has. */
const focused = (group: Locator): Promise<number> =>
  group.evaluate((one) =>
    [...one.querySelectorAll('[role=radio], input[type=radio]')].indexOf(document.activeElement!),
  );

test.use({ baseURL: async ({ server }, use) => use(server.url) });

test('no page is wider than its screen, also on a laptop at 200 %', async ({ page }) => {
  test.setTimeout(150_000);
  for (const path of await places(page)) {
    await goTo(page, path);
    // 640 pixels is what is left of 1280 at twice the size.
    for (const width of [1280, 1024, 820, 640, 390]) {
      await page.setViewportSize({ width, height: 844 });
      const over = (): Promise<number> =>
        page.evaluate(() => {
          const root = document.documentElement;
          return root.scrollWidth - root.clientWidth;
        });
      await expect.poll(over, { message: `${path} at ${width}` }).toBe(0);
    }
  }
});

test('one of several is chosen by arrow keys in every group', async ({ page }) => {
  test.setTimeout(150_000);
  const dead: string[] = [];
  let groups = 0;
  for (const path of await places(page)) {
    await goTo(page, path);
    const all = page.getByRole('radiogroup');
    for (let i = 0; i < (await all.count()); i++) {
      const group = all.nth(i);
      const radios = group.getByRole('radio');
      if ((await radios.count()) < 2 || !(await group.isVisible())) continue;
      const checked = radios.and(page.locator('[aria-checked=true], :checked'));
      const first = ((await checked.count()) > 0 ? checked : radios).first();
      await expect(first).toBeEnabled();
      await first.focus();
      const before = await focused(group);
      await page.keyboard.press('ArrowRight');
      const after = await focused(group);
      groups++;
      if (before < 0 || after < 0 || after === before)
        dead.push(`${path}: ${await group.getAttribute('aria-label')}`);
    }
  }
  expect(dead).toEqual([]);
  expect(groups).toBeGreaterThan(30);
});
