import type { Page } from '@playwright/test';
import { expect, test } from '../world';

type Point = readonly [x: number, y: number];
type Line = readonly Point[];

/** Draws lines on the pad with the mouse, in the units of its field. */
async function draw(page: Page, lines: readonly Line[], fields = 1): Promise<void> {
  const box = (await page.locator('gumo-trace-pad svg').boundingBox())!;
  const [wide, tall] = [10 * fields + 4, 19];
  const unit = Math.min(box.width / wide, box.height / tall);
  const left = box.x + (box.width - wide * unit) / 2;
  const top = box.y + (box.height - tall * unit) / 2;
  const at = ([x, y]: Point) => [left + (x + 2) * unit, top + (y + 1.5) * unit] as const;
  for (const line of lines) {
    await page.mouse.move(...at(line[0]!));
    await page.mouse.down();
    for (const point of line.slice(1)) await page.mouse.move(...at(point));
    await page.mouse.up();
  }
}

/** The strokes that the pad shows, in their order. */
const strokesShown = async (page: Page): Promise<Line[]> => {
  const paths = await page
    .locator('gumo-trace-pad path.inner')
    .evaluateAll((all) => all.map((path) => path.getAttribute('d') ?? ''));
  return paths.map((path) =>
    path
      .slice(1)
      .split('L')
      .map((pair) => pair.split(' ').map(Number) as unknown as Point),
  );
};

/** Always the same numbers from 0 to 1 from the same seed. */
const chance = (seed: number) => () => {
  seed = (seed * 1_103_515_245 + 12_345) % 2_147_483_648;
  return seed / 2_147_483_648;
};

/** A drawing as a hand makes it: some points of each stroke, leaning, stretched, a little unsteady. */
function byHand(strokes: readonly Line[], seed: number): Line[] {
  const random = chance(seed);
  const between = (low: number, high: number): number => low + random() * (high - low);
  const [lean, wide, high] = [between(-0.12, 0.12), between(0.85, 1.15), between(0.88, 1.08)];
  return strokes.map((stroke) => {
    const steps = Math.max(1, Math.floor(stroke.length / between(8, 13)));
    const last = stroke.length - 1;
    return stroke
      .filter((_, i) => i % steps === 0 || i === last)
      .map(([x, y]): Point => [
        5 + (x - 5) * wide + lean * (8 - y) + between(-0.2, 0.2),
        8 + (y - 8) * high + between(-0.2, 0.2),
      ]);
  });
}

const choose = async (page: Page, number: number): Promise<void> => {
  await page.getByRole('radio', { name: String(number), exact: true }).click();
  await expect(
    page.getByRole('img', { name: new RegExp(`^The (digit|number) ${number}, to go over`) }),
  ).toBeVisible();
};
const seen = (page: Page) => page.locator('gumo-trace-digit .says');
const RIGHT = 'That is the way, from the dot to the end.';
const OTHER = 'A line of its own. The hollow digit may help, or a finger first.';

test('ten drawn by hand of each digit are taken, and none of the next one', async ({
  page,
  server,
}) => {
  test.slow();
  await page.goto(`${server.url}/manipulatives/trace`);
  const models: Line[][] = [];
  for (let digit = 0; digit <= 9; digit++) {
    await choose(page, digit);
    models.push(await strokesShown(page));
  }
  const taken: string[] = [];
  for (let digit = 0; digit <= 9; digit++) {
    await choose(page, digit);
    for (let i = 1; i <= 10; i++) {
      await draw(page, byHand(models[digit]!, 97 * digit + i));
      await expect(seen(page)).not.toBeEmpty();
      const words = (await seen(page).textContent())!.trim();
      if (words === RIGHT || words.startsWith('Nearly home')) taken.push(`${digit}`);
      await page.getByRole('button', { name: 'Again' }).click();
      await expect(seen(page)).toBeEmpty();
    }
    // One for each stroke that is waited for: what is said comes with the last.
    const next = byHand(models[(digit + 1) % 10]!, digit + 5);
    await draw(page, next);
    for (let more = next.length; more < models[digit]!.length; more++) {
      await draw(page, [next[0]!]);
    }
    await expect(seen(page)).toHaveText(OTHER);
  }
  expect(taken.length).toBeGreaterThanOrEqual(95);
});

test('a digit turned round, a line for it, and a number of two digits', async ({
  page,
  server,
}) => {
  await page.goto(`${server.url}/manipulatives/trace`);
  await choose(page, 7);
  const [seven] = await strokesShown(page);
  await draw(page, [seven!]);
  await expect(seen(page)).toHaveText(RIGHT);
  await page.getByRole('button', { name: 'Again' }).click();
  await draw(page, [seven!.map(([x, y]): Point => [10 - x, y])]);
  await expect(seen(page)).toContainText('It looks the other way.');

  await choose(page, 3);
  const straight: Line = Array.from({ length: 12 }, (_, i): Point => [5, 1 + i * 1.2]);
  await draw(page, [straight]);
  await expect(seen(page)).toHaveText(OTHER);

  await choose(page, 10);
  const ten = await strokesShown(page);
  await draw(page, ten, 2);
  await expect(seen(page)).toHaveText(RIGHT);
  await page.getByRole('button', { name: 'Again' }).click();
  await draw(page, [...ten].reverse(), 2);
  await expect(seen(page)).toHaveText('It can be read. The left digit comes first.');
});
