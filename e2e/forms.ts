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
    .getByRole(
      'option',
      typeof option === 'string' ? { name: option, exact: true } : { name: option },
    )
    .click();
}

/** What stands under a field that is wrong. */
export const faultUnder = (within: Page | Locator, label: string): Locator =>
  within
    .locator('mat-form-field')
    .filter({ has: within.getByText(label, { exact: true }) })
    .locator('mat-error');

/** Opens one of the details of a child. */
export async function openDetail(page: Page, name: string): Promise<void> {
  await page.locator('nav.tabs button').click();
  await page.getByRole('menuitem', { name, exact: true }).click();
}
