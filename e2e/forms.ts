import type { Locator, Page } from '@playwright/test';

/** Chooses in a list by what the option says. */
export async function choose(
  within: Page | Locator,
  label: string | RegExp,
  option: string | RegExp,
): Promise<void> {
  const page = 'page' in within ? within.page() : within;
  await within.getByRole('combobox', { name: label }).click();
  await page
    .getByRole('option', typeof option === 'string' ? { name: option, exact: true } : { name: option })
    .click();
}
