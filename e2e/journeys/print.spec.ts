import { readFileSync } from 'node:fs';
import { expect, seriousFaults, test } from '../world';

test('a mat for the things of the cupboard, as a file in true size; the same seed, the same file', async ({
  page,
}) => {
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Ten frame mat' })).toBeVisible();
  await page.getByLabel('of the cupboard').selectOption({ label: 'cork discs, 30 mm' });
  await page.getByRole('radio', { name: 'two frames' }).click();
  await expect(page.getByRole('img', { name: 'Ten frame, page 1' })).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);

  await page.getByRole('link', { name: 'Find it in the crowd' }).click();
  await expect(page.getByRole('heading', { name: 'Find it in the crowd' })).toBeVisible();
  const fileOf = async (): Promise<Buffer> => {
    const href = await page.getByRole('link', { name: 'Open as PDF' }).getAttribute('href');
    const answer = await page.request.get(new URL(href ?? '', page.url()).href);
    expect(answer.headers()['content-type']).toBe('application/pdf');
    return answer.body();
  };
  const one = await fileOf();
  expect(one.subarray(0, 5).toString()).toBe('%PDF-');
  await page.getByRole('button', { name: 'Another one' }).click();
  await expect(page.getByLabel('seed')).toHaveValue('2');
  expect((await fileOf()).equals(one)).toBe(false);
  await page.getByLabel('seed').fill('1');
  await page.keyboard.press('Tab');
  await expect.poll(async () => (await fileOf()).equals(one)).toBe(true);

  await page.getByRole('link', { name: 'Number cards', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Number cards' })).toBeVisible();
  await page.getByRole('radio', { name: 'numerals and dots' }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'This page as SVG' }).click(),
  ]);
  const drawing = readFileSync(await download.path(), 'utf8');
  expect(drawing).toContain('width="210mm" height="297mm"');

  await page.getByLabel('from').fill('12');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('the range ends before it begins');
});
