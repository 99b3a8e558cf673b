import { expect, test } from '../world';

test('what is noted while the server is away is kept on the device and sent once, also after a reload', async ({
  page,
  context,
}) => {
  await page.getByRole('button', { name: 'Begin A lot and a few' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  await page.getByRole('button', { name: 'On own', exact: true }).click();
  const soFar = page.locator('gumo-so-far li button');
  await expect(soFar).toHaveCount(1);
  await context.route('**/api/**', (route) => route.abort());
  for (let tries = 2; tries <= 4; tries++) {
    await page.getByRole('button', { name: 'On own', exact: true }).click();
    await expect(soFar).toHaveCount(tries);
  }
  await expect(page.getByText(/noted on this device, waiting for the server/)).toBeVisible();
  await context.unroute('**/api/**');
  await page.reload();
  await expect(soFar).toHaveCount(4);
  const sitting = page.url().split('/').at(-1);
  const answer = await page.request.get(new URL(`/api/sittings/${sitting}`, page.url()).href);
  const { observations } = (await answer.json()) as { observations: unknown[] };
  expect(observations).toHaveLength(4);
});

test('another device sees a change at once', async ({ page, context, server }) => {
  const other = await context.newPage();
  await other.clock.install({ time: '2026-03-10T09:20:00' });
  await other.goto(server.url);
  await expect(other.getByRole('button', { name: /Ilse is here/ })).toBeVisible();
  await page.getByRole('button', { name: /Ilse is here/ }).click();
  await expect(other.getByRole('button', { name: /Ilse is away today/ })).toBeVisible();
});
