import type { Page } from '@playwright/test';
import { openDetail } from '../forms';
import { asked, expect, note, barriers, test } from '../world';

/** Every screen, by the steps that lead there from Today. */
const SCREENS: Readonly<Record<string, (page: Page) => Promise<void>>> = {
  today: async (page) => {
    await expect(page.getByRole('heading', { name: 'Get ready' })).toBeVisible();
  },
  'adding an activity': async (page) => {
    await page.getByRole('button', { name: 'Add an activity' }).click();
    await page.getByRole('checkbox', { name: 'Ilse' }).click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  'the week': async (page) => {
    await page.getByRole('link', { name: 'Week' }).click();
    await expect(page.locator('gumo-week-card').first()).toBeVisible();
    expect(await barriers(page), 'board').toEqual([]);
    await page.getByRole('button', { name: 'Ilse on Thursday' }).click();
    await page.locator('gumo-week-card .open').nth(3).click();
    await expect(page.getByRole('heading', { name: 'In focus, and why' })).toBeVisible();
  },
  'five minutes': async (page) => {
    await page.getByRole('button', { name: 'I have five minutes' }).click();
    await expect(page.locator('gumo-five-minutes li').first()).toBeVisible();
  },
  measuring: async (page) => {
    await page.getByRole('link', { name: 'Measure', exact: true }).click();
    for (const tool of [
      'Balance',
      'Units along',
      'The jar',
      'Graphs',
      'Patterns',
      'Mirrors',
      'Lighter or heavier',
    ]) {
      await page.getByRole('link', { name: tool, exact: true }).click();
      await expect(page.getByRole('heading', { name: tool, level: 1 })).toBeVisible();
      await page
        .locator('gumo-measuring-participants')
        .getByRole('button', { name: 'Ilse', exact: true })
        .click();
      const material = page.getByRole('combobox', { name: 'Object' });
      if ((await material.count()) > 0) {
        await material.fill('stone');
        await page.keyboard.press('Enter');
        await material.fill('pillow');
        await page.keyboard.press('Enter');
      }
      expect(await barriers(page), tool).toEqual([]);
    }
  },
  children: async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await expect(page.getByText('5 years 3 months')).toBeVisible();
  },
  'a child': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: /Kofi/ }).click();
    await page.locator('[data-skill="bond-5"]').click();
    await expect(page.locator('gumo-opened-bead .evidence')).toContainText('on their own');
  },
  'every detail of a child': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: /Kofi/ }).click();
    for (const tab of [
      'Numerals',
      'Number bonds',
      'Subitizing',
      'Writing',
      'Comparing',
      'Common errors',
      'Measuring',
      'Rote counting',
    ]) {
      await openDetail(page, tab);
      await expect(page.locator('gumo-details-tab section *').first()).toBeVisible();
      expect(await barriers(page), tab).toEqual([]);
    }
  },
  'a first look': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: /Dilara/ }).click();
    await page.getByRole('link', { name: 'First look' }).click();
    await expect(page.getByRole('slider', { name: 'Rote counting' })).toBeVisible();
    expect(await barriers(page), 'pegs').toEqual([]);
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(page.locator('.sentence')).toBeVisible();
  },
  activities: async (page) => {
    await page.getByRole('link', { name: 'Activities' }).click();
    await expect(page.locator('.list li').first()).toBeVisible();
    await page.getByRole('button', { name: 'Table time' }).click();
  },
  'an activity': async (page) => {
    await page.goto(new URL('/activities/counters-under', page.url()).href);
    await page.getByRole('button', { name: 'Ilse' }).click();
    await expect(page.locator('.needs')).toContainText('stays away');
  },
  'an own activity': async (page) => {
    await page.goto(new URL('/activities/new?from=peg-rail', page.url()).href);
    await expect(page.getByRole('textbox', { name: 'Title' })).toHaveValue(/Pegs/);
  },
  'the songbook': async (page) => {
    await page.goto(new URL('/activities/songs', page.url()).href);
    await page.getByRole('button', { name: 'Change Snails' }).click();
  },
  'the materials': async (page) => {
    await page.getByRole('link', { name: 'Materials' }).click();
    await page.getByRole('button', { name: /cork discs/ }).click();
    await page.getByRole('button', { name: 'Paste a list' }).click();
    await page.getByRole('button', { name: 'Pack one' }).click();
  },
  'the household': async (page) => {
    await page.getByRole('link', { name: 'Settings' }).click();
    await expect(page.getByRole('radiogroup', { name: 'Paper' })).toBeVisible();
    expect(await barriers(page), 'choices').toEqual([]);
    await page.getByRole('tab', { name: 'The day' }).click();
    await expect(page.getByRole('group', { name: 'Open days' })).toBeVisible();
    expect(await barriers(page), 'the day').toEqual([]);
    await page.getByRole('tab', { name: 'Backup and files' }).click();
    await page.getByRole('button', { name: 'Back up now' }).click();
    await page
      .getByRole('button', { name: /^Restore the backup/ })
      .first()
      .click();
  },
  'a new child': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: 'Add a child' }).click();
    await page.getByRole('button', { name: 'Add the child' }).click();
    await expect(page.locator('mat-error').first()).toBeVisible();
  },
  'the tray': async (page) => {
    await page.getByRole('button', { name: 'Start A lot and a few' }).click();
    await note(page, 'On their own');
    await asked(page);
  },
  'the last question': async (page) => {
    await page.getByRole('button', { name: 'Start Counting together' }).click();
    await note(page, 'On their own');
    await page.getByRole('button', { name: 'Finish', exact: true }).first().click();
    await expect(page.getByRole('dialog')).toBeVisible();
  },
  'the picture turned to the child': async (page) => {
    await page.goto(new URL('/activities/two-plates', page.url()).href);
    await page.getByRole('button', { name: /^Kofi/ }).click();
    await page.getByRole('button', { name: 'Start', exact: true }).click();
    await expect(page.locator('.tray[aria-busy="false"] .picture gumo-scene')).toBeVisible();
    await page.keyboard.press('f');
    await expect(page.getByRole('dialog', { name: 'Picture for the child' })).toBeVisible();
  },
  'every thing on the table': async (page) => {
    await page.getByRole('link', { name: 'Manipulatives', exact: true }).click();
    const materials = page.getByRole('navigation', { name: 'Manipulatives' }).getByRole('link');
    for (const name of await materials.allTextContents()) {
      await materials.filter({ hasText: name.trim() }).first().click();
      await expect(page.getByRole('heading', { name: name.trim() })).toBeVisible();
      expect(await barriers(page), name).toEqual([]);
    }
  },
  'a quick note': async (page) => {
    await page.keyboard.press('j');
    await expect(page.locator('.skills li').first()).toBeVisible();
  },
  'the end of day': async (page) => {
    await page.getByRole('link', { name: 'End of day' }).click();
    await expect(page.getByRole('heading', { name: 'Not seen today' })).toBeVisible();
  },
  'the sessions of a child': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: /Kofi/ }).click();
    await page.getByRole('tab', { name: 'Sessions' }).click();
    await page.locator('mat-expansion-panel-header').first().click();
    await expect(page.locator('mat-expansion-panel li').first()).toBeVisible();
  },
  'a family page, and forgetting': async (page) => {
    await page.getByRole('link', { name: 'Children' }).click();
    await page.getByRole('link', { name: /Kofi/ }).click();
    await page.getByRole('tab', { name: 'Family report' }).click();
    await page.getByRole('checkbox', { name: 'Published goals as a second page' }).click();
    expect(await barriers(page), 'family page').toEqual([]);
    await page.getByRole('link', { name: 'Change', exact: true }).click();
    await page.getByRole('button', { name: 'Delete this child permanently' }).click();
  },
  'the help': async (page) => {
    await page.keyboard.press('?');
    await expect(page.getByRole('dialog', { name: /what can be done here/ })).toBeVisible();
  },
};

test.describe.configure({ mode: 'parallel' });

for (const [name, open] of Object.entries(SCREENS)) {
  test(`nothing stands in the way on ${name}`, async ({ page }) => {
    await expect(page.getByRole('heading', { name: 'Get ready' })).toBeVisible();
    await open(page);
    // A page of a hundred beads is looked at for some seconds.
    await expect.poll(() => barriers(page), { timeout: 20_000 }).toEqual([]);
  });
}

test('at the tray on a phone every target is at least 56 pixels', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('button', { name: 'Start A lot and a few' }).click();
  await expect(page.locator('.sentence')).toBeVisible();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('gumo-run button')]
      .map((button) => ({ text: button.textContent?.trim(), box: button.getBoundingClientRect() }))
      .filter(({ box }) => box.height > 0 && box.height < 55.5)
      .map(({ text }) => text),
  );
  expect(small).toEqual([]);
});
