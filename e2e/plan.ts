import { type Page, expect } from '@playwright/test';

/** Six children are planned in some three seconds, on a busy machine in far more. */
const PLANNED = { timeout: 25_000 };

/** Plans the week on screen, and waits until the plan is kept. */
export async function plan(page: Page, button = 'Plan the week'): Promise<void> {
  const news = page.waitForRequest(/\/plans\/[^/]+\/news/);
  await page.getByRole('button', { name: button }).click();
  await news;
  await expect(page.locator('header p')).toContainText(/No plan could/, PLANNED);
  await expect(page.getByRole('button', { name: 'Use this plan now' })).toBeHidden(PLANNED);
  await expect(page.locator('gumo-week-card.coming')).toHaveCount(0, PLANNED);
}
