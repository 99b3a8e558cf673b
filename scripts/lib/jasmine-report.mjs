/** Jasmine reporter that says what failed, and writes its counts to the file named by GUMO_REPORT. */
import { writeFileSync } from 'node:fs';

let passed = 0;
let failed = 0;

const tell = (name, { failedExpectations }) => {
  for (const { message, stack } of failedExpectations)
    console.error(`${name}: ${message}\n${stack}`);
};

export default class CountReporter {
  jasmineStarted({ order }) {
    console.error(`in the order of seed ${order?.seed}`);
  }

  specDone(result) {
    if (result.status === 'passed') passed += 1;
    if (result.status !== 'failed') return;
    failed += 1;
    tell(result.fullName, result);
  }

  suiteDone(result) {
    tell(result.fullName, result);
  }

  jasmineDone(result) {
    tell('outside any spec', result);
    // A failure outside any spec, such as in a file that cannot be loaded.
    if (result.overallStatus === 'failed' && failed === 0) failed += 1;
    const file = process.env.GUMO_REPORT;
    if (file) writeFileSync(file, JSON.stringify({ passed, failed }));
  }
}
