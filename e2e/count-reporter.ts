import { writeFileSync } from 'node:fs';
import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';

/** Writes how many journeys passed and failed to the file named by GUMO_REPORT. */
export default class CountReporter implements Reporter {
  private readonly last = new Map<string, boolean>();

  onTestEnd(test: TestCase, result: TestResult): void {
    if (result.status !== 'skipped') this.last.set(test.id, result.status === test.expectedStatus);
  }

  onEnd(): void {
    const file = process.env['GUMO_REPORT'];
    const passed = [...this.last.values()].filter((ok) => ok).length;
    if (file) writeFileSync(file, JSON.stringify({ passed, failed: this.last.size - passed }));
  }
}
