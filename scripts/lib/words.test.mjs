/** Nobody reads a word that the trade has another one for. Run by npm test. */
import assert from 'node:assert/strict';
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './steps.mjs';
import { faultsIn, textsOfCode, textsOfDocument, textsOfFile, textsOfTemplate } from './words.mjs';

const rules = JSON.parse(readFileSync(new URL('./words.json', import.meta.url), 'utf8'));
const said = (found) => found.map(({ text }) => text);

// What is read is found, and what is not is left.
const template = `<h1 class="sitting">Cupboard</h1>
<button [attr.aria-label]="'Take out ' + name" (click)="sitting()">{{ jot() }}</button>
@if (sitting(); as sitting) { <p aria-label="Lay ready">A long
  sentence</p> }`;
assert.deepEqual(
  said(textsOfTemplate(template)).sort(),
  ['A long sentence', 'Cupboard', 'Lay ready', 'Take out '].sort(),
);
assert.deepEqual(textsOfTemplate(template).find(({ text }) => text === 'A long sentence').line, 3);
const code = `import { jot } from './jot';
const id = 'sitting';
const words = 'A jot of ' + id;
const more = \`\${id} is taken out\`;
@Component({ selector: 'gumo-Jot x', template: '<p>Jotted down</p>' }) class A {}`;
assert.deepEqual(said(textsOfCode(code)), ['A jot of ', '… is taken out', 'Jotted down']);
assert.deepEqual(
  said(textsOfDocument('A `sitting`.\n```\njot\n```\nEnd')),
  ['A .', '```', 'End'].filter((one) => one !== '```'),
);
assert.deepEqual(faultsIn('The keeper takes it out', rules).length, 1);
assert.deepEqual(faultsIn('take the song out of the Cupboard', rules).length, 2);
assert.deepEqual(
  faultsIn('It is not noted. The housekeeper measures and counts: not yet.', rules),
  [],
);

const files = execFileSync(
  'git',
  [
    'ls-files',
    'web/src/app/*.ts',
    'web/src/app/*.html',
    'core/src/*.ts',
    'server/src/*.ts',
    'docs/*.md',
    'README.md',
  ],
  { cwd: ROOT, encoding: 'utf8' },
)
  .split('\n')
  .filter((path) => path && !/\.spec\.ts$|\/testing|earlier-names|observation-table/.test(path));
assert.ok(files.length > 300, 'files to read');
const faults = files.flatMap((path) =>
  textsOfFile(join(ROOT, path)).flatMap(({ line, text }) =>
    faultsIn(text, rules).map((fault) => `${path}:${line}  ${fault}  in: ${text.slice(0, 90)}`),
  ),
);
if (faults.length > 0) console.log(faults.join('\n'));
console.log(
  `${rules.length + files.length - Math.min(files.length, faults.length)} passed, ${faults.length} failed`,
);
process.exitCode = faults.length > 0 ? 1 : 0;
