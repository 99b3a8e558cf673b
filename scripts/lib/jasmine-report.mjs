/** Jasmine reporter that writes its counts to the file named by GUMO_REPORT. */
import { writeFileSync } from 'node:fs';

let passed = 0;
let failed = 0;

export default class CountReporter {
  specDone(result) {
    if (result.status === 'passed') passed += 1;
    if (result.status === 'failed') failed += 1;
  }

  jasmineDone(result) {
    // A failure outside any spec, such as in a file that cannot be loaded.
    if (result.overallStatus === 'failed' && failed === 0) failed += 1;
    const file = process.env.GUMO_REPORT;
    if (file) writeFileSync(file, JSON.stringify({ passed, failed }));
  }
}
