/**
 * npm run release -- 0.17.0: sets the one version everywhere, commits it and tags it. The changelog has to
 * begin with that version, the tree has to be clean, and nothing may have that tag already.
 */
import { execFileSync } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { Failure, ROOT, main, say } from './lib/steps.mjs';

const PARTS = ['core', 'server', 'web', 'e2e'];
const VERSION = /^\d+\.\d+\.\d+$/;

const git = (...args) => execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).trim();

/** Sets the version of one of Gumo's own packages, and of the core that it stands on. */
function setVersion(own, version) {
  own.version = version;
  if (own.dependencies?.['@gumo/core']) own.dependencies['@gumo/core'] = version;
}

/** Changes a JSON file of npm, in npm's own form. */
function change(path, how) {
  const file = join(ROOT, path);
  const json = JSON.parse(readFileSync(file, 'utf8'));
  how(json);
  writeFileSync(file, `${JSON.stringify(json, null, 2)}\n`);
}

/** Sets the one version wherever npm keeps it. */
function setEverywhere(version) {
  for (const part of ['.', ...PARTS]) {
    change(join(part, 'package.json'), (own) => setVersion(own, version));
  }
  change('package-lock.json', (lock) => {
    lock.version = version;
    for (const part of ['', ...PARTS]) setVersion(lock.packages[part], version);
  });
}

await main(() => {
  const [to] = process.argv.slice(2);
  if (!to || !VERSION.test(to)) throw new Failure('Name the version, such as 0.17.0.');
  const [, first] = /^## (\S+)/m.exec(readFileSync(join(ROOT, 'CHANGELOG.md'), 'utf8')) ?? [];
  if (first !== to) throw new Failure(`The changelog begins with ${first}, not with ${to}.`);
  if (git('status', '--porcelain') !== '')
    throw new Failure('Commit or put away what was changed.');
  if (git('tag', '--list', `v${to}`) !== '') throw new Failure(`v${to} is tagged already.`);
  setEverywhere(to);
  if (git('status', '--porcelain') !== '') git('commit', '-am', `Release ${to}`);
  git('tag', '-a', `v${to}`, '-m', `Gumo ${to}`);
  say(`v${to} is committed and tagged.`);
});
