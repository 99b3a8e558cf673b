const { writeFileSync } = require('node:fs');

const FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

/** Writes the counts of a run to the file named by GUMO_REPORT. */
function CountReporter() {
  this.onRunComplete = (_browsers, { success, failed, error }) => {
    const file = process.env.GUMO_REPORT;
    const counts = { passed: success, failed: failed + (error && failed === 0 ? 1 : 0) };
    if (file) writeFileSync(file, JSON.stringify(counts));
  };
}

module.exports = (config) =>
  config.set({
    frameworks: ['jasmine'],
    plugins: [
      require('karma-jasmine'),
      require('karma-chrome-launcher'),
      { 'reporter:count': ['type', CountReporter] },
    ],
    reporters: ['progress', 'count'],
    browsers: ['Headless'],
    customLaunchers: { Headless: { base: 'ChromeHeadless', flags: FLAGS } },
    restartOnFileChange: false,
    singleRun: true,
  });
