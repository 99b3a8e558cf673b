/** Finds Debian's Chromium, and installs it where that is allowed. */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { Failure, run, say } from './steps.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** What a headless browser needs on a machine that may be closed to the network. */
export const CHROMIUM_FLAGS = [
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
];

const find = () => process.env.CHROME_BIN || PLACES.find((path) => existsSync(path));

/** The path of a Chromium; installs Debian's when there is none and the user may. */
export function chromium() {
  const found = find();
  if (found) return found;
  const hasApt = spawnSync('apt-get', ['--version'], { stdio: 'ignore' }).status === 0;
  const isRoot = process.getuid?.() === 0;
  const sudo = !isRoot && spawnSync('sudo', ['-n', 'true'], { stdio: 'ignore' }).status === 0;
  if (!hasApt || (!isRoot && !sudo)) {
    throw new Failure('The tests need Chromium. Install it with: sudo apt-get install chromium');
  }
  say('Installing Chromium for the tests …');
  const [command, first] = isRoot ? ['apt-get', []] : ['sudo', ['-n', 'apt-get']];
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' };
  run(command, [...first, 'update', '-qq'], { env });
  run(command, [...first, 'install', '-y', '-qq', '--no-install-recommends', 'chromium'], { env });
  const installed = find();
  if (!installed) throw new Failure('Chromium was installed and cannot be found; set CHROME_BIN.');
  return installed;
}
