import { type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { test as base, expect, type Page } from '@playwright/test';
import axe, { type AxeResults, type RunOptions } from 'axe-core';
import { startServer } from '../scripts/lib/steps.mjs';

/** The day and time at which every journey begins. */
export const TODAY = '2026-03-10';
export const NOW = `${TODAY}T09:20:00`;

interface Running {
  readonly url: string;
  readonly child: ChildProcess;
}

export interface Server {
  readonly url: string;
  /** Stops it as a machine that goes to sleep would: nothing answers any more. */
  stop(): Promise<void>;
  /** Starts it again at the same address, with the same database; on another day, where one is named. */
  start(today?: string): Promise<void>;
}

interface World {
  /** Which household the server starts with. */
  household: 'demo' | 'empty';
  server: Server;
}

/** A household as every journey begins with it, made once by each worker. */
const made = new Map<World['household'], Promise<string>>();

/** Starts a server once, so that the next ones find its records. @returns their folder */
async function makeHousehold(household: World['household']): Promise<string> {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-household-'));
  const { child } = (await startServer(envOf(folder), argsOf(household))) as Running;
  child.removeAllListeners('exit');
  await new Promise((resolve) => {
    child.once('exit', resolve);
    child.kill('SIGTERM');
  });
  process.once('exit', () => rmSync(folder, { recursive: true, force: true }));
  return folder;
}

const envOf = (folder: string) => ({
  GUMO_DATA: join(folder, 'gumo.db'),
  PORT: '0',
  GUMO_TODAY: TODAY,
});
const argsOf = (household: World['household']): string[] =>
  household === 'empty' ? ['--empty'] : [];

function householdOf(household: World['household']): Promise<string> {
  const known = made.get(household) ?? makeHousehold(household);
  made.set(household, known);
  return known;
}

/** A journey: a server on a database of its own, and a browser whose clock says 9:20 that day. */
export const test = base.extend<World>({
  household: ['demo', { option: true }],
  server: async ({ household }, use) => {
    const folder = mkdtempSync(join(tmpdir(), 'gumo-journey-'));
    cpSync(await householdOf(household), folder, { recursive: true });
    const env = envOf(folder);
    let running = (await startServer(env, argsOf(household))) as Running | null;
    const { url } = running as Running;
    const server: Server = {
      url,
      async stop() {
        const child = running?.child;
        running = null;
        if (!child) return;
        child.removeAllListeners('exit');
        const gone = new Promise((resolve) => child.once('exit', resolve));
        child.kill('SIGTERM');
        await gone;
      },
      async start(today = TODAY) {
        const again = { ...env, PORT: new URL(url).port, GUMO_TODAY: today };
        running = (await startServer(again)) as Running;
      },
    };
    await use(server);
    await server.stop();
    rmSync(folder, { recursive: true, force: true });
  },
  page: async ({ page, server }, use) => {
    const faults: string[] = [];
    page.on('pageerror', (error) => faults.push(error.message));
    page.on('console', (message) => {
      if (
        message.type() === 'error' &&
        !/status of (4|504)|ERR_FAILED|ERR_CONNECTION_REFUSED|ERR_INCOMPLETE/.test(message.text())
      ) {
        faults.push(message.text());
      }
    });
    await page.clock.install({ time: NOW });
    await page.goto(server.url);
    await use(page);
    expect(faults, 'nothing goes wrong behind the screen').toEqual([]);
  },
});

/** The screens at which every place is looked at: a laptop and a phone. */
const SIZES = [
  { width: 1280, height: 800 },
  { width: 390, height: 844 },
] as const;

async function axeFinds(page: Page, options: RunOptions): Promise<string[]> {
  return page.evaluate(async (asked) => {
    const { axe } = window as unknown as {
      axe: { run(on: Document, options: RunOptions): Promise<AxeResults> };
    };
    const fading = document.getAnimations().filter((one) => one instanceof CSSTransition);
    await Promise.allSettled(fading.map((one) => one.finished));
    const { violations } = await axe.run(document, asked);
    return violations.map(
      (one) => `${one.id}: ${one.nodes.map((node) => node.target.join(' ')).join(' | ')}`,
    );
  }, options);
}

/**
 * What axe finds on the page as it stands, of any weight and with its advice on good practice: on a
 * laptop and on a phone by all of its rules, and by evening once more where colors matter.
 */
export async function barriers(page: Page): Promise<string[]> {
  const before = page.viewportSize() ?? SIZES[0];
  const theme = (name: string): Promise<void> =>
    page.evaluate((one) => document.documentElement.setAttribute('data-theme', one), name);
  await page.evaluate(axe.source);
  const found: string[] = [];
  for (const size of SIZES) {
    await page.setViewportSize(size);
    for (const name of ['evening', 'day']) {
      await theme(name);
      const rules: RunOptions =
        name === 'day' ? {} : { runOnly: { type: 'rule', values: ['color-contrast'] } };
      found.push(...(await axeFinds(page, rules)).map((one) => `${size.width} ${name} ${one}`));
    }
  }
  await page.setViewportSize(before);
  return found;
}

export { expect };

/**
 * At the tray: waits until the next question stands, for until then no answer is taken, and taps
 * what came up where chance or the child decides. Says how many taps that took.
 */
export async function asked(page: Page): Promise<number> {
  await expect(page.locator('.sentence')).toBeVisible();
  const goOn = page.getByRole('button', { name: 'Continue', exact: true });
  if (await goOn.isVisible()) await goOn.click();
  const stands = async (): Promise<void> =>
    expect(page.getByRole('region', { name: 'At the tray' })).not.toHaveAttribute(
      'aria-busy',
      'true',
    );
  await stands();
  const outcomes = page.getByRole('group', { name: 'How it went' });
  const keys = page.locator('gumo-came-up .keys button');
  const came = page.locator('gumo-came-up .line button');
  let taps = 0;
  while ((await page.locator('gumo-came-up').count()) > 0 && !(await outcomes.isVisible())) {
    const before = await came.count();
    await keys.nth(before === 0 ? 2 : 3).click();
    await expect(came).toHaveCount(before + 1);
    // What came up shows at once; what follows from it is asked a picture later.
    await stands();
    taps++;
  }
  await expect(outcomes).toBeVisible();
  return taps;
}

/** Notes the question that stands; where the child is to choose, a choice is tapped first. */
export async function note(page: Page, outcome: string): Promise<void> {
  await asked(page);
  const own = page.getByRole('button', { name: 'On their own', exact: true });
  if (outcome === 'On their own' && (await own.getAttribute('aria-disabled')) === 'true') {
    const choices = page.locator('gumo-answer-pad [role="group"]').first().getByRole('button');
    for (let i = 0; i < (await choices.count()); i++) {
      await choices.nth(i).click();
      // A right choice makes "on their own" the one to tap.
      if (/unelevated/.test((await own.getAttribute('class')) ?? '')) break;
    }
  }
  const tray = page.getByRole('region', { name: 'At the tray' });
  const before = await tray.getAttribute('data-noted');
  await page.getByRole('button', { name: outcome, exact: true }).click();
  const doubt = page.getByRole('alertdialog').getByRole('button').first();
  await expect(async () => {
    if (await doubt.isVisible()) await doubt.click();
    expect(await tray.getAttribute('data-noted')).not.toBe(before);
  }).toPass();
}

/** Finishes a session: calm all round, what changed, and back to the day. */
export async function finish(page: Page): Promise<void> {
  await page.getByRole('button', { name: 'Finish', exact: true }).first().click();
  await page.getByRole('button', { name: 'All calm' }).click();
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  await page.getByRole('button', { name: 'Back to the day' }).click();
}
