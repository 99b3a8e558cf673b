/** Steps that several commands share. Only Node's own modules: they run before anything is installed. */
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = fileURLToPath(new URL('../../', import.meta.url));
export const CACHE = join(ROOT, '.cache');
const INSTALLED = join(ROOT, 'node_modules/.gumo-installed');
const BUILT = join(CACHE, 'built');
const OLDEST_NODE = [20, 19];

export const say = (line) => process.stdout.write(`${line}\n`);

/** A failure with a sentence for the person at the screen. */
export class Failure extends Error {}

/** Runs a command with its output on screen; throws a Failure when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  if (error) throw new Failure(`${command} could not be started: ${error.message}`);
  if (status !== 0) throw new Failure(`${command} ${args.join(' ')} failed.`);
}

/** Path of a command that a package brings. */
export const bin = (name) => join(ROOT, 'node_modules/.bin', name);

function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < OLDEST_NODE[0] || (major === OLDEST_NODE[0] && minor < OLDEST_NODE[1])) {
    throw new Failure(
      `Gumo needs Node ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`,
    );
  }
}

const hash = (parts) => {
  const sum = createHash('sha256');
  for (const part of parts) sum.update(part);
  return sum.digest('hex');
};

const readIf = (path) => (existsSync(path) ? readFileSync(path, 'utf8') : '');

/** Installs the packages when the lock file, or the major version of Node, has changed. */
export function install() {
  checkNode();
  const wanted = hash([
    readFileSync(join(ROOT, 'package-lock.json')),
    process.versions.node.split('.')[0],
  ]);
  if (readIf(INSTALLED) === wanted) return;
  say('Installing what Gumo needs; the database is compiled here, which takes a few minutes …');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  writeFileSync(INSTALLED, wanted);
}

/** Files below a folder that a build depends on. */
function* files(folder) {
  for (const entry of readdirSync(folder, { withFileTypes: true })) {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) yield* files(path);
    else yield path;
  }
}

const SOURCES = ['core/src', 'server/src', 'server/migrations', 'web/src', 'web/public'];
const SETTINGS = [
  'tsconfig.base.json',
  'core/package.json',
  'core/tsconfig.json',
  'server/tsconfig.json',
  'web/angular.json',
  'web/tsconfig.json',
  'web/tsconfig.app.json',
  'package-lock.json',
];

/** Builds core, server and web when a source has changed. */
export function build() {
  const paths = [...SOURCES.flatMap((folder) => [...files(join(ROOT, folder))]).sort()];
  const all = [...paths, ...SETTINGS.map((path) => join(ROOT, path))];
  const wanted = hash(all.flatMap((path) => [path.slice(ROOT.length), readFileSync(path)]));
  const made = ['server/dist/main.js', 'web/dist/browser/index.html'];
  if (readIf(BUILT) === wanted && made.every((path) => existsSync(join(ROOT, path)))) return;
  say('Building …');
  compile();
  run(bin('ng'), ['build'], { cwd: join(ROOT, 'web') });
  mkdirSync(dirname(BUILT), { recursive: true });
  writeFileSync(BUILT, wanted);
}

/** Compiles core and server, with their specs. */
export function compile() {
  run(bin('tsc'), ['-b', 'core', 'server']);
}

/** A port that nobody uses at this moment. */
export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject).listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

/** Starts the built server on a database of its own; resolves once it has said that it is ready. */
export function startServer(env, args = []) {
  const child = spawn(process.execPath, [join(ROOT, 'server/dist/main.js'), ...args], {
    cwd: ROOT,
    env: { ...process.env, ...env },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  return new Promise((resolve, reject) => {
    child.once('exit', (code) => reject(new Failure(`The server ended with ${code}.`)));
    child.stdout.on('data', (text) => {
      const found = /http:\/\/localhost:(\d+)/.exec(String(text));
      if (found) resolve({ child, url: `http://localhost:${found[1]}` });
    });
  });
}

/** Runs a command's main part and turns a Failure into a message and an exit code. */
export async function main(work) {
  try {
    await work();
  } catch (error) {
    process.stderr.write(`${error instanceof Failure ? error.message : error.stack}\n`);
    process.exitCode = 1;
  }
}
