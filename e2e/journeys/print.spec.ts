import { readFileSync } from 'node:fs';
import { choose } from '../forms';
import { expect, barriers, test } from '../world';

test('a mat for the things of materials, as a file in true size; the same seed, the same file', async ({
  page,
}) => {
  await page.keyboard.press('p');
  await expect(page.getByRole('heading', { name: 'Frames and mats' })).toBeVisible();
  await page.getByLabel('Search sheets').fill('ten frame');
  await page.getByRole('link', { name: 'Ten frame mat' }).click();
  await expect(page.getByRole('heading', { name: 'Ten frame mat' })).toBeVisible();
  await choose(page, 'Material', 'cork discs, 30 mm');
  await page.getByRole('radio', { name: 'two frames' }).click();
  await expect(page.getByRole('img', { name: 'Ten frame, page 1' })).toBeVisible();
  expect(await barriers(page)).toEqual([]);

  // What was chosen stays on the next sheet.
  await page.getByRole('link', { name: 'All sheets' }).click();
  expect(await barriers(page)).toEqual([]);
  await page.getByRole('link', { name: 'Compare mat' }).click();
  await expect(page.getByRole('combobox', { name: 'Material' })).toContainText('cork discs');
  await page.getByRole('link', { name: 'All sheets' }).click();
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
  await expect(page.getByLabel('Variation')).toHaveValue('2');
  expect((await fileOf()).equals(one)).toBe(false);
  await page.getByLabel('Variation').fill('1');
  await page.keyboard.press('Tab');
  await expect.poll(async () => (await fileOf()).equals(one)).toBe(true);

  await page.getByRole('link', { name: 'All sheets' }).click();
  await page.getByRole('link', { name: 'Number cards', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Number cards' })).toBeVisible();
  await page.getByRole('button', { name: 'dots', exact: true }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'This page as SVG' }).click(),
  ]);
  const drawing = readFileSync(await download.path(), 'utf8');
  expect(drawing).toContain('width="210mm" height="297mm"');

  await page.getByLabel('From').fill('12');
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
    await page.getByRole('button', { name: new RegExp(`^Add Numbers to trace ${name}`) }).click();
    await expect(
      page.getByRole('button', { name: new RegExp(`^Remove Numbers to trace ${name}`) }),
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
  await expect(page.getByRole('combobox', { name: /^Child/ })).toContainText('Mirela');
});

test('the slip of the day is printed, ticked outdoors, and typed back by keys', async ({
  page,
  server,
}) => {
  await page.getByRole('link', { name: 'Day slip as PDF' }).waitFor();
  const href = await page.getByRole('link', { name: 'Day slip as PDF' }).getAttribute('href');
  const file = await page.request.get(new URL(href ?? '', page.url()).href);
  expect(file.headers()['content-type']).toBe('application/pdf');

  await page.getByRole('link', { name: 'Type in the slip' }).click();
  await expect(page.getByRole('heading', { name: 'Slip for 10 March' })).toBeVisible();
  expect(await barriers(page)).toEqual([]);
  const lines = page.getByRole('listitem').filter({ has: page.getByRole('radiogroup') });
  const many = await lines.count();
  expect(many).toBeGreaterThan(2);
  const children = (await (await page.request.get(`${server.url}/api/children`)).json()) as {
    id: string;
    name: string;
  }[];
  const noted = async (): Promise<number> => {
    const all = await Promise.all(
      children.map(async ({ id }) => {
        const answer = await page.request.get(`${server.url}/api/children/${id}/observations`);
        return ((await answer.json()) as unknown[]).length;
      }),
    );
    return all.reduce((sum, one) => sum + one, 0);
  };
  const before = await noted();
  // The first line has the focus once it is tapped; all others are typed.
  await lines.first().getByRole('radio', { name: 'on their own' }).focus();
  for (let i = 0; i < many; i++) await page.keyboard.press(i === 1 ? 'x' : 'h');
  await expect(lines.nth(1).getByRole('radio', { checked: true })).toHaveCount(0);
  await page.getByRole('button', { name: `Note ${many - 1} answers` }).click();
  await expect(page.getByText(`${many - 1} answers noted`).last()).toBeVisible();
  await expect.poll(noted).toBe(before + many - 1);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: 'Get ready' })).toBeVisible();
});
