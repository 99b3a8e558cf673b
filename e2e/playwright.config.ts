import { defineConfig } from '@playwright/test';
import { CHROMIUM_FLAGS } from '../scripts/lib/chromium.mjs';

export default defineConfig({
  testDir: 'journeys',
  timeout: 60_000,
  workers: 2,
  // On a busy machine a journey may miss its five seconds once; the list then names it as flaky.
  retries: 1,
  fullyParallel: false,
  forbidOnly: true,
  reporter: [['list'], ['./count-reporter.ts']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: process.env['CHROME_BIN'] ?? '/usr/bin/chromium',
      args: CHROMIUM_FLAGS,
    },
    screenshot: 'only-on-failure',
    // Journeys that go on without the server allow it for themselves.
    serviceWorkers: 'block',
  },
});
