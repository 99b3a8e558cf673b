import { readFileSync } from 'node:fs';
import { expect, barriers, test } from '../world';

test('a backup is made and restored; a child is deleted, and not in the backup either', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/household/records`);
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText('The backup is made and checked.')).toBeVisible();
  expect(await barriers(page)).toEqual([]);

  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Tomasz/ }).click();
  await page.getByRole('link', { name: 'Change' }).click();
  await page.getByRole('button', { name: 'Delete this child permanently' }).click();
  await page.getByLabel('The name once more').fill('Tomasz');
  await page.getByLabel('from the backups as well').uncheck();
  await page.getByRole('button', { name: 'Delete permanently' }).click();
  await expect(page.getByText('until it is removed')).toBeVisible();
  await page.getByRole('button', { name: 'All children' }).click();
  await expect(page.getByRole('link', { name: /Kofi/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Tomasz/ })).toHaveCount(0);

  await page.goto(`${server.url}/household/records`);
  await page
    .getByRole('button', { name: /^Restore the backup of/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'Restore it' }).click();
  await expect(page.getByText('The records are those of the backup.')).toBeVisible();
  await page.getByRole('link', { name: 'Children' }).click();
  await expect(page.getByRole('link', { name: /Tomasz/ })).toBeVisible();
});

test('the household goes out as a file and comes in again; a table is looked at first', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/household/records`);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save The whole household' }).click(),
  ]);
  const file = await download.path();
  expect(JSON.parse(readFileSync(file, 'utf8'))).toMatchObject({ format: 'gumo-household' });

  await page.getByLabel('A table of tries').setInputFiles({
    name: 'march.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'who,date,skill,outcome\nKofi,2026-03-02,touch-5,yes\nNobody,2026-03-02,touch-5,no\n',
    ),
  });
  await expect(page.getByText('1 would come in')).toBeVisible();
  await expect(page.getByText('“Nobody” is not a child of this household')).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  await page.getByRole('button', { name: 'Import 1' }).click();
  await expect(page.getByText('1 came in.')).toBeVisible();

  await page.getByLabel('A household file').setInputFiles(file);
  await page.getByRole('button', { name: 'Import it' }).click();
  await expect(page.getByText('The household of the file is here.')).toBeVisible();

  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Kofi/ }).click();
  await page.getByRole('tab', { name: 'Family report' }).click();
  await page.getByRole('checkbox', { name: /^Say: Counts back from five/ }).click();
  await page.getByRole('button', { name: 'Save this report' }).click();
  const kept = page.locator('.kept a');
  await expect(kept).toHaveCount(1);
  const answer = await page.request.get(
    new URL((await kept.getAttribute('href'))!, page.url()).href,
  );
  expect(answer.headers()['content-type']).toBe('application/pdf');
  expect(await barriers(page)).toEqual([]);
});

test('a drawing is kept with its date and words, and nothing of the camera', async ({
  page,
  server,
}) => {
  await page.getByRole('link', { name: 'Children' }).click();
  await page.getByRole('link', { name: /Mirela/ }).click();
  await page.getByRole('tab', { name: 'Work samples' }).click();
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 400, height: 300 } });
  await page
    .getByLabel('A picture of a drawing or sheet')
    .setInputFiles({ name: 'drawing.png', mimeType: 'image/png', buffer: picture });
  await expect(page.getByAltText('The picture as it will be saved')).toBeVisible();
  await page.getByLabel('In the child’s words, or yours').fill('Seven, from the top');
  expect(await barriers(page)).toEqual([]);
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Seven, from the top')).toBeVisible();
  const shown = page.getByAltText('Work of Tue 10 Mar');
  await expect(shown).toBeVisible();
  const answer = await page.request.get(server.url + (await shown.getAttribute('src')));
  expect((await answer.body()).subarray(0, 3).toString('hex')).toBe('ffd8ff');
});
