import { expect, test } from '../world';

test('things on the table move by hand and by keyboard, and count themselves', async ({ page }) => {
  await page.keyboard.press('b');
  await expect(page.getByRole('heading', { name: 'Frame', level: 1 })).toBeVisible();
  const table = page.locator('.on-it');
  const pieces = table.locator('gumo-scene .piece');
  await expect(pieces).toHaveCount(7);
  await table.locator('[data-id="cell-7"]').click();
  await expect(pieces).toHaveCount(8);
  await expect(page.locator('.words')).toHaveText('Eight, and two more make ten.');
  await page.getByRole('button', { name: 'Another way' }).click();
  await expect(pieces).toHaveCount(8);

  // By keyboard: the drawing is one stop, the arrows walk in it, Enter takes or lays.
  await table.locator('[data-id="counter-0"], [data-id="cell-0"]').first().focus();
  await page.keyboard.press('Enter');
  await expect(pieces).not.toHaveCount(8);

  // Dragged from one plate to the other.
  await page.getByRole('link', { name: 'Plates', exact: true }).click();
  await expect(page.locator('.words')).toHaveText('Four and two make six.');
  // At the desk the sentence and its part-whole drawing need no scrolling.
  await expect(page.locator('gumo-part-whole svg')).toBeInViewport({ ratio: 1 });
  const from = await table.locator('[data-id="counter-0-0"]').boundingBox();
  const to = await table.locator('[data-id="plate-1"]').boundingBox();
  if (!from || !to) throw new Error('nothing lies there');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect(page.locator('.words')).toHaveText('Three and three make six.');

  await page.getByRole('button', { name: 'Count aloud' }).click();
  await expect(page.locator('.words')).toHaveText('one');
  await page.clock.runFor(5 * 900);
  await expect(page.locator('.words')).toHaveText('six');
  await page.clock.runFor(2 * 900);
  await expect(page.locator('.words')).toHaveText('Three and three make six.');

  // What lies there stays while another thing is looked at.
  await page.getByRole('link', { name: 'Dice', exact: true }).click();
  await page.getByRole('radio', { name: 'Up to 5' }).click();
  await expect(page.getByText(/never above 5/)).toBeVisible();
  await page.getByRole('link', { name: 'Plates', exact: true }).click();
  await expect(page.locator('.words')).toHaveText('Three and three make six.');
});

test('a quick look is covered after its seconds; a held corner goes back', async ({ page }) => {
  await page.goto(new URL('/manipulatives/dots', page.url()).href);
  await page.getByRole('button', { name: '2 s, a quick look' }).click();
  const turned = page.getByRole('dialog', { name: 'Picture for the child' });
  await expect(turned.locator('.mask')).toBeVisible();
  await turned.getByRole('button', { name: /Covered/ }).click();
  await expect(turned.locator('.piece')).toHaveCount(5);
  await page.clock.runFor(2000);
  await expect(turned.locator('.mask')).toBeVisible();
  const corner = turned.getByRole('button', { name: 'Hold to return' });
  await corner.hover();
  await page.mouse.down();
  await page.clock.runFor(300);
  await expect(turned).toBeVisible();
  await page.clock.runFor(500);
  await page.mouse.up();
  await expect(turned).toBeHidden();
});
