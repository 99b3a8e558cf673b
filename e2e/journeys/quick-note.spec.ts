import { choose } from '../forms';
import { asked, expect, note, test } from '../world';

test('jotted in two taps from anywhere, seen at the end of day and on the child’s page', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Materials' }).click();
  await page.getByRole('button', { name: 'Quick note' }).click();
  const quickNote = page.getByRole('dialog');
  await quickNote.getByRole('radio', { name: /Kofi/ }).click();
  await expect(quickNote.getByRole('radio', { name: /Kofi/ })).toHaveAttribute(
    'aria-checked',
    'true',
  );
  const skill = quickNote.locator('.skills li').first();
  const title = (await skill.locator('span').first().textContent())?.trim() ?? '';
  await skill.getByRole('button', { name: /with help/ }).click();
  await expect(quickNote).toBeHidden();
  const said = page.locator('mat-snack-bar-container');
  await expect(said).toContainText(`Kofi: ${title}, with help`);

  await page.keyboard.press('j');
  await quickNote.getByRole('radio', { name: /Ilse/ }).click();
  await quickNote
    .getByRole('textbox', { name: 'Or words only' })
    .fill('counts the stairs by herself');
  await quickNote.getByRole('button', { name: 'Save the words' }).click();
  await expect(quickNote).toBeHidden();

  // One undone again.
  await page.keyboard.press('j');
  await quickNote.getByRole('radio', { name: /Mirela/ }).click();
  await quickNote
    .locator('.skills li')
    .first()
    .getByRole('button', { name: /on their own/ })
    .click();
  await page.getByRole('button', { name: 'Undo' }).click();

  // A session is begun and left open.
  await page.keyboard.press('t');
  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  await note(page, 'On their own');
  await page.goto(new URL('/today/end', page.url()).href);

  const noted = page.getByRole('region', { name: 'Noted today' });
  await expect(noted.getByRole('article').filter({ hasText: 'Kofi' })).toContainText('1 with help');
  await expect(noted.getByRole('article').filter({ hasText: 'Ilse' })).toContainText(
    'counts the stairs by herself',
  );
  await expect(page.getByRole('region', { name: 'Not seen today' })).toContainText('Mirela');
  await page.getByRole('button', { name: 'End A lot and a few' }).click();
  await expect(page.getByRole('heading', { name: 'Not ended yet' })).toBeHidden();
  await page.getByRole('textbox').fill('A calm day.');
  await page.getByRole('button', { name: 'Save the words' }).click();
  await expect(page.getByRole('button', { name: 'Saved' })).toBeDisabled();
  await page.reload();
  await expect(page.getByRole('textbox')).toHaveValue('A calm day.');

  await page.getByRole('link', { name: 'Ilse' }).click();
  await page.getByRole('tab', { name: 'Sessions' }).click();
  await expect(page.getByRole('region', { name: 'Notes' })).toContainText(
    'counts the stairs by herself',
  );
});

test('the language counted in is one tap on the pad, once the household has two', async ({
  page,
}) => {
  await page.getByRole('link', { name: 'Settings' }).click();
  await choose(page, 'Languages', 'Turkish');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(new URL('/activities/tidy-count', page.url()).href);
  await page.getByRole('button', { name: /^Kofi/ }).click();
  await page.getByRole('button', { name: 'Start', exact: true }).click();
  await asked(page);
  await page.getByRole('button', { name: 'Turkish' }).click();
  await note(page, 'On their own');
  const path = `/api/sessions/${page.url().split('/').at(-1)}`;
  await expect
    .poll(async () => {
      const answer = await page.request.get(new URL(path, page.url()).href);
      return answer.ok() ? await answer.text() : '';
    })
    .toContain('"language":"tr"');
});
