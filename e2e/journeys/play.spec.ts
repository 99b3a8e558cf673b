import type { Page } from '@playwright/test';
import type { Observation } from '@gumo/core/vocabulary';
import { asked, expect, finish, note, test } from '../world';

/** Begins an activity from its page with the children named. */
async function begin(page: Page, activity: string, ...children: string[]): Promise<void> {
  await page.goto(new URL(`/activities/${activity}`, page.url()).href);
  for (const child of children) {
    await page.getByRole('button', { name: new RegExp(`^${child}`) }).click();
  }
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await expect(page.locator('.ask .sentence')).toBeVisible();
}

/** What was kept of the session that is on. */
async function kept(page: Page, many: number): Promise<Observation[]> {
  const path = new URL(`/api/sessions/${page.url().split('/').at(-1)}`, page.url()).href;
  const read = async (): Promise<Observation[]> => {
    const answer = await page.request.get(path);
    if (!answer.ok()) return [];
    const { observations } = (await answer.json()) as {
      observations: { observation: Observation }[];
    };
    return observations.map((one) => one.observation);
  };
  await expect.poll(async () => (await read()).length).toBe(many);
  return read();
}

/** What a comparison asked; empty for another question. */
const asks = ({ record }: Observation): string => (record.kind === 'compare' ? record.asked : '');

/** Taps buttons one after the other, and says how many that were. */
async function tap(page: Page, ...names: string[]): Promise<number> {
  for (const name of names) {
    await page.getByRole('button', { name, exact: true }).first().click();
  }
  return names.length;
}

/** Goes on with a part of the activity, by the step it belongs to. */
const step = (page: Page, text: RegExp) =>
  page.locator('gumo-step-list').getByRole('button', { name: text }).click();

const goOn = (page: Page) => page.getByRole('button', { name: 'Continue', exact: true }).click();

test('a handful of eight is noted in two taps, whatever range is on', async ({ page }) => {
  await begin(page, 'handfuls', 'Kofi');
  await step(page, /^How many/);
  expect(await tap(page, '8', 'On their own')).toBe(2);
  const [one] = await kept(page, 1);
  expect(one!.record).toMatchObject({ kind: 'count', n: 8, lastWord: 8 });
  expect(one!.round!.cameUp).toEqual([8]);
});

test('what the cards brought is added, and the whole sentence stands there', async ({ page }) => {
  await begin(page, 'peg-rail', 'Kofi');
  expect(await tap(page, '6', '3', 'On their own')).toBeLessThanOrEqual(4);
  await expect(page.locator('gumo-told')).toContainText('Six and three make nine.');
  await expect(page.locator('gumo-told')).toContainText('6 + 3 = 9');
  const [one] = await kept(page, 1);
  expect(one!.record).toMatchObject({ kind: 'add', addends: [6, 3], answer: 9 });
});

test('all ways of five are walked on two plates, the missing one found at the end', async ({
  page,
}) => {
  await begin(page, 'two-plates', 'Kofi');
  await page.getByRole('button', { name: /^whole:/ }).click();
  await page.getByRole('menuitem', { name: '5', exact: true }).click();
  for (let n = 0; n < 6; n++) {
    await asked(page);
    if (n === 5) await expect(page.locator('.ask .sentence')).toContainText('missing');
    await note(page, 'On their own');
  }
  const ways = (await kept(page, 6)).map(({ record }) =>
    record.kind === 'bond' ? record.parts.join('+') : '',
  );
  expect([...ways].sort()).toEqual(['0+5', '1+4', '2+3', '3+2', '4+1', '5+0']);
});

test('the bag goes down to nothing, one at a time', async ({ page }) => {
  await begin(page, 'one-fewer-bag', 'Sunniva');
  await page.keyboard.press('+');
  await page.keyboard.press('+');
  await page.getByRole('button', { name: /^begin with:/ }).click();
  await page.getByRole('menuitem', { name: '5', exact: true }).click();
  const steps: number[] = [];
  for (let n = 0; n < 12 && steps.at(-1) !== 1; n++) {
    await note(page, 'On their own');
    const all = await kept(page, n + 1);
    const last = all.at(-1)!.record;
    if (last.kind === 'after') steps.push(last.number);
  }
  expect(steps).toEqual([5, 4, 3, 2, 1]);
});

test('numerals are shown and pointed to before they are named, in their half', async ({ page }) => {
  await begin(page, 'show-say', 'Ilse');
  for (let n = 0; n < 3; n++) await page.keyboard.press('-');
  await step(page, /^Show me/);
  const said: string[] = [];
  for (let n = 0; n < 3; n++) {
    await asked(page);
    said.push((await page.locator('.ask .sentence').textContent()) ?? '');
    await note(page, 'On their own');
  }
  expect(said[0]).toContain('Show me the');
  expect(said[1]).toContain('What number is this?');
  const numbers = (await kept(page, 3)).flatMap(({ round }) => round!.lay);
  expect(Math.max(...numbers)).toBeLessThanOrEqual(5);
});

test('a shaken tray brings what it brings; a way that never came is laid', async ({ page }) => {
  await begin(page, 'shaken-tray', 'Kofi');
  await page.getByRole('button', { name: /^whole:/ }).click();
  await page.getByRole('menuitem', { name: '4', exact: true }).click();
  for (const n of ['1', '3', '1', '0', '4']) {
    await tap(page, n, 'On their own');
    await goOn(page);
  }
  await expect(page.locator('gumo-ways-list')).toContainText('4 of 5');
  await page.getByRole('button', { name: 'Lay one that has not come' }).click();
  await tap(page, 'On their own');
  const found = new Set((await kept(page, 6)).map(({ round }) => round!.lay.join('+')));
  expect(found.size).toBe(5);
});

test('a wild guess of two hundred is kept as a fact, and how far off is said', async ({ page }) => {
  await begin(page, 'guess-line', 'Kofi');
  await step(page, /^How many do you think/);
  await tap(page, 'more …', '2', '0', '0', 'That’s it');
  await tap(page, '7', 'On their own');
  await expect(page.locator('gumo-told')).toContainText('You thought two hundred. It was seven');
  const [one] = await kept(page, 1);
  expect(one!.round!.cameUp).toEqual([200, 7]);
  expect(one!.record).toMatchObject({ kind: 'count', n: 7 });
  await goOn(page);
  await expect(page.locator('.ask .sentence')).toContainText('How far off?');
});

test('a count to twenty with help at fifteen leaves what came before as it was', async ({
  page,
}) => {
  await begin(page, 'count-together', 'Sunniva');
  await step(page, /^The child goes on alone/);
  await tap(page, '11 …', '15', 'help came at 15', 'With help');
  const [one] = await kept(page, 1);
  expect(one!.record).toMatchObject({ kind: 'reach', stop: 15, helpedAt: 15 });
  const child = one!.childId;
  const path = new URL(`/api/children/${child}/skills/say-20/evidence`, page.url()).href;
  expect(path).toContain(child);
});

test('a child who points goes through three activities, and nothing is credited to speech', async ({
  page,
}) => {
  const seen: string[] = [];
  for (const activity of ['show-say', 'handfuls', 'song-count']) {
    await begin(page, activity, 'Dilara');
    for (let n = 0; n < 3; n++) {
      await note(page, 'With help');
    }
    seen.push(...(await kept(page, 3)).flatMap(({ counts }) => counts!.map((one) => one.skillId)));
  }
  expect(seen.length).toBeGreaterThan(0);
  expect(seen.filter((id) => /^(say-\d|say-back|say-on|step)/.test(id))).toEqual([]);
});

test('the sticks say which side is more, and the child chooses', async ({ page }) => {
  await begin(page, 'sign-sticks', 'Sunniva');
  await asked(page);
  await expect(page.getByRole('button', { name: 'On their own', exact: true })).toHaveAttribute(
    'aria-disabled',
    'true',
  );
  await page.locator('gumo-answer-pad .choices button').first().click();
  await tap(page, 'With help');
  let signs = await kept(page, 1);
  // What the child surely has comes first; the sign itself is asked within three questions.
  for (let n = 2; n <= 3 && signs.every((one) => asks(one) !== 'sign'); n++) {
    await goOn(page);
    await asked(page);
    await page.locator('gumo-answer-pad .choices button').first().click();
    await tap(page, 'With help');
    signs = await kept(page, n);
  }
  expect(signs.every(({ record }) => record.kind === 'compare')).toBe(true);
  expect(signs.map(asks)).toContain('sign');
});

test('three cups fall, and are added', async ({ page }) => {
  await begin(page, 'row-of-cups', 'Sunniva');
  await step(page, /^Which fell/);
  await tap(page, '5', '3', '1', 'On their own');
  await expect(page.locator('gumo-told')).toContainText('nine');
  const [one] = await kept(page, 1);
  expect(one!.record).toMatchObject({ kind: 'add', addends: [5, 3, 1], answer: 9 });
});

test('the letters of a name are counted, and the puppet’s slip is caught', async ({ page }) => {
  await begin(page, 'name-frame', 'Ilse');
  await asked(page);
  await expect(page.locator('.ask')).toContainText('Ilse');
  await tap(page, 'On their own');
  const [letters] = await kept(page, 1);
  expect(letters!.record).toMatchObject({ kind: 'count', n: 4 });
  await begin(page, 'puppet-slip', 'Kofi');
  await expect(page.locator('.ask')).toContainText('The puppet');
  await tap(page, 'On their own');
  const [slip] = await kept(page, 1);
  expect(slip!.record).toMatchObject({ kind: 'catch', caught: true });
  await goOn(page);
  await finish(page);
});

test('a run that was only looked at is kept nowhere', async ({ page }) => {
  await begin(page, 'build-frame', 'Kofi');
  const id = page.url().split('/').at(-1);
  await page.getByRole('button', { name: 'Finish', exact: true }).click();
  await expect(page).toHaveURL(/today/);
  const answer = await page.request.get(new URL(`/api/sessions/${id}`, page.url()).href);
  expect(answer.status()).toBe(404);
});
