/**
 * npm test: installs what is missing, then runs every check. The last line is the sum of what the
 * runners report themselves; a check without a count of its own (format, lint, types) counts as one.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from './lib/chromium.mjs';
import { ROOT, bin, build, install, main, say } from './lib/steps.mjs';

const REPORTER = join(ROOT, 'scripts/lib/jasmine-report.mjs');
/** How much of a failed check is said once more at the end, in lines: the runners put failures last. */
const AGAIN = 60;
const sum = { passed: 0, failed: 0 };
const wrong = [];
const reports = mkdtempSync(join(tmpdir(), 'gumo-reports-'));

/** Runs one check and shows what it said when it is done; `report` names the file with its counts. */
async function check(name, command, args, { report = null, ...options } = {}) {
  const start = performance.now();
  say(`\n— ${name} …`);
  const path = report === null ? null : join(reports, report);
  const said = [];
  const status = await new Promise((resolve, reject) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ['ignore', 'pipe', 'pipe'],
      ...options,
      env: { ...process.env, ...options.env, ...(path ? { GUMO_REPORT: path } : {}) },
    });
    for (const stream of [child.stdout, child.stderr])
      stream.on('data', (piece) => said.push(piece));
    child.once('error', reject).once('close', resolve);
  });
  let counts = { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
  if (path !== null) {
    counts = existsSync(path) ? JSON.parse(readFileSync(path, 'utf8')) : { passed: 0, failed: 1 };
    if (status !== 0 && counts.failed === 0) counts.failed = 1;
  }
  sum.passed += counts.passed;
  sum.failed += counts.failed;
  const seconds = ((performance.now() - start) / 1000).toFixed(1);
  const words = Buffer.concat(said).toString('utf8');
  process.stdout.write(words);
  if (counts.failed > 0) wrong.push([name, words.trimEnd().split('\n').slice(-AGAIN).join('\n')]);
  say(`  ${name}: ${counts.passed} passed, ${counts.failed} failed, ${seconds} s`);
}

const specs = (part) =>
  check(`specs of ${part}`, bin('jasmine'), ['--config=jasmine.json', `--reporter=${REPORTER}`], {
    cwd: join(ROOT, part),
    report: `${part}.json`,
  });

/** Lines of the core that its own specs have to walk, in percent: of all of it, and of two of its rooms. */
const FLOORS = [
  ['core', 'dist/**/*.js', 95],
  ['planning', 'dist/planning/**/*.js', 85],
  ['exchange', 'dist/exchange/**/*.js', 85],
];

/** The specs of the core, and how much of it they walk. */
async function coreSpecs() {
  const seen = ['--temp-directory', join(reports, 'covered')];
  const only = ['--exclude', '**/*.spec.js', '--exclude', '**/testing*'];
  const cwd = join(ROOT, 'core');
  const jasmine = [bin('jasmine'), '--config=jasmine.json', `--reporter=${REPORTER}`];
  const quiet = ['--reporter', 'none', '--include', 'dist/**/*.js'];
  await check('specs of core', bin('c8'), [...seen, ...only, ...quiet, ...jasmine], {
    cwd,
    report: 'core.json',
  });
  for (const [name, include, lines] of FLOORS) {
    const floor = ['--check-coverage', '--lines', String(lines), '--reporter', 'text-summary'];
    const args = ['report', ...seen, ...only, '--all', '--include', include, ...floor];
    await check(`coverage of ${name}`, bin('c8'), args, { cwd });
  }
}

await main(async () => {
  install();
  const browser = { CHROME_BIN: chromium() };
  mkdirSync(join(ROOT, '.cache'), { recursive: true });
  rmSync(join(ROOT, 'core/dist'), { recursive: true, force: true });
  rmSync(join(ROOT, 'server/dist'), { recursive: true, force: true });

  // Two at a time: that is how many cores there are.
  await Promise.all([
    check('format', bin('prettier'), ['--check', '--log-level', 'warn', '.']),
    check('types of core and server', bin('tsc'), ['-b', '--force', 'core', 'server']),
  ]);
  build();
  const shape = async () => {
    await check('types of the journeys', bin('tsc'), ['-p', 'e2e']);
    await check('lint', bin('eslint'), ['.']);
    await check('lint rule', process.execPath, ['scripts/lib/material-controls.test.mjs']);
    await check('words', process.execPath, ['scripts/lib/words.test.mjs']);
    await check('contract', process.execPath, ['scripts/lib/contract.test.mjs']);
    await check('styles', process.execPath, ['scripts/styles.mjs']);
    const walls = ['--config', '.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src'];
    await check('walls', bin('depcruise'), walls);
    await coreSpecs();
    const web = { cwd: join(ROOT, 'web'), env: browser, report: 'web.json' };
    await check('component specs', bin('ng'), ['test'], web);
  };
  await Promise.all([shape(), specs('server')]);
  await check('journeys', bin('playwright'), ['test'], {
    cwd: join(ROOT, 'e2e'),
    env: browser,
    report: 'e2e.json',
  });
  rmSync(reports, { recursive: true, force: true });
  for (const [name, words] of wrong) say(`\n— not passed: ${name}\n${words}`);
  say(`\n${sum.passed} passed, ${sum.failed} failed`);
  if (sum.failed > 0 || sum.passed === 0) process.exitCode = 1;
});
