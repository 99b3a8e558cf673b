/** Long tasks while large lists are scrolled, from Chromium's own observer. */
/* global window, PerformanceObserver, requestAnimationFrame */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { LIBRARY } from '@gumo/core/activities';
import { CHROMIUM_FLAGS, chromium as findChromium } from '../scripts/lib/chromium.mjs';
import { startServer } from '../scripts/lib/steps.mjs';
import { table } from './lib.mjs';

const MATERIALS = 400;
const OWN = 490;
const STEPS = 60;
const LONG_MS = 50;

const material = (i) => ({
  id: randomUUID(),
  name: `cork discs ${i}`,
  use: 'counter',
  count: 24,
  colors: [{ name: 'blue', count: 24 }],
  alike: true,
  shape: { kind: 'disc', diameterMm: 30, thicknessMm: 6 },
  box: `box ${i % 12}`,
  consumable: false,
  interests: [],
  hazards: [],
  version: 1,
});

async function send(url, path, rows) {
  const answer = await fetch(`${url}/api${path}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ rows }),
  });
  if (!answer.ok) throw new Error(`${path} answered ${answer.status}`);
}

async function scrolled(page, url, path, ready) {
  await page.goto(`${url}${path}`);
  await page.locator(ready).first().waitFor();
  await page.waitForLoadState('networkidle');
  await page.evaluate(() => {
    window.long = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.long.push(entry.duration);
    }).observe({ entryTypes: ['longtask'] });
  });
  await page.mouse.move(600, 400);
  for (let i = 0; i < STEPS; i++) {
    await page.mouse.wheel(0, 400);
    await page.evaluate(() => new Promise((done) => requestAnimationFrame(done)));
  }
  return page.evaluate(() => window.long);
}

export async function scroll() {
  const folder = mkdtempSync(join(tmpdir(), 'gumo-scroll-'));
  const { child, url } = await startServer({ GUMO_DATA: join(folder, 'gumo.db'), PORT: '0' });
  child.removeAllListeners('exit');
  const { chromium } = await import('@playwright/test');
  const browser = await chromium.launch({ executablePath: findChromium(), args: CHROMIUM_FLAGS });
  try {
    await send(
      url,
      '/materials/batch',
      Array.from({ length: MATERIALS }, (_, i) => material(i)),
    );
    const own = Array.from({ length: OWN }, (_, i) => ({
      ...LIBRARY[i % LIBRARY.length],
      id: randomUUID(),
      title: `${LIBRARY[i % LIBRARY.length].title.slice(0, 50)} ${i}`,
      archived: false,
      version: 1,
    }));
    for (let at = 0; at < own.length; at += 245) {
      await send(url, '/activities/own/batch', own.slice(at, at + 245));
    }
    const page = await browser.newPage({
      serviceWorkers: 'block',
      viewport: { width: 1280, height: 800 },
    });
    const rows = [];
    for (const [name, path, ready] of [
      [`a list of ${MATERIALS} materials and more`, '/materials', '.row'],
      [`${LIBRARY.length + OWN} activities`, '/activities', '.list li'],
    ]) {
      const long = await scrolled(page, url, path, ready);
      const over = long.filter((ms) => ms > LONG_MS);
      rows.push([
        name,
        String(over.length),
        over.length > 0 ? `${Math.max(...over).toFixed(0)} ms` : '–',
      ]);
    }
    return [
      '## Scrolling large lists',
      '',
      `${STEPS} turns of the wheel in Chromium, tasks over ${LONG_MS} ms. Goal: none.`,
      '',
      table([['', 'long tasks', 'the longest'], ...rows]),
    ].join('\n');
  } finally {
    await browser.close();
    child.kill('SIGTERM');
    rmSync(folder, { recursive: true, force: true });
  }
}
