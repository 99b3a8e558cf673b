import { createServer, type AddressInfo } from 'node:net';
import type { Browser, Page } from '@playwright/test';
import { NOW, expect, barriers, test } from '../world';

const PASSWORD = 'seven snails on a kite';

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });

/** Another device in the network, that has never been here. */
async function device(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    ignoreHTTPSErrors: true,
  });
  const page = await context.newPage();
  await page.clock.install({ time: NOW });
  return page;
}

test('a second browser is paired as a helper, sees today alone, locks, and is removed', async ({
  page,
  browser,
}) => {
  const port = await freePort();
  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('tab', { name: 'Sharing' }).click();
  await page.getByLabel('The new one').fill('password123');
  await page.getByLabel('Once more').fill('password123');
  await page.getByRole('button', { name: 'Save the password' }).click();
  await expect(page.locator('mat-error')).toContainText('common passwords');
  await page.getByLabel('The new one').fill(PASSWORD);
  await page.getByLabel('Once more').fill(PASSWORD);
  await page.getByRole('button', { name: 'Save the password' }).click();
  await page.getByLabel('Port').fill(String(port));
  await page.getByRole('button', { name: 'Share at home' }).click();
  await page.getByRole('button', { name: 'Make a code' }).click();
  const code = await page.getByLabel('Code', { exact: true }).innerText();
  await expect(page.locator('svg.qr')).toBeVisible();
  expect(await barriers(page), 'sharing').toEqual([]);

  const other = await device(browser);
  await other.goto(`https://localhost:${port}/children`);
  await expect(other.getByRole('heading', { name: 'With a code' })).toBeVisible();
  expect(await barriers(other), 'the page at the door').toEqual([]);
  await other.goto(`https://localhost:${port}/sign-in#${code.replace(/\s/g, '')}`);
  await expect(other.getByLabel('Code, 8 digits')).toHaveValue(code.trim());
  await other.getByLabel('Name of this device').first().fill('Loft tablet');
  await other.getByRole('button', { name: 'Let this device in' }).click();
  await other.getByLabel(/PIN for this device/).fill('2846');
  await other.getByRole('button', { name: 'Let this device in' }).click();
  await expect(other.getByRole('heading', { name: /Tuesday/ })).toBeVisible();

  // Only what a helper may do; another place leads back to today.
  await expect(other.getByRole('link', { name: 'Settings' })).toHaveCount(0);
  await other.goto(`https://localhost:${port}/household/records`);
  await expect(other.getByRole('heading', { name: /Tuesday/ })).toBeVisible();
  await other.getByRole('button', { name: /Ilse is here/ }).click();
  await page.getByRole('link', { name: 'Today', exact: true }).click();
  await expect(page.getByRole('button', { name: /Ilse is away today/ })).toBeVisible();

  await other.clock.fastForward('11:00');
  await expect(other.getByRole('heading', { name: 'Locked' })).toBeVisible();
  expect(await barriers(other), 'locked').toEqual([]);
  await other.getByLabel('PIN').fill('1111');
  await other.getByRole('button', { name: 'Open' }).click();
  await expect(other.getByRole('alert')).toContainText('not the PIN');
  await other.getByLabel('PIN').fill('2846');
  await other.getByRole('button', { name: 'Open' }).click();
  await expect(other.getByRole('heading', { name: 'Locked' })).toBeHidden();

  await page.getByRole('link', { name: 'Settings' }).click();
  await page.getByRole('tab', { name: 'Sharing' }).click();
  await page.getByRole('button', { name: 'Remove Loft tablet' }).click();
  await page.getByRole('button', { name: 'Remove it' }).click();
  await expect(page.getByText('None yet.')).toBeVisible();
  await other.getByRole('button', { name: /Ilse is away today/ }).click();
  await expect(other.getByRole('heading', { name: 'With a code' })).toBeVisible();

  // The owner gets in with the password, and finds who came in the list of what was done.
  await other.getByLabel('Password').fill(PASSWORD);
  await other.getByRole('button', { name: 'Sign in' }).click();
  await other.goto(`https://localhost:${port}/household/records`);
  await expect(other.getByText('device added', { exact: true })).toBeVisible();
  await other.context().close();
});

test('what two devices changed is put together, and settled side by side where they clash', async ({
  page,
  context,
  server,
}) => {
  const other = await context.newPage();
  await other.clock.install({ time: NOW });
  for (const one of [page, other]) {
    await one.goto(`${server.url}/household`);
    await expect(one.getByLabel('Name', { exact: true })).toHaveValue('Spindle Cottage');
  }
  await other.getByLabel('Name', { exact: true }).fill('The Spindle');
  await page.getByLabel('Name', { exact: true }).fill('Spindle House');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await other.getByRole('button', { name: 'Save' }).click();
  const dialog = other.getByRole('dialog');
  await expect(dialog.getByText('Spindle House')).toBeVisible();
  expect(await barriers(other), 'two sides').toEqual([]);
  await expect(dialog.getByRole('button', { name: 'Save', exact: true })).toBeDisabled();
  await dialog.getByText('The Spindle').click();
  await dialog.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(other.getByText('Saved.')).toBeVisible();
  await expect(page.getByLabel('Name', { exact: true })).toHaveValue('The Spindle');
});
