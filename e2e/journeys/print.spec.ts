import { readFileSync } from 'node:fs';
import { choose } from '../forms';
import { expect, barriers, test } from '../world';

test('a mat for the things of materials, as a file in true size; the same seed, the same file', async ({
  page,
}) => {
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Ten frame mat' })).toBeVisible();
  await choose(page, 'material', 'cork discs, 30 mm');
  await page.getByRole('radio', { name: 'two frames' }).click();
  await expect(page.getByRole('img', { name: 'Ten frame, page 1' })).toBeVisible();
  expect(await barriers(page)).toEqual([]);

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
  await expect(page.getByLabel('variation')).toHaveValue('2');
  expect((await fileOf()).equals(one)).toBe(false);
  await page.getByLabel('variation').fill('1');
  await page.keyboard.press('Tab');
  await expect.poll(async () => (await fileOf()).equals(one)).toBe(true);

  await page.getByRole('link', { name: 'Number cards', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Number cards' })).toBeVisible();
  await page.getByRole('button', { name: 'dots', exact: true }).click();
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

test('mats for two children, printed from today', async ({ page, server }) => {
  const children = (await (await page.request.get(`${server.url}/api/children`)).json()) as {
    id: string;
    name: string;
  }[];
  const participants = ['Dilara', 'Mirela'].map((name) => ({
    childId: children.find((one) => one.name === name)!.id,
    rangeMax: 10,
  }));
  const planned = await page.request.post(`${server.url}/api/plan`, {
    data: {
      id: '01960000-0000-7000-8000-00000000abcd',
      day: '2026-03-10',
      momentId: 'table',
      activityId: 'digit-write',
      participants,
      minutes: 8,
      with: '',
    },
  });
  expect(planned.status()).toBe(201);
  await page.getByRole('link', { name: 'Sheets for today' }).click();
  await expect(page.getByRole('heading', { name: 'What today needs' })).toBeVisible();
  for (const name of ['Dilara', 'Mirela']) {
    await page.getByRole('button', { name: new RegExp(`^Add Digits to trace ${name}`) }).click();
    await expect(
      page.getByRole('button', { name: new RegExp(`^Remove Digits to trace ${name}`) }),
    ).toBeVisible();
  }
  await expect(page.getByText('4 pages', { exact: true })).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  const href = await page.getByRole('link', { name: 'Open all as PDF' }).getAttribute('href');
  const file = await (await page.request.get(new URL(href ?? '', page.url()).href)).body();
  expect(file.toString('latin1').match(/\/Type \/Page\n/g)?.length).toBe(4);

  // From the activity itself, range and child are filled in.
  await page.goto(`${server.url}/activities/build-frame`);
  await page.getByRole('button', { name: /^Mirela/ }).click();
  await page.getByRole('link', { name: 'Ten frame mat for Mirela' }).click();
  await expect(page.getByRole('combobox', { name: /^child/ })).toContainText('Mirela');
});

test('a digit traced on the screen: the way, and turned round', async ({ page, server }) => {
  await page.goto(`${server.url}/manipulatives/trace`);
  await page.getByRole('radio', { name: '7' }).click();
  const pad = page.locator('gumo-trace-pad svg');
  const box = (await pad.boundingBox())!;
  const draw = async (points: readonly (readonly [number, number])[]): Promise<void> => {
    const unit = Math.min(box.width / 14, box.height / 19);
    const left = box.x + (box.width - 14 * unit) / 2;
    const at = ([x, y]: readonly [number, number]) =>
      [left + (x + 2) * unit, box.y + (y + 1.5) * unit] as const;
    await page.mouse.move(...at(points[0]!));
    await page.mouse.down();
    for (const point of points.slice(1)) await page.mouse.move(...at(point), { steps: 8 });
    await page.mouse.up();
  };
  await draw([
    [1.5, 1],
    [8.6, 1],
    [4, 15],
  ]);
  await expect(page.getByText('That is the way, from the dot to the end.')).toBeVisible();
  await page.getByRole('button', { name: 'Again' }).click();
  await draw([
    [8.5, 1],
    [1.4, 1],
    [6, 15],
  ]);
  await expect(page.getByText('It looks the other way.')).toBeVisible();
});
