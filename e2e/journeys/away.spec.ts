import { expect, note, test } from '../world';

test('what is noted while the server is away is kept on the device and sent once, also after a reload', async ({
  page,
  context,
}) => {
  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  await page.getByRole('switch', { name: 'Turns' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  await note(page, 'On their own');
  const soFar = page.locator('gumo-so-far li button');
  await expect(soFar).toHaveCount(1);
  await context.route('**/api/**', (route) => route.abort());
  for (let tries = 2; tries <= 4; tries++) {
    await note(page, 'On their own');
    await expect(soFar).toHaveCount(tries);
  }
  await expect(page.getByText(/noted on this device, waiting for the server/)).toBeVisible();
  await context.unroute('**/api/**');
  await page.reload();
  await expect(soFar).toHaveCount(4);
  const session = page.url().split('/').at(-1);
  const answer = await page.request.get(new URL(`/api/sessions/${session}`, page.url()).href);
  const { observations } = (await answer.json()) as { observations: unknown[] };
  expect(observations).toHaveLength(4);
});

test('a session goes on while the server is gone for ten minutes; nothing is lost or doubled', async ({
  page,
  server,
}) => {
  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  await page.getByRole('switch', { name: 'Turns' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  const soFar = page.locator('gumo-so-far li button');
  const noted = async (outcome: string, status: number): Promise<void> => {
    await note(page, outcome);
    await expect(soFar).toHaveCount(status);
  };
  await noted('On their own', 1);
  const kept = async (): Promise<number> => {
    const path = `/api/sessions/${page.url().split('/').at(-1)}`;
    const answer = await page.request.get(new URL(path, server.url).href);
    // The session itself is sent behind the screen: until then the server knows none.
    if (answer.status() === 404) return 0;
    return ((await answer.json()) as { observations: unknown[] }).observations.length;
  };
  await expect.poll(kept).toBe(1);

  await server.stop();
  await noted('With help', 2);
  await page.clock.fastForward('05:00');
  await noted('On their own', 3);
  await page.clock.fastForward('05:00');
  await noted('Not today', 4);
  await expect(page.getByText(/noted on this device, waiting for the server/)).toBeVisible();

  // Back again: the page is opened anew before the waiting ones were sent, and sends them once.
  await server.start();
  await page.reload();
  await expect(soFar).toHaveCount(4);
  await expect.poll(kept).toBe(4);
  await page.getByRole('switch', { name: 'Turns' }).click();
  await noted('On their own', 5);
  await expect.poll(kept).toBe(5);
  await page.clock.fastForward('01:00');
  await page.reload();
  await expect(soFar).toHaveCount(5);
  expect(await kept()).toBe(5);
});

test('another device sees a change at once', async ({ page, context, server }) => {
  const other = await context.newPage();
  await other.clock.install({ time: '2026-03-10T09:20:00' });
  await other.goto(server.url);
  await expect(other.getByRole('button', { name: /Ilse is here/ })).toBeVisible();
  await page.getByRole('button', { name: /Ilse is here/ }).click();
  await expect(other.getByRole('button', { name: /Ilse is away today/ })).toBeVisible();
});
