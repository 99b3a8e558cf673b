import type { Page } from '@playwright/test';
import { expect, finish, note, test, TODAY } from '../world';

test.use({ serviceWorkers: 'allow' });

/** What the device holds of the household, by the path of each answer. */
const held = (page: Page): Promise<string[]> =>
  page.evaluate(async () => {
    const names = (await caches.keys()).filter((name) => name.includes('held'));
    const caught = await Promise.all(
      names.map(async (name) => (await caches.open(name)).keys().catch(() => [])),
    );
    return [
      ...new Set(
        caught.flat().map(({ url }) => new URL(url).pathname.replace(/^.*(?=\/api\/)/, '')),
      ),
    ];
  });

test('once visited, it opens without the server: today, the tray, quick notes and a child’s page', async ({
  page,
  server,
}) => {
  const children = (await (
    await page.request.get(new URL('/api/children', server.url).href)
  ).json()) as { id: string; name: string }[];
  await expect
    .poll(async () => (await held(page)).filter((path) => path.endsWith('/notes')).length, {
      timeout: 40_000,
    })
    .toBe(children.length);
  await server.stop();

  await page.reload();
  await expect(page.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await expect(page.getByText('The server is away: this is what the device holds')).toBeVisible();
  await page.getByRole('button', { name: /Tomasz is here/ }).click();
  await expect(page.getByText(/1 noted on this device, waiting/)).toBeVisible();

  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  await page.getByRole('switch', { name: 'Turns' }).click();
  const soFar = page.locator('gumo-so-far li button');
  for (let tries = 1; tries <= 2; tries++) {
    await note(page, 'On their own');
    await expect(soFar).toHaveCount(tries);
  }
  await page.reload();
  await expect(soFar).toHaveCount(2);
  const session = page.url().split('/').at(-1);
  await finish(page);
  await expect(page.getByText(/A lot and a few/).first()).toBeVisible();

  const kofi = children.find((one) => one.name === 'Kofi')!;
  await page.goto(`${server.url}/children/${kofi.id}`);
  await expect(page.locator('[data-skill="bond-5"]')).toBeVisible();
  await page.keyboard.press('j');
  await page
    .getByRole('button', { name: /, on their own$/ })
    .first()
    .click();
  await page.goto(`${server.url}/today`);
  await expect(page.getByRole('button', { name: /Tomasz is away today/ })).toBeVisible();
  await expect(page.getByText('Done')).toBeVisible();

  await server.start();
  await expect(page.getByText(/waiting for the server/)).toBeHidden({ timeout: 20_000 });
  const ask = async (path: string): Promise<unknown> =>
    (await page.request.get(new URL(`/api${path}`, server.url).href)).json();
  const kept = async (): Promise<unknown[]> => {
    const { session: one, observations } = (await ask(`/sessions/${session}`)) as {
      session?: { endedAt: string | null };
      observations?: unknown[];
    };
    return [observations?.length, typeof one?.endedAt];
  };
  await expect.poll(kept, { timeout: 20_000 }).toEqual([2, 'string']);
  const day = (await ask(`/days/${TODAY}`)) as { sheet: { away: string[] } };
  expect(day.sheet.away).toHaveLength(1);
});
